import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../measure/random';
import { isotonic } from './isotonic';

describe('isotonic probabilities', () => {
  it('never fall as scores rise, and stay within 0 and 1', () => {
    const rows = fc.array(fc.record({ score: fc.integer({ min: -20, max: 20 }), fit: fc.boolean() }), { minLength: 2 });
    fc.assert(
      fc.property(rows, (some) => {
        const of = isotonic(
          some.map(({ score }) => score),
          some.map(({ fit }) => fit)
        );
        expect(of === null).toBe(new Set(some.map(({ fit }) => fit)).size === 1);
        if (!of) return;
        let before = 0;
        for (let score = -22; score <= 22; score += 0.5) {
          const now = of(score);
          expect(now).toBeGreaterThanOrEqual(before - 1e-12);
          expect(now).toBeLessThanOrEqual(1);
          before = now;
        }
      })
    );
  });

  it('follow a truth of any shape', () => {
    const random = seededRandom('steep');
    const truth = (score: number) => (score < 0 ? 0.05 : 0.9);
    const scores = Array.from({ length: 2000 }, () => random() * 2 - 1);
    const of = isotonic(
      scores,
      scores.map((score) => random() < truth(score))
    )!;
    for (const score of [-0.8, -0.4, 0.4, 0.8]) expect(Math.abs(of(score) - truth(score))).toBeLessThan(0.06);
  });
});
