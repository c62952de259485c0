import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readBounds, readNumber, writeNumber } from './numbers';
import { parse } from './parse';
import { print } from './print';
import type { Query } from './query';

describe('numbers', () => {
  it('are written so that strings read them back', () => {
    const any = fc.oneof(
      fc.double({ noNaN: true, noDefaultInfinity: true }),
      fc.constantFrom(1e-7, 1e21, -1e-300, 1.5e300)
    );
    fc.assert(
      fc.property(any, any, (a, b) => {
        expect(readNumber(writeNumber(a))!.value).toBe(a === 0 ? 0 : a);
        const query: Query = { kind: 'range', scope: 'growth', low: Math.min(a, b), high: Math.max(a, b) };
        const { query: again, problems } = parse(print(query));
        expect(problems).toEqual([]);
        expect(again).toMatchObject({ low: query.low === 0 ? 0 : query.low, high: query.high === 0 ? 0 : query.high });
      })
    );
  });
  it.each([
    ['1.000', 1000],
    ["12'345'678", 12_345_678],
    ['1.5', 1.5],
    ['-5', -5],
    ['1e5', undefined],
    ['1.00', 1]
  ])('reads %s as %s', (text, value) => expect(readNumber(text)?.value).toBe(value));
  it.each([
    ['50-249', { low: 50, high: 249 }],
    ['1.000–5.000', { low: 1000, high: 5000 }],
    ['50+', { low: 50, high: null }],
    ['>=50', { low: 50, high: null }],
    ['<=50', { low: null, high: 50 }],
    ['big', null]
  ])('reads the bounds %s', (text, bounds) => expect(readBounds(text)).toEqual(bounds));
});
