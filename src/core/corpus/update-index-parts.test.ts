import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import type { Person } from '../people/person';
import { exactMatching } from '../semantics/exact-matching';
import { matchingOf } from '../semantics/matching';
import { PeopleIndex } from './people-index';
import { updateIndexParts } from './update-index-parts';

const before = people(30);
const after = people(30).map((list) => list.map((person) => ({ ...person, id: `now-${person.id}` })));
/** For each of those there are then: one of before as they were, or one who is new, by luck. */
const choices = fc.array(fc.record({ kept: fc.boolean(), at: fc.nat() }), { maxLength: 50 });

describe('updateIndexParts', () => {
  it.each([
    exactMatching,
    matchingOf({ stemming: 'english', diacritics: 'folded', stopWords: ['of', 'head', 'cold'] })
  ])('finds whom an index made anew finds, after any changes, one after the other (%#)', (matching) => {
    fc.assert(
      fc.property(
        before,
        after,
        choices,
        choices,
        fc.array(queries(), { minLength: 1, maxLength: 5 }),
        (list, others, first, second, wanted) => {
          let people: Person[] = list;
          let parts = PeopleIndex.from(list, matching).parts;
          for (const step of [first, second]) {
            const remade: Person[] = [];
            const now: Person[] = [];
            const from = step.flatMap(({ kept, at }) => {
              const pool = kept ? people : others;
              if (!pool.length) return [];
              const person = pool[at % pool.length]!;
              if (!kept) return [now.push(person), -remade.push(person)].slice(1);
              now.push({ ...person, ...(person.tenure !== undefined && { tenure: person.tenure + 2 }) });
              return [at % pool.length];
            });
            parts = updateIndexParts(parts, {
              from: Int32Array.from(from),
              remade: PeopleIndex.from(remade, matching).parts,
              aged: { tenure: 2 }
            });
            people = now;
          }
          const updated = PeopleIndex.fromParts(parts, matching);
          const anew = PeopleIndex.from(people, matching);
          expect(updated.ids).toEqual(anew.ids);
          expect(parts.numbers.tenure).toEqual(anew.parts.numbers.tenure);
          expect(parts.holders.length).toBe(anew.parts.holders.length);
          for (const query of wanted) {
            expect(updated.find(query)).toEqual(anew.find(query));
            expect(updated.count(query)).toBe(anew.count(query));
          }
        }
      ),
      { numRuns: 400 }
    );
  });

  it('holds a text once, also where one before and one who is new have it, and none that nobody has', () => {
    const one = (id: string, title: string): Person => ({ id, name: 'N', jobs: [{ title, company: 'Cold Firm' }] });
    const base = PeopleIndex.from([one('a', 'Head of Quality'), one('b', 'Nurse')]).parts;
    const remade = PeopleIndex.from([one('c', 'Head of quality')]).parts;
    const parts = updateIndexParts(base, { from: Int32Array.of(0, -1), remade });
    // One name, one title and one firm.
    expect(parts.begins.length).toBe(3);
    expect(PeopleIndex.fromParts(parts).ids).toEqual(['a', 'c']);
  });
});
