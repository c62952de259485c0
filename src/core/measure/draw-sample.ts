import { seededRandom } from './random';

/**
 * Ranks (from 1) of a sample drawn through the whole depth of a result: the ranks are cut into `size` strata of
 * nearly equal length and one person is drawn from each; the whole result when it is small. Each person's lot depends
 * on the seed and the person alone, so that with one seed the samples of two similar results share most people, and a
 * verdict given in one is there in the other. `ids` are the people in the order shown.
 */
export function drawSample(ids: readonly string[], size: number, seed: string): number[] {
  if (size >= ids.length) return ids.map((_, i) => i + 1);
  return Array.from({ length: size }, (_, i) => {
    const from = Math.floor((i * ids.length) / size);
    const to = Math.floor(((i + 1) * ids.length) / size);
    let [drawn, lowest] = [from, Infinity];
    for (let at = from; at < to; at++) {
      const lot = seededRandom(`${seed}/${ids[at]}`)();
      if (lot < lowest) [drawn, lowest] = [at, lot];
    }
    return drawn + 1;
  });
}
