import { describe, expect, it } from 'vitest';
import type { Person } from '$core/people';
import { parse } from '$core/language';
import { causesByPerson } from './causes-by-person';
import { causesOffered, certainties, verdictsShown } from './sample-filter';

const sample = [
  { verdict: null, unlisted: [] },
  { verdict: { verdict: 'fit' as const }, unlisted: ['rank:head'] },
  { verdict: { verdict: 'miss' as const }, unlisted: [] },
  { verdict: { verdict: 'unsure' as const }, unlisted: [] }
];
const places = (holds: (one: (typeof sample)[number]) => boolean) =>
  sample.flatMap((one, i) => (holds(one) ? [i] : []));

describe('a list of people drawn', () => {
  it('is narrowed by verdict: each stands under all, and under one other', () => {
    const { all, ...others } = verdictsShown;
    expect(places(all.holds)).toEqual([0, 1, 2, 3]);
    expect(Object.values(others).flatMap(({ holds }) => places(holds))).toEqual([0, 1, 2, 3]);
  });
  it('is filtered by certainty', () => {
    expect(places(certainties.certain.holds)).toEqual([0, 2, 3]);
    expect(places(certainties.possible.holds)).toEqual([1]);
    expect(places(certainties.all.holds)).toHaveLength(4);
  });

  it('is filtered by matching term, the most frequent first', () => {
    const one = (id: string, title: string, skills: string[]): { person: Person } => ({
      person: { id, name: id, jobs: [{ title, company: 'Brisk Foods' }], skills }
    });
    const { query } = parse('title:(chef OR cook) AND (oven OR hygiene)');
    const causes = causesByPerson(
      query!,
      [one('a', 'Head Chef', ['oven']), one('b', 'Cook', ['oven', 'hygiene']), one('c', 'Chef', ['hygiene'])],
      { stemming: null, diacritics: 'kept', stopWords: [] }
    );
    expect(causes.get('b')).toEqual(expect.arrayContaining(['title:cook', 'oven', 'hygiene']));
    expect(causesOffered(causes).map(({ term, people }) => [term, people])).toEqual([
      ['hygiene', 2],
      ['oven', 2],
      ['title:chef', 2],
      ['title:cook', 1]
    ]);
  });
});
