import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { tokenKeys, tokens } from './tokens';

describe('tokens', () => {
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
