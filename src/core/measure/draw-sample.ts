import { seededRandom } from './random';

/**
 * Ranks (from 1) of a sample drawn through the whole depth of a result: the ranks are cut into `size` strata of
 * nearly equal length and one rank is drawn from each. Reproducible from the seed; the whole result when it is small.
 */
export function drawSample(shown: number, size: number, seed: string): number[] {
  if (size >= shown) return Array.from({ length: shown }, (_, i) => i + 1);
  const random = seededRandom(seed);
  return Array.from({ length: size }, (_, i) => {
    const from = Math.floor((i * shown) / size);
    const to = Math.floor(((i + 1) * shown) / size);
    return from + Math.floor(random() * (to - from)) + 1;
  });
}
