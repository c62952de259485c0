import type { Interval } from './wilson';
import { normal } from './normal';
import type { Precision } from './precision';

/** A figure that is not known exactly: its median, and bounds that hold it in 95 of 100 cases. */
export interface Estimate extends Interval {
  middle: number;
}

/** What one search at a source showed, and how much of it stays after the left-over check. */
export interface SearchSeen {
  /** What the count it said may represent, rows. */
  reported: Interval;
  /** Rows it lets us see. */
  shown: number;
  /** Of these, the people who stay: not met in a search before and not contradicted (or, of the certain, met). */
  stay: number;
  /** Every row it has was shown: nothing is left to estimate. */
  complete: boolean;
}

/** Points that represent an uncertain number: each as likely as the others, ascending. */
export type Points = readonly number[];

/** Bounds further apart than this were guessed, and the truth may as well be twice as many as half as many. */
const guessedFrom = 1.5;
const countPoints = 24;
const resultPoints = 32;

/**
 * The middle of what a count may represent: halfway, or where the bounds are far apart, as with a guess that may be three
 * times off either way, their geometric mean, which is as often too large as too small.
 */
export function middleOf({ low, high }: Interval): number {
  return isGuess({ low, high }) ? Math.sqrt(low * high) : (low + high) / 2;
}

const isGuess = ({ low, high }: Interval) => low > 0 && high / low >= guessedFrom;

/** What the true number may be, evenly between the bounds; on a logarithmic scale where they are far apart. */
function countPointsOf({ low, high }: Interval, most = countPoints): Points {
  if (low >= high) return [low];
  const size = Math.min(most, Math.max(2, Math.ceil(high - low + 1)));
  const at = isGuess({ low, high })
    ? (share: number) => low * (high / low) ** share
    : (share: number) => low + (high - low) * share;
  return Array.from({ length: size }, (_, i) => at((i + 0.5) / size));
}

/**
 * How likely a share is at most `p` after `hits` of `n` draws out of `whole`: the confidence distribution of which
 * Wilson's interval is the middle 95 %. Newcombe, Statistics in Medicine 17 (1998) 857–872, method 3; Singh, Xie and
 * Strawderman, Annals of Statistics 33 (2005) 159–183 for confidence distributions (from memory).
 */
export function shareAtMost(p: number, hits: number, n: number, whole: number): number {
  if (p >= 1) return 1;
  if (p < 0) return 0;
  const share = hits / n;
  if (whole <= n) return p >= share ? 1 : 0;
  if (p <= 0) return hits > 0 ? 0 : 0.5;
  const draws = Number.isFinite(whole) ? (n * (whole - 1)) / (whole - n) : n;
  return normal((p - share) / Math.sqrt((p * (1 - p)) / draws));
}

/** The value below which `share` of an increasing distribution lies, between two bounds. */
function quantile(atMost: (x: number) => number, share: number, low: number, high: number): number {
  if (atMost(low) >= share) return low;
  let [from, to] = [low, high];
  for (let i = 0; i < 44 && to - from > 1e-9 * (1 + to); i++) {
    const middle = (from + to) / 2;
    if (atMost(middle) >= share) to = middle;
    else from = middle;
  }
  return (from + to) / 2;
}

const interval = (atMost: (x: number) => number, low: number, high: number): Estimate => ({
  low: quantile(atMost, 0.025, low, high),
  middle: quantile(atMost, 0.5, low, high),
  high: quantile(atMost, 0.975, low, high)
});

const exactly = (value: number): Estimate => ({ low: value, middle: value, high: value });

interface Unknown {
  atMost: (x: number) => number;
  low: number;
  high: number;
}

/** How many people of one search's result stay, as a distribution; null where that is known. */
function remaining({ reported, shown, stay, complete }: SearchSeen, checked: boolean): Unknown | null {
  if (complete || (shown === 0 && reported.high <= 0)) return null;
  const seen = { low: Math.max(reported.low, shown), high: Math.max(reported.high, shown) };
  const counts = countPointsOf(seen);
  // Nothing is checked and nobody came twice: anybody who is not shown stays as well.
  if (!checked && stay === shown)
    return {
      atMost: (x) => positionIn(x, seen),
      low: seen.low,
      high: seen.high
    };
  if (shown === 0) return { atMost: (x) => positionIn(x, { low: 0, high: seen.high }), low: 0, high: seen.high };
  return {
    atMost: (x) => {
      if (x < stay) return 0;
      let sum = 0;
      for (const count of counts) sum += shareAtMost(x / count, stay, shown, count);
      return sum / counts.length;
    },
    low: stay,
    high: seen.high
  };
}

/** Where a number stands between bounds, from 0 to 1, as likely as `countPointsOf` has it. */
function positionIn(x: number, bounds: Interval): number {
  const { low, high } = bounds;
  if (x >= high) return 1;
  if (x < low) return 0;
  return isGuess(bounds) ? Math.log(x / low) / Math.log(high / low) : (x - low) / (high - low);
}

function pointsOf({ atMost, low, high }: Unknown, size: number): Points {
  return Array.from({ length: size }, (_, i) => quantile(atMost, (i + 0.5) / size, low, high));
}

/** Every sum, or every product, of two uncertain numbers that have nothing to do with each other, in as few points. */
function sum(a: Points, b: Points): Points {
  if (a.length === 1) return b.map((one) => one + a[0]!);
  if (b.length === 1) return a.map((one) => one + b[0]!);
  const all = a.flatMap((one) => b.map((other) => one + other)).sort((x, y) => x - y);
  return Array.from({ length: resultPoints }, (_, i) => all[Math.floor(((i + 0.5) * all.length) / resultPoints)]!);
}

/**
 * How many people a string finds at a source: for each search what it reported times the share of the rows shown that
 * stay, both uncertainties carried; exact where everything was shown. `checked`: a part was left over, so that some of
 * those not shown would not stay.
 */
export function estimatedResult(searches: readonly SearchSeen[], checked: boolean): Estimate {
  const unknown = searches.map((search) => remaining(search, checked));
  const known = searches.reduce((total, { stay }, i) => total + (unknown[i] ? 0 : stay), 0);
  const open = unknown.filter((one) => one !== null);
  if (!open.length) return exactly(known);
  if (open.length === 1) {
    const { low, middle, high } = interval(open[0]!.atMost, open[0]!.low, open[0]!.high);
    return { low: known + low, middle: known + middle, high: known + high };
  }
  return estimateOf(resultOf(searches, checked));
}

/** `estimatedResult` as points, to be multiplied. */
export function resultOf(searches: readonly SearchSeen[], checked: boolean): Points {
  return searches.reduce<Points>(
    (total, search) => {
      const open = remaining(search, checked);
      return sum(total, open ? pointsOf(open, resultPoints) : [search.stay]);
    },
    [0]
  );
}

function estimateOf(points: Points): Estimate {
  if (points.length === 1) return exactly(points[0]!);
  // Between two points the distribution is taken to be even.
  const at = (share: number) => {
    const place = Math.min(points.length - 1, Math.max(0, share * points.length - 0.5));
    const below = Math.floor(place);
    const [a, b] = [points[below]!, points[Math.min(points.length - 1, below + 1)]!];
    return a + (b - a) * (place - below);
  };
  return { low: at(0.025), middle: at(0.5), high: at(0.975) };
}

/**
 * How many fits a result holds: estimated result times precision, both uncertainties carried. `fits` of `judged` people
 * who were drawn through the result; null while nobody is judged.
 */
export function fitsAmong(result: Points, fits: number, judged: number): Estimate | null {
  if (!judged) return null;
  const most = result.at(-1)!;
  const counts = result.map((count) => Math.max(count, judged));
  return interval(
    (x) => counts.reduce((total, count) => total + shareAtMost(x / count, fits, judged, count), 0) / counts.length,
    0,
    Math.max(most, judged)
  );
}

/** How many fits a count holds: `fitsAmong` for a count that may represent any number between two. */
export const estimatedFits = (count: Interval, { fits, misses }: Pick<Precision, 'fits' | 'misses'>): Estimate | null =>
  fitsAmong(countPointsOf(count, resultPoints), fits, fits + misses);

/** All that searches reported, together: rows, in which somebody may come twice. */
export function reportedBy(searches: readonly { reported: Interval }[]): Estimate {
  const total = (of: (one: Interval) => number) => searches.reduce((all, { reported }) => all + of(reported), 0);
  return { low: total(({ low }) => low), middle: total(middleOf), high: total(({ high }) => high) };
}
