import type { Interval } from './wilson';

export interface Population extends Interval {
  middle: number;
}

/**
 * How many there are, of whom `first` were found one way, `second` another way, and `both` both ways, the two being
 * independent: Chapman, University of California Publications in Statistics 1 (1951) 131–160. The 95 % interval takes those
 * nobody found to be log-normal, so that it never reaches below those who were: Chao, Biometrics 43 (1987) 783–791 (from
 * memory), with the variance as usually given for this estimate (from memory).
 * Throws RangeError on counts that cannot be.
 */
export function chapman(first: number, second: number, both: number): Population {
  if (!(both >= 0) || both > first || both > second)
    throw new RangeError(`chapman: ${both} of ${first} and ${second} cannot be`);
  const middle = ((first + 1) * (second + 1)) / (both + 1) - 1;
  const variance = ((first + 1) * (second + 1) * (first - both) * (second - both)) / ((both + 1) ** 2 * (both + 2));
  const seen = first + second - both;
  const unseen = middle - seen;
  if (variance === 0 || unseen <= 0) return { low: seen, middle: Math.max(seen, middle), high: Math.max(seen, middle) };
  const factor = Math.exp(1.959963984540054 * Math.sqrt(Math.log(1 + variance / unseen ** 2)));
  return { low: seen + unseen / factor, middle, high: seen + unseen * factor };
}

/**
 * How many fits there are, from two sources: of the fits judged at the first, how many are found at the second too, and
 * how many fits the second is estimated to find. The interval carries the uncertainty of both.
 */
export function fitsThereAre(judgedFits: number, ofThemAtSecond: number, fitsAtSecond: Population): Population {
  const at = (fits: number) => chapman(judgedFits, Math.max(ofThemAtSecond, Math.round(fits)), ofThemAtSecond);
  return {
    low: Math.max(fitsAtSecond.low, at(fitsAtSecond.low).low),
    middle: at(fitsAtSecond.middle).middle,
    high: at(fitsAtSecond.high).high
  };
}
