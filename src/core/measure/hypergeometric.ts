const logFactorials = [0];

/** The logarithm of the number of ways to choose k of n. */
export function logChoose(n: number, k: number): number {
  for (let i = logFactorials.length; i <= n; i++) logFactorials.push(logFactorials[i - 1]! + Math.log(i));
  return logFactorials[n]! - logFactorials[k]! - logFactorials[n - k]!;
}

/** How many of a number were fits. */
export interface Counted {
  fits: number;
  judged: number;
}

/**
 * How likely the second count has so few fits or fewer where both are draws of one kind: Fisher's exact test, one-sided (Fisher, Journal
 * of the Royal Statistical Society 98 (1935) 39–82, from memory). `middle` counts half of what is seen itself, which keeps its level on
 * the average rather than at most (Lancaster, Journal of the American Statistical Association 56 (1961) 223–234, from memory).
 */
export function chanceOfFewer(first: Counted, second: Counted): { atMost: number; middle: number } {
  const fits = first.fits + second.fits;
  const total = logChoose(first.judged + second.judged, fits);
  let atMost = 0;
  let last = 0;
  for (let x = Math.max(0, fits - first.judged); x <= second.fits; x++)
    atMost += last = Math.exp(logChoose(second.judged, x) + logChoose(first.judged, fits - x) - total);
  return { atMost: Math.min(1, atMost), middle: Math.min(1, atMost - last / 2) };
}
