/** People kept: joined, cleaned, checked, left out and exported. The room's own face, for other layers. */
export * from './column-profile';
export * from './column-profile-schema';
export * from './firm-said';
export * from './greeting-name';
export * from './hashed-audience';
export * from './joined-record';
export * from './left-out';
export * from './list-fields';
export * from './mail-address';
export * from './merge-preview';
export * from './more-like';
export * from './tidy-title';
export * from './vcard';
