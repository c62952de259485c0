/** Neighbouring scores with one probability, the lowest and the highest of them. */
interface Pool {
  score: number;
  until: number;
  rows: number;
  fits: number;
}

/**
 * Turns scores of rows that were kept apart while learning into probabilities without assuming a shape: isotonic regression by pooling
 * adjacent violators. Ayer, Brunk, Ewing, Reid and Silverman, Annals of Mathematical Statistics 26 (1955) 641–647; Zadrozny and Elkan,
 * “Transforming classifier scores into accurate multiclass probability estimates”, KDD (2002); both from memory. Each step counts one
 * row more, half of it a fit, so that a few rows alike never make it certain.
 *
 * @param scores one a row
 * @param fits whether the row is a fit, in the same order
 * @returns a function from a score to a probability, never falling; null when there is only one kind of row
 */
export function isotonic(scores: readonly number[], fits: readonly boolean[]): ((score: number) => number) | null {
  const many = fits.filter(Boolean).length;
  if (!many || many === fits.length) return null;
  const rows = scores.map((score, i) => ({ score, fit: fits[i]! })).sort((a, b) => a.score - b.score);
  const pools: Pool[] = [];
  for (const { score, fit } of rows) {
    let pool: Pool = { score, until: score, rows: 1, fits: Number(fit) };
    for (let last = pools.at(-1); last && mustJoin(last, pool); last = pools.at(-1)) {
      pools.pop();
      pool = { score: last.score, until: pool.until, rows: last.rows + pool.rows, fits: last.fits + pool.fits };
    }
    pools.push(pool);
  }
  let before = 0;
  const steps = pools.map((pool) => (before = Math.max(before, (pool.fits + 0.5) / (pool.rows + 1))));
  return (score) => {
    let [from, to] = [0, pools.length];
    while (from < to) {
      const middle = (from + to) >> 1;
      if (pools[middle]!.score <= score) from = middle + 1;
      else to = middle;
    }
    return steps[Math.max(0, from - 1)]!;
  };
}

/** Equal scores have one probability, and a higher score never has a lower one. */
const mustJoin = (last: Pool, next: Pool): boolean =>
  last.until === next.score || last.fits * next.rows >= next.fits * last.rows;
