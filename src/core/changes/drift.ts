import { chanceOfFewer, normal, wilson, type Counted } from '../measure';

/** Whether precision has fallen: nothing can be said yet, it has not fallen by a third, or it has fallen. */
export type Drift = 'goes on' | 'as before' | 'worse';

/** Verdicts over which the early test is spread. */
const horizon = 60;
/** At the horizon, standard deviations that are beyond chance; earlier, as many more as the information is less. */
const early = 1.9;
/** Later on, the chance below which the newest verdicts are no draw of the others. */
const later = 0.00008;
/** Windows of the newest verdicts that are looked at later: each larger than the one before by this factor. */
const [narrowest, wider] = [5, 1.4];

/**
 * Whether the share of fits among new people has fallen below that of earlier verdicts. A sequential test: it may be looked at after every verdict.
 *
 * Both shares are samples, so that a share of few verdicts raises no alarm by being uncertain itself: they are compared by Fisher's
 * exact test. Over the first 60 verdicts the bound is that of O'Brien and Fleming (Biometrics 35 (1979) 549–556), strict at first and
 * looser as information grows; after that the newest verdicts are compared with all before them, window by window, by a strict bound,
 * so that a long good series cannot hide a fall. Together at most 5% false alarms over 26 looks; both bounds by simulation, which
 * the tests repeat. `verdicts` in the order given, true for a fit.
 */
export function driftOf(before: Counted, verdicts: readonly boolean[]): Drift {
  if (!before.judged || !verdicts.length) return 'goes on';
  const fits = [0];
  for (const fit of verdicts) fits.push(fits.at(-1)! + Number(fit));
  const judged = verdicts.length;
  const newest = { fits: fits[judged]! - fits[Math.max(0, judged - horizon)]!, judged: Math.min(judged, horizon) };
  // A fall that was made good is none any more.
  const isLow = newest.fits * before.judged < before.fits * newest.judged;
  if (isLow && (fellEarly(before, fits) || fellLately(before, fits))) return 'worse';
  const { low } = wilson(fits[judged]!, judged);
  return low > (2 / 3) * (before.fits / before.judged) ? 'as before' : 'goes on';
}

function fellEarly(before: Counted, fits: readonly number[]): boolean {
  const information = (judged: number) => 1 / (1 / judged + 1 / before.judged);
  for (let judged = 1; judged < fits.length && judged <= horizon; judged++) {
    if (fits[judged]! / judged >= before.fits / before.judged) continue;
    const share = information(judged) / information(horizon);
    const { middle } = chanceOfFewer(before, { fits: fits[judged]!, judged });
    if (middle < 1 - normal(early / Math.sqrt(share))) return true;
  }
  return false;
}

function fellLately(before: Counted, fits: readonly number[]): boolean {
  const judged = fits.length - 1;
  for (let size = narrowest; size <= judged; size = Math.ceil(size * wider)) {
    const from = judged - size;
    const others = { fits: before.fits + fits[from]!, judged: before.judged + from };
    const window = { fits: fits[judged]! - fits[from]!, judged: size };
    if (window.fits / size < others.fits / others.judged && chanceOfFewer(others, window).atMost < later) return true;
  }
  return false;
}

/** Errors of a sequential test of reach, either way; both ways together stay below one in twenty over half a year of weekly runs. */
const error = 0.03;
/** Between them the test goes on. */
const bounds = { low: Math.log(error / (1 - error)), high: Math.log((1 - error) / error) };
/** Logarithm of how much likelier a yes or a no is where its share is another than it was. */
const likelihoodRatio = (was: number, is: number) => ({ yes: Math.log(is / was), no: Math.log((1 - is) / (1 - was)) });

/** How many came to a result and how many left it, from one run to the next. */
export interface ComeAndGone {
  came: number;
  gone: number;
}

/**
 * Whether a string reaches fewer or more people with time, looked at after every run: while nothing drifts, anybody who comes and anybody who
 * leaves balance, each as likely as the other. Wald's sequential probability ratio test (Annals of Mathematical Statistics 16 (1945)
 * 117–186), of that half against a third who come (`fewer`) and against two thirds (`more`).
 */
export function reachDrift(runs: readonly ComeAndGone[]): 'goes on' | 'fewer' | 'more' {
  const [fewer, more] = [likelihoodRatio(1 / 2, 1 / 3), likelihoodRatio(1 / 2, 2 / 3)];
  const sums = { fewer: 0, more: 0 };
  for (const { came, gone } of runs) {
    // What speaks for a half again and again lets an old drift be forgotten: neither sum falls below its lower bound.
    sums.fewer = Math.max(bounds.low, sums.fewer + came * fewer.yes + gone * fewer.no);
    sums.more = Math.max(bounds.low, sums.more + came * more.yes + gone * more.no);
  }
  return sums.fewer >= bounds.high ? 'fewer' : sums.more >= bounds.high ? 'more' : 'goes on';
}
