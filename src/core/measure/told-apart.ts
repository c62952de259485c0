import type { Precision } from './precision';
import { wilson, type Interval } from './wilson';

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

const shared = ({ precision: { share, interval } }: Measured) => (share === null ? null : { share, interval });

/** Whether one of two precisions is better, as far as a 95 % interval of their difference tells. */
export function toldApart(a: Measured, b: Measured): boolean {
  const [first, second] = [shared(a), shared(b)];
  if (!first || !second) return false;
  const { low, high } = differenceOf(first, second);
  return low > 0 || high < 0;
}

/**
 * How many more verdicts on each of two would tell them apart, if their shares stay as they are; 0 when they are, null when
 * even judging all would not, or when one has no verdict yet.
 */
export function verdictsToDecide(a: Measured, b: Measured): { first: number; second: number } | null {
  const judged = ({ precision }: Measured) => precision.fits + precision.misses;
  const [shareA, shareB] = [a.precision.share, b.precision.share];
  if (shareA === null || shareB === null || shareA === shareB) return null;
  const after = ({ population, ...one }: Measured, share: number, more: number) => {
    const n = Math.min(Math.max(population, judged({ ...one, population })), judged({ ...one, population }) + more);
    return { share, interval: wilson(Math.min(n, share * n), n, Math.max(n, population)) };
  };
  const decided = (more: number) => {
    const { low, high } = differenceOf(after(a, shareA, more), after(b, shareB, more));
    return low > 0 || high < 0;
  };
  const most = Math.max(a.population - judged(a), b.population - judged(b), 0);
  if (!decided(most)) return null;
  let [low, high] = [0, most];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (decided(middle)) high = middle;
    else low = middle + 1;
  }
  const need = (one: Measured) => Math.max(0, Math.min(low, one.population - judged(one)));
  return { first: need(a), second: need(b) };
}
