/** Titles, their wordings and what their words mean. The room's own face, for other layers. */
export * from './add-to-lexicon';
export * from './compose-title';
export * from './lexicon';
export * from './meanings';
export * from './own-lexicon-shape';
export * from './read-title';
export * from './senses';
export * from './spellings';
export * from './taken-up';
export * from './wordings';
