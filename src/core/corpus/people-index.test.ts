import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { matcher } from '../semantics/matches';
import { parse } from '../language/parse';
import { exactMatching } from '../semantics/exact-matching';
import { matchingOf } from '../semantics/matching';
import { countBits, emptyBitmap, fullBitmap, hasBit, rowsOf, setBit } from './bitmap';
import { PeopleIndex } from './people-index';
import type { Person } from '../people/person';

describe('PeopleIndex', () => {
  it.each([
    exactMatching,
    matchingOf({ stemming: 'english', diacritics: 'folded' }),
    matchingOf({ stemming: null, diacritics: 'folded' }),
    matchingOf({ stemming: 'english', diacritics: 'folded', stopWords: ['of', 'head', 'cold'] })
  ])('finds just those who match, in order (%#)', (matching) => {
    fc.assert(
      fc.property(people(40), fc.array(queries(), { minLength: 1, maxLength: 5 }), (list, wanted) => {
        const index = PeopleIndex.from(list, matching);
        for (const query of wanted) {
          const expected = list.filter(matcher(query, matching)).map(({ id }) => id);
          expect(index.find(query)).toEqual(expected);
          expect(index.count(query)).toBe(expected.length);
        }
      }),
      { numRuns: 400 }
    );
  });

  it('is the same again from parts that were kept', () => {
    fc.assert(
      fc.property(people(40), fc.array(queries(), { minLength: 1, maxLength: 5 }), (list, wanted) => {
        const index = PeopleIndex.from(list);
        const again = PeopleIndex.fromParts(structuredClone(index.parts));
        for (const query of wanted) expect(again.find(query)).toEqual(index.find(query));
      }),
      { numRuns: 100 }
    );
  });

  it('holds a value once, however many people have it, and finds all of them', () => {
    const titles = ['Head of Quality', 'Quality Head', 'Head of Sales and of Quality'];
    const crowd = Array.from({ length: 900 }, (_, i): Person => {
      const title = titles[i % 3]!;
      return { id: `p${i}`, name: `N${i}`, jobs: [{ title, company: 'Cold Firm' }], skills: ['cold storage'] };
    });
    const { parts } = PeopleIndex.from(crowd);
    // 900 names, three titles, one firm and one skill.
    expect(parts.begins.length).toBe(905);
    const index = PeopleIndex.fromParts(parts);
    expect(index.count(parse('title:"head of quality"').query!)).toBe(300);
    expect(index.count(parse('title:"of quality"').query!)).toBe(600);
    expect(index.count(parse('any:cold').query!)).toBe(900);
    // The end of one value and the beginning of the next never make a phrase.
    expect(index.count(parse('any:"quality quality"').query!)).toBe(0);
    expect(index.count(parse('any:"firm cold"').query!)).toBe(0);
  });

  it('holds nobody gracefully', () => {
    const index = PeopleIndex.from([]);
    expect(index.count({ kind: 'not', part: { kind: 'word', scope: 'any', text: 'x' } })).toBe(0);
  });
});

describe('bitmaps', () => {
  it('count and list what was set', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 300 })), (rows) => {
        const bits = emptyBitmap(301);
        rows.forEach((row) => setBit(bits, row));
        expect(countBits(bits)).toBe(rows.length);
        expect(rowsOf(bits)).toEqual([...rows].sort((a, b) => a - b));
        rows.forEach((row) => expect(hasBit(bits, row)).toBe(true));
      })
    );
  });
  it.each([0, 1, 31, 32, 33, 64])('fill %i rows', (size) => expect(countBits(fullBitmap(size))).toBe(size));
});

describe('the values of a person', () => {
  it('hold an industry as written where it is no known division', () => {
    const person: Person = { id: 'a', name: 'A', industry: 'Ice harvesting', country: 'Atlantis' };
    expect(PeopleIndex.from([person]).count(parse('industry:"ice harvesting" AND country:Atlantis').query!)).toBe(1);
  });
});
