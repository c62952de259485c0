import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { sheets as generatedSheets } from '../../../tests/generate/sheets';
import { bucketsFrom } from '../dialect/buckets';
import { harrowGuild, lanternfield, quillbank, sheets } from '../dialect/sheets';
import { readSearch } from '../dialect/search';
import { render } from '../dialect/render';
import type { Search } from '../dialect/search-schema';
import { sheetSchema, type Sheet } from '../dialect/sheet';
import { fold } from '../language/tokens';
import { parse } from '../language/parse';
import type { Person } from '../people/person';
import { numberOf, valuesOf } from '../people/values';
import { matcher } from '../semantics/matches';
import { matchingOf } from '../semantics/matching';
import { cutsOf } from './cuts';
import { cutName, type Cut } from './slice';

const finder = (search: Search, sheet: Sheet) => {
  const query = readSearch(search, sheet);
  const meets = query ? matcher(query, matchingOf(sheet.matching)) : () => true;
  return (list: readonly Person[]) => list.filter((person) => meets(person));
};
/** Whether a person has what the parts of a cut can be asked for. */
const isReached = (person: Person, { by, parts }: Cut): boolean => {
  if (by.kind === 'numbers') return numberOf(person, by.scope) !== undefined;
  if (by.kind !== 'values') return true;
  const asked = new Set(parts.flatMap(({ search }) => search.facts.flatMap(({ include = [] }) => include)).map(fold));
  return valuesOf(person).some(({ field, text }) => field === by.scope && asked.has(fold(text)));
};

describe('the law of slices', () => {
  it.each([
    ['shipped', fc.constantFrom(...sheets)],
    ['generated', generatedSheets]
  ])(
    'holds for %s sheets: the parts of every cut, and of cuts of these, find together whom the search finds, and nobody beyond',
    (_, some) => {
      let cuts = 0;
      let deep = 0;
      fc.assert(
        fc.property(some, queries(3), people(30), fc.nat({ max: 29 }), (sheet, query, list, skip) => {
          const rendering = render(query, sheet);
          for (const whole of rendering.searches.slice(0, 2)) {
            const check = (search: Search, level: number) => {
              const all = finder(search, sheet)(list);
              // Planned from some of the rows: what was not seen must come as well.
              const seen = all.filter((_, i) => i % 3 !== skip % 3);
              for (const cut of cutsOf(search, { sheet, seen, count: all.length * 7, most: 3 })) {
                cuts++;
                const found = new Set(cut.parts.flatMap((part) => finder(part.search, sheet)(list)));
                const wanted = all.filter((person) => !cut.lost || isReached(person, cut));
                const lacking = wanted.filter((person) => !found.has(person));
                const beyond = [...found].filter((person) => !all.includes(person));
                if (lacking.length || beyond.length)
                  throw new Error(`${cutName(cut.by)} of ${JSON.stringify(search)} as ${JSON.stringify(cut.parts)}`);
                if (level === 0) {
                  deep++;
                  check(cut.parts.at(-1)!.search, 1);
                }
              }
            };
            check(whole, 0);
          }
        }),
        { numRuns: 2500 }
      );
      // How many there are goes by luck: there must be enough of them to mean something.
      expect(cuts).toBeGreaterThan(250);
      expect(deep).toBeGreaterThan(100);
    }
  );
});

describe('cuts', () => {
  const searchOf = (text: string, sheet: Sheet) => render(parse(text).query!, sheet).searches[0]!;
  const made = (n: number, of: (i: number) => Partial<Person>): Person[] =>
    Array.from({ length: n }, (_, i) => ({ id: `${i}`, name: `Ana ${i}`, ...of(i) }));

  it('join small values, keep large ones apart, and leave the rest its own part', () => {
    const seen = made(100, (i) =>
      i < 60 ? { country: 'DK' } : i < 80 ? { country: 'SE' } : i < 95 ? { country: 'NO' } : {}
    );
    const [cut] = cutsOf(searchOf('title:manager', harrowGuild), { sheet: harrowGuild, seen, count: 2000, most: 1000 });
    expect(cut!.by).toEqual({ kind: 'values', scope: 'country' });
    expect(cut!.parts.map(({ what, expected, rest }) => [what, Math.round(expected), rest])).toEqual([
      ['DK', 1200, false],
      ['SE or NO', 700, false],
      ['any other or not listed', 100, true]
    ]);
    expect(cut!.parts.at(-1)!.search.facts).toEqual([{ scope: 'country', exclude: ['DK', 'SE', 'NO'] }]);
  });

  it('share out a list that is asked already, to which nobody else belongs', () => {
    const seen = made(30, (i) => ({ country: i % 3 ? 'SE' : 'DK' }));
    const search = searchOf('title:manager AND country:(Denmark OR Sweden)', quillbank);
    const cut = cutsOf(search, { sheet: quillbank, seen, count: 4000, most: 2500 }).find(
      ({ by }) => by.kind === 'values' && by.scope === 'country'
    );
    expect(cut!.parts.map(({ what }) => what).sort()).toEqual(['Denmark', 'Sweden']);
    expect(cut!.lost).toBeNull();
  });

  it('cut numbers where the rows are, with bounds on both sides, and name those who are lost', () => {
    const seen = made(40, (i) => (i < 30 ? { headcount: i * 10 } : {}));
    const sheet = sheetSchema.parse({ ...harrowGuild, facts: [{ scope: 'headcount', range: true }] });
    const cut = cutsOf(searchOf('any:manager', sheet), { sheet, seen, count: 2000, most: 1000 }).find(
      ({ by }) => by.kind === 'numbers'
    )!;
    expect(cut.lost).toEqual({ scope: 'headcount', expected: 500 });
    const ranges = cut.parts.map(({ search }) => search.facts[0]!.range!);
    expect(ranges[0]!.low).toBeNull();
    expect(ranges.at(-1)!.high).toBeNull();
    ranges.slice(1).forEach(({ low }, i) => expect(low).toBe(ranges[i]!.high));
  });

  it('go by the named ranges of a number, where those leave no gap, and share out those that are asked already', () => {
    const seen = made(60, (i) => (i < 50 ? { headcount: [5, 30, 120, 300, 900][i % 5]! } : {}));
    const sized = (buckets: string, more: object = {}) =>
      sheetSchema.parse({
        ...harrowGuild,
        facts: [{ scope: 'headcount', label: 'Size', include: true, ...bucketsFrom(buckets), ...more }]
      });
    const cutBy = (text: string, sheet: Sheet) =>
      cutsOf(searchOf(text, sheet), { sheet, seen, count: 1200, most: 400 }).find(({ by }) => by.kind === 'numbers');
    const usual = '1–9; 10–49; 50–249; 250–999; 1000+';
    const cut = cutBy('any:manager', sized(`up to 9; ${usual.slice(5)}`))!;
    expect(cut.lost).toEqual({ scope: 'headcount', expected: 200 });
    expect(cut.parts.flatMap(({ search }) => search.facts[0]!.include!).sort()).toEqual(
      ['up to 9', '10–49', '50–249', '250–999', '1000+'].sort()
    );
    for (const { expected } of cut.parts) expect(expected).toBeLessThanOrEqual(400);
    const excluding = cutBy('any:manager', sized(`up to 9; ${usual.slice(5)}`, { exclude: true }))!;
    expect(excluding.lost).toBeNull();
    expect(excluding.parts.at(-1)).toMatchObject({ what: 'not listed', expected: 200, rest: true });
    // Anybody who has none, or nothing, would be lost without a word.
    expect(cutBy('any:manager', sized('10–49; 250–999'))).toBeUndefined();
    const asked = cutBy('any:manager AND headcount:[10 TO 249]', sized(usual))!;
    expect(asked.parts.map(({ what }) => what).sort()).toEqual(['10–49', '50–249']);
    expect(asked.lost).toBeNull();
  });

  it('go by alternatives, or by a word nobody cares about, where there are no facts', () => {
    const seen = made(20, (i) => ({
      about: i % 2 ? 'cold rooms in Malmö' : 'cold rooms',
      jobs: [{ title: i % 4 ? 'QA' : 'QC', company: 'X' }]
    }));
    const needs = { sheet: lanternfield, seen, count: 500, most: 300 };
    const alternatives = cutsOf(searchOf('QA OR QC', lanternfield), needs).find(
      ({ by }) => by.kind === 'alternatives'
    )!;
    expect(alternatives.parts[1]!.search.boxes.search).toContain('-');
    const word = cutsOf(searchOf('QA', lanternfield), needs).find(({ by }) => by.kind === 'word')!;
    expect(word.by).toEqual({ kind: 'word', word: 'malmö' });
    expect(word.parts.map(({ expected }) => expected)).toEqual([expect.any(Number), expect.any(Number)]);
  });
});
