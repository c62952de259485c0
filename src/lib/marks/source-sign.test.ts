import { describe, expect, it } from 'vitest';
import { sourceSign } from './source-sign';

describe('the sign of a source', () => {
  it.each([
    ['Harrow Guild', 'HG'],
    ['Lanternfield', 'La'],
    ['  my  own file of people', 'MO'],
    ['Ökobörse', 'Ök'],
    ['', '']
  ])('of %j is %j', (name, sign) => expect(sourceSign(name)).toBe(sign));
});
