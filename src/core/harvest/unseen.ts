import type { Interval } from '../measure/wilson';

/** How many there should be, and how many of them were not seen. */
export interface Unseen extends Interval {
  middle: number;
}

/**
 * How many people were not seen, from how many were seen once (`once`) and twice (`twice`): Chao, Scandinavian Journal of
 * Statistics 11 (1984) 265–270, as corrected for small numbers by Chao, Biometrics 43 (1987) 783–791, with the log-normal 95 % interval
 * given there (both from memory). It is the least that there should be where rows are not drawn alike.
 */
export function chao(once: number, twice: number): Unseen {
  if (once < 0 || twice < 0) throw new RangeError(`chao: ${once} and ${twice} cannot be`);
  const middle = twice > 0 ? (once * once) / (2 * twice) : (once * (once - 1)) / 2;
  if (middle === 0) return { low: 0, middle: 0, high: 0 };
  const ratio = once / Math.max(1, twice);
  const variance =
    twice > 0
      ? twice * (ratio ** 2 / 2 + ratio ** 3 + ratio ** 4 / 4)
      : (once * (once - 1)) / 2 + (once * (2 * once - 1) ** 2) / 4 - once ** 4 / (4 * Math.max(1, middle));
  const spread = Math.exp(1.96 * Math.sqrt(Math.log(1 + Math.max(0, variance) / middle ** 2)));
  return { low: middle / spread, middle, high: middle * spread };
}

/**
 * The share of the next row that will be somebody new, from how many of `rows` read were seen once: Good, Biometrika 40 (1953)
 * 237–264. The interval is Wilson's for a share of the rows.
 */
export const shareNew = (once: number, rows: number): number => (rows === 0 ? 1 : Math.min(1, once / rows));
