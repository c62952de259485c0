import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import fixtures from '../../../tests/statistics/statistics.json';
import { frontOf } from './front';
import { agreementOf } from './kappa';
import { mcNemar } from './mcnemar';
import { chapman, fitsThereAre } from './population';
import { precisionOf, type Verdict } from './precision';
import { seededRandom } from './random';
import { differenceOf, differ, verdictsToDecide } from './precision-difference';
import { wilson } from './wilson';

const times = <T>(count: number, value: T): T[] => Array.from({ length: count }, () => value);

/** How many of `truth` people two sources find that each find a share drawn from `least` to `least` + 0.5. */
function foundByTwo(truth: number, least: number, random: () => number) {
  const [p, q] = [least + random() * 0.5, least + random() * 0.5];
  let [first, second, both] = [0, 0, 0];
  for (let i = 0; i < truth; i++) {
    const [a, b] = [random() < p, random() < q];
    first += Number(a);
    second += Number(b);
    both += Number(a && b);
  }
  return { first, second, both };
}

describe('McNemar’s exact test', () => {
  // By hand from the binomial distribution: 2 (C(9,0) + C(9,1)) / 2^9, and so on.
  it.each([
    [1, 8, 20 / 512],
    [0, 5, 2 / 32],
    [0, 6, 2 / 64],
    [3, 3, 1],
    [0, 0, 1]
  ])('%i against %i', (b, c, p) => {
    expect(mcNemar(b, c)).toBeCloseTo(p, 10);
    expect(mcNemar(c, b)).toBeCloseTo(p, 10);
  });
  // SciPy's binomtest, tests/statistics/make-fixtures.py.
  it.each(fixtures.mcnemar as [number, number, number][])('%i against %i is what SciPy says', (b, c, p) =>
    expect(mcNemar(b, c)).toBeCloseTo(p, 9)
  );
  it('is the binomial tail for many pairs too, and refuses what cannot be', () => {
    // A normal approximation with continuity correction: z = (|b − c| − 1) / √(b + c).
    expect(mcNemar(450, 550)).toBeCloseTo(0.0017, 3);
    expect(() => mcNemar(-1, 2)).toThrow(RangeError);
    expect(() => mcNemar(0.5, 2)).toThrow(RangeError);
  });
});

describe('agreement', () => {
  it('is Cohen’s kappa', () => {
    // Cohen, Educational and Psychological Measurement 20 (1960) 37–46, table 1 (from memory): κ = .492, 95 % .384 to .600.
    const table = [
      [88, 10, 2],
      [14, 40, 6],
      [18, 10, 12]
    ];
    const words = ['fit', 'miss', 'unsure'] as const;
    const pairs = table.flatMap((row, i) => row.flatMap((count, j) => times(count, [words[i]!, words[j]!] as const)));
    const agreement = agreementOf(pairs);
    expect(agreement).toMatchObject({ judged: 200, agreed: 140 });
    expect(agreement.expected).toBeCloseTo(0.41, 10);
    expect(agreement.kappa).toBeCloseTo(0.492, 3);
    expect(agreement.interval.low).toBeCloseTo(0.384, 2);
    expect(agreement.interval.high).toBeCloseTo(0.6, 2);
  });
  it('of the textbook’s two judges is .776', () => {
    // Manning, Raghavan, Schütze, Introduction to Information Retrieval, table 8.2.
    const pairs = [
      ...times(300, ['fit', 'fit'] as const),
      ...times(20, ['fit', 'miss'] as const),
      ...times(10, ['miss', 'fit'] as const),
      ...times(70, ['miss', 'miss'] as const)
    ];
    expect(agreementOf<string>(pairs).kappa).toBeCloseTo(0.776, 3);
  });
  it.each(fixtures.kappa)('is what the table gives: $table', ({ table, observed, expected, kappa }) => {
    const words = ['fit', 'miss', 'unsure'];
    const pairs = table.flatMap((row, i) => row.flatMap((count, j) => times(count, [words[i]!, words[j]!] as const)));
    const agreement = agreementOf<string>(pairs);
    expect(agreement.observed).toBeCloseTo(observed, 10);
    expect(agreement.expected).toBeCloseTo(expected, 10);
    expect(agreement.kappa).toBeCloseTo(kappa, 10);
  });
  it('of few who agree is not certain', () => {
    const { kappa, interval } = agreementOf<string>([
      ['fit', 'fit'],
      ['fit', 'fit'],
      ['miss', 'miss']
    ]);
    expect(kappa).toBe(1);
    expect(interval.high).toBe(1);
    expect(interval.low).toBeLessThan(0.2);
  });
  it('tells nothing of nobody, nor where all verdicts are the same', () => {
    expect(agreementOf([]).kappa).toBeNull();
    expect(agreementOf(times(9, ['fit', 'fit'] as const))).toMatchObject({ observed: 1, kappa: null });
  });
});

describe('how many there are', () => {
  it('is Chapman’s estimate', () => {
    // (n + 1) (M + 1) / (m + 1) − 1 by hand.
    expect(chapman(10, 15, 5).middle).toBeCloseTo((11 * 16) / 6 - 1, 10);
    expect(chapman(20, 20, 20)).toMatchObject({ low: 20, middle: 20 });
    expect(chapman(5, 5, 0).high).toBe(Infinity);
    expect(() => chapman(3, 9, 4)).toThrow(RangeError);
  });
  // SciPy's hypergeometric distribution, tests/statistics/make-fixtures.py.
  it.each(fixtures.population)('of $first and $second with $both in both lies where the distribution has it', (one) => {
    const { low, middle, high } = chapman(one.first, one.second, one.both);
    expect(low).toBe(Math.min(one.low, middle));
    expect(high).toBe(Math.max(one.high, middle));
  });
  it('has an interval that holds small populations too', () => {
    const random = seededRandom('small populations');
    const received = new Map<number, number>();
    for (let truth = 12; truth <= 30; truth++) {
      let held = 0;
      const runs = 1500;
      for (let run = 0; run < runs; run++) {
        const { first, second, both } = foundByTwo(truth, 0.3, random);
        const { low, high } = chapman(first, second, both);
        if (low <= truth && truth <= high) held++;
      }
      received.set(truth, held / runs);
    }
    console.log(
      `small populations held: ${[...received].map(([n, share]) => `${n} ${(100 * share).toFixed(1)} %`).join(', ')}`
    );
    for (const share of received.values()) expect(share).toBeGreaterThanOrEqual(0.93);
  });
  it('has an interval that holds the truth in about 95 of 100 seeded runs, and never less than were seen', () => {
    const random = seededRandom('chapman');
    let held = 0;
    const runs = 4000;
    for (let run = 0; run < runs; run++) {
      const truth = 200 + Math.floor(random() * 800);
      const { first, second, both } = foundByTwo(truth, 0.25, random);
      const { low, high } = chapman(first, second, both);
      expect(low).toBeGreaterThanOrEqual(first + second - both);
      if (low <= truth && truth <= high) held++;
    }
    expect(held / runs).toBeGreaterThan(0.93);
    expect(held / runs).toBeLessThan(0.97);
  });
  it('carries how many the second source finds', () => {
    const one = fitsThereAre(40, 20, { low: 80, middle: 100, high: 120 });
    expect(one.middle).toBeCloseTo(chapman(40, 100, 20).middle);
    expect(one.low).toBeLessThan(chapman(40, 100, 20).low);
    expect(one.high).toBeGreaterThan(chapman(40, 100, 20).high);
  });
});

describe('telling two apart', () => {
  it('goes by Newcombe’s interval of a difference', () => {
    // Newcombe, Statistics in Medicine 17 (1998) 873–890, table II, contrast (a), method 10 (from memory): .0524 to .3339.
    const { low, high } = differenceOf(
      { share: 56 / 70, interval: wilson(56, 70) },
      { share: 48 / 80, interval: wilson(48, 80) }
    );
    expect(low).toBeCloseTo(0.0524, 4);
    expect(high).toBeCloseTo(0.3339, 4);
  });
  // From SciPy's Wilson intervals, tests/statistics/make-fixtures.py.
  it.each(fixtures.newcombe as [number, number, number, number, number, number][])(
    '%i of %i against %i of %i',
    (a, n, b, m, from, to) => {
      const side = (hits: number, all: number) => ({ share: hits / all, interval: wilson(hits, all) });
      const { low, high } = differenceOf(side(a, n), side(b, m));
      expect(low).toBeCloseTo(from, 8);
      expect(high).toBeCloseTo(to, 8);
    }
  );
  const measured = (fits: number, misses: number, population = 1000) => ({
    precision: precisionOf([...times<Verdict>(fits, 'fit'), ...times<Verdict>(misses, 'miss')], population),
    population
  });
  it('asks for as many verdicts as bring it about', () => {
    expect(differ(measured(35, 5), measured(10, 30))).toBe(true);
    expect(verdictsToDecide(measured(35, 5), measured(10, 30))).toEqual({ first: 0, second: 0 });
    const [a, b] = [measured(30, 10), measured(26, 14)];
    expect(differ(a, b)).toBe(false);
    const { first } = verdictsToDecide(a, b)!;
    const grown = (fits: number, more: number) => measured(fits * (1 + more / 40), 40 + more - fits * (1 + more / 40));
    expect(first).toBeGreaterThan(40);
    const few = Math.floor(first / 40) * 40;
    expect(differ(grown(30, few + 40), grown(26, few + 40))).toBe(true);
    expect(differ(grown(30, few - 40), grown(26, few - 40))).toBe(false);
  });
  it('gives up where judging all would not do, or nothing is judged', () => {
    expect(verdictsToDecide(measured(0, 0), measured(5, 5))).toBeNull();
    expect(verdictsToDecide(measured(10, 10), measured(10, 10))).toBeNull();
    expect(verdictsToDecide(measured(5, 5, 12), measured(6, 5, 12))).not.toBeNull();
  });
});

describe('the front', () => {
  it('holds those that none beats', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ max: 20 }), fc.integer({ max: 20 }))), (points) => {
        const front = frontOf(
          points,
          ([x]) => x,
          ([, y]) => y
        );
        const beats = (a: number[], b: number[]) =>
          a[0]! >= b[0]! && a[1]! >= b[1]! && (a[0]! > b[0]! || a[1]! > b[1]!);
        for (const point of front) expect(points.some((other) => beats(other, point))).toBe(false);
        for (const point of points)
          expect(
            front.includes(point) ||
              points.some((other) => beats(other, point)) ||
              front.some((one) => String(one) === String(point))
          ).toBe(true);
      })
    );
  });
});
