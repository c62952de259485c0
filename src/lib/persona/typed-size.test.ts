import { describe, expect, it } from 'vitest';
import { readSize, shownSize } from './typed-size';

describe('a size that is typed', () => {
  it.each([
    ['', null],
    ['51', 51],
    ['1,000', 1000],
    ['12 500', 12500],
    ["1'000", 1000],
    ['many', Number.NaN],
    ['-5', Number.NaN]
  ])('%j is %j', (typed, value) => expect(readSize(typed)).toBe(value));

  it('stays as it was typed while it means what is kept', () => {
    expect(shownSize('1,000', 1000)).toBe('1,000');
    expect(shownSize('1,000', 51)).toBe('51');
    expect(shownSize('51', null)).toBe('');
    expect(shownSize('many', Number.NaN)).toBe('many');
    expect(shownSize('many', null)).toBe('many');
  });
});
