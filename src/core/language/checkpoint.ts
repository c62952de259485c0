let check: (() => void) | null = null;

/** Sets what is done at every checkpoint: it may throw, and so break off what is in progress. Null for nothing. */
export const setCheckpoint = (made: (() => void) | null): void => void (check = made);

/** Passed again and again by whatever may take long, so that it can be broken off. */
export const checkpoint = (): void => check?.();
