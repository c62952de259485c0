import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { sheets as generatedSheets } from '../../../tests/generate/sheets';
import { matcher } from '../semantics/matches';
import { matchingOf } from '../semantics/matching';
import { parse } from '../language/parse';
import { print } from '../language/print';
import { render } from './render';
import { read, writeText } from './search-text';
import type { Sheet } from './sheet';
import { harrowGuild, lanternfield, marlowRegister, quillbank, sheets } from './sheets';

const written = (text: string, sheet: Sheet) => writeText(render(parse(text).query!, sheet).searches, sheet);
const readAs = (text: string, sheet: Sheet) => {
  const { query } = read(text, sheet);
  return query && print(query);
};

describe('a text copied from a source', () => {
  it.each([
    ['shipped', fc.constantFrom(...sheets)],
    ['generated', generatedSheets]
  ])('read back means what was written, for %s sheets', (_, of) => {
    let compared = 0;
    fc.assert(
      fc.property(
        of,
        queries(3, fc.constantFrom('any', 'any', 'title', 'company')),
        people(12),
        (sheet, query, list) => {
          const rendering = render(query, sheet);
          if (rendering.exactness !== 'exact') return;
          compared++;
          const again = read(writeText(rendering.searches, sheet), sheet).query;
          const matching = matchingOf(sheet.matching);
          const means = matcher(query, matching);
          const reads = matcher(again!, matching);
          for (const person of list)
            if (means(person) !== reads(person))
              throw new Error(`${print(query)} written ${writeText(rendering.searches, sheet)} read ${print(again!)}`);
        }
      ),
      { numRuns: 2500 }
    );
    expect(compared).toBeGreaterThan(250);
  });

  it('has a line for each box and fact, and none where there is but one box', () => {
    expect(
      written('title:(QA OR RP) pharma country:(Denmark OR Sweden) headcount:[51 TO *] NOT country:Norway', harrowGuild)
    ).toBe(
      'Whole profile: pharma\nCurrent title: QA OR RP\nCountry: Denmark; Sweden\nNot Country: Norway\nPeople employed: 51 or more'
    );
    expect(written('("head of quality" OR QA) pharma NOT intern', lanternfield)).toBe(
      'site:lanternfield.example ("head of quality" OR QA) pharma -intern'
    );
    expect(written('title:("head of quality" OR QA) NOT title:"QA tester"', quillbank)).toBe(
      'Titles: head of quality; QA\nNot Titles: QA tester'
    );
    expect(written('QA OR RP', marlowRegister)).toBe('QA\n\nRP');
  });

  it.each([
    ['QA OR RP pharma', lanternfield, '(QA OR RP) AND pharma'],
    ['QA or RP', lanternfield, 'QA AND "or" AND RP'],
    ['quality manager', marlowRegister, 'quality AND manager'],
    [
      'Current title: "head of quality" NOT intern\nPeople employed: 51–1,000',
      harrowGuild,
      'title:"head of quality" NOT title:intern AND headcount:[51 TO 1000]'
    ],
    ['head of quality, QA manager', quillbank, 'title:("head of quality" OR "QA manager")'],
    [
      'Titles: QA\nnot titles: intern; trainee\nsize of firm: up to 50',
      quillbank,
      'title:"QA" NOT title:("intern" OR "trainee") AND headcount:[* TO 50]'
    ],
    ['(QA\n\nOR RP) pharma', lanternfield, '(QA OR RP) AND pharma'],
    ['', harrowGuild, null],
    ['--- ((( ', lanternfield, null]
  ] as const)('%s is read by the rules of its source', (text, sheet, query) => expect(readAs(text, sheet)).toBe(query));

  it('says what is read otherwise than it looks', () => {
    const codes = (text: string, sheet: Sheet) => read(text, sheet).problems.map(({ code }) => code);
    expect(codes('QA NOT intern', lanternfield)).toEqual(['read-otherwise']);
    expect(codes('"quality manager" OR (QA)', marlowRegister)).toEqual([
      'read-otherwise',
      'read-otherwise',
      'read-otherwise'
    ]);
    expect(codes('Current title: (QA OR "head of', harrowGuild)).toEqual(['unclosed-bracket', 'unclosed-quote']);
    expect(codes('Size of firm: many', quillbank)).toEqual(['bad-range']);
    expect(codes('x'.repeat(70_000), lanternfield)).toEqual(['too-long']);
    expect(codes('("head of quality" OR QA) pharma -intern', lanternfield)).toEqual([]);
  });

  it('takes anything without throwing', () => {
    fc.assert(
      fc.property(fc.constantFrom(...sheets), fc.string({ unit: 'grapheme', maxLength: 200 }), (sheet, text) => {
        const { problems } = read(text, sheet);
        for (const { from, to } of problems) expect(from >= 0 && from <= to && to <= text.length).toBe(true);
      }),
      { numRuns: 1000 }
    );
    expect(read('('.repeat(10_000) + 'QA', lanternfield).query).not.toBeNull();
  });
});
