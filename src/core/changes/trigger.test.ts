import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { print } from '../language';
import type { Person } from '../people/person';
import { truthOf } from '../semantics';
import { readTrigger, triggerReader, type Before } from './trigger';

const person = (more: Partial<Person>, title = 'QA Manager', company = 'Old A/S'): Person => ({
  id: '1',
  name: 'Ada Nord',
  jobs: [{ title, company }],
  ...more
});
const reading = (rule: string, of: Before) => {
  const { trigger, problems } = readTrigger(rule);
  expect(problems).toEqual([]);
  return triggerReader(trigger!)(of);
};

describe('a rule of when somebody is news', () => {
  it('is read on what is listed now as any string is, and with was. on what was listed before', () => {
    fc.assert(
      fc.property(queries(), people(2), (query, list) => {
        const [now, before] = [list[0], list.at(-1)];
        if (!now || !before) return;
        const text = print(query);
        const { trigger } = readTrigger(text);
        if (!trigger) return;
        expect(triggerReader(trigger)({ now, before })).toBe(truthOf(trigger.query, now));
        const earlier = readTrigger(`was.any:(${text})`);
        expect(triggerReader(earlier.trigger!)({ now, before })).toBe(truthOf(trigger.query, before));
      }),
      { numRuns: 500 }
    );
  });

  const [before, now] = [
    person({ country: 'DK', headcount: 100, moved: 900 }),
    person({ country: 'SE', headcount: 120, moved: 30 }, 'Head of Quality', 'New AB')
  ];
  it.each([
    ['changed:company', 'met'],
    ['changed:Country', 'met'],
    ['changed:name', 'not met'],
    ['changed:place', 'unknown'],
    ['NOT changed:place', 'unknown'],
    ['was.company:"old a/s" company:new', 'met'],
    ['was.title:(manager OR director) NOT title:manager', 'met'],
    ['was.title:head', 'not met'],
    ['moved:[* TO 90] NOT was.moved:[* TO 90]', 'met'],
    ['was.hiring:yes', 'unknown'],
    // Another firm has not grown.
    ['grown:[10 TO *]', 'unknown'],
    ['leaders:[* TO 90]', 'unknown'],
    ['title:"was.company:x" OR changed:title', 'met']
  ])('%s: %s', (rule, expected) => expect(reading(rule, { before, now })).toBe(expected));

  it('tells growth of the same firm, leaders, and nothing of before where there was none', () => {
    const grew = person({ headcount: 111 });
    expect(reading('grown:[10 TO *]', { before: person({ headcount: 100 }), now: grew })).toBe('met');
    expect(reading('grown:[12 TO *]', { before: person({ headcount: 100 }), now: grew })).toBe('not met');
    // Every growth of exactly so many per cent, of firms of up to 300 people.
    for (let then = 1; then <= 300; then++)
      for (const per of [1, 5, 12.5, 20, 33, 70, 110, 140])
        if ((then * per) % 100 === 0) {
          const both = { before: person({ headcount: then }), now: person({ headcount: then + (then * per) / 100 }) };
          expect(reading(`grown:[${per} TO *]`, both), `${then} by ${per}`).toBe('met');
          expect(reading(`grown:[* TO ${per}]`, both), `${then} by ${per}`).toBe('met');
          expect(reading(`grown:[${per + 0.1} TO *]`, both), `${then} by ${per}`).toBe('not met');
        }
    expect(reading('leaders:[* TO 90]', { before, now, leaders: 12 })).toBe('met');
    expect(reading('changed:company', { before: null, now })).toBe('unknown');
    expect(reading('was.title:qa', { before: null, now })).toBe('unknown');
    expect(reading('-changed:country', { before, now })).toBe('not met');
    expect(reading('-was.title:qa', { before, now })).toBe('not met');
  });

  it.each([
    ['changed:shoes', /title, company, country/],
    ['changed:[1 TO 2]', /./],
    ['grown:lots', /number/],
    ['', /changed:company/],
    ['was.shoes:red', /was\./],
    ['title:(', /./]
  ])('says what is wrong with %j', (rule, words) => {
    const { trigger, problems } = readTrigger(rule);
    expect(trigger).toBeNull();
    expect(problems.join(' ')).toMatch(words);
  });
});
