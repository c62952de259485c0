import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { readDay, writeDay } from './days';
import { parse } from './parse';
import { print } from './print';

const codes = (text: string) => parse(text).problems.map(({ code }) => code);
const printed = (text: string) => print(parse(text).query!);

describe('own fields in a string', () => {
  it.each([
    ['own.diet:vegan', 'own.diet:vegan'],
    ['OWN.Diet:"no pork"', 'own.diet:"no pork"'],
    ['own.menú_vegano:yes', 'own.menú_vegano:yes'],
    ['own.score:[3 TO *]', 'own.score:[3 TO *]'],
    ['own.score:-5', 'own.score:[-5 TO -5]'],
    ['own.seen:[2026-01-31 TO *]', 'own.seen:[2026-01-31 TO *]'],
    ['own.seen:[2026-02 TO 2026-02]', 'own.seen:[2026-02-01 TO 2026-02-28]'],
    ['own.diet:(vegan OR own.score:[1 TO 2])', 'own.diet:vegan OR own.score:[1 TO 2]']
  ])('%s is read, and written again', (text, again) => {
    expect(codes(text)).toEqual([]);
    expect(printed(text)).toBe(again);
    expect(parse(again).problems).toEqual([]);
  });

  it.each([
    ['own.:x', 'a name is wanted'],
    ['title:[2026-01-01 TO *]', 'a range on words'],
    ['headcount:[2026-01-01 TO *]', 'a day on a number'],
    ['own.seen:[2026-13-01 TO *]', 'no such month'],
    ['own.seen:[2026-02-30 TO *]', 'no such day']
  ])('%s is told: %s', (text) => expect(codes(text).length).toBeGreaterThan(0));

  it('quote what stands behind them when words are forgotten', () => {
    const [problem] = parse('own.diet:no pork').problems;
    expect(problem!.code).toBe('unquoted-title');
    expect(problem!.fix!.edits[0]!.insert).toBe('"no pork"');
  });

  it('days and their numbers are each other’s', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1000-01-01'), max: new Date('9999-12-31'), noInvalidDate: true }),
        (date) => {
          const text = date.toISOString().slice(0, 10);
          const day = readDay(text)!;
          expect(writeDay(day)).toBe(text);
        }
      )
    );
    fc.assert(
      fc.property(fc.integer(), (number) => {
        const text = writeDay(number);
        if (text !== null) expect(readDay(text)).toBe(number);
      })
    );
  });
});
