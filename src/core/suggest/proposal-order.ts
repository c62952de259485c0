/** Proposals listed at most: each is counted again at every source. */
export const maxProposals = 15;

/** Orders proposals: those that gain most first, costly ones last. */
export const bestFirst = (a: { costly: boolean; gain: number }, b: { costly: boolean; gain: number }): number =>
  Number(a.costly) - Number(b.costly) || b.gain - a.gain;
