import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countInterval, shownCount, type Counting } from '../dialect/count';
import { drawSample, extendSample, sampleSizeFor } from './draw-sample';
import { precisionOf, verdictsNeeded } from './precision';
import { seededRandom } from './random';
import { wilson } from './wilson';

describe('wilson', () => {
  // Newcombe, Statistics in Medicine 17 (1998) 857–872, table I, method 3 (score without continuity correction).
  it.each([
    [81, 263, 0.2553, 0.3662],
    [15, 148, 0.0624, 0.1605],
    [0, 20, 0, 0.1611],
    [1, 29, 0.0061, 0.1718]
  ])('%i of %i', (fits, judged, low, high) => {
    const interval = wilson(fits, judged);
    expect(interval.low).toBeCloseTo(low, 4);
    expect(interval.high).toBeCloseTo(high, 4);
  });

  it('knows nothing of nobody, and everything of everybody', () => {
    expect(wilson(0, 0)).toEqual({ low: 0, high: 1 });
    expect(wilson(7, 10, 10)).toEqual({ low: 0.7, high: 0.7 });
  });

  it('refuses counts that cannot be', () => {
    expect(() => wilson(3, 2)).toThrow(RangeError);
    expect(() => wilson(1, 5, 4)).toThrow(RangeError);
    expect(() => wilson(Number.NaN, 4)).toThrow(RangeError);
  });

  it('holds the truth in 93 to 97 of 100 seeded samples, drawn from finite wholes too', () => {
    const random = seededRandom('coverage');
    let held = 0;
    const runs = 6000;
    for (let run = 0; run < runs; run++) {
      const population = 150 + Math.floor(random() * 500);
      const fits = Math.floor(population * (0.1 + 0.8 * random()));
      const judged = 30 + Math.floor(random() * 60);
      let [left, leftFits, found] = [population, fits, 0];
      for (let i = 0; i < judged; i++) {
        if (random() * left < leftFits) {
          found++;
          leftFits--;
        }
        left--;
      }
      const { low, high } = wilson(found, judged, population);
      if (low <= fits / population && fits / population <= high) held++;
    }
    expect(held / runs).toBeGreaterThan(0.93);
    expect(held / runs).toBeLessThan(0.97);
  });
});

describe('precision', () => {
  it('leaves unsure verdicts out of the share and tells them', () => {
    const precision = precisionOf(['fit', 'fit', 'fit', 'miss', 'unsure']);
    expect(precision).toMatchObject({ fits: 3, misses: 1, unsure: 1, share: 0.75 });
    expect(precision.interval).toEqual(wilson(3, 4));
    expect(precisionOf(['unsure']).share).toBeNull();
  });

  it('says how many more verdicts are needed', () => {
    const few = precisionOf([...Array<'fit'>(19).fill('fit'), ...Array<'miss'>(12).fill('miss')]);
    const more = verdictsNeeded(few, 0.1, 1000);
    const judged = 31 + more;
    const { low, high } = wilson((19 / 31) * judged, judged, 1000);
    expect((high - low) / 2).toBeLessThanOrEqual(0.1);
    expect(verdictsNeeded(precisionOf(Array<'fit'>(400).fill('fit')), 0.1, 1000)).toBe(0);
    // People on one page are alike: thirty one verdicts are worth eight, and each that is wanted takes as many.
    const ofPages = { ...few, draws: 31 / 4 };
    const draws = (31 + verdictsNeeded(ofPages, 0.1, 1000)) / 4;
    const wide = (n: number) => {
      const { low, high } = wilson((19 / 31) * n, n, 1000);
      return (high - low) / 2;
    };
    expect(wide(draws)).toBeLessThanOrEqual(0.1);
    expect(wide(draws - 2)).toBeGreaterThan(0.1);
  });
});

describe('counts', () => {
  const counting = fc.oneof(
    fc.constant<Counting>({ kind: 'exact' }),
    fc.record({
      kind: fc.constant('rounded' as const),
      above: fc.constantFrom(0, 100, 1000),
      figures: fc.integer({ min: 1, max: 4 })
    })
  );
  it('represent an interval that holds the true count', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400_000 }), counting, (count, how) => {
        const { low, high } = countInterval(shownCount(count, how), how);
        expect(low).toBeLessThanOrEqual(count);
        expect(high).toBeGreaterThanOrEqual(count);
      }),
      { numRuns: 3000 }
    );
  });
  it('rounded to two figures above a thousand', () => {
    const rounded: Counting = { kind: 'rounded', above: 1000, figures: 2 };
    expect(shownCount(1312, rounded)).toBe(1300);
    expect(countInterval(1300, rounded)).toEqual({ low: 1250, high: 1349 });
    expect(countInterval(418, rounded)).toEqual({ low: 418, high: 418 });
    expect(countInterval(10, { kind: 'guess', factor: 3 })).toEqual({ low: 3, high: 30 });
  });
});

describe('samples', () => {
  const ids = (shown: number) => Array.from({ length: shown }, (_, i) => `person ${i}`);

  it('go through the whole depth: one rank from each stratum, the same for the same seed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 600 }),
        fc.integer({ min: 1, max: 100 }),
        fc.string(),
        (shown, size, seed) => {
          const ranks = drawSample(ids(shown), size, seed);
          expect(ranks).toEqual(drawSample(ids(shown), size, seed));
          expect(ranks).toHaveLength(Math.min(shown, size));
          ranks.forEach((rank, i) => {
            expect(rank).toBeGreaterThan(Math.floor((i * shown) / ranks.length));
            expect(rank).toBeLessThanOrEqual(Math.floor(((i + 1) * shown) / ranks.length));
          });
        }
      )
    );
  });

  it('are fair: every rank of a stratum is drawn about as often', () => {
    const drawn = new Map<number, number>();
    for (let run = 0; run < 4000; run++)
      for (const rank of drawSample(ids(20), 4, `seed ${run}`)) drawn.set(rank, (drawn.get(rank) ?? 0) + 1);
    for (let rank = 1; rank <= 20; rank++) expect(Math.abs(drawn.get(rank)! - 800)).toBeLessThan(130);
  });

  it('share most people when a result changes a little', () => {
    const before = ids(400);
    const after = before.filter((_, i) => i % 10 !== 0);
    const had = new Set(drawSample(before, 40, 's').map((rank) => before[rank - 1]));
    const shared = drawSample(after, 40, 's').filter((rank) => had.has(after[rank - 1]));
    expect(shared.length).toBeGreaterThan(15);
  });

  it('grow without giving up anyone, fill the finer strata first, and are fair', () => {
    const drawnOften = new Map<number, number>();
    const crowd = ids(60);
    for (let run = 0; run < 3000; run++) {
      const first = drawSample(crowd, 6, `grow ${run}`);
      const more = extendSample(crowd, first, 15, `grow ${run}`);
      const all = [...first, ...more];
      expect(new Set(all).size).toBe(15);
      for (const rank of all) drawnOften.set(rank, (drawnOften.get(rank) ?? 0) + 1);
    }
    // Fifteen of sixty: each rank in a quarter of the runs.
    for (let rank = 1; rank <= 60; rank++) expect(Math.abs(drawnOften.get(rank)! / 3000 - 0.25)).toBeLessThan(0.05);
    expect(extendSample(crowd, [1, 2, 3], 3, 's')).toEqual([]);
    expect(extendSample(ids(4), [2], 99, 's')).toEqual([1, 3, 4]);
  });

  it('are as large as the half-width asks, and no larger', () => {
    for (const population of [10, 73, 300, 5000])
      for (const width of [0.05, 0.1, 0.2]) {
        const size = sampleSizeFor(width, population);
        const half = (judged: number) => {
          const { low, high } = wilson(judged / 2, judged, population);
          return (high - low) / 2;
        };
        if (size < population) expect(half(size)).toBeLessThanOrEqual(width);
        if (size > 1) expect(half(size - 1)).toBeGreaterThan(width);
      }
  });
});
