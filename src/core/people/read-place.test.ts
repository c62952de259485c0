import { describe, expect, it } from 'vitest';
import { matches } from '../semantics/matches';
import { parse } from '../language/parse';
import type { Person } from './person';
import { withPlaceRead } from './read-place';

describe('a place and its country', () => {
  it.each<[Partial<Person>, Partial<Person>]>([
    [{ place: 'Palma, España' }, { place: 'Palma, España', country: 'ES', read: ['country'] }],
    [{ place: 'Utrecht' }, { place: 'Utrecht', country: 'NL', read: ['country'] }],
    [{ country: 'Palma, España' }, { place: 'Palma', country: 'ES', read: ['place', 'country'] }],
    [
      { place: 'Malmö', country: 'Malmö, Sverige' },
      { place: 'Malmö', country: 'SE', read: ['country'] }
    ],
    [
      { place: 'Utrecht', country: 'Belgium' },
      { place: 'Utrecht', country: 'Belgium' }
    ],
    [{ place: 'Somewhere' }, { place: 'Somewhere' }],
    [{ place: 'København (Danmark)' }, { place: 'København (Danmark)', country: 'DK', read: ['country'] }],
    [{ country: 'Atlantis' }, { country: 'Atlantis' }]
  ])('%j is read as %j', (received, read) => {
    expect(withPlaceRead({ id: 'a', name: 'A', ...received })).toEqual({ id: 'a', name: 'A', ...read });
  });

  it('meet strings that ask for either', () => {
    const person = withPlaceRead({ id: 'a', name: 'A', place: 'Palma, España' });
    expect(matches(parse('country:Spain').query!, person)).toBe(true);
    expect(matches(parse('place:Palma AND country:España').query!, person)).toBe(true);
    expect(matches(parse('country:Portugal').query!, person)).toBe(false);
  });
});
