/** Collecting a whole result: splitting it, what is missing, and which people to judge first. The face of this room for other layers. */
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
