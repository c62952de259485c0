import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { meetingsOf, overlapOf } from './overlap';

describe('who is found where', () => {
  it('puts everybody into just one part, with their verdicts', () => {
    const parts = overlapOf(
      meetingsOf([[1, 2, 3, 3], [2, 3, 4], [3]]),
      new Map([
        [2, 'fit'],
        [3, 'miss'],
        [4, 'unsure']
      ] as const)
    );
    expect(parts).toEqual([
      { sets: [0], people: 1, fits: 0, misses: 0 },
      { sets: [1], people: 1, fits: 0, misses: 0 },
      { sets: [0, 1], people: 1, fits: 1, misses: 0 },
      { sets: [0, 1, 2], people: 1, fits: 0, misses: 1 }
    ]);
  });
  it('adds up to each set and to all', () => {
    fc.assert(
      fc.property(fc.array(fc.uniqueArray(fc.integer({ min: 0, max: 40 })), { maxLength: 6 }), (sets) => {
        const parts = overlapOf(meetingsOf(sets), new Map());
        const sum = (some: typeof parts) => some.reduce((total, { people }) => total + people, 0);
        expect(sum(parts)).toBe(new Set(sets.flat()).size);
        sets.forEach((set, i) => expect(sum(parts.filter((part) => part.sets.includes(i)))).toBe(set.length));
      })
    );
  });
  it('refuses more sets than can be shown', () => {
    expect(() => meetingsOf([[], [], [], [], [], [], []])).toThrow(RangeError);
  });
});
