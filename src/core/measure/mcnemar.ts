/**
 * McNemar's exact test, two-sided: how likely a split at least as uneven as `b` against `c` is when either is as likely.
 * `b` and `c` are the pairs in which just one of two is right. 1 where there are none. Throws RangeError on counts that
 * cannot be. McNemar, Psychometrika 12 (1947) 153–157, with the binomial distribution for the chi-square.
 */
export function mcNemar(b: number, c: number): number {
  if (!Number.isInteger(b) || !Number.isInteger(c) || b < 0 || c < 0)
    throw new RangeError(`mcNemar: ${b} and ${c} cannot be`);
  const n = b + c;
  const fewer = Math.min(b, c);
  // Each term from the one before, in logarithms, so that many pairs do not overflow.
  let term = -n * Math.LN2;
  let tail = Math.exp(term);
  for (let k = 1; k <= fewer; k++) {
    term += Math.log((n - k + 1) / k);
    tail += Math.exp(term);
  }
  return Math.min(1, 2 * tail);
}
