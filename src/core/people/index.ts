/** Countries, places, firms, names, and who is who. The room's own face, for other layers. */
export * from './consent';
export * from './contact-keys';
export * from './countries';
export * from './fields';
export * from './firm-names';
export * from './industries';
export * from './languages';
export * from './name-similarity';
export * from './own-fields';
export * from './person';
export * from './person-name';
export * from './places';
export * from './present-job';
export * from './read-place';
export * from './regions';
export * from './same-person';
export * from './values';
