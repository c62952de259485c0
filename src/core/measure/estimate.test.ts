import { describe, expect, it } from 'vitest';
import fixtures from '../../../tests/statistics/statistics.json';
import { countInterval, shownCount, type Counting } from '../dialect/count';
import { estimatedFits, estimatedResult, fitsAmong, middleOf, resultOf, type SearchSeen } from './estimate';
import { normal } from './normal';
import { precisionOf } from './precision';
import { seededRandom } from './random';
import { wilson } from './wilson';

const exactly = (count: number) => ({ low: count, high: count });
const search = (
  reported: { low: number; high: number },
  shown: number,
  stay: number,
  complete = false
): SearchSeen => ({
  reported,
  shown,
  stay,
  complete
});

describe('the normal distribution', () => {
  // SciPy, tests/statistics/make-fixtures.py.
  it.each(fixtures.normal as [number, number][])('at %s', (x, p) => expect(normal(x)).toBeCloseTo(p, 6));
});

describe('the estimated result', () => {
  it('is exact where everything was shown, however it was counted', () => {
    expect(estimatedResult([search({ low: 100, high: 900 }, 210, 140, true)], true)).toEqual({
      low: 140,
      middle: 140,
      high: 140
    });
    expect(estimatedResult([], false)).toEqual({ low: 0, middle: 0, high: 0 });
  });
  it('is what was reported where nothing is left over', () => {
    const { low, middle, high } = estimatedResult([search({ low: 3250, high: 3349 }, 1000, 1000)], false);
    expect(middle).toBeCloseTo(3299.5);
    expect(low).toBeGreaterThanOrEqual(3250);
    expect(high).toBeLessThanOrEqual(3349);
  });
  it('is reported times the share that stays, with Wilson’s interval where the count is exact', () => {
    const { low, middle, high } = estimatedResult([search(exactly(5000), 1000, 300)], true);
    const { low: from, high: to } = wilson(300, 1000, 5000);
    expect(middle).toBeCloseTo(1500, -1);
    expect(low).toBeCloseTo(5000 * from, 0);
    expect(high).toBeCloseTo(5000 * to, 0);
  });
  it('takes the geometric middle of a guess, and the sum of searches', () => {
    expect(middleOf({ low: 300, high: 2700 })).toBeCloseTo(900);
    expect(middleOf({ low: 3350, high: 3449 })).toBeCloseTo(3399.5);
    const both = [search({ low: 3350, high: 3449 }, 25, 25), search({ low: 1000, high: 1999 }, 25, 25)];
    const { low, middle, high } = estimatedResult(both, false);
    expect(middle).toBeGreaterThan(4700);
    expect(middle).toBeLessThan(4900);
    expect(low).toBeGreaterThan(4350);
    expect(high).toBeLessThan(5450);
  });
  it('is never less than those seen, nor more than all that may be there', () => {
    const { low, high } = estimatedResult([search({ low: 200, high: 1800 }, 300, 30)], true);
    expect(low).toBeGreaterThanOrEqual(30);
    expect(high).toBeLessThanOrEqual(1800);
  });
});

describe('estimated fits', () => {
  it('carry both uncertainties', () => {
    const precision = precisionOf(['fit', 'miss', 'fit', 'fit']);
    const fits = estimatedFits({ low: 100, high: 200 }, precision)!;
    const narrow = estimatedFits(exactly(150), precision)!;
    expect(fits.middle).toBeCloseTo(105, -1);
    expect(fits.low).toBeLessThan(narrow.low);
    expect(fits.high).toBeGreaterThan(narrow.high);
    expect(estimatedFits({ low: 1, high: 2 }, precisionOf([]))).toBeNull();
    expect(fitsAmong([100], 30, 100)!.middle).toBeCloseTo(30, 5);
  });

  /** A source that counts so, with a true number of rows and of those who stay and are fits; what is shown is a fair part of it. */
  function worlds(counting: Counting, cap: number, runs: number) {
    const random = seededRandom(`estimates ${counting.kind}`);
    const held = { result: 0, fits: 0 };
    const errors: number[] = [];
    for (let run = 0; run < runs; run++) {
      // On a logarithmic scale all numbers are as likely.
      const rows = Math.round(400 * 60 ** random());
      const [stays, isFit] = [0.2 + 0.7 * random(), 0.15 + 0.7 * random()];
      const people = Array.from({ length: rows }, () => ({ stays: random() < stays, fit: random() < isFit }));
      const shown = people.slice(0, cap);
      const stay = shown.filter((one) => one.stays);
      const reported = countInterval(shownCount(rows, counting, random()), counting);
      const seen = [search(reported, shown.length, stay.length, rows < cap)];
      const result = people.filter((one) => one.stays);
      const estimate = estimatedResult(seen, true);
      if (estimate.low <= result.length && result.length <= estimate.high) held.result++;
      const sample = stay.slice(0, 60);
      const truth = result.filter((one) => one.fit).length;
      const fits = fitsAmong(resultOf(seen, true), sample.filter((one) => one.fit).length, sample.length)!;
      if (fits.low <= truth && truth <= fits.high) held.fits++;
      errors.push((fits.middle - truth) / truth);
    }
    errors.sort((a, b) => a - b);
    return { result: held.result / runs, fits: held.fits / runs, error: errors[Math.floor(runs / 2)]! };
  }

  it.each<[Counting, number]>([
    [{ kind: 'exact' }, 300],
    [{ kind: 'rounded', above: 1000, figures: 2 }, 1000],
    [{ kind: 'guess', factor: 3 }, 300]
  ])('and results hold the truth in 93 to 97 of 100 seeded worlds counted so: %j', (counting, cap) => {
    const { result, fits, error } = worlds(counting, cap, 1500);
    console.log(
      `${counting.kind}: result held ${(100 * result).toFixed(1)} %, fits ${(100 * fits).toFixed(1)} %, median error of fits ${(100 * error).toFixed(1)} %`
    );
    for (const share of [result, fits]) {
      expect(share).toBeGreaterThan(0.93);
      expect(share).toBeLessThan(0.975);
    }
    expect(Math.abs(error)).toBeLessThan(0.1);
  });
});
