/** What is worth saying about a string. The room's own face, for other layers. */
export * from './meaning-problems';
export * from './read-string';
export * from './source-problems';
