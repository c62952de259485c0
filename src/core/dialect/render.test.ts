import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { sheets as generatedSheets } from '../../../tests/generate/sheets';
import { importedSheet } from '../../sources/imported-file';
import { gather } from '../../sources/try-string';
import { matcher } from '../semantics/matches';
import { matchingOf } from '../semantics/matching';
import { parse } from '../language/parse';
import { print } from '../language/print';
import { truthReader } from '../semantics/truth';
import { render } from './render';
import { overLimit, readSearch, useOf } from './search';
import { listedBy, type Sheet } from './sheet';
import { harrowGuild, lanternfield, marlowRegister, quillbank, sheets } from './sheets';

const shipped = fc.constantFrom(...sheets, importedSheet('file', 'File'));

/** Scopes that most sheets can ask something of, so that most queries can be asked. */
const fewScopes = fc.constantFrom(
  'any' as const,
  'any' as const,
  'title' as const,
  'title' as const,
  'company' as const,
  'place' as const
);

describe('the law of rendering', () => {
  it.each([
    ['shipped', shipped],
    ['generated', generatedSheets]
  ])(
    'holds for %s sheets: the searches, each read by the source’s rules, then filtered, are what the query means there',
    (_, sheets) => {
      let asked = 0;
      fc.assert(
        fc.property(sheets, queries(3, fewScopes), people(25), (sheet, query, list) => {
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
          for (const search of rendering.searches) expect(overLimit(useOf(search, sheet), sheet)).toBeNull();
        }),
        { numRuns: 3000 }
      );
      expect(asked).toBeGreaterThan(1000);
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

  const boxes = (text: string, sheet: Sheet) =>
    rendered(text, sheet).searches.map((search) => Object.values(search.boxes)[0]);

  it('writes for an index of pages: OR first, a minus, one site, and never exclusions alone', () => {
    expect(boxes('("head of quality" OR QA) AND "cold chain" NOT (intern OR software)', lanternfield)).toEqual([
      'site:lanternfield.example ("head of quality" OR QA) "cold chain" -intern -software'
    ]);
    expect(rendered('title:QA', lanternfield)).toMatchObject({ exactness: 'wider' });
    expect(rendered('NOT intern', lanternfield).exactness).toBe('impossible');
    expect(print(rendered('country:Denmark QA', lanternfield).leftover!)).toBe('country:Denmark');
  });

  it('writes lists and facts for a database without free text', () => {
    const rendering = rendered(
      'title:("head of quality" OR QA) country:(Denmark OR Sweden) NOT title:software NOT mail:none',
      quillbank
    );
    expect(rendering.exactness).toBe('exact');
    expect(rendering.searches).toEqual([
      {
        boxes: {},
        facts: [
          { scope: 'title', include: ['head of quality', 'QA'], exclude: ['software'] },
          { scope: 'country', include: ['Denmark', 'Sweden'] },
          { scope: 'mail', exclude: ['none'] }
        ]
      }
    ]);
    const notes = rendered('title:QA "cold chain"', quillbank);
    expect(notes).toMatchObject({ exactness: 'wider' });
    expect(print(notes.leftover!)).toBe('"cold chain"');
    expect(rendered('title:QA mail:sometimes', quillbank).exactness).toBe('wider');
  });

  it('needs a search for each group that mixes boxes, and for each size band', () => {
    expect(rendered('title:quality OR company:pharma', harrowGuild).searches).toHaveLength(2);
    const bands =
      '(headcount:[1 TO 49] AND title:owner) OR (headcount:[50 TO 500] AND title:("head of quality" OR QA))';
    expect(rendered(`${bands} AND country:Denmark`, harrowGuild)).toMatchObject({ exactness: 'exact' });
    expect(rendered(`(${bands}) AND country:Denmark`, harrowGuild).searches).toEqual([
      {
        boxes: { title: 'owner' },
        facts: [
          { scope: 'country', include: ['Denmark'] },
          { scope: 'headcount', range: { low: 1, high: 49 } }
        ]
      },
      {
        boxes: { title: '"head of quality" OR QA' },
        facts: [
          { scope: 'country', include: ['Denmark'] },
          { scope: 'headcount', range: { low: 50, high: 500 } }
        ]
      }
    ]);
    // What differs in one place only is one search again.
    expect(rendered('(title:owner country:Denmark) OR (title:QA country:Denmark)', harrowGuild).searches).toHaveLength(
      1
    );
  });

  it('shares alternatives out to the fewest searches that the limit allows', () => {
    const group = (word: string, count: number) =>
      `(${Array.from({ length: count }, (_, i) => `${word}${i}`).join(' OR ')})`;
    // 35 words a search beside the site: 60 alternatives beside one word need 2, beside 12 words 3.
    expect(boxes(`${group('t', 60)} pharma`, lanternfield)).toHaveLength(2);
    expect(boxes(`${group('t', 60)} ${group('w', 12)}`, lanternfield)).toHaveLength(3);
    // Both groups have to be cut: 60 × 60 in pieces of 20 and 15, or 15 and 20; 12 searches at least.
    expect(boxes(`${group('t', 60)} ${group('w', 60)}`, lanternfield)).toHaveLength(12);
    expect(rendered(`${group('t', 60)} ${group('w', 60)}`, lanternfield).notes.join(' ')).toMatch(
      /into [34] pieces \((20, 20, 20|15, 15, 15, 15)\)/
    );
    expect(
      rendered(`title:${group('t', 120)}`, quillbank).searches.map(({ facts }) => facts[0]!.include!.length)
    ).toEqual([40, 40, 40]);
  });

  it('leaves exclusions over that no longer fit, never what is wanted', () => {
    const unwanted = Array.from({ length: 40 }, (_, i) => `x${i}`).join(' OR ');
    const rendering = rendered(`QA pharma NOT (${unwanted})`, lanternfield);
    expect(rendering).toMatchObject({ exactness: 'wider', use: { words: 36 } });
    expect(rendering.searches[0]!.boxes.search).toMatch(/^site:lanternfield\.example QA pharma -x0 .* -x32$/);
    expect(print(rendering.leftover!)).toMatch(/^NOT x33 .* NOT x39$/);
  });

  it('writes brackets only where the source has none to do without', () => {
    const box = { ...marlowRegister.boxes[0]!, or: 'OR' as const, beside: 'and' as const };
    const sheet = (binding: 'standard' | 'or-first' | 'left-to-right'): Sheet => ({
      ...marlowRegister,
      boxes: [{ ...box, binding }]
    });
    expect(boxes('(QA OR RP) pharma', sheet('or-first'))).toEqual(['QA OR RP pharma']);
    expect(boxes('pharma (QA OR RP)', sheet('left-to-right'))).toEqual(['QA OR RP pharma']);
    expect(boxes('(QA AND pharma) OR RP', sheet('standard'))).toEqual(['QA pharma OR RP']);
    expect(boxes('(QA OR RP) pharma', sheet('standard'))).toEqual(['QA pharma OR RP pharma']);
    expect(boxes('(QA pharma) OR (RP chilled)', sheet('or-first'))).toEqual(['QA pharma', 'RP chilled']);
  });

  it('says when a source cannot be asked at all', () => {
    expect(rendered('headcount:[1 TO 5]', marlowRegister)).toMatchObject({ exactness: 'impossible', searches: [] });
    expect(rendered('title:"' + 'quality '.repeat(400) + '"', harrowGuild).exactness).toBe('wider');
  });

  it('counts what limits count', () => {
    expect(useOf({ boxes: { profile: '"cold chain" OR (a NOT b)' }, facts: [] }, harrowGuild)).toEqual({
      characters: 25,
      words: 4,
      operators: 2,
      nesting: 1
    });
  });
});

describe('the law with what is not listed', () => {
  it('removes those the left-over part contradicts and nobody else; nobody who may be wanted is lost', () => {
    let [asked, open] = [0, 0];
    fc.assert(
      fc.property(generatedSheets, queries(3, fewScopes), people(25), (sheet, query, list) => {
        const rendering = render(query, sheet);
        if (rendering.exactness === 'impossible') return;
        asked++;
        const matching = matchingOf(sheet.matching);
        const received = listedBy(sheet);
        const answers = rendering.searches.map((search) => {
          const read = readSearch(search, sheet);
          return { said: 0, people: read ? list.filter(matcher(read, matching)) : list };
        });
        const brought = new Map(answers.flatMap(({ people }) => people).map((person) => [person.id, person]));
        const outcome = gather(rendering, answers, { ...sheet, counting: { kind: 'exact' } });
        const truth = rendering.leftover && truthReader(rendering.leftover, received, matching);
        const values = new Map([...brought].map(([id, person]) => [id, truth ? truth(person) : 'met']));
        const ids = (wanted: string[]) => [...values].flatMap(([id, value]) => (wanted.includes(value) ? [id] : []));
        expect(outcome.people.map(({ id }) => id).sort()).toEqual(ids(['met', 'unknown']).sort());
        expect([...outcome.open].sort()).toEqual(ids(['unknown']).sort());
        expect(outcome.filtered).toBe(ids(['not met']).length);
        expect(outcome.found.possible).toBe(outcome.people.length);
        expect(outcome.found.certain).toBe(outcome.people.length - outcome.open.size);
        const kept = new Set(outcome.people.map(({ id }) => id));
        for (const person of list) if (matcher(query, matching)(person)) expect(kept.has(person.id)).toBe(true);
        // Anybody who is certain by all that is told is brought, and is certain here too.
        const whole = truthReader(query, received, matching);
        for (const person of list)
          if (whole(person) === 'met') expect(kept.has(person.id) && !outcome.open.has(person.id)).toBe(true);
        open += outcome.open.size;
      }),
      { numRuns: 2500 }
    );
    expect(asked).toBeGreaterThan(800);
    expect(open).toBeGreaterThan(500);
  });
});

describe('what goes beyond a limit', () => {
  const joined = (count: number) => Array.from({ length: count }, (_, i) => `word${i}`).join(' ');
  it.each([
    [marlowRegister, joined(13)],
    [lanternfield, joined(38)],
    [marlowRegister, `"${joined(13)}"`],
    [lanternfield, `"${joined(40)}"`],
    [marlowRegister, `title:(${joined(9)}) AND "${joined(10)}"`]
  ])('is left over where that helps: %#', (sheet, text) => {
    const rendering = render(parse(text).query!, sheet);
    expect(rendering.exactness).toBe('wider');
    expect(rendering.searches.length).toBeGreaterThan(0);
    for (const search of rendering.searches) expect(overLimit(useOf(search, sheet), sheet)).toBeNull();
  });
});

describe('a source that shows everything', () => {
  it('is asked as little as brings the same people', () => {
    const titles =
      '("head of quality" OR "quality manager" OR "quality director" OR "director of quality" OR "quality lead" OR "qa manager" OR "qa director" OR "head of qa" OR "vp quality" OR "chief quality officer" OR "compliance manager" OR "head of compliance")';
    const rendering = render(parse(`title:${titles}`).query!, marlowRegister);
    expect(rendering.searches.length).toBeLessThanOrEqual(3);
    expect(rendering.exactness).toBe('wider');
    expect(render(parse(`title:${titles} AND wholesale`).query!, marlowRegister).searches).toHaveLength(1);
  });
});
