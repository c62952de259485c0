import { describe, expect, it } from 'vitest';
import { PeopleIndex } from '../corpus/people-index';
import type { Person } from '../people/person';
import { parse } from '../language/parse';
import { effectOf, judgedSource } from './effect';
import { measure } from './measure';
import { candidates, type Judged } from './propose';

let number = 0;
const person = (title: string, more: Partial<Person> = {}): Person => ({
  id: `p${++number}`,
  name: 'A B',
  jobs: [{ title, company: 'Firm' }],
  ...more
});
const times = (count: number, make: () => Person) => Array.from({ length: count }, make);
const judge = (fits: readonly Person[], misses: readonly Person[]): Judged[] => [
  ...fits.map((one) => ({ person: one, fit: true })),
  ...misses.map((one) => ({ person: one, fit: false }))
];
function proposalsFor(text: string, judged: readonly Judged[], crowd = judged.map((one) => one.person)) {
  const query = parse(text).query!;
  const index = PeopleIndex.from(crowd);
  const rows = new Map(crowd.map(({ id }, row) => [id, row]));
  const source = judgedSource(
    index,
    judged.map((one) => ({ id: one.person.id, fit: one.fit })),
    (id) => rows.get(id)
  );
  return measure(text, query, candidates(query, judged), [source]);
}

describe('proposals', () => {
  it('exclude what misses have and fits do not, with what goes on both sides', () => {
    const judged = judge(
      times(8, () => person('QA Manager')),
      times(8, () => person('QA Software Tester'))
    );
    const [first] = proposalsFor('title:QA', judged);
    expect(first).toMatchObject({ kind: 'exclude', says: 'Exclude title “software”' });
    expect(first!.text.replaceAll(/\s+/g, ' ')).toBe('title:QA NOT title:software');
    expect(first!.effects[0]).toMatchObject({
      before: 16,
      after: 8,
      removed: 8,
      added: 0,
      gone: { fits: 0, misses: 8 },
      precision: { before: 0.5, after: 1 },
      missesRemoved: { share: 1 },
      fitsLost: { share: 0 }
    });
    expect(first!.effects[0]!.fitsLost!.high).toBeGreaterThan(0.2);
  });

  it('exclude what most of a few misses have and none of many fits', () => {
    const crowd = [
      ...times(160, () => person('QA Manager')),
      ...times(40, () => person('QA Consultant')),
      ...times(10, () => person('QA Analyst'))
    ];
    const is = (title: string) => crowd.filter(({ jobs }) => jobs![0]!.title === title);
    const judged = judge(is('QA Manager').slice(0, 20), [
      ...is('QA Consultant').slice(0, 3),
      ...is('QA Analyst').slice(0, 1)
    ]);
    const [first] = proposalsFor('title:QA', judged, crowd);
    expect(first).toMatchObject({ says: 'Exclude title “consultant”' });
    expect(first!.effects[0]).toMatchObject({ removed: 40, gone: { fits: 0, misses: 3 } });
    // What as many fits have is still not proposed.
    const both = judge(is('QA Consultant').slice(0, 3), [
      ...is('QA Consultant').slice(3, 6),
      ...is('QA Analyst').slice(0, 1)
    ]);
    expect(proposalsFor('title:QA', both, crowd).map(({ says }) => says)).not.toContain('Exclude title “consultant”');
  });

  it('never exclude a wanted word, a filler, or a name', () => {
    const judged = judge(
      times(8, () => person('Head of quality')),
      times(8, () => person('Manager', { name: 'Bo Quality', about: 'and this is about the quality' }))
    );
    const says = proposalsFor('quality', judged).map((one) => one.says);
    expect(says.filter((one) => /“(quality|and|the|this is|bo)”/.test(one))).toEqual([]);
    expect(says).toContain('Exclude title “manager”');
    expect(says).toContain('Look for quality in the current title only');
  });

  it('exclude values of facts', () => {
    const judged = judge(
      times(6, () => person('QA', { industry: '46' })),
      times(6, () => person('QA', { industry: '62' }))
    );
    const [first] = proposalsFor('title:QA', judged);
    expect(first!.says).toBe('Exclude industry 62 Computer programming, consultancy and related activities');
    expect(first!.text.replaceAll(/\s+/g, ' ')).toBe('title:QA NOT industry:62');
  });

  it('quote words that lost their quotes, even before anything is judged', () => {
    const crowd = [person('Head of Quality'), person('Quality Clerk', { about: 'turned my head' })];
    const [first] = proposalsFor('head of quality', [], crowd);
    expect(first).toMatchObject({ kind: 'quote', says: 'Quote “head of quality”', text: '"head of quality"' });
    expect(first!.effects[0]).toMatchObject({ missesRemoved: null, fitsLost: null });
  });

  it('drop an alternative that brings misses only, and tell two meanings apart', () => {
    const judged = judge(
      [...times(6, () => person('Quality Manager')), ...times(6, () => person('QA', { about: 'gmp batch' }))],
      [
        ...times(6, () => person('RP', { about: 'actor' })),
        ...times(6, () => person('QA', { about: 'agile selenium' }))
      ]
    );
    const text = 'title:("quality manager" OR RP OR QA)';
    const says = proposalsFor(text, judged).map((one) => one.says);
    expect(says).toContain('Leave out title:RP');
    expect(says).toContain('Want a word of “quality assurance of goods” beside qa');
    expect(says).not.toContain('Leave out title:QA');
  });

  it('add a wording and widen a fact for fits that are not found', () => {
    const missing = [
      ...times(2, () => person('Kvalitetschef', { headcount: 100 })),
      // One verdict may be a mistake: it speaks for no wording.
      person('Recruiter', { headcount: 100 }),
      person('QA', { headcount: 1100 }),
      person('QA', { headcount: 1200 })
    ];
    const judged = judge([...missing, ...times(5, () => person('QA', { headcount: 90 }))], []);
    const found = proposalsFor('title:(QA OR RP) AND headcount:[51 TO 1000]', judged);
    expect(found.map((one) => one.says)).toEqual([
      'Add title “Kvalitetschef”',
      'Let headcount reach 1,200',
      'Let headcount reach 1,100'
    ]);
    expect(found[0]!.effects[0]!.come).toEqual({ fits: 2, misses: 0 });
  });

  it('do not come when they lose more than they gain', () => {
    const judged = judge(
      times(8, () => person('QA', { about: 'lean batch' })),
      times(2, () => person('QA', { about: 'lean clouds' }))
    );
    expect(proposalsFor('title:QA', judged)).toEqual([]);
  });
});

describe('the effect of a change', () => {
  it('is nothing where nothing changes', () => {
    const crowd = times(3, () => person('QA'));
    const index = PeopleIndex.from(crowd);
    const query = parse('QA').query!;
    expect(
      effectOf(
        query,
        query,
        judgedSource(index, [], () => undefined)
      )
    ).toMatchObject({
      before: 3,
      after: 3,
      removed: 0,
      added: 0,
      gone: { fits: 0, misses: 0 },
      come: { fits: 0, misses: 0 },
      precision: { before: null, after: null }
    });
  });
});
