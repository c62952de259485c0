import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boardOf, type TriedCell } from './board';
import type { Verdict } from './precision';
import { seededRandom } from './random';

const range = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i);
const answer = (people: number, certain = people) => ({
  said: people,
  interval: { low: people, high: people },
  shown: people,
  certain,
  possible: people,
  complete: true
});
const cell = (version: number, sourceId: string, found: number[], more: Partial<TriedCell> = {}): TriedCell => ({
  version,
  sourceId,
  answers: [answer(found.length)],
  checked: false,
  found,
  open: new Set<number>(),
  sampled: found.map((_, i) => i),
  spent: null,
  ...more
});

describe('the board', () => {
  it('is what the textbook says of a ranked list judged whole, and of a pool', () => {
    // Manning, Raghavan, Schütze, Introduction to Information Retrieval, exercise 8.8 (from memory): the same information need,
    // two systems, judged to R N R N N N N N R R and N R N N R R R N N N, four relevant in the pool.
    const [r, n] = [[0, 1, 2, 3], range(4, 20)];
    const system1 = [r[0]!, n[0]!, r[1]!, n[1]!, n[2]!, n[3]!, n[4]!, n[5]!, r[2]!, r[3]!];
    const system2 = [n[6]!, r[0]!, n[7]!, n[8]!, r[1]!, r[2]!, r[3]!, n[9]!, n[10]!, n[11]!];
    const verdicts = new Map<number, Verdict>([
      ...r.map((person) => [person, 'fit'] as const),
      ...n.map((person) => [person, 'miss'] as const)
    ]);
    const rows = boardOf({
      cells: [cell(1, 's', system1), cell(2, 's', system2)],
      people: 20,
      verdicts,
      known: new Map()
    });
    expect(rows.map(({ figures }) => figures.precision.possible.share)).toEqual([0.4, 0.4]);
    expect(rows.map(({ pooled }) => pooled)).toEqual([
      { found: 4, of: 4 },
      { found: 4, of: 4 }
    ]);
    expect(rows[0]!.onlyVersion).toEqual({ people: 6, fits: 0, misses: 6 });
  });

  it('tells who is found nowhere else, known-goods, and the price of a fit', () => {
    const verdicts = new Map<number, Verdict>([
      [0, 'fit'],
      [1, 'miss'],
      [5, 'unsure']
    ]);
    const [a1, a2, b2] = boardOf({
      cells: [cell(1, 'a', [0, 1, 2]), cell(2, 'a', [0, 3], { spent: 6 }), cell(2, 'b', [3, 4])],
      people: 6,
      verdicts,
      known: new Map([
        ['a', [0, 2, 5]],
        ['b', []]
      ])
    });
    expect(a1).toMatchObject({
      onlyVersion: { people: 2, fits: 0, misses: 1 },
      onlySource: { people: 3, fits: 1, misses: 1 },
      known: { found: 2, inSource: 3 },
      priceOfFit: null,
      missesPerHundred: 50
    });
    expect(a2).toMatchObject({ onlyVersion: { people: 1 }, onlySource: { people: 1, fits: 1 }, priceOfFit: 3 });
    expect(b2).toMatchObject({
      known: { found: 0, inSource: 0 },
      figures: { precision: { possible: { share: null } } },
      standing: { is: 'alone' }
    });
  });

  it('does not rank those that cannot be distinguished, and says what would decide', () => {
    const fits = range(0, 100);
    const misses = range(100, 400);
    const verdicts = new Map<number, Verdict>([
      ...fits.map((person) => [person, 'fit'] as const),
      ...misses.map((person) => [person, 'miss'] as const)
    ]);
    const sampled = (share: number) => {
      const good = Math.round(40 * share);
      const found = [...fits.slice(0, good), ...misses.slice(0, 40 - good), ...range(400, 900)];
      return { found, sampled: range(0, 40) };
    };
    const at = (version: number, share: number) => ({ ...cell(version, 's', []), ...sampled(share) });
    const standings = (...cells: TriedCell[]) =>
      boardOf({ cells, people: 900, verdicts, known: new Map() }).map(({ standing }) => standing);
    expect(standings(at(1, 0.2), at(2, 0.9)).map(({ is }) => is)).toEqual(['beaten', 'best']);
    const [low, middle, high] = standings(at(1, 0.2), at(2, 0.85), at(3, 0.9));
    expect(low).toEqual({ is: 'beaten' });
    expect(high).toMatchObject({ is: 'open', against: 2 });
    expect(middle).toMatchObject({ is: 'open', against: 3 });
    if (middle?.is === 'open') expect(middle.decide!.here).toBeGreaterThan(0);
  });

  it('tells certain and possible apart, and compares the certain alone where that is asked', () => {
    const verdicts = new Map<number, Verdict>([
      [0, 'fit'],
      [1, 'miss'],
      [2, 'miss']
    ]);
    const cells = [cell(1, 'a', [0, 1, 2, 3], { answers: [answer(4, 2)], checked: true, open: new Set([2, 3]) })];
    const [all] = boardOf({ cells, people: 4, verdicts, known: new Map() });
    const [certain] = boardOf({ cells, people: 4, verdicts, known: new Map(), certain: true });
    expect(all!.figures).toEqual(certain!.figures);
    expect(all!.figures).toMatchObject({ shown: 4, certain: 2, possible: 4 });
    expect(all!.figures.precision.possible.share).toBeCloseTo(1 / 3);
    expect(all!.figures.precision.certain.share).toBeCloseTo(1 / 2);
    expect([all!, certain!].map(({ missesPerHundred }) => Math.round(missesPerHundred!))).toEqual([67, 50]);
    expect([all!.onlySource.people, certain!.onlySource.people]).toEqual([4, 2]);
  });

  it('counts a person once whose two records were drawn', () => {
    const verdicts = new Map<number, Verdict>([[0, 'fit']]);
    const [row] = boardOf({ cells: [cell(1, 'a', [0, 0, 1])], people: 2, verdicts, known: new Map() });
    expect(row!.figures.precision.possible).toMatchObject({ fits: 1, misses: 0 });
    expect(row!.sampled).toBe(2);
  });

  it('calls one of equal versions beaten in at most 5 of 100 boards, and finds real differences still', () => {
    const received: string[] = [];
    for (const versions of [2, 3, 6, 12]) {
      const wrong = { apart: 0, sharing: 0 };
      let found = 0;
      const runs = 300;
      const random = seededRandom(`equal ${versions}`);
      for (let run = 0; run < runs; run++) {
        const precision = 0.3 + 0.5 * random();
        const crowd = range(0, 4000);
        const verdicts = new Map<number, Verdict>(
          crowd.map((person) => [person, random() < precision ? 'fit' : 'miss'])
        );
        const lots = crowd.map(() => random());
        // Each finds 300 people, of whom 40 are judged: others than the others, or of one crowd of 600. The same people have
        // the same lot in every version, as samples have.
        const [apart, sharing] = [false, true].map((together) =>
          range(1, versions + 1).map((version) => {
            const from = together ? crowd.slice(0, 600) : crowd.slice((version - 1) * 300, version * 300);
            const people = from
              .map((person) => ({ person, lot: random() }))
              .sort((a, b) => a.lot - b.lot)
              .slice(0, 300)
              .map(({ person }) => person);
            const sampled = people
              .map((person, at) => ({ at, lot: lots[person]! }))
              .sort((a, b) => a.lot - b.lot)
              .slice(0, 40)
              .map(({ at }) => at);
            return cell(version, 's', people, { sampled });
          })
        );
        const isWrong = (cells: TriedCell[]) =>
          boardOf({ cells, people: 4000, verdicts, known: new Map() }).some(({ standing }) => standing.is === 'beaten');
        if (isWrong(apart!)) wrong.apart++;
        if (isWrong(sharing!)) wrong.sharing++;
        // One version that is better by 30 points.
        const better = new Map(verdicts);
        for (const person of apart![0]!.found)
          better.set(person, random() < Math.min(0.97, precision + 0.3) ? 'fit' : 'miss');
        const rows = boardOf({ cells: apart!, people: 4000, verdicts: better, known: new Map() });
        if (rows.slice(1).some(({ standing }) => standing.is === 'beaten')) found++;
      }
      const hundredth = (count: number) => `${((100 * count) / runs).toFixed(1)} %`;
      received.push(
        `${versions} versions: wrongly beaten ${hundredth(wrong.apart)}, sharing people ${hundredth(wrong.sharing)}; one better by 30 points beats another in ${hundredth(found)}`
      );
      expect(wrong.apart / runs).toBeLessThanOrEqual(0.05);
      expect(wrong.sharing / runs).toBeLessThanOrEqual(0.05);
      expect(found / runs).toBeGreaterThan(0.4);
    }
    console.log(received.join('\n'));
  }, 120_000);

  it('finds of each the same numbers as counting by hand', () => {
    const cells = fc.array(
      fc.record({
        version: fc.integer({ min: 1, max: 3 }),
        sourceId: fc.constantFrom('a', 'b'),
        found: fc.uniqueArray(fc.integer({ min: 0, max: 30 }))
      }),
      { maxLength: 6 }
    );
    fc.assert(
      fc.property(
        cells,
        fc.array(fc.constantFrom<Verdict>('fit', 'miss', 'unsure'), { maxLength: 31 }),
        (some, judged) => {
          const tried = some.map(({ version, sourceId, found }) => cell(version, sourceId, found));
          const verdicts = new Map(judged.map((verdict, person) => [person, verdict]));
          const rows = boardOf({ cells: tried, people: 31, verdicts, known: new Map() });
          rows.forEach((row, i) => {
            const others = tried.filter((other, j) => j !== i && other.sourceId === row.sourceId);
            const alone = tried[i]!.found.filter((person) => !others.some(({ found }) => found.includes(person)));
            expect(row.onlyVersion.people).toBe(alone.length);
            expect(row.onlyVersion.fits).toBe(alone.filter((person) => verdicts.get(person) === 'fit').length);
            expect(row.pooled.found).toBe(tried[i]!.found.filter((person) => verdicts.get(person) === 'fit').length);
          });
        }
      )
    );
  });
});
