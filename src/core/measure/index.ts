/** Counts, shares, samples, and what compares them. The room's own face, for other layers. */
export * from './board';
export * from './draw-sample';
export * from './estimate';
export * from './figures';
export * from './figures-schema';
export * from './front';
export * from './kappa';
export * from './mcnemar';
export * from './normal';
export * from './overlap';
export * from './population';
export * from './precision';
export * from './random';
export * from './spend';
export * from './term-ledger';
export * from './told-apart';
export * from './wilson';
