/** People, their values, and the index over them. The room's own face, for other layers. */
export * from './bitmap';
export * from './build-index-parts';
export * from './common-words';
export * from './growing-array';
export * from './index-parts';
export * from './packed-strings';
export * from './people-index';
export * from './postings';
export * from './update-index-parts';
export * from './value-parts';
export * from './values-met';
export * from './vocabulary';
