/** Bringing a whole result home: how it is cut, what it doesn’t have, and whom to read first. The room's own face, for other layers. */
export * from './coverage';
export * from './cut-by-fact';
export * from './cuts';
export * from './fits-curve';
export * from './fits-read';
export * from './logistic';
export * from './neutral-words';
export * from './next-step';
export * from './evidence';
export * from './order-by-likelihood';
export * from './slice';
export * from './unseen';
