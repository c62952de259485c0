import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isDeep, parseWellFormed, parseWithoutZero } from './safe-json';

const depthOf = (value: unknown): number =>
  value !== null && typeof value === 'object' ? 1 + Math.max(0, ...Object.values(value).map(depthOf)) : 0;

describe('the depth of a JSON text', () => {
  it('is found without parsing it, with or without brackets and quotes in strings', () => {
    fc.assert(
      fc.property(fc.jsonValue(), fc.nat(6), (value, most) => {
        expect(isDeep(JSON.stringify(value), most)).toBe(depthOf(value) > most);
      })
    );
  });

  it('is linear and safe for what is no JSON', () => {
    expect(isDeep('['.repeat(1_000_000), 64)).toBe(true);
    expect(isDeep('"\\'.repeat(1000), 64)).toBe(false);
  });
});

describe('JSON', () => {
  it('is read as ever, with halves of a sign replaced however they are written', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const text = JSON.stringify(value);
        expect(parseWellFormed(text)).toEqual(JSON.parse(text));
      })
    );
    expect(parseWellFormed('{"a": "x\\ud83d", "b": ["\\ude00y"]}')).toEqual({
      a: 'x\ufffd',
      b: ['\ufffdy']
    });
    expect(parseWellFormed('"\\ud83d\\ude00 😀"')).toBe('😀 😀');
  });

  it('is read without the character zero where that is asked, in texts and in keys', () => {
    expect(parseWithoutZero('{"na\\u0000me": "A\\u0000na", "list": ["\\u0000", 0]}')).toEqual({
      name: 'Ana',
      list: ['', 0]
    });
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        expect(JSON.stringify(parseWithoutZero(JSON.stringify(value)))).not.toMatch(/[^\\](\\\\)*\\u0000/);
      })
    );
  });
});
