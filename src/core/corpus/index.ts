/** People, their values, and the index over them. The room's own face, for other layers. */
export * from './bitmap';
export * from './common-words';
export * from './growing-array';
export * from './index-parts';
export * from './people-index';
export * from './person';
export * from './postings';
export * from './values';
export * from './values-met';
export * from './vocabulary';
