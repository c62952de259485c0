import { logChoose } from './hypergeometric';
import { LRUCache } from 'lru-cache';
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
  /** Judged in both samples, and the fits among them. */
  judged: number;
  fits: number;
  /** Judged in the first sample and in the whole of the second, drawn there or not; and the other way round. */
  firstInSecond: number;
  secondInFirst: number;
  /** In both wholes. */
  people: number;
}
export const nobodyShared: Shared = { judged: 0, fits: 0, firstInSecond: 0, secondInFirst: 0, people: 0 };

const judgedOf = ({ precision }: Measured) => precision.fits + precision.misses;
/** Error allowed to a whole board. */
const level = 0.05;

/**
 * How likely two precisions that are the same come out at least this different. Were they the same, any of the people
 * judged could as well have been the fits: the chance is that of all ways to deal the fits out among those judged for the
 * first alone, for the second alone and for both (Fisher's exact test, with the shared people moving both shares alike;
 * Fisher, Journal of the Royal Statistical Society 98 (1935) 39–82, from memory), then narrowed by what finite wholes leave
 * open. 1 where one has no verdict.
 */
export function chanceOfDifference(a: Measured, b: Measured, shared: Shared = nobodyShared): number {
  if (!judgedOf(a) || !judgedOf(b)) return 1;
  return chance(sideOf(a), sideOf(b), shared);
}

interface Side {
  fits: number;
  judged: number;
  population: number;
}
const sideOf = (one: Measured): Side => ({
  fits: one.precision.fits,
  judged: judgedOf(one),
  population: Math.max(one.population, judgedOf(one))
});

/** A board asks again for what no new verdict has changed, and each is a sum over thousands of deals. */
const chances = new LRUCache<string, number>({ max: 20_000 });

function chance(a: Side, b: Side, shared: Shared): number {
  const { judged, fits, firstInSecond, secondInFirst, people } = shared;
  const key = [
    ...[a.fits, a.judged, a.population, b.fits, b.judged, b.population],
    ...[judged, fits, firstInSecond, secondInFirst, people]
  ].join();
  let known = chances.get(key);
  if (known === undefined) chances.set(key, (known = workOutChance(a, b, shared)));
  return known;
}

function workOutChance(a: Side, b: Side, shared: Shared): number {
  const [n, m] = [a.judged, b.judged];
  if (a.fits / n === b.fits / m) return 1;
  const open = leftOpen(a, b, shared);
  if (open <= 1e-9) return 0;
  const [onlyA, onlyB] = [n - shared.judged, m - shared.judged];
  const deals = (onlyA + 1) * (onlyB + 1) <= maxDealt;
  let likely = deals ? dealt(a.fits, n, b.fits, m, shared) : normalChance(a, b, shared);
  // Those judged for one alone may be of another kind than those in both: where both have such, these are compared too.
  if (deals && onlyA && onlyB && Math.max(onlyA, onlyB) <= 2 * Math.min(onlyA, onlyB))
    likely = Math.max(likely, dealt(a.fits - shared.fits, onlyA, b.fits - shared.fits, onlyB, nobodyShared));
  return open > maxLeftOpen ? likely : 2 * (1 - normal(quantileOf(likely) / Math.sqrt(open)));
}

/** Where so much of the variance is left open, the wholes count as if they had no end: versions that are alike may differ by chance. */
const maxLeftOpen = 0.5;

/** Ways of dealing fits out that are gone through one by one. */
const maxDealt = 4000;

/** The share of the variance that is left when samples are large parts of their wholes. */
function leftOpen(a: Side, b: Side, shared: Shared): number {
  const spread = spreadOf(a, b, shared);
  const unbounded = 1 / a.judged + 1 / b.judged - (2 * shared.judged) / (a.judged * b.judged);
  return unbounded <= 1e-12 ? 0 : Math.max(0, Math.min(1, spread / unbounded));
}

function dealt(fitsA: number, n: number, fitsB: number, m: number, { judged: s, fits: fitsShared }: Shared): number {
  const [onlyA, onlyB] = [n - s, m - s];
  const people = s + onlyA + onlyB;
  const fits = fitsA + fitsB - fitsShared;
  const seen = Math.abs(fitsA / n - fitsB / m) - 1e-12;
  const total = logChoose(people, fits);
  let chance = 0;
  for (let x = Math.max(0, fits - s - onlyB); x <= Math.min(onlyA, fits); x++)
    for (let y = Math.max(0, fits - s - x); y <= Math.min(onlyB, fits - x); y++) {
      const both = fits - x - y;
      if (Math.abs((both + x) / n - (both + y) / m) < seen) continue;
      chance += Math.exp(logChoose(onlyA, x) + logChoose(onlyB, y) + logChoose(s, both) - total);
    }
  return Math.min(1, chance);
}

/** How many standard deviations away what has this chance, two-sided, lies. */
function quantileOf(chance: number): number {
  let [low, high] = [0, 40];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (2 * (1 - normal(middle)) > chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

function spreadOf(a: Side, b: Side, shared: Shared): number {
  const own = ({ judged, population }: Side) => 1 / judged - 1 / population;
  const together =
    shared.judged / (a.judged * b.judged) -
    shared.firstInSecond / (a.judged * b.population) -
    shared.secondInFirst / (b.judged * a.population) +
    shared.people / (a.population * b.population);
  return own(a) + own(b) - 2 * together;
}

/** The chance by the normal distribution, with half a step of the shares taken off, for more ways than can be gone through. */
function normalChance(a: Side, b: Side, shared: Shared): number {
  const difference = Math.abs(a.fits / a.judged - b.fits / b.judged);
  const pooled = (a.fits + b.fits) / (a.judged + b.judged);
  const spread = 1 / a.judged + 1 / b.judged - (2 * shared.judged) / (a.judged * b.judged);
  const steps = (1 / a.judged + 1 / b.judged) / 4;
  return 2 * (1 - normal(Math.max(0, difference - steps) / Math.sqrt(pooled * (1 - pooled) * spread)));
}

/**
 * Which of several tests decide when they are made together, so that one of them is wrong in at most 5 of 100 boards: the
 * least likely is compared with level / m, the next against level / (m − 1), and so on until one does not decide.
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
export const differ = (a: Measured, b: Measured, shared: Shared = nobodyShared): boolean =>
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
  if (chanceOfDifference(a, b, shared) <= level / among) return { first: 0, second: 0 };
  const side = (one: Measured, share: number, more: number): Side => {
    const { population } = sideOf(one);
    const judged = Math.min(population, judgedOf(one) + more);
    return { fits: Math.round(share * judged), judged, population };
  };
  const decided = (more: number) => {
    const [first, second] = [side(a, shareA, more), side(b, shareB, more)];
    // People in both samples grow as the samples do, up to all who are in both.
    const grown = (count: number, now: number, then: number) =>
      Math.min(shared.people, Math.round((count * then) / Math.max(1, now)));
    const judged = Math.min(grown(shared.judged, judgedOf(a), first.judged), first.judged, second.judged);
    const fits = shared.judged ? Math.round((shared.fits * judged) / shared.judged) : 0;
    const then = {
      judged,
      fits: Math.min(fits, first.fits, second.fits),
      firstInSecond: grown(shared.firstInSecond, judgedOf(a), first.judged),
      secondInFirst: grown(shared.secondInFirst, judgedOf(b), second.judged),
      people: shared.people
    };
    return chance(first, second, then) <= level / among;
  };
  const most = Math.max(a.population - judgedOf(a), b.population - judgedOf(b), 0);
  if (!decided(most)) return null;
  let [low, high] = [1, most];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (decided(middle)) high = middle;
    else low = middle + 1;
  }
  const need = (one: Measured) => Math.max(0, Math.min(low, one.population - judgedOf(one)));
  return { first: need(a), second: need(b) };
}
