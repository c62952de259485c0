import { wilson, type Interval } from './wilson';

/** Below so many pairs Cohen's standard error is too small. */
const fewPairs = 30;

export interface Agreement {
  /** Those both judged. */
  judged: number;
  agreed: number;
  /** Share of agreement, and the share to expect when each judges by their own habit alone. */
  observed: number;
  expected: number;
  /** Null where both gave every one the same verdict, so that nothing can be told beyond chance. */
  kappa: number | null;
  interval: Interval;
}

/**
 * Cohen's kappa of two judges from their verdicts on the same people, with its 95 % interval.
 * Cohen, Educational and Psychological Measurement 20 (1960) 37–46, formulas (1) and (7), which is for large samples: of
 * few pairs, or where all agree, the share of agreement has Wilson’s interval in place of its standard error, the agreement
 * to expect being fixed as in Cohen’s formula.
 */

export function agreementOf<V extends string>(pairs: readonly (readonly [V, V])[]): Agreement {
  const judged = pairs.length;
  const agreed = pairs.filter(([a, b]) => a === b).length;
  const count = (of: 0 | 1) => {
    const counts = new Map<V, number>();
    for (const pair of pairs) counts.set(pair[of], (counts.get(pair[of]) ?? 0) + 1);
    return counts;
  };
  const [first, second] = [count(0), count(1)];
  const observed = judged ? agreed / judged : 0;
  const expected = judged
    ? [...first].reduce((sum, [verdict, times]) => sum + times * (second.get(verdict) ?? 0), 0) / judged ** 2
    : 0;
  if (!judged || expected === 1)
    return { judged, agreed, observed, expected, kappa: null, interval: { low: -1, high: 1 } };
  const kappaAt = (agreement: number) => (agreement - expected) / (1 - expected);
  const kappa = kappaAt(observed);
  const spread = 1.959963984540054 * Math.sqrt((observed * (1 - observed)) / judged);
  const agreement =
    judged < fewPairs || observed === 1 || observed === 0
      ? wilson(agreed, judged)
      : { low: observed - spread, high: observed + spread };
  return {
    judged,
    agreed,
    observed,
    expected,
    kappa,
    interval: { low: Math.max(-1, kappaAt(agreement.low)), high: Math.min(1, kappaAt(agreement.high)) }
  };
}
