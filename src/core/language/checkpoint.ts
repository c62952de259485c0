let check: (() => void) | null = null;

/** Sets what is done at every checkpoint: it may throw, and so break off what is in progress. Null for nothing. */
export const setCheckpoint = (made: (() => void) | null): void => void (check = made);

/** Called repeatedly by long computations, so that they can be interrupted. */
export const checkpoint = (): void => check?.();
