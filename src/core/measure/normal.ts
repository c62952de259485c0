/**
 * The standard normal distribution function, right to about 1.5 × 10⁻⁷: Abramowitz and Stegun, Handbook of Mathematical
 * Functions (1964), formula 26.2.17 (from memory); checked against SciPy's values by the tests.
 */
export function normal(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    0.3989422804014327 *
    Math.exp((-x * x) / 2) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x >= 0 ? 1 - tail : tail;
}
