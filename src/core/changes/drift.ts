/** What a sequential test says so far: it goes on, or one of the two is accepted. */
export interface Drift {
  says: 'goes on' | 'as before' | 'worse';
  /** Logarithm of how much likelier the worse share makes what was seen; it is told between its two bounds. */
  sum: number;
  bounds: { low: number; high: number };
}

/**
 * Whether the share of fits among the newly come has fallen, looked at after every verdict: Wald’s sequential probability
 * ratio test (Annals of Mathematical Statistics 16 (1945) 117–186) of the share that was (`share`) against one worse by a
 * third. `verdicts` in the order given. Errors of either kind are about one in twenty however often it is looked at.
 */
export function driftOf(share: number, verdicts: readonly boolean[]): Drift {
  const p0 = Math.min(0.98, Math.max(0.02, share));
  const p1 = p0 * (2 / 3);
  const [alpha, beta] = [0.05, 0.05];
  const bounds = { low: Math.log(beta / (1 - alpha)), high: Math.log((1 - beta) / alpha) };
  let sum = 0;
  for (const fit of verdicts) {
    sum += fit ? Math.log(p1 / p0) : Math.log((1 - p1) / (1 - p0));
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
  const bound = Math.log((1 - 0.05) / 0.05);
  const likelier = Math.log(2 / 3 / (1 / 2));
  const rarer = Math.log(1 / 3 / (1 / 2));
  const sums = { fewer: 0, more: 0 };
  for (const { came, gone } of runs) {
    // What speaks for a half again and again lets an old drift be forgotten: neither sum falls below its lower bound.
    sums.fewer = Math.max(-bound, sums.fewer + gone * likelier + came * rarer);
    sums.more = Math.max(-bound, sums.more + came * likelier + gone * rarer);
  }
  return sums.fewer >= bound ? 'fewer' : sums.more >= bound ? 'more' : 'goes on';
}
