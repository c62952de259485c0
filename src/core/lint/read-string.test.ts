import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import type { Person } from '../people/person';
import { matches } from '../semantics/matches';
import { readString } from './read-string';
import { layOut } from '../language/outline';
import { print } from '../language/print';
import { applyEdits, problemCodes, type ProblemCode } from '../language/problem';
import { querySchema } from '../language/query-schema';

const read = (text: string) => {
  const { query } = readString(text);
  return query && print(query);
};
const codes = (text: string) => readString(text).problems.map(({ code }) => code);

describe('precedence', () => {
  it.each([
    ['a OR b AND c', 'a OR (b AND c)'],
    ['a b OR c', '(a AND b) OR c'],
    ['NOT a b', 'NOT a AND b'],
    ['-(a OR b) c', 'NOT (a OR b) AND c'],
    ['a AND NOT b', 'a NOT b'],
    ['NOT NOT a', 'a'],
    ['title:(a OR company:b)', 'title:a OR company:b'],
    ['title:("head of quality" OR QA) country:DK', 'title:("head of quality" OR QA) AND country:DK'],
    ['headcount:[51 TO *]', 'headcount:[51 TO *]'],
    ['growth:[-5 TO 2.5]', 'growth:[-5 TO 2.5]'],
    ['TITLE:pharma*', 'title:pharma*'],
    ['((((a))))', 'a']
  ])('reads %j', (text, printed) => expect(read(text)).toBe(printed));
});

describe('problems', () => {
  const shown: [ProblemCode, string, string][] = [
    ['unclosed-quote', 'title:"head of', 'title:"head of"'],
    ['unclosed-bracket', '(a OR b', '(a OR b)'],
    ['unopened-bracket', 'a OR b)', '(a OR b)'],
    ['empty-group', 'a AND ()', 'a AND (b)'],
    ['empty-phrase', 'a ""', 'a "b"'],
    ['empty-scope', 'a title:', 'a title:b'],
    ['unknown-scope', 'titel:a', 'title:a'],
    ['doubled-scope', 'title:company:a', 'title:a'],
    ['misplaced-operator', 'a OR OR b', 'a OR b'],
    ['lower-case-operator', 'a or b', 'a OR b'],
    ['foreign-operator', 'a && b', 'a AND b'],
    ['curly-quotes', '“cold chain”', '"cold chain"'],
    ['long-dash', 'a –b', 'a -b'],
    ['unquoted-title', 'title:quality manager', 'title:"quality manager"'],
    ['unquoted-exclusion', 'a NOT test engineer', 'a NOT "test engineer"'],
    ['mixed-operators', 'a AND b OR c', '(a AND b) OR c'],
    ['bad-range', 'headcount:[fifty TO 200]', 'headcount:[50 TO 200]'],
    ['bad-range', 'headcount:[200 TO 50]', 'headcount:[50 TO 200]'],
    ['bad-number', 'headcount:big', 'headcount:50'],
    ['bad-range', 'headcount:[50-249]', 'headcount:[50 TO 249]'],
    ['bad-range', 'headcount:[1.000 TO 5.000]', 'headcount:[1000 TO 5000]'],
    ['bad-number', 'headcount:50-249', 'headcount:[50 TO 249]'],
    ['range-on-words', 'title:[1 TO 2]', 'tenure:[1 TO 2]'],
    ['unknown-value', 'country:Denmrk', 'country:Danmark'],
    ['unknown-value', 'hiring:true', 'hiring:yes'],
    ['unknown-value', 'mail:valid', 'mail:good'],
    ['short-wildcard', 'ab*', 'abc*'],
    ['wildcard-in-phrase', '"pharma* firm"', '"pharma firm"'],
    ['misplaced-wildcard', 'pha*rma', 'pharma*'],
    ['only-exclusions', 'NOT a', 'b NOT a'],
    ['repeated-term', 'a OR b OR A', 'a OR b'],
    ['unclosed-muted', 'a /* OR b', 'a /* OR b */'],
    ['unknown-set', 'a NOT @nobody', 'a NOT nobody'],
    [
      'covered-wording',
      '"senior quality manager" OR "quality manager"',
      '"senior quality manager" OR "quality director"'
    ],
    ['wanted-and-excluded', '(tester OR b) NOT tester', '(tester OR b) NOT test'],
    ['exclusion-hits-wanted', 'title:"test manager" NOT test', 'title:"test manager" NOT title:tests'],
    [
      'never-matches',
      'a AND headcount:[1 TO 5] AND headcount:[9 TO 20]',
      'a AND (headcount:[1 TO 5] OR headcount:[9 TO 20])'
    ],
    ['never-matches', 'country:Denmark AND country:Sweden', 'country:Denmark OR country:Sweden'],
    ['always-true', 'a AND (b OR NOT b)', 'a AND (b OR NOT c)'],
    ['several-meanings', 'title:GDP', 'title:GDP AND pharma'],
    ['spelling-pair', 'title:organisation', 'title:(organisation OR organization)'],
    ['spelling-pair', 'e-commerce', 'ecommerce OR e-commerce'],
    ['stray-sign', 'sales & marketing', 'r&d OR sales'],
    ['hidden-character', 'a\u200bb', 'a OR b'],
    ['too-long', 'a '.repeat(40_000), 'a'],
    ['too-many-terms', 'ab OR '.repeat(5_001) + 'c', 'a OR b'],
    ['too-deep', '('.repeat(201) + 'a' + ')'.repeat(201), '('.repeat(200) + 'a' + ')'.repeat(200)]
  ];
  it.each(shown)('tells %s of %j and not of %j', (code, bad, good) => {
    expect(codes(bad)).toContain(code);
    expect(codes(good)).not.toContain(code);
  });

  it.each<[string, Partial<Person>, Partial<Person>]>([
    ['headcount:[1.000 TO 5.000]', { headcount: 1500 }, { headcount: 2 }],
    ["headcount:[1'000 TO 5 000]", { headcount: 1500 }, { headcount: 2 }],
    ['headcount:50-249', { headcount: 50 }, { headcount: 250 }],
    ['headcount:50+', { headcount: 50 }, { headcount: 49 }],
    ['headcount:[50-249]', { headcount: 249 }, { headcount: 49 }],
    ['headcount:1.500', { headcount: 1500 }, { headcount: 1.5 }],
    ['growth:-5', { growth: -5 }, { growth: 5 }],
    ['growth:[-5 TO -1]', { growth: -3 }, { growth: 3 }]
  ])('reads %s as it was meant', (text, within, outside) => {
    const { query, problems } = readString(text);
    expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
    expect(matches(query!, { id: 'a', name: 'A', ...within })).toBe(true);
    expect(matches(query!, { id: 'a', name: 'A', ...outside })).toBe(false);
  });

  it('names the value meant, where one is nearly written so', () => {
    const fixed = (text: string) => {
      const fix = readString(text).problems.find(({ code }) => code === 'unknown-value')?.fix;
      return fix && applyEdits(text, fix.edits);
    };
    expect(fixed('QA country:Denmrk')).toBe('QA country:Denmark');
    expect(fixed('country:("United Kingdon" OR France)')).toBe('country:("United Kingdom" OR France)');
    expect(fixed('hiring:true QA')).toBe('hiring:yes QA');
    expect(fixed('mail:valid')).toBe('mail:good');
    expect(fixed('industry:4646')).toBe('industry:46');
    expect(fixed('industry:Großhandel')).toBe('industry:46');
    for (const fine of ['industry:46', 'industry:"computer programming"', 'industry:wholesale', 'industry:whole*'])
      expect(codes(fine)).not.toContain('unknown-value');
    expect(codes('industry:"Centro comercial xyz"')).toContain('unknown-value');
    expect(fixed('country:Utrecht')).toBeUndefined();
  });

  it('shows every code that there is', () => {
    const ofSources: ProblemCode[] = [
      'stop-words',
      'over-limit',
      'read-otherwise',
      'unlisted-fact',
      'value-not-offered'
    ];
    expect(new Set([...shown.map(([code]) => code), ...ofSources])).toEqual(new Set(problemCodes));
  });

  it.each([
    ['title:"head of', 'title:"head of"'],
    ['(a OR b', '(a OR b)'],
    ['a or b', 'a OR b'],
    ['“cold chain” –x', '"cold chain" –x'],
    ['title:quality manager', 'title:"quality manager"'],
    ['-test engineer', '-"test engineer"'],
    ['a AND b OR c', '(a AND b) OR c'],
    ['headcount:[51 TO 1,000]', 'headcount:[51 TO 1000]'],
    ['a OR b)', 'a OR b'],
    ['a /* OR b', 'a /* OR b */'],
    ['a OR b OR a', 'a OR b'],
    ['title:(x OR "senior quality manager" OR "quality manager")', 'title:(x OR "quality manager")'],
    ['"senior quality manager" OR "quality manager" OR x', '"quality manager" OR x'],
    ['title:"test manager" NOT test', 'title:"test manager"'],
    ['title:"test manager" NOT (intern OR test)', 'title:"test manager" NOT (intern)'],
    ['a AND (b OR NOT b)', 'a'],
    ['title:organisation', 'title:(organisation OR organization)'],
    ['title:(x OR "quality centre")', 'title:(x OR "quality centre" OR "quality center")']
  ])('fixes the first problem of %j', (bad, fixed) => {
    const fixable = readString(bad).problems.find(({ fix }) => fix)!;
    expect(applyEdits(bad, fixable.fix!.edits)).toBe(fixed);
  });

  it('says how mixed operators are read, and does not change it by its fix', () => {
    const text = 'a b OR c NOT d';
    const problem = readString(text).problems.find(({ code }) => code === 'mixed-operators')!;
    expect(problem.message).toContain('(a b) OR (c NOT d)');
    expect(read(applyEdits(text, problem.fix!.edits))).toBe(read(text));
  });

  it('places each problem inside the text', () => {
    fc.assert(
      fc.property(nearlyStrings, (text) => {
        for (const { from, to, message } of readString(text).problems) {
          expect(from).toBeGreaterThanOrEqual(0);
          expect(to).toBeLessThanOrEqual(text.length);
          expect(from).toBeLessThanOrEqual(to);
          expect(message.length).toBeGreaterThan(10);
        }
      })
    );
  });
});

/** Text that looks like strings but is broken in every way. */
const nearlyStrings = fc
  .array(
    fc.constantFrom(
      '(',
      ')',
      '"',
      '“',
      '[',
      ']',
      ' TO ',
      'AND',
      'OR',
      'NOT',
      '-',
      ':',
      'title:',
      'foo:',
      'headcount:',
      '*',
      'a',
      'quality',
      '5',
      ' ',
      '\n',
      '\u0000',
      '🚚',
      '&',
      '&&',
      '!'
    )
  )
  .map((pieces) => pieces.join(''));

describe('any text', () => {
  it('is read without throwing, into a query that its schema accepts', () => {
    fc.assert(
      fc.property(fc.oneof(nearlyStrings, fc.string({ unit: 'binary' })), (text) => {
        const { query } = readString(text);
        if (query) expect(querySchema.safeParse(query).error?.issues).toBeUndefined();
      }),
      { numRuns: 1000 }
    );
  });

  it('of 64 KiB, 10,000 brackets or control characters gets a sentence at once', () => {
    expect(codes('('.repeat(10_000))).toEqual(['too-deep']);
    expect(codes('"'.repeat(65_536)).length).toBeGreaterThan(0);
    expect(codes('\u0001\u0002a').length).toBeGreaterThan(0);
    expect(readString('quality OR '.repeat(4_900) + 'x').query).not.toBeNull();
  });
});

describe('print', () => {
  it('means the same when read again, on one line or laid out', () => {
    fc.assert(
      fc.property(queries(), people(8), (query, list) => {
        const again = readString(print(query));
        const laidOut = readString(layOut(query));
        expect(again.problems.filter(({ severity }) => severity === 'error')).toEqual([]);
        for (const person of list) {
          expect(matches(again.query!, person)).toBe(matches(query, person));
          expect(matches(laidOut.query!, person)).toBe(matches(query, person));
        }
      }),
      { numRuns: 500 }
    );
  });

  it('quotes words that would be read otherwise', () => {
    const word = (text: string) => print({ kind: 'word', scope: 'any', text });
    expect(word('OR')).toBe('"OR"');
    expect(word('-x')).toBe('"-x"');
    expect(word('a"b')).toBe('"a b"');
    expect(word('title:x')).toBe('"title:x"');
  });
});
