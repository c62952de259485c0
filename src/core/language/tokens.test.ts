import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { tokenKeys, tokens } from './tokens';

describe('tokens', () => {
  it('are those of the whole text in compatible form, however its signs were composed', () => {
    const awkward = fc.constantFrom(
      '각',
      '\u1100\u1161\u11a8',
      'ｶﾞ',
      'ﾊﾟ',
      'é',
      'e\u0301',
      'ﬁ',
      'Ⅳ',
      'q\u0323\u0307',
      'ｑ',
      ' ',
      'a',
      '－'
    );
    fc.assert(
      fc.property(fc.array(awkward, { maxLength: 12 }), (list) => {
        const text = list.join('');
        const keys = tokens(text).map(({ key }) => key);
        expect(keys).toEqual(tokenKeys(text.normalize('NFKC')));
        expect(tokenKeys(text)).toEqual(keys);
        for (const { from, to } of tokens(text)) expect(from >= 0 && to <= text.length && from < to).toBe(true);
      })
    );
    expect(tokenKeys('\u1112\u1161\u11ab\u1100\u1173\u11af')).toEqual(['한글']);
    expect(tokenKeys('ｶﾞｽ')).toEqual(['ガス']);
  });

  it.each([
    ['Head of Quality', ['head', 'of', 'quality']],
    ['C++ and .NET, R&D; c#', ['c++', 'and', '.net', 'r&d', 'c#']],
    ['ask name@firm.example now.', ['ask', 'name@firm.example', 'now']],
    ['e-commerce / QA', ['e', 'commerce', 'qa']],
    ['Größe GROSSE', ['grösse', 'grosse']],
    ['ＱＡ Ⅳ ﬁt', ['qa', 'iv', 'fit']],
    ['snake_case _x_', ['snake_case', 'x']],
    ['QA+ 10+ wait...what', ['qa', '10', 'wait', 'what']],
    ['🚚 !?', []]
  ])('cuts %j', (text, keys) => expect(tokenKeys(text)).toEqual(keys));

  it('folds case as Unicode does, and keeps diacritics', () => {
    expect(tokenKeys('ΟΔΟΣ οδός Søren SØREN')).toEqual(['οδοσ', 'οδόσ', 'søren', 'søren']);
  });

  it('joins a letter with the accent typed after it', () => expect(tokenKeys('Kvalite\u0301')).toEqual(['kvalité']));

  it('tells places that hold the word, whatever the text', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const found = tokens(text);
        expect(found.map(({ key }) => key)).toEqual(tokenKeys(text));
        let last = 0;
        for (const { from, to } of found) {
          expect(from).toBeGreaterThanOrEqual(Math.min(last, from));
          expect(to).toBeGreaterThan(from);
          expect(to).toBeLessThanOrEqual(text.length);
          last = to;
        }
      })
    );
  });
});
