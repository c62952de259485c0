import { effectiveDraws, type Cluster } from './clusters';
import { wilson, type Interval } from './wilson';

export type Verdict = 'fit' | 'miss' | 'unsure';

export interface Precision {
  fits: number;
  misses: number;
  unsure: number;
  /** Share of fits among those judged fit or miss; null while none is. */
  share: number | null;
  interval: Interval;
  /** How many independent draws the judged are worth, where whole pages were drawn instead of people. */
  draws?: number;
}

/**
 * Precision of a sample from its verdicts: fits among fits and misses, with Wilson's interval, corrected for a
 * `population` of known size. Unsure verdicts are counted and left out of the share.
 * Manning, Raghavan, Schütze, Introduction to Information Retrieval, chapter 8.
 */
export function precisionOf(verdicts: Iterable<Verdict>, population = Infinity): Precision {
  const tally = { fit: 0, miss: 0, unsure: 0 };
  for (const verdict of verdicts) tally[verdict]++;
  const judged = tally.fit + tally.miss;
  return {
    fits: tally.fit,
    misses: tally.miss,
    unsure: tally.unsure,
    share: judged ? tally.fit / judged : null,
    interval: wilson(tally.fit, judged, Math.max(population, judged))
  };
}

/**
 * The same of a sample of whole pages drawn through the depth, each verdict with the page its person stood on: the
 * interval is as wide as the pages differ.
 */
export function precisionOfPages(
  verdicts: readonly { verdict: Verdict; page: number }[],
  population: number
): Precision {
  const precision = precisionOf(
    verdicts.map(({ verdict }) => verdict),
    population
  );
  if (precision.share === null) return precision;
  const pages = new Map<number, Cluster>();
  for (const { verdict, page } of verdicts) {
    if (verdict === 'unsure') continue;
    const had = pages.get(page) ?? { fits: 0, judged: 0 };
    pages.set(page, { fits: had.fits + Number(verdict === 'fit'), judged: had.judged + 1 });
  }
  const draws = effectiveDraws([...pages.values()]);
  return { ...precision, draws, interval: wilson(precision.share * draws, draws, Math.max(population, draws)) };
}

/**
 * More verdicts needed until the interval is at most `halfWidth` to each side, if the share stays as it is; where whole
 * pages were drawn, and if these go on to differ as they do.
 */
export function verdictsNeeded(precision: Precision, halfWidth: number, population: number): number {
  const judged = precision.fits + precision.misses;
  const { draws = judged } = precision;
  const verdictsADraw = draws ? judged / draws : 1;
  const share = precision.share ?? 0.5;
  const left = Math.max(0, population - judged);
  for (let n = draws; n < population; n++) {
    const { low, high } = wilson(Math.min(n, share * n), n, population);
    if (n > 0 && (high - low) / 2 <= halfWidth) return Math.min(left, Math.ceil((n - draws) * verdictsADraw));
  }
  return left;
}
