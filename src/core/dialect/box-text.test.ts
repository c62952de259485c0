import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { sheets } from '../../../tests/generate/sheets';
import { matcher } from '../semantics/matches';
import { matchingOf } from '../semantics/matching';
import { parse } from '../language/parse';
import { print } from '../language/print';
import type { Query } from '../language/query';
import { lexBox, readBox, writeBox } from './box-text';
import { rescope, useOfText } from './search';
import type { Box } from './sheet';
import { harrowGuild, lanternfield, marlowRegister } from './sheets';

const full: Box = { ...harrowGuild.boxes[0]! };
const box = (change: Partial<Box>): Box => ({ ...full, ...change });
const written = (text: string, change: Partial<Box> = {}) => writeBox(parse(text).query!, box(change));
const read = (text: string, change: Partial<Box> = {}) => {
  const query = readBox(text, box(change));
  return query && print(query);
};

describe('a query written in a box', () => {
  it.each<[string, Partial<Box>, string | null]>([
    ['a AND b', {}, 'a AND b'],
    ['a b NOT c', {}, 'a AND b NOT c'],
    ['(a OR b) c', {}, '(a OR b) AND c'],
    ['a NOT b NOT c', {}, 'a NOT (b OR c)'],
    ['a NOT b NOT c', { not: '-' }, 'a -b -c'],
    ['a NOT b', { not: null }, null],
    ['a OR b', { or: '|' }, 'a | b'],
    ['a OR b', { or: ',' }, 'a, b'],
    ['a OR b', { or: null }, null],
    ['a OR b', { or: null, beside: 'or' }, 'a b'],
    ['a AND b', { and: null }, 'a b'],
    ['a AND b', { and: null, beside: 'or' }, null],
    ['a AND NOT b', { beside: 'or' }, 'a AND NOT b'],
    ['"a b" OR c', { phrase: false }, null],
    ['"a b" OR c', { phrase: false, beside: 'phrase' }, 'a b OR c'],
    ['NOT "a b"', { phrase: false, beside: 'phrase' }, null],
    ['pharma*', {}, 'pharma*'],
    ['pharma*', { prefix: false }, null],
    ['(a OR b) c', { group: false }, null],
    ['(a OR b) c', { group: false, binding: 'or-first' }, 'a OR b AND c'],
    ['(a AND b) OR c', { group: false }, 'a AND b OR c'],
    ['(a AND b) OR c', { group: false, binding: 'or-first' }, null],
    ['c (a OR b)', { group: false, binding: 'left-to-right' }, 'a OR b AND c'],
    ['(c OR d) (a OR b)', { group: false, binding: 'left-to-right' }, null],
    ['a', { opening: 'site:x.example' }, 'site:x.example a']
  ])('%s in %j is %j', (text, change, outcome) => expect(written(text, change)).toBe(outcome));

  it('puts alternatives first where they must be, a group of one around them or not', () => {
    const word = (text: string) => ({ kind: 'word' as const, scope: 'any' as const, text });
    const query: Query = {
      kind: 'and',
      parts: [word('a'), { kind: 'or', parts: [{ kind: 'or', parts: [word('b'), word('c')] }] }]
    };
    expect(writeBox(query, box({ group: false, binding: 'left-to-right' }))).toBe('b OR c AND a');
  });

  it('reads back as itself wherever it can be written', () => {
    let compared = 0;
    fc.assert(
      fc.property(sheets, queries(3, fc.constant('any')), people(12), (sheet, query, list) => {
        for (const one of sheet.boxes) {
          const own = rescope(query, one.searches);
          const text = writeBox(own, one);
          if (text === null) continue;
          compared++;
          const matching = matchingOf(sheet.matching);
          const [means, reads] = [matcher(own, matching), matcher(readBox(text, one)!, matching)];
          for (const person of list) expect([text, reads(person)]).toEqual([text, means(person)]);
        }
      }),
      { numRuns: 1500 }
    );
    expect(compared).toBeGreaterThan(400);
  });
});

describe('a text read as a box reads it', () => {
  it.each<[string, Partial<Box>, string | null]>([
    ['a b OR c', {}, '(a AND b) OR c'],
    ['a b OR c', { binding: 'or-first' }, 'a AND (b OR c)'],
    ['a OR b AND c', { binding: 'left-to-right' }, '(a OR b) AND c'],
    ['a AND b OR c', { binding: 'left-to-right' }, '(a AND b) OR c'],
    ['a b', { beside: 'or' }, 'a OR b'],
    ['quality manager OR a', { beside: 'phrase' }, '"quality manager" OR a'],
    ['a -b', { not: '-' }, 'a NOT b'],
    ['well-known -b', { not: '-' }, '"well-known" NOT b'],
    ['a - b', { not: '-' }, 'a AND b'],
    ['a !b', { not: '!' }, 'a NOT b'],
    ['r&d & c++', { and: '&' }, 'r&d AND c++'],
    ['a;b ; c', { or: ';' }, 'a OR b OR c'],
    ['a OR b', { or: '|' }, 'a AND "OR" AND b'],
    ['NOT NOT a', {}, 'a'],
    ['((a OR b', {}, 'a OR b'],
    ['a)) b', {}, 'a AND b'],
    ['OR AND', {}, null],
    ['"never closed', {}, '"never closed"'],
    ['(a b)', { group: false }, 'a AND b'],
    ['"a b"', { phrase: false }, 'a AND b'],
    ['pharm* x', { prefix: false }, 'pharm AND x'],
    ['site:x.example a', { opening: 'site:x.example' }, 'a'],
    ['   ', {}, null]
  ])('%j in %j is %j', (text, change, outcome) => expect(read(text, change)).toBe(outcome));

  it('is cut in a time that grows with its length', () => {
    const long = 'quality OR "head of quality" -intern ('.repeat(20_000);
    expect(lexBox(long, lanternfield.boxes[0]!).length).toBeGreaterThan(60_000);
    expect(readBox('('.repeat(50_000) + 'a', full)).not.toBeNull();
  });
});

describe('what limits count', () => {
  it.each<[string, Box, object]>([
    ['a AND (b OR "c d") NOT e', full, { characters: 24, words: 5, operators: 3, nesting: 1 }],
    ['site:lanternfield.example a OR b -c', lanternfield.boxes[0]!, { characters: 35, words: 4, operators: 2 }],
    ['head of quality', marlowRegister.boxes[0]!, { words: 3, operators: 0, nesting: 0 }],
    ['((a))', full, { nesting: 2, words: 1 }]
  ])('%s', (text, one, use) => expect(useOfText(text, one)).toMatchObject(use));
});
