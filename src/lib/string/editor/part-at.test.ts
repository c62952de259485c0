import { describe, expect, it } from 'vitest';
import { setQueries, parse, print } from '$core/language';
import { partAt } from './part-at';

const at = (text: string, place: number, sets?: ReturnType<typeof setQueries>) => {
  const part = partAt(parse(text, sets).query!, place);
  return part && print(part);
};

describe('the part at a place', () => {
  it.each([
    ['title:("head of quality" OR QA) NOT intern', 10, 'title:"head of quality"'],
    ['title:("head of quality" OR QA) NOT intern', 29, 'title:QA'],
    ['title:("head of quality" OR QA) NOT intern', 38, 'intern'],
    ['title:("head of quality" OR QA) NOT intern', 26, null],
    ['headcount:[51 TO 1000]', 12, 'headcount:[51 TO 1000]']
  ])('%s at %i is %j', (text, place, part) => expect(at(text, place)).toBe(part));

  it('is a whole word set where its name stands', () => {
    expect(at('title:@heads x', 9, setQueries([{ name: 'heads', wordings: ['QA', 'RP'] }]))).toBe('title:(QA OR RP)');
  });
});
