import { describe, expect, it } from 'vitest';
import { told, verdictsShown } from './sample-filter';

const sample = [
  { verdict: null, untold: [] },
  { verdict: { verdict: 'fit' as const }, untold: ['rank:head'] },
  { verdict: { verdict: 'miss' as const }, untold: [] },
  { verdict: { verdict: 'unsure' as const }, untold: [] }
];
const places = (holds: (one: (typeof sample)[number]) => boolean) =>
  sample.flatMap((one, i) => (holds(one) ? [i] : []));

describe('a list of people drawn', () => {
  it('is narrowed by verdict: each stands under all, and under one other', () => {
    const { all, ...others } = verdictsShown;
    expect(places(all.holds)).toEqual([0, 1, 2, 3]);
    expect(Object.values(others).flatMap(({ holds }) => places(holds))).toEqual([0, 1, 2, 3]);
  });
  it('is narrowed by what is told', () => {
    expect(places(told.certain.holds)).toEqual([0, 2, 3]);
    expect(places(told.possible.holds)).toEqual([1]);
    expect(places(told.all.holds)).toHaveLength(4);
  });
});
