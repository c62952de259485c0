import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import type { ProblemCode } from '../language/problem';
import { render } from '../dialect/render';
import { sheetSchema, type Sheet } from '../dialect/sheet';
import { harrowGuild, lanternfield, marlowRegister, quillbank } from '../dialect/sheets';
import { otherReading, sourceProblems } from './source-problems';

const problems = (text: string, sheet: Sheet) => {
  const query = parse(text).query!;
  return sourceProblems(text, query, sheet, render(query, sheet));
};
const codes = (text: string, sheet: Sheet): ProblemCode[] => problems(text, sheet).map(({ code }) => code);
const titles = Array.from({ length: 30 }, (_, i) => `"quality manager ${i}"`).join(' OR ');

describe('problems a source has with a string', () => {
  it('tells which words it drops inside quotes', () => {
    const [first] = problems('pharma AND "head of quality"', lanternfield);
    expect(first).toMatchObject({ code: 'stop-words', from: 11, to: 28 });
    expect(first!.message).toBe('Lanternfield ignores “of” inside quotes: it also finds “head quality”.');
    expect(codes('"of the"', lanternfield)).toContain('stop-words');
    expect(codes('"head of quality"', harrowGuild)).toEqual([]);
    expect(codes('"quality head"', lanternfield)).toEqual([]);
  });

  it('tells which limit cuts a string, and where it is filled', () => {
    const [first] = problems(`(${titles}) AND pharma`, lanternfield);
    expect(first).toMatchObject({ code: 'over-limit', severity: 'hint', from: 0 });
    expect(first!.message).toBe('Lanternfield takes 36 words: this string is split into 3 searches.');
    expect(codes(`"${'quality '.repeat(40)}"`, lanternfield)).toContain('over-limit');
    expect(codes('QA AND pharma', lanternfield)).toEqual([]);
  });

  it('tells a value that a source does not offer, with the nearest industries that it does', () => {
    const facts = [
      { scope: 'industry', label: 'Trade', include: true, values: ['10', '47', 'Retail trade xyz', '52', '86'] },
      { scope: 'mail', label: 'Address', include: true, values: ['good', 'none'] }
    ];
    const sheet = sheetSchema.parse({ ...quillbank, facts });
    const [first] = problems('industry:46', sheet);
    expect(first).toMatchObject({ code: 'value-not-offered', severity: 'warning', from: 0, to: 11 });
    expect(first!.message).toBe(
      'Quillbank doesn’t offer “46” for Trade, so this part finds nobody there. The nearest it offers: 47, Retail trade xyz.'
    );
    expect(problems('mail:uncertain', sheet)[0]!.message).toMatch(/finds nobody there\.$/);
    for (const text of ['industry:47', 'NOT industry:46', 'mail:GOOD', 'title:QA'])
      expect(codes(text, sheet)).not.toContain('value-not-offered');
  });

  it('tells a fact that nobody there can be checked against', () => {
    expect(codes('QA AND headcount:[51 TO 1000]', lanternfield)).toEqual(['unlisted-fact']);
    for (const text of [
      'QA NOT headcount:[1 TO 50]',
      '(title:owner AND headcount:[1 TO 49]) OR (title:QA AND headcount:[50 TO *])',
      'QA AND (headcount:[1 TO 9] OR growth:[5 TO *])'
    ])
      expect(codes(text, lanternfield), text).toEqual(['unlisted-fact']);
    for (const text of [
      'QA AND country:Denmark',
      'QA AND (country:Denmark OR headcount:[1 TO 9])',
      'QA NOT (country:Denmark AND headcount:[1 TO 50])',
      'QA NOT (country:Denmark AND NOT founded:[* TO 1990])'
    ])
      expect(codes(text, lanternfield), text).toEqual([]);
    expect(codes('QA AND headcount:[51 TO 1000]', marlowRegister)).toEqual([]);
    expect(codes('QA AND headcount:[51 TO 1000]', harrowGuild)).toEqual([]);
  });

  it('tells a string that it would read otherwise, with both readings', () => {
    expect(otherReading('QA OR RP pharma', parse('QA OR RP pharma').query!, lanternfield)).toEqual({
      here: 'QA OR (RP AND pharma)',
      there: '(QA OR RP) AND pharma'
    });
    expect(codes('title:(QA OR RP pharma) NOT intern', lanternfield)).toEqual(['read-otherwise']);
    for (const text of ['(QA OR RP) pharma', 'QA OR RP', 'QA -RP', 'headcount:[1 TO 2] OR QA RP'])
      expect(codes(text, lanternfield)).toEqual([]);
    expect(codes('QA OR RP pharma', harrowGuild)).toEqual([]);
    expect(codes('QA OR RP pharma', marlowRegister)).toEqual([]);
  });
});
