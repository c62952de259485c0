/** What a string means: who meets it, what follows from it, what equals it. The face of this room for other layers. */
export * from './atoms';
export * from './compare-versions';
export * from './decision-diagram';
export * from './describe';
export * from './equivalent';
export * from './exact-matching';
export * from './implies';
export * from './leaf';
export * from './matches';
export * from './matching';
export * from './matching-schema';
export * from './parts';
export * from './simplify';
export * from './truth';
export * from './wording-index';
