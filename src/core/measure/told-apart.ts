import { normal } from './normal';
import type { Precision } from './precision';
import type { Interval } from './wilson';

/**
 * The 95 % interval of the difference of two shares seen in two samples, the first less the second. Newcombe, Statistics in
 * Medicine 17 (1998) 873–890, method 10, from Wilson's intervals of both (which may be corrected for finite wholes).
 */
export function differenceOf(
  first: { share: number; interval: Interval },
  second: { share: number; interval: Interval }
): Interval {
  const difference = first.share - second.share;
  return {
    low: difference - Math.hypot(first.share - first.interval.low, second.interval.high - second.share),
    high: difference + Math.hypot(first.interval.high - first.share, second.share - second.interval.low)
  };
}

/** A precision measured on a whole of known size. */
export interface Measured {
  precision: Precision;
  population: number;
}

/** How far two samples and the wholes they are drawn from are of the same people. */
export interface Shared {
  /** Judged in both samples. */
  judged: number;
  /** Judged in the first sample and in the whole of the second, drawn there or not; and the other way round. */
  firstInSecond: number;
  secondInFirst: number;
  /** In both wholes. */
  people: number;
}
export const nobodyShared: Shared = { judged: 0, firstInSecond: 0, secondInFirst: 0, people: 0 };

const judgedOf = ({ precision }: Measured) => precision.fits + precision.misses;
/** Error allowed to a whole board. */
const level = 0.05;

/**
 * How likely two precisions that are the same come out at least this different: the pooled test of two shares, with the
 * variance that finite wholes and people in both samples leave (each shared verdict moves both shares alike), and a
 * quarter of a person taken off each share, since shares come in steps. 1 where one has no verdict.
 */
export function chanceOfDifference(a: Measured, b: Measured, shared: Shared = nobodyShared): number {
  const [n, m] = [judgedOf(a), judgedOf(b)];
  if (!n || !m) return 1;
  return chance(
    { share: a.precision.share!, judged: n, population: Math.max(a.population, n) },
    { share: b.precision.share!, judged: m, population: Math.max(b.population, m) },
    shared
  );
}

interface Side {
  share: number;
  judged: number;
  population: number;
}

function chance(a: Side, b: Side, shared: Shared): number {
  const difference = Math.abs(a.share - b.share);
  if (difference === 0) return 1;
  const fits = a.share * a.judged + b.share * b.judged;
  const pooled = fits / (a.judged + b.judged);
  const own = ({ judged, population }: Side) => 1 / judged - 1 / population;
  const together =
    shared.judged / (a.judged * b.judged) -
    shared.firstInSecond / (a.judged * b.population) -
    shared.secondInFirst / (b.judged * a.population) +
    shared.people / (a.population * b.population);
  const spread = own(a) + own(b) - 2 * together;
  if (spread <= 1e-12) return 0;
  const steps = (1 / a.judged + 1 / b.judged) / 4;
  const z = Math.max(0, difference - steps) / Math.sqrt(pooled * (1 - pooled) * spread);
  return 2 * (1 - normal(z));
}

/**
 * Which of several tests decide when they are made together, so that one of them is wrong in at most 5 of 100 boards: the
 * least likely is held against level / m, the next against level / (m − 1), and so on until one does not decide.
 * Holm, Scandinavian Journal of Statistics 6 (1979) 65–70.
 */
export function holm(chances: readonly number[], at = level): boolean[] {
  const order = chances.map((_, i) => i).sort((i, j) => chances[i]! - chances[j]!);
  const decided = chances.map(() => false);
  for (const [place, i] of order.entries()) {
    if (chances[i]! > at / (chances.length - place)) break;
    decided[i] = true;
  }
  return decided;
}

/** Whether one of two precisions is better; alone, with nothing else compared beside them. */
export const toldApart = (a: Measured, b: Measured, shared: Shared = nobodyShared): boolean =>
  chanceOfDifference(a, b, shared) <= level;

/**
 * How many more verdicts on each of two would tell them apart, if their shares stay as they are; 0 when they are, null when
 * even judging all would not, or when one has no verdict yet. `among` is how many comparisons are made together.
 */
export function verdictsToDecide(
  a: Measured,
  b: Measured,
  shared: Shared = nobodyShared,
  among = 1
): { first: number; second: number } | null {
  const [shareA, shareB] = [a.precision.share, b.precision.share];
  if (shareA === null || shareB === null || shareA === shareB) return null;
  const side = (one: Measured, share: number, more: number): Side => {
    const population = Math.max(one.population, judgedOf(one));
    return { share, judged: Math.min(population, judgedOf(one) + more), population };
  };
  const decided = (more: number) => {
    const [first, second] = [side(a, shareA, more), side(b, shareB, more)];
    // People in both samples grow as the samples do, up to all who are in both.
    const grown = (count: number, now: number, then: number) =>
      Math.min(shared.people, (count * then) / Math.max(1, now));
    const then = {
      judged: grown(shared.judged, judgedOf(a), first.judged),
      firstInSecond: grown(shared.firstInSecond, judgedOf(a), first.judged),
      secondInFirst: grown(shared.secondInFirst, judgedOf(b), second.judged),
      people: shared.people
    };
    return chance(first, second, then) <= level / among;
  };
  const most = Math.max(a.population - judgedOf(a), b.population - judgedOf(b), 0);
  if (!decided(most)) return null;
  let [low, high] = [0, most];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (decided(middle)) high = middle;
    else low = middle + 1;
  }
  const need = (one: Measured) => Math.max(0, Math.min(low, one.population - judgedOf(one)));
  return { first: need(a), second: need(b) };
}
