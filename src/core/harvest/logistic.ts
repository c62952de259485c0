/** What a row shows, by number: each feature is there or is not. */
export type Features = readonly number[];

export interface LogisticModel {
  bias: number;
  weights: Float64Array;
}

/** How strongly large weights are held back, and how long is learnt. */
const penalty = 1;
const rounds = 400;
const step = 0.3;

const sigmoid = (x: number) => 1 / (1 + Math.exp(-x));

/**
 * Logistic regression with a ridge penalty on features that are there or not, by gradient steps that each weight scales
 * by what it has moved (Hastie, Tibshirani and Friedman, The Elements of Statistical Learning, 2nd ed. 2009, §§ 3.4.1 and 4.4;
 * Duchi, Hazan and Singer, JMLR 12 (2011) 2121–2159 for the steps; from memory). The same input gives the same model.
 */
export function learnLogistic(rows: readonly Features[], fits: readonly boolean[], size: number): LogisticModel {
  const weights = new Float64Array(size);
  const moved = new Float64Array(size + 1);
  let bias = 0;
  const n = Math.max(1, rows.length);
  for (let round = 0; round < rounds; round++) {
    const gradient = new Float64Array(size);
    let gradientOfBias = 0;
    rows.forEach((row, i) => {
      let sum = bias;
      for (const feature of row) sum += weights[feature]!;
      const off = sigmoid(sum) - (fits[i] ? 1 : 0);
      gradientOfBias += off;
      for (const feature of row) gradient[feature]! += off;
    });
    for (let at = 0; at < size; at++) {
      const slope = (gradient[at]! + penalty * weights[at]!) / n;
      moved[at]! += slope * slope;
      if (moved[at]) weights[at]! -= (step * slope) / Math.sqrt(moved[at]!);
    }
    const slope = gradientOfBias / n;
    moved[size]! += slope * slope;
    if (moved[size]) bias -= (step * slope) / Math.sqrt(moved[size]!);
  }
  return { bias, weights };
}

/** The log odds that a row fits, by what was learnt. */
export function logOdds({ bias, weights }: LogisticModel, row: Features): number {
  let sum = bias;
  for (const feature of row) sum += weights[feature] ?? 0;
  return sum;
}

/** How likely that is, from 0 to 1. */
export const likelihood = (model: LogisticModel, row: Features): number => sigmoid(logOdds(model, row));
