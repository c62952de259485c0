import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { harrowGuild, marlowRegister } from '../../sources/stand-ins/sheets';
import { importedSheet } from '../../sources/imported-file';
import { matcher } from '../query/matches';
import { matchingOf } from '../query/matching';
import { parse } from '../query/parse';
import { print } from '../query/print';
import { textScopes } from '../query/scopes';
import { render } from './render';
import { readSearch, useOf } from './search';
import { sheetSchema, type Sheet } from './sheet';

const box = (id: string) =>
  fc.boolean().chain((full) =>
    fc.record({
      id: fc.constant(id),
      label: fc.constant(id),
      searches: fc.constantFrom(...textScopes),
      or: full ? fc.boolean() : fc.constant(false),
      not: full ? fc.boolean() : fc.constant(false),
      phrase: full ? fc.boolean() : fc.constant(false),
      group: full ? fc.boolean() : fc.constant(false),
      prefix: full ? fc.boolean() : fc.constant(false)
    })
  );

/** Sheets of every make: boxes that can say more or less, facts known or not, few searches or many. */
const generatedSheets: fc.Arbitrary<Sheet> = fc
  .record({
    boxes: fc.tuple(box('one'), box('two')),
    facts: fc.array(
      fc.record({
        scope: fc.constantFrom('country' as const, 'place' as const, 'headcount' as const, 'tenure' as const),
        include: fc.boolean(),
        exclude: fc.boolean(),
        range: fc.boolean()
      }),
      { maxLength: 3 }
    ),
    searches: fc.integer({ min: 1, max: 20 }),
    stemming: fc.constantFrom('english' as const, null),
    diacritics: fc.constantFrom('kept' as const, 'folded' as const)
  })
  .map(({ boxes, facts, searches, stemming, diacritics }) =>
    sheetSchema.parse({
      id: 'made',
      name: 'Made',
      about: '',
      boxes,
      facts: facts.filter((fact, i) => facts.findIndex((other) => other.scope === fact.scope) === i),
      limits: { characters: null, words: null, operators: null, shown: null, searches },
      matching: { stemming, diacritics },
      counting: { kind: 'exact' }
    })
  );

const shipped = fc.constantFrom(harrowGuild, marlowRegister, importedSheet('file', 'File'));

describe('the law of rendering', () => {
  it.each([
    ['shipped', shipped],
    ['generated', generatedSheets]
  ])(
    'holds for %s sheets: the searches, each read by the source’s rules, then filtered, are what the query means there',
    (_, sheets) => {
      let asked = 0;
      fc.assert(
        fc.property(sheets, queries(), people(25), (sheet, query, list) => {
          const rendering = render(query, sheet);
          if (rendering.exactness === 'impossible') return;
          asked++;
          const matching = matchingOf(sheet.matching);
          const tests = rendering.searches.map((search) => {
            const read = readSearch(search, sheet);
            return read ? matcher(read, matching) : () => true;
          });
          const passes = rendering.leftover ? matcher(rendering.leftover, matching) : () => true;
          const means = matcher(query, matching);
          const brought = list
            .filter((person) => tests.some((test) => test(person)) && passes(person))
            .map(({ id }) => id);
          const wanted = list.filter(means).map(({ id }) => id);
          if (brought.join() !== wanted.join())
            throw new Error(`${print(query)} as ${JSON.stringify(rendering)}: ${brought.join()} for ${wanted.join()}`);
          expect(rendering.searches.length).toBeLessThanOrEqual(sheet.limits.searches);
        }),
        { numRuns: 1500 }
      );
      expect(asked).toBeGreaterThan(300);
    }
  );
});

describe('renderings', () => {
  const rendered = (text: string, sheet: Sheet) => render(parse(text).query!, sheet);

  it('puts each part in its box and each fact in its place', () => {
    const rendering = rendered(
      'title:("head of quality" OR QA) AND "cold chain" AND country:(Denmark OR Sweden) AND headcount:[51 TO 1000] NOT software',
      harrowGuild
    );
    expect(rendering).toMatchObject({ exactness: 'exact', leftover: null });
    expect(rendering.searches).toEqual([
      {
        boxes: { profile: '"cold chain" NOT software', title: '"head of quality" OR QA' },
        facts: [
          { scope: 'country', include: ['Denmark', 'Sweden'] },
          { scope: 'headcount', range: { low: 51, high: 1000 } }
        ]
      }
    ]);
  });

  it('shares alternatives out to several searches where there is no OR, and checks the rest itself', () => {
    const rendering = rendered('title:("head of quality" OR QA) NOT interim', marlowRegister);
    expect(rendering.exactness).toBe('wider');
    expect(rendering.searches.map(({ boxes }) => boxes.words)).toEqual(['head of quality', 'QA']);
    expect(print(rendering.leftover!)).toBe('title:("head of quality" OR QA) NOT interim');
  });

  it('says when a source cannot be asked at all', () => {
    expect(rendered('headcount:[1 TO 5]', marlowRegister)).toMatchObject({ exactness: 'impossible', searches: [] });
    expect(rendered('title:"' + 'quality '.repeat(400) + '"', harrowGuild).exactness).toBe('impossible');
  });

  it('counts what limits count', () => {
    expect(useOf({ boxes: { profile: '"cold chain" OR (a NOT b)' }, facts: [] })).toEqual({
      characters: 25,
      words: 4,
      operators: 2
    });
  });
});
