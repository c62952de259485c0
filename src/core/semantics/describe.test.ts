import fc from 'fast-check';
import { describe as suite, expect, it } from 'vitest';
import { queries } from '../../../tests/generate/queries-and-people';
import { describe } from './describe';
import { parse } from '../language/parse';

suite('describe', () => {
  it.each([
    [
      'title:"head of quality" headcount:[51 TO 500] NOT intern',
      'People whose current title has “head of quality”, at firms of 51 to 500 people, but nobody whose profile has “intern”.'
    ],
    [
      'title:(QA OR RP) AND country:(Denmark OR SE)',
      'People whose current title has “QA” or “RP”, in the country Denmark or Sweden.'
    ],
    ['pharma*', 'People whose profile has a word beginning with “pharma”.'],
    ['NOT intern', 'Everybody, but nobody whose profile has “intern”.'],
    [
      'title:(QA AND (pharma OR chilled))',
      'People whose current title has “QA”, whose current title has “pharma” or “chilled”.'
    ],
    [
      '(headcount:[1 TO 49] title:owner) OR title:QA',
      'People either (at firms of 1 to 49 people and whose current title has “owner”) or whose current title has “QA”.'
    ],
    [
      'growth:[10 TO *] tenure:[* TO 6] moved:[0 TO 90] founded:[1990 TO *]',
      'People at firms that grew by 10% or more in a year, in the role for up to 6 months, who changed jobs 0 to 90 days ago, at firms founded in 1990 or later.'
    ],
    [
      'industry:46 mail:good NOT rank:intern',
      'People in the industry Wholesale trade, except of motor vehicles and motorcycles, whose mail address is good, but nobody of the rank “intern”.'
    ]
  ])('%s', (text, words) => expect(describe(parse(text).query!)).toBe(words));

  it('says something of every query, and names each of its words', () => {
    fc.assert(
      fc.property(queries(), (query) => {
        const words = describe(query);
        expect(words).toMatch(/^(People|Everybody).*\.$/);
        expect(words).not.toContain('undefined');
      })
    );
  });
});

suite('own fields and languages', () => {
  const says = (text: string) => describe(parse(text).query!);
  it('are described by the name of their column', () => {
    expect(says('own.n_o_de_cubiertos:[100 TO *] own.menú:vegano language:de')).toBe(
      'People whose “n o de cubiertos” is 100 or more, whose “menú” has “vegano”, whose profile is in the language German.'
    );
    expect(says('own.seen:[2026-01 TO *]')).toBe('People whose “seen” is 2026-01-01 or later.');
    expect(says('own.seen:[2026-01-01 TO 2026-02-28]')).toBe('People whose “seen” is 2026-01-01 to 2026-02-28.');
    expect(says('own.score:[* TO 5]')).toBe('People whose “score” is up to 5.');
  });
});
