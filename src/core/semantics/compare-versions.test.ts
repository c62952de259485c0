import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { queries } from '../../../tests/generate/queries-and-people';
import { compareVersions } from './compare-versions';
import { print } from '../language/print';

describe('compareVersions', () => {
  const received = (before: string, after: string) =>
    compareVersions(before, after).map(
      ({ change, text, place, before }) => `${change} ${text}: ${before ? `${before} → ` : ''}${place}`
    );

  it.each<[string, string, string[]]>([
    ['title:(QA OR RP)', 'title:(QA OR RP OR GDP)', ['added GDP: title, beside QA and 1 more']],
    ['title:(QA OR RP) NOT intern', 'title:(QA OR RP)', ['removed intern: whole profile, excluded']],
    ['title:(QA OR RP)', 'title:(RP OR QA)', []],
    ['QA pharma', 'pharma QA', []],
    ['QA pharma', 'title:QA pharma', ['moved QA: whole profile → title']],
    ['(QA OR RP) software', '(QA OR RP) NOT software', ['moved software: whole profile → whole profile, excluded']],
    [
      '(QA OR RP) (pharma OR chilled)',
      '(QA OR RP OR pharma) chilled',
      ['moved pharma: whole profile, beside chilled → whole profile, beside QA and 1 more']
    ],
    ['QA pharma', 'QA /* AND pharma */', ['moved pharma: whole profile → whole profile, disabled']],
    ['title:"head of quality"', 'title:"Head of  Quality"', []],
    ['QA', 'title:(', ['removed QA: whole profile']],
    ['a a', 'a', ['removed a: whole profile']]
  ])('%s to %s', (before, after, changes) => expect(received(before, after)).toEqual(changes));

  it('tells nothing of a string and itself, and what one side adds the other removes', () => {
    fc.assert(
      fc.property(queries(), queries(), (a, b) => {
        const [one, two] = [print(a), print(b)];
        expect(compareVersions(one, one)).toEqual([]);
        const count = (changes: { change: string }[], kind: string) =>
          changes.filter(({ change }) => change === kind).length;
        const [there, back] = [compareVersions(one, two), compareVersions(two, one)];
        expect(count(there, 'added')).toBe(count(back, 'removed'));
        expect(count(there, 'removed')).toBe(count(back, 'added'));
      })
    );
  });
});
