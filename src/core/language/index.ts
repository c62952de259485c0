/** The notation: reading, writing, trees. The room's own face, for other layers. */
export * from './checkpoint';
export * from './edit-outline';
export * from './fold-diacritics';
export * from './key';
export * from './lex';
export * from './limits';
export * from './named-sets';
export * from './numbers';
export * from './outline';
export * from './parse';
export * from './print';
export * from './problem';
export * from './query';
export * from './query-schema';
export * from './scopes';
export * from './set-schema';
export * from './tokens';
