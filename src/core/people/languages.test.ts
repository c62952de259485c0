import { describe, expect, it } from 'vitest';
import { languageCode, languageName } from './languages';

// The names are those of Unicode's CLDR, as the runtime has them.
describe('languages', () => {
  it.each([
    ['de', 'de'],
    ['de-AT', 'de'],
    ['pt_BR', 'pt'],
    ['German', 'de'],
    ['Deutsch', 'de'],
    ['alemán', 'de'],
    ['français', 'fr'],
    ['Francais', 'fr'],
    ['castellano', 'es'],
    ['suomi', 'fi'],
    ['Norwegian Bokmål', 'no'],
    ['norsk', 'no'],
    ['日本語', 'ja'],
    ['flemish', 'nl'],
    ['Klingonish', undefined],
    ['', undefined],
    ['x'.repeat(80), undefined]
  ])('%s is %s', (text, code) => expect(languageCode(text)).toBe(code));

  it('are named in English, and as written where they are none', () => {
    expect(languageName('fi')).toBe('Finnish');
    expect(languageName('svenska')).toBe('Swedish');
    expect(languageName('our own')).toBe('our own');
  });
});
