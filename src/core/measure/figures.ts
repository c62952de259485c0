import { z } from 'zod';
import { estimatedResult, fitsAmong, reportedBy, resultOf, type Estimate, type SearchSeen } from './estimate';
import { precisionOf, type Precision, type Verdict } from './precision';
import type { Interval } from './wilson';

/** What one search brought at a source, as it is kept with a trial. */
export interface SearchAnswer {
  /** The count as the source showed it. */
  said: number;
  /** What that may stand for. */
  interval: Interval;
  /** Rows it let us see. */
  shown: number;
  /** Of these, people whom no search before had brought and who meet the left-over part for certain. */
  certain: number;
  /** The same for those whom nothing told contradicts; the certain are among them. */
  possible: number;
  /** All that it has was shown. */
  complete: boolean;
}

/** A figure for those who are certain, and for all who are possible. */
export interface Both<T> {
  certain: T;
  possible: T;
}

/** How many a string finds at a source: each figure means the same wherever it is shown. */
export interface Found {
  /** Rows that the source says it has, as the interval that its way of counting allows. */
  reported: Estimate;
  /** Rows it lets us see, after its cap. */
  shown: number;
  /** People among those shown who meet the string for certain. */
  certain: number;
  /** People among those shown whom nothing told contradicts; the certain are among them. */
  possible: number;
  /** Reported times the share of the rows shown that stay. */
  estimated: Both<Estimate>;
}

/** The figures of a string that was run at a source and judged. */
export interface Figures extends Found {
  /** Share of fits among those judged of the sample. */
  precision: Both<Precision>;
  /** Estimated result times precision; null while nobody is judged. */
  fits: Both<Estimate | null>;
}

const seen = (answers: readonly SearchAnswer[], stay: 'certain' | 'possible'): SearchSeen[] =>
  answers.map((answer) => ({
    reported: answer.interval,
    shown: answer.shown,
    stay: answer[stay],
    complete: answer.complete
  }));

/** How many a string finds, from what its searches brought; `checked` where a part of it was left over. */
export function foundBy(answers: readonly SearchAnswer[], checked: boolean): Found {
  const total = (of: (one: SearchAnswer) => number) => answers.reduce((sum, one) => sum + of(one), 0);
  return {
    reported: reportedBy(answers.map(({ interval }) => ({ reported: interval }))),
    shown: total(({ shown }) => shown),
    certain: total(({ certain }) => certain),
    possible: total(({ possible }) => possible),
    estimated: {
      certain: estimatedResult(seen(answers, 'certain'), checked),
      possible: estimatedResult(seen(answers, 'possible'), checked)
    }
  };
}

/** A judged person of the sample. */
export interface JudgedSample {
  verdict: Verdict;
  certain: boolean;
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
    const verdicts = sample.filter(({ certain }) => certain || stay === 'possible').map(({ verdict }) => verdict);
    const precision = precisionOf(verdicts, drawnFrom[stay]);
    const judged = precision.fits + precision.misses;
    return {
      precision,
      fits: judged ? fitsAmong(resultOf(seen(answers, stay), checked), precision.fits, judged) : null
    };
  };
  const [certain, possible] = [of('certain'), of('possible')];
  return {
    ...found,
    precision: { certain: certain.precision, possible: possible.precision },
    fits: { certain: certain.fits, possible: possible.fits }
  };
}

const interval = z.object({ low: z.number(), high: z.number() });
const estimate = interval.extend({ middle: z.number() });
const both = <T extends z.ZodType>(one: T) => z.object({ certain: one, possible: one });
const precision = z.object({
  fits: z.int(),
  misses: z.int(),
  unsure: z.int(),
  share: z.number().nullable(),
  interval
});

export const estimateSchema = estimate;
export const searchAnswerSchema = z.object({
  said: z.int().min(0),
  interval,
  shown: z.int().min(0),
  certain: z.int().min(0),
  possible: z.int().min(0),
  complete: z.boolean()
});
export const foundSchema = z.object({
  reported: estimate.describe('Rows that the source says it has, as its way of counting allows'),
  shown: z.int().describe('Rows it lets us see, after its cap'),
  certain: z.int().describe('People shown who meet the string for certain'),
  possible: z.int().describe('People shown whom nothing told contradicts; the certain are among them'),
  estimated: both(estimate).describe('Reported times the share of the rows shown that stay')
});
export const figuresSchema = foundSchema.extend({
  precision: both(precision).describe('Share of fits among those judged of the sample'),
  fits: both(estimate.nullable()).describe('Estimated result times precision')
});
