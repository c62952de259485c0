import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/random';
import { plattScaling } from './platt-scaling';

const sigmoid = (x: number) => 1 / (1 + Math.exp(-x));

describe('probabilities out of scores', () => {
  it('are those by which the rows were drawn, where the scores are too sure of themselves by any factor', () => {
    for (const [factor, shift] of [
      [4, 0],
      [0.5, 1],
      [2, -2]
    ] as const) {
      const random = seededRandom(`platt/${factor}/${shift}`);
      const truth = Array.from({ length: 4000 }, () => (random() - 0.5) * 6);
      const fits = truth.map((odds) => random() < sigmoid(odds));
      const scaled = plattScaling(
        truth.map((odds) => odds * factor + shift),
        fits
      )!;
      for (const odds of [-2, -1, 0, 1, 2]) expect(scaled(odds * factor + shift)).toBeCloseTo(sigmoid(odds), 1);
    }
  });

  it('keep the order, stay within bounds where fits and misses are parted, and are none where scores say nothing', () => {
    const scaled = plattScaling([-3, -2, -1, 1, 2, 3], [false, false, false, true, true, true])!;
    expect(scaled(-3)).toBeLessThan(scaled(0));
    expect(scaled(3)).toBeGreaterThan(scaled(0));
    expect(scaled(3)).toBeLessThan(1);
    expect(plattScaling([3, 2, 1, -1, -2, -3], [false, false, false, true, true, true])).toBeNull();
    expect(plattScaling([1, 2], [true, true])).toBeNull();
    expect(plattScaling([0, 0, 0, 0], [true, false, true, false])?.(0) ?? 0.5).toBeCloseTo(0.5);
  });
});
