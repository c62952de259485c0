import { describe, expect, it } from 'vitest';
import type { Person } from '../people/person';
import { exactMatching } from '../semantics/exact-matching';
import { matchingOf } from '../semantics/matching';
import { parse } from '../language/parse';
import { whyLacking } from './why-lacking';

const query = parse('title:quality AND country:Denmark').query!;
const person = (more: Partial<Person> = {}): Person => ({
  id: 'a',
  name: 'Anna Ström',
  jobs: [{ title: 'Head of Quality', company: 'Nordkyl' }],
  country: 'DK',
  ...more
});
const why = (there: Person | null, brought = false, matching = exactMatching, asked = query) =>
  whyLacking(asked, { person: person(), matching: exactMatching }, there && { person: there, matching, brought });

describe('why a source doesn’t have someone', () => {
  it('is that it has no record, or shows no further', () => {
    expect(why(null)).toBe('not in it');
    expect(why(person())).toBe('beyond what it shows');
  });
  it('is an older job, a fact it does not tell, or less text', () => {
    expect(why(person({ jobs: [{ title: 'Driver', company: 'Nordkyl' }] }))).toBe('another job in its record');
    const placeless = person();
    delete placeless.country;
    expect(why(placeless)).toBe('facts it does not list');
    expect(why(placeless, true)).toBe('removed by the left-over part');
    expect(why(person({ country: 'SE' }))).toBe('says less of them');
  });
  it('is that it compares words otherwise', () => {
    const stemmed = matchingOf({ stemming: 'english', diacritics: 'folded', stopWords: ['quality'] });
    expect(why(person(), false, stemmed)).toBe('compares words otherwise');
  });
});
