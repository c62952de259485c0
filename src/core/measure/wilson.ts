/** A range that holds the true value in 95 % of samples, or bounds that are known. */
export interface Interval {
  low: number;
  high: number;
}

/** The 97.5% point of the standard normal distribution: bounds that hold the true value in 95% of samples. */
const twoSided = 1.959963984540054;
/** Its 95% point: one bound alone that holds in 95% of samples. */
export const oneSided = 1.6448536269514722;

/**
 * Wilson's score interval, 95 %, for a share seen in a sample, without continuity correction.
 * Newcombe, Statistics in Medicine 17 (1998) 857–872, method 3.
 * `population`, where the sample is drawn from a known finite whole, narrows it: the sample counts as
 * n (N − 1) / (N − n) independent draws. `z` is `oneSided` where one of the bounds alone is used. Nothing judged gives 0 to 1. Throws RangeError on impossible counts.
 */
export function wilson(fits: number, judged: number, population = Infinity, z = twoSided): Interval {
  if (!(fits >= 0) || !(judged >= fits) || population < judged)
    throw new RangeError(`wilson: ${fits} fits of ${judged} judged among ${population} cannot be`);
  if (judged === 0) return { low: 0, high: 1 };
  const share = fits / judged;
  if (judged === population) return { low: share, high: share };
  const n = population === Infinity ? judged : (judged * (population - 1)) / (population - judged);
  const middle = share + (z * z) / (2 * n);
  const spread = z * Math.sqrt((share * (1 - share)) / n + (z * z) / (4 * n * n));
  const scale = 1 + (z * z) / n;
  return { low: Math.max(0, (middle - spread) / scale), high: Math.min(1, (middle + spread) / scale) };
}
