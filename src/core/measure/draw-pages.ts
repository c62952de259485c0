import { seededRandom } from './random';

/** Pages to be read of a result that is run by hand, unless somebody wants otherwise. */
export const usualPages = 6;

/**
 * Pages (from 1) to open of a result of `pages`, drawn through its depth: the result is cut into as many stretches as pages
 * are wanted, and of each one page is drawn by lot. With one seed the same pages are drawn; all where there are few.
 */
export function drawPages(pages: number, wanted: number, seed: string): number[] {
  if (wanted >= pages) return Array.from({ length: pages }, (_, i) => i + 1);
  const random = seededRandom(seed);
  return Array.from({ length: wanted }, (_, i) => {
    const from = Math.floor((i * pages) / wanted);
    const to = Math.floor(((i + 1) * pages) / wanted);
    return from + 1 + Math.floor(random() * (to - from));
  });
}
