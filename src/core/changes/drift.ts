/** What a sequential test says so far: it goes on, or one of the two is accepted. */
export interface Drift {
  says: 'goes on' | 'as before' | 'worse';
  /** Logarithm of how much likelier the worse share makes what was seen; it is told between its two bounds. */
  sum: number;
  bounds: { low: number; high: number };
}

/** Errors of either kind that are put up with. */
const error = 0.05;
/** Between them the test goes on. */
const bounds = { low: Math.log(error / (1 - error)), high: Math.log((1 - error) / error) };
/** Logarithm of how much likelier a yes or a no is where its share is another than it was. */
const likelihoodRatio = (was: number, is: number) => ({ yes: Math.log(is / was), no: Math.log((1 - is) / (1 - was)) });

/**
 * Whether the share of fits among the newly come has fallen, looked at after every verdict: Wald’s sequential probability
 * ratio test (Annals of Mathematical Statistics 16 (1945) 117–186) of the share that was (`share`) against one worse by a
 * third. `verdicts` in the order given. Errors of either kind are about one in twenty however often it is looked at.
 */
export function driftOf(share: number, verdicts: readonly boolean[]): Drift {
  const p0 = Math.min(0.98, Math.max(0.02, share));
  const p1 = p0 * (2 / 3);
  const likelier = likelihoodRatio(p0, p1);
  let sum = 0;
  for (const fit of verdicts) {
    sum += fit ? likelier.yes : likelier.no;
    if (sum >= bounds.high) return { says: 'worse', sum, bounds };
    if (sum <= bounds.low) return { says: 'as before', sum, bounds };
  }
  return { says: 'goes on', sum, bounds };
}

/** How many came to a result and how many left it, from one run to the next. */
export interface ComeAndGone {
  came: number;
  gone: number;
}

/**
 * Whether a string reaches fewer or more people with time, looked at after every run: while nothing drifts, whoever comes and whoever
 * leaves balance, each as likely as the other. Wald’s test as in `driftOf`, of that half against a third who come (`fewer`) and against two
 * thirds (`more`).
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
