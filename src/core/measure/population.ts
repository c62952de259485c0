import type { Interval } from './wilson';

export interface Population extends Interval {
  middle: number;
}

/** Error allowed on each side. */
const tail = 0.025;
/** Above this multiple of the people seen there is no upper bound. */
const maxTimes = 1e7;

/**
 * Population size when `first` people were found one way, `second` another way, and `both` both ways, the two being
 * independent: Chapman, University of California Publications in Statistics 1 (1951) 131–160. The 95 % interval holds all
 * numbers under which such an overlap is not too unlikely by the hypergeometric distribution, each tail at 2.5 % and the
 * overlap itself counted half: Clopper and Pearson, Biometrika 26 (1934) 404–413; Lancaster, JASA 56 (1961) 223–234 for
 * the half (both from memory). `high` is infinite where nobody was found both ways.
 * Throws RangeError on counts that cannot be.
 */
export function chapman(first: number, second: number, both: number): Population {
  const middle = middleOf(first, second, both);
  const low = lowOf(first, second, both);
  return { low, middle, high: Math.max(highOf(first, second, both), low) };
}

function middleOf(first: number, second: number, both: number): number {
  if (!(both >= 0) || both > first || both > second)
    throw new RangeError(`chapman: ${both} of ${first} and ${second} cannot be`);
  return ((first + 1) * (second + 1)) / (both + 1) - 1;
}

/** A larger population makes a small overlap likelier, so each bound is where its tail is passed. */
function lowOf(first: number, second: number, both: number): number {
  const low = firstFrom(first + second - both, (all) => overlapAtMost(all, first, second, both) > tail);
  return Math.min(low, middleOf(first, second, both));
}

function highOf(first: number, second: number, both: number): number {
  const high =
    both === 0
      ? Infinity
      : firstFrom(first + second - both, (all) => 1 - overlapAtMost(all, first, second, both) <= tail) - 1;
  return Math.max(high, middleOf(first, second, both));
}

/** The least whole number, from one on, for which something holds that holds for all beyond it. */
function firstFrom(from: number, holds: (n: number) => boolean): number {
  if (holds(from)) return from;
  let step = 1;
  while (!holds(from + step) && step < from * maxTimes + maxTimes) step *= 2;
  let [low, high] = [from + step / 2, from + step];
  if (step === 1) low = from;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (holds(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** How likely the overlap of two draws is smaller than `both`, and half of how likely it is just that, of `all` there are. */
function overlapAtMost(all: number, first: number, second: number, both: number): number {
  const least = Math.max(0, first + second - all);
  const most = Math.min(first, second);
  if (both < least) return 0;
  // Each likelihood from the one before, from the likeliest overlap on, so that none vanishes; then scaled to 1.
  const next = (k: number) => ((first - k) * (second - k)) / ((k + 1) * (all - first - second + k + 1));
  const peak = Math.min(most, Math.max(least, Math.floor(((first + 1) * (second + 1)) / (all + 2))));
  let [total, below] = [0, 0];
  const add = (k: number, likely: number) => {
    total += likely;
    if (k < both) below += likely;
    else if (k === both) below += likely / 2;
  };
  add(peak, 1);
  for (let k = peak, likely = 1; k < most && likely > 1e-18; k++) add(k + 1, (likely *= next(k)));
  for (let k = peak, likely = 1; k > least && likely > 1e-18; k--) add(k - 1, (likely /= next(k - 1)));
  return below / total;
}

/**
 * How many fits there are, from two sources: of the fits judged at the first, how many are found at the second too, and
 * how many fits the second is estimated to find. The interval carries the uncertainty of both.
 */
export function fitsThereAre(judgedFits: number, ofThemAtSecond: number, fitsAtSecond: Population): Population {
  const at = (fits: number) => [judgedFits, Math.max(ofThemAtSecond, Math.round(fits)), ofThemAtSecond] as const;
  return {
    low: Math.max(fitsAtSecond.low, lowOf(...at(fitsAtSecond.low))),
    middle: middleOf(...at(fitsAtSecond.middle)),
    high: highOf(...at(fitsAtSecond.high))
  };
}
