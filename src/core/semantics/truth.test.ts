import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { rowsOf } from '../corpus/bitmap';
import { PeopleIndex } from '../corpus/people-index';
import type { Person } from '../people/person';
import { matches } from './matches';
import { exactMatching } from './exact-matching';
import { matchingOf } from './matching';
import { parse } from '../language/parse';
import { scopes, type Scope } from '../language/scopes';
import { bothOf, eitherOf, notOf, truthOf, unlistedIn, type Truth } from './truth';

/** Kleene, Introduction to Metamathematics (1952), § 64: the strong tables of ¬, & and ∨; t, u, f represent met, unknown, not met. */
const of = { t: 'met', u: 'unknown', f: 'not met' } as const;
const conjunction = ['tuf', 'uuf', 'fff'];
const disjunction = ['ttt', 'tuu', 'tuf'];

describe('Kleene’s strong tables', () => {
  it.each(['t', 'u', 'f'] as const)('hold for %s', (a) => {
    const i = 'tuf'.indexOf(a);
    expect(notOf(of[a])).toBe(of['fut'[i] as 't']);
    ['t', 'u', 'f'].forEach((b, j) => {
      expect(bothOf(of[a], of[b as 't'])).toBe(of[conjunction[i]![j] as 't']);
      expect(eitherOf(of[a], of[b as 't'])).toBe(of[disjunction[i]![j] as 't']);
    });
  });
});

const listedSets = fc.uniqueArray(fc.constantFrom(...scopes)).map((list) => new Set<Scope>(list));
const matchings = fc.constantFrom(
  exactMatching,
  matchingOf({ stemming: 'english', diacritics: 'folded' }),
  matchingOf({ stemming: 'english', diacritics: 'folded', stopWords: ['of', 'head', 'cold', 'dk', 'in'] })
);

describe('a query on a record', () => {
  it('is put together from its parts by the tables', () => {
    fc.assert(
      fc.property(people(8), queries(), queries(), listedSets, matchings, (list, a, b, listed, matching) => {
        for (const person of list) {
          const [first, second] = [a, b].map((one) => truthOf(one, person, listed, matching)) as [Truth, Truth];
          expect(truthOf({ kind: 'and', parts: [a, b] }, person, listed, matching)).toBe(bothOf(first, second));
          expect(truthOf({ kind: 'or', parts: [a, b] }, person, listed, matching)).toBe(eitherOf(first, second));
          expect(truthOf({ kind: 'not', part: a }, person, listed, matching)).toBe(notOf(first));
        }
      }),
      { numRuns: 500 }
    );
  });

  it('agrees with two-valued logic where everything is listed, and names what is not listed where it isn’t', () => {
    let unknown = 0;
    fc.assert(
      fc.property(people(8), queries(), listedSets, matchings, (list, query, listed, matching) => {
        for (const person of list) {
          const truth = truthOf(query, person, listed, matching);
          if (truth === 'unknown') {
            unknown++;
            expect(unlistedIn(query, person, listed, matching).length).toBeGreaterThan(0);
          } else {
            expect(matches(query, person, matching)).toBe(truth === 'met');
            expect(unlistedIn(query, person, listed, matching)).toEqual([]);
          }
        }
      }),
      { numRuns: 500 }
    );
    expect(unknown).toBeGreaterThan(500);
  });

  it('stays what it was when more is listed', () => {
    fc.assert(
      fc.property(people(6), queries(), listedSets, listedSets, (list, query, listed, more) => {
        const all = new Set([...listed, ...more]);
        for (const person of list) {
          const before = truthOf(query, person, listed);
          if (before !== 'unknown') expect(truthOf(query, person, all)).toBe(before);
        }
      }),
      { numRuns: 300 }
    );
  });

  it.each<[string, Partial<Person>, Scope[], Truth]>([
    ['headcount:[51 TO 200]', {}, ['headcount'], 'unknown'],
    ['headcount:[51 TO 200]', { headcount: 60 }, [], 'met'],
    ['NOT headcount:[51 TO 200]', {}, [], 'unknown'],
    ['headcount:[200 TO 51]', {}, [], 'not met'],
    ['"cold chain"', { jobs: [{ title: 'Cold chain manager', company: 'F' }] }, ['title'], 'met'],
    ['"cold chain"', { jobs: [{ title: 'Buyer', company: 'F' }] }, ['title'], 'unknown'],
    ['"cold chain"', { jobs: [{ title: 'Buyer', company: 'F' }] }, ['title', 'any'], 'not met'],
    ['title:buyer', { jobs: [{ title: 'Clerk', company: 'F' }] }, ['title'], 'not met'],
    ['country:Denmark OR title:buyer', { jobs: [{ title: 'Buyer', company: 'F' }] }, ['title'], 'met'],
    ['country:Denmark AND title:clerk', { jobs: [{ title: 'Buyer', company: 'F' }] }, ['title'], 'not met'],
    ['tech:ledger', { tech: ['other'] }, [], 'not met'],
    ['hiring:yes', {}, ['hiring'], 'unknown']
  ])('%s of %j, told %j, is %s', (text, facts, listed, truth) => {
    expect(truthOf(parse(text).query!, { id: 'a', name: 'A', ...facts }, new Set(listed))).toBe(truth);
  });
});

describe('the index', () => {
  it('finds as certain who meets the query, and as possible who does not contradict it', () => {
    fc.assert(
      fc.property(people(30), queries(), listedSets, matchings, (list, query, listed, matching) => {
        const index = PeopleIndex.from(list, matching);
        const { certain, possible } = index.readings(query, listed);
        const truths = list.map((person) => truthOf(query, person, listed, matching));
        const rows = (wanted: Truth[]) => truths.flatMap((truth, row) => (wanted.includes(truth) ? [row] : []));
        expect(rowsOf(certain)).toEqual(rows(['met']));
        expect(rowsOf(possible)).toEqual(rows(['met', 'unknown']));
      }),
      { numRuns: 600 }
    );
  });
});

describe('countries', () => {
  const at = (country: string): Person => ({ id: country, name: 'N', country });
  it.each([
    ['Ireland', 'IE', 'GB'],
    ['China', 'CN', 'HK'],
    ['"United States"', 'US', 'UM'],
    ['Georgia', 'GE', 'GS'],
    ['Netherlands', 'NL', 'BQ'],
    ['Sudan', 'SD', 'SS'],
    ['España', 'ES', 'PT'],
    ['Deutschland', 'DE', 'AT'],
    ['Danmark', 'DK', 'NO'],
    ['Italia', 'IT', 'ES'],
    ['UK', 'GB', 'IE'],
    ['Niger', 'NE', 'NG'],
    ['Guinea', 'GN', 'GQ']
  ])('country:%s finds %s and not %s', (name, code, other) => {
    const query = parse(`country:${name}`).query!;
    const index = PeopleIndex.from([at(code), at(other)]);
    expect(matches(query, at(code))).toBe(true);
    expect(matches(query, at(other))).toBe(false);
    expect(index.find(query)).toEqual([code]);
  });

  it('are facts, whose codes no stop word eats', () => {
    const matching = matchingOf({ stemming: 'english', diacritics: 'folded', stopWords: ['at', 'in', 'by', 'to'] });
    for (const code of ['AT', 'IN', 'BY', 'TO']) {
      const query = parse(`country:${code}`).query!;
      expect(matches(query, at(code), matching)).toBe(true);
      expect(matches(query, at('DK'), matching)).toBe(false);
      expect(PeopleIndex.from([at('DK'), at(code)], matching).find(query)).toEqual([code]);
    }
    const town: Person = { id: 't', name: 'N', place: 'Burton in Kendal' };
    for (const text of ['place:"burton in kendal"', '"burton in kendal"', 'place:in']) {
      expect(matches(parse(text).query!, town, matching)).toBe(true);
      expect(PeopleIndex.from([town], matching).count(parse(text).query!)).toBe(1);
    }
  });
});
