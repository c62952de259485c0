import { seededRandom } from './random';
import { wilson } from './wilson';

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

/**
 * Ranks (from 1) to draw in addition to those `drawn`, so that there are `size` in all, spread through the depth: of the
 * new, finer strata those without anyone yet give one person each, by lot; where that is not enough, the lowest lots of
 * the others follow. Nothing drawn before is given up.
 */
export function extendSample(ids: readonly string[], drawn: readonly number[], size: number, seed: string): number[] {
  const wanted = Math.min(size, ids.length) - drawn.length;
  if (wanted <= 0) return [];
  const had = new Set(drawn);
  const strata = Math.min(size, ids.length);
  const stratumOf = (rank: number) => Math.floor(((rank - 1) * strata) / ids.length);
  const filled = new Set(drawn.map(stratumOf));
  const lots = ids
    .map((id, i) => ({ rank: i + 1, lot: seededRandom(`${seed}/${id}`)() }))
    .filter(({ rank }) => !had.has(rank))
    .sort((a, b) => a.lot - b.lot);
  const first: number[] = [];
  const later: number[] = [];
  for (const { rank } of lots) {
    const stratum = stratumOf(rank);
    if (filled.has(stratum)) later.push(rank);
    else {
      filled.add(stratum);
      first.push(rank);
    }
  }
  // Empty strata are drawn from in no order of depth, so that stopping early favours no depth.
  return [...first, ...later].slice(0, wanted).sort((a, b) => a - b);
}

/** Number of people to judge until a share is known to ±`halfWidth` in the worst case, which is half. */
export function sampleSizeFor(halfWidth: number, population: number): number {
  let [low, high] = [1, Math.max(1, population)];
  while (low < high) {
    const middle = (low + high) >> 1;
    const { low: from, high: to } = wilson(middle / 2, middle, population);
    if ((to - from) / 2 <= halfWidth) high = middle;
    else low = middle + 1;
  }
  return Math.min(low, population);
}
