/** The persona, its wordings, and the string they make. The room's own face, for other layers. */
export * from './build-string';
export * from './check-facts';
export * from './describe-persona';
export * from './persona';
export * from './persona-shape';
export * from './persona-from-customers';
export * from './persona-from-text';
export * from './part-name';
export * from './persona-notes';
export * from './rule-verdict';
export * from './six-questions';
export * from './take-facts';
export * from './trace';
export * from './word-set';
export * from './wording-table';
