import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { packStrings, stringAt, unpackStrings } from './packed-strings';

describe('packed strings', () => {
  it('are the same again, all together and one by one, in memory that is shared too', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ unit: 'grapheme' }), { maxLength: 40 }), (texts) => {
        for (const memory of [undefined, (bytes: number) => new SharedArrayBuffer(bytes)]) {
          const packed = packStrings(texts, memory);
          expect(unpackStrings(packed)).toEqual(texts);
          texts.forEach((text, i) => expect(stringAt(packed, i)).toBe(text));
          expect(stringAt(packed, texts.length)).toBeUndefined();
        }
      })
    );
  });

  it('keep a byte order mark and the empty text', () => {
    const texts = ['', '\ufeffa', '', '😀', ''];
    expect(unpackStrings(packStrings(texts))).toEqual(texts);
    expect(stringAt(packStrings(texts), 1)).toBe('\ufeffa');
  });
});
