import { describe, expect, it } from 'vitest';
import type { Person } from '../people/person';
import { matches } from '../semantics/matches';
import { parse } from '../language/parse';
import { meanings } from './meanings';
import { ambiguousIn, countSenses, senseIn, tellApart } from './senses';

const person = (title: string, about = ''): Person => ({
  id: title,
  name: 'A B',
  jobs: [{ title, company: 'C' }],
  about
});
const query = (text: string) => parse(text).query!;
const [goods, software] = meanings('qa').map(({ name }) => name);

describe('the meanings of a word among people', () => {
  it('are recognised by the words around it', () => {
    expect([goods, software]).toEqual(['quality assurance of goods', 'testing of software']);
    expect(senseIn('QA', person('QA Manager GMP'))).toBe(0);
    expect(senseIn('QA', person('QA Tester'))).toBe(1);
    expect(senseIn('QA', person('QA Manager', 'Agile and automation. Once in food.'))).toBe(1);
  });
  it('are left open where nothing indicates one or two are indicated alike, and not asked for without the word', () => {
    expect(senseIn('QA', person('QA Manager'))).toBeNull();
    expect(senseIn('QA', person('QA', 'food software'))).toBeNull();
    expect(senseIn('QA', person('Quality Manager', 'food'))).toBeUndefined();
  });
  it('are counted', () => {
    const people = [person('QA Tester'), person('QA batch lead'), person('QA lead'), person('Nurse')];
    expect(countSenses(['qa'], people)).toEqual([{ word: 'qa', people: 3, senses: [1, 1] }]);
  });
});

describe('ambiguous words of a string', () => {
  it('are those that stand by themselves and are wanted', () =>
    expect(ambiguousIn(query('title:(QA OR "QA manager") NOT gdp')).map(({ word }) => word)).toEqual(['qa']));

  it('are distinguished by asking for a word beside them', () => {
    const text = 'title:(QA OR "quality manager") AND country:Denmark';
    const { asking } = tellApart(text, query(text), ambiguousIn(query(text))[0]!, 0);
    expect(asking).toContain('title:((QA AND any:(pharma OR food');
    const dane = (one: Person): Person => ({ ...one, country: 'DK' });
    const after = query(asking!);
    expect(matches(after, dane(person('QA', 'pharma')))).toBe(true);
    expect(matches(after, dane(person('QA', 'software')))).toBe(false);
    expect(matches(after, dane(person('quality manager')))).toBe(true);
  });

  it('are distinguished by leaving the other meanings out, never a word that is wanted', () => {
    const text = 'QA OR automation';
    const { excluding } = tellApart(text, query(text), ambiguousIn(query(text))[0]!, 0);
    expect(excluding).toMatch(/^\(QA OR automation\)\nNOT \(software OR/);
    expect(excluding!.split('NOT')[1]).not.toContain('automation');
    expect(matches(query(excluding!), person('QA', 'software'))).toBe(false);
    expect(matches(query(excluding!), person('QA'))).toBe(true);
  });
});
