const sigmoid = (x: number) => 1 / (1 + Math.exp(-x));
const maxRounds = 50;
/** Keeps the steps finite where scores part fits from misses without a fault. */
const ridge = 1e-6;

/**
 * How scores of rows that were kept apart while learning turn into probabilities: Platt, "Probabilistic outputs for support vector
 * machines", Advances in Large Margin Classifiers (1999), with its targets that never are quite 0 or 1, by Newton's method as in Lin, Lin
 * and Weng, Machine Learning 68 (2007) 267–276; from memory. Scores are log odds. The order of scores stays: null where that would be
 * turned round or lost, as where they say nothing.
 */
export function plattScaling(scores: readonly number[], fits: readonly boolean[]): ((score: number) => number) | null {
  const many = fits.filter(Boolean).length;
  const few = fits.length - many;
  if (!many || !few) return null;
  const target = fits.map((fit) => (fit ? (many + 1) / (many + 2) : 1 / (few + 2)));
  let [slope, shift] = [1, Math.log((many + 1) / (few + 1))];
  for (let round = 0; round < maxRounds; round++) {
    let [g1, g2, h11, h12, h22] = [0, 0, ridge, 0, ridge];
    scores.forEach((score, i) => {
      const p = sigmoid(slope * score + shift);
      const off = p - target[i]!;
      const weight = p * (1 - p);
      g1 += off * score;
      g2 += off;
      h11 += weight * score * score;
      h12 += weight * score;
      h22 += weight;
    });
    const determinant = h11 * h22 - h12 * h12;
    const [d1, d2] = [(h22 * g1 - h12 * g2) / determinant, (h11 * g2 - h12 * g1) / determinant];
    // Halved steps keep it from running away.
    const most = Math.max(1, Math.abs(d1), Math.abs(d2));
    slope -= d1 / most;
    shift -= d2 / most;
    if (Math.abs(d1) < 1e-9 && Math.abs(d2) < 1e-9) break;
  }
  return slope > 0 && Number.isFinite(slope) && Number.isFinite(shift)
    ? (score) => sigmoid(slope * score + shift)
    : null;
}
