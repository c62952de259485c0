import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fitsCurve, verdictsFor } from './fits-curve';

const list = (signs: string, places: readonly number[]) =>
  [...signs].map((sign, i) => ({ fit: sign === '+', place: places[i]! }));

describe('fits against verdicts', () => {
  it('are counted as they were judged, and as they came', () => {
    const curve = fitsCurve(list('++--', [4, 3, 2, 1]));
    expect(curve).toEqual([
      { verdicts: 0, fits: 0, asTheyCame: 0 },
      { verdicts: 1, fits: 1, asTheyCame: 0 },
      { verdicts: 2, fits: 2, asTheyCame: 0 },
      { verdicts: 3, fits: 2, asTheyCame: 1 },
      { verdicts: 4, fits: 2, asTheyCame: 2 }
    ]);
    expect(verdictsFor(0.8, curve)).toEqual({ judged: 2, asTheyCame: 4 });
    expect(verdictsFor(0.8, fitsCurve(list('--', [1, 2])))).toBeNull();
    expect(verdictsFor(0.8, [])).toBeNull();
  });

  it('end alike, never fall, and are few points of many people', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ fit: fc.boolean(), place: fc.nat() }), { maxLength: 1500 }), (people) => {
        const curve = fitsCurve(people);
        expect(curve.length).toBeLessThanOrEqual(202);
        const last = curve.at(-1)!;
        expect(last.fits).toBe(last.asTheyCame);
        expect(last.verdicts).toBe(people.length);
        for (let i = 1; i < curve.length; i++) {
          expect(curve[i]!.fits).toBeGreaterThanOrEqual(curve[i - 1]!.fits);
          expect(curve[i]!.asTheyCame).toBeGreaterThanOrEqual(curve[i - 1]!.asTheyCame);
        }
      }),
      { numRuns: 60 }
    );
  });
});
