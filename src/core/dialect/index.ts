/** What sources can be asked, and strings as each is asked them. The room's own face, for other layers. */
export * from './box-text';
export * from './buckets';
export * from './count';
export * from './faults-schema';
export * from './older-sheet';
export * from './plan';
export * from './render';
export * from './search';
export * from './search-schema';
export * from './search-text';
export * from './share-out';
export * from './sheet';
export * from './sheets';
