import { LRUCache } from 'lru-cache';
import {
  estimatedResult,
  fitsAmong,
  reportedBy,
  resultOf,
  type Estimate,
  type Points,
  type SearchSeen
} from './estimate';
import { precisionOf, precisionOfPages, type Precision, type Verdict } from './precision';
import type { Interval } from './wilson';

/** What one search brought at a source, as it is kept with a trial. */
export interface SearchAnswer {
  /** The count as the source showed it. */
  said: number;
  /** What that may represent. */
  interval: Interval;
  /** Rows it let us see. */
  shown: number;
  /** Of these, people no search before had brought and who meet the left-over part for certain. */
  certain: number;
  /** The same for those that nothing listed contradicts; includes the certain. */
  possible: number;
  /** All that it has was shown. */
  complete: boolean;
  /** The pages that somebody read by hand, in order; missing where Eave read all that is shown. */
  pages?: number[];
  /** This search was not run yet: nothing is known of it. */
  outstanding?: boolean;
}

/** How many of the people shown are possible and not certain: what is beside the certain on every screen. */
export const possibleOnly = ({ certain, possible }: Both<number>): number => possible - certain;

/** A figure for those who are certain, and for all who are possible. */
export interface Both<T> {
  certain: T;
  possible: T;
}

/**
 * Which part of a result was read by hand: its `top` alone, or `pages` through its depth. Pages are taken to be drawn as
 * soon as they are not the first ones only.
 */
export type PartRead = 'top' | 'pages';

function partRead(answers: readonly SearchAnswer[]): PartRead | null {
  const partly = answers.filter(({ pages, complete }) => pages && !complete);
  if (!partly.length) return null;
  return partly.every(({ pages }) => pages!.length > 1 && pages!.at(-1)! > pages!.length) ? 'pages' : 'top';
}

/** How many people a string finds at a source. Each figure means the same on every screen. */
export interface Found {
  /** Rows that the source says it has, as the interval that its way of counting allows. */
  reported: Estimate;
  /** Rows it lets us see, after its cap. */
  shown: number;
  /** People among those shown who meet the string for certain. */
  certain: number;
  /** People among those shown that nothing listed contradicts; includes the certain. */
  possible: number;
  /** Reported times the share of the rows shown that stay. */
  estimated: Both<Estimate>;
  /** Which part was read by hand; missing where all that is shown was read. */
  part?: PartRead;
  /** How many of the rendering's searches were run; missing where all were. Every other figure is of these alone. */
  outstanding?: { run: number; of: number };
}

/** The figures of a string that was run at a source and judged. */
export interface Figures extends Found {
  /** Share of fits among those judged of the sample. */
  precision: Both<Precision>;
  /** Estimated result times precision; null while nobody is judged. */
  fits: Both<Estimate | null>;
}

/** That figures are of some searches alone, as `1 of 5 searches`; null where all were run. */
export const searchesRunInWords = ({ outstanding }: Pick<Found, 'outstanding'>): string | null =>
  outstanding ? `${outstanding.run} of ${outstanding.of} searches` : null;

const seen = (answers: readonly SearchAnswer[], stay: 'certain' | 'possible'): SearchSeen[] =>
  answers.map((answer) => ({
    reported: answer.interval,
    shown: answer.shown,
    stay: answer[stay],
    complete: answer.complete
  }));

/** What was worked out of searches and verdicts: boards ask for the same again with one verdict more. */
const resultCache = new LRUCache<string, { estimate: Estimate; points?: Points }>({ max: 1000 });
const fitsCache = new LRUCache<string, { estimate: Estimate | null }>({ max: 4000 });

function resultIn(searches: readonly SearchSeen[], checked: boolean) {
  const key = JSON.stringify([searches, checked]);
  let result = resultCache.get(key);
  if (!result) resultCache.set(key, (result = { estimate: estimatedResult(searches, checked) }));
  return { key, result };
}

function fitsIn(searches: readonly SearchSeen[], checked: boolean, fits: number, judged: number): Estimate | null {
  const { key, result } = resultIn(searches, checked);
  const name = `${key} ${fits} ${judged}`;
  let kept = fitsCache.get(name);
  if (!kept) {
    // Points are for multiplying only: most results are read and never multiplied.
    result.points ??= resultOf(searches, checked);
    fitsCache.set(name, (kept = { estimate: fitsAmong(result.points, fits, judged) }));
  }
  return kept.estimate;
}

/** How many a string finds, from what its searches brought; `checked` where a part of it was left over. */
export function foundBy(answers: readonly SearchAnswer[], checked: boolean): Found {
  const part = partRead(answers);
  const run = answers.filter(({ outstanding }) => !outstanding).length;
  const total = (of: (one: SearchAnswer) => number) => answers.reduce((sum, one) => sum + of(one), 0);
  return {
    reported: reportedBy(answers.map(({ interval }) => ({ reported: interval }))),
    shown: total(({ shown }) => shown),
    certain: total(({ certain }) => certain),
    possible: total(({ possible }) => possible),
    estimated: {
      certain: resultIn(seen(answers, 'certain'), checked).result.estimate,
      possible: resultIn(seen(answers, 'possible'), checked).result.estimate
    },
    ...(part && { part }),
    ...(run < answers.length && { outstanding: { run, of: answers.length } })
  };
}

/** A judged person of the sample. */
export interface JudgedSample {
  verdict: Verdict;
  certain: boolean;
  /** The page of the result that they stood on, where pages were read by hand. */
  page?: number | undefined;
}

/**
 * How many people a sample speaks of: those it was drawn from, or the whole result where only a part of it was read by hand,
 * as judging all of a part never says all of the whole.
 */
export const spokenOf = ({ part, estimated }: Found, stay: 'certain' | 'possible', drawnFrom: number): number =>
  part ? Math.max(drawnFrom, Math.round(estimated[stay].high)) : drawnFrom;

/**
 * The precision of those judged, of a sample drawn from `drawnFrom` people: of the part of a result that was read by hand
 * it speaks as carefully as that part allows.
 */
export function samplePrecision(
  found: Found,
  stay: 'certain' | 'possible',
  judged: readonly Pick<JudgedSample, 'verdict' | 'page'>[],
  drawnFrom: number
): Precision {
  const population = spokenOf(found, stay, drawnFrom);
  if (found.part !== 'pages')
    return precisionOf(
      judged.map(({ verdict }) => verdict),
      population
    );
  return precisionOfPages(
    judged.map(({ verdict, page = 0 }) => ({ verdict, page })),
    population
  );
}

/**
 * All figures of a trial. `sample` are the verdicts on those drawn, each person once; `drawnFrom` is how many people the
 * sample was drawn from.
 */
export function figuresOf(
  answers: readonly SearchAnswer[],
  checked: boolean,
  sample: readonly JudgedSample[],
  drawnFrom: Both<number>
): Figures {
  const found = foundBy(answers, checked);
  const of = (stay: 'certain' | 'possible') => {
    const those = sample.filter(({ certain }) => certain || stay === 'possible');
    const precision = samplePrecision(found, stay, those, drawnFrom[stay]);
    const { share, draws = precision.fits + precision.misses } = precision;
    const fits = share === null ? null : fitsIn(seen(answers, stay), checked, share * draws, draws);
    return { precision, fits: fits && found.part === 'top' ? withRestUnseen(fits, precision, stay) : fits };
  };
  /** Read from the top only, the rest may hold no fit or nothing else. */
  const withRestUnseen = (fits: Estimate, { interval }: Precision, stay: 'certain' | 'possible'): Estimate => ({
    low: Math.min(fits.middle, interval.low * drawnFrom[stay]),
    middle: fits.middle,
    high: Math.max(
      fits.middle,
      interval.high * drawnFrom[stay] + Math.max(0, found.estimated[stay].high - drawnFrom[stay])
    )
  });
  const [certain, possible] = [of('certain'), of('possible')];
  return {
    ...found,
    precision: { certain: certain.precision, possible: possible.precision },
    fits: { certain: certain.fits, possible: possible.fits }
  };
}
