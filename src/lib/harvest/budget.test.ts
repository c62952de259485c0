import { describe, expect, it } from 'vitest';
import { readLimit } from './budget';

describe('a limit of a budget', () => {
  it('is none where nothing is typed, and a number however it is grouped', () => {
    expect(['', '  ', null].map(readLimit)).toEqual([null, null, null]);
    expect(['1,500', '1 500', "1'500", 1500, '0.5'].map(readLimit)).toEqual([1500, 1500, 1500, 1500, 0.5]);
    expect(['0', '-3', 'many', '1e999'].map(readLimit)).toEqual([undefined, undefined, undefined, undefined]);
  });
});
