import fc from 'fast-check';
import { QueryTypes } from 'sequelize';
import snowball from 'snowball-stemmers';
import { describe, expect, it } from 'vitest';
import { PeopleIndex } from '$core/corpus';
import { print, numberFacts, scopes, tokenKeys } from '$core/language';
import { numberOf } from '$core/people';
import { matcher, stemEnglish } from '$core/semantics';
import { harrowPeople } from '$sources/stand-ins/records';
import { makeWorld } from '$sources/world/world';
import { people, queries } from '../../../../tests/generate/queries-and-people';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { database } from './connection';
import { numberColumn, scopeTexts, toFullTextSearch } from './full-text';

useFreshDatabase();

const own = ['own.diet', 'own.score', 'own.rating', 'own.seen', 'own.wine'] as const;
const textual = [...scopes.filter((scope) => !(numberFacts as readonly string[]).includes(scope)), ...own];
const numeric = [...numberFacts, ...own];

// PostgreSQL's own parser and `simple` configuration cut and fold the text; nothing of Eave's is in between.
describe('meaning, checked against PostgreSQL full-text search (simple configuration)', () => {
  it('agrees with matches and with the index on generated queries over the same people', async () => {
    const [list] = fc.sample(people(400), { numRuns: 40, seed: 7 }).sort((a, b) => b.length - a.length);
    const index = PeopleIndex.from(list!);
    await database().query(
      `CREATE TABLE yardstick (id text, ${textual.map((scope) => `"${scope}" tsvector`).join(', ')}, ${numeric.map((fact) => `${numberColumn(fact)} double precision`).join(', ')})`
    );
    for (const person of list!) {
      const texts = scopeTexts(person, textual);
      await database().query(
        `INSERT INTO yardstick VALUES ($1, ${textual.map((_, i) => `to_tsvector('simple', $${i + 2})`).join(', ')}, ${numeric.map((_, i) => `$${i + 2 + textual.length}`).join(', ')})`,
        {
          bind: [
            person.id,
            ...textual.map((scope) => texts[scope]),
            ...numeric.map((fact) => numberOf(person, fact) ?? null)
          ]
        }
      );
    }
    let found = 0;
    for (const query of fc.sample(queries(), { numRuns: 1500, seed: 11 })) {
      const sql = toFullTextSearch(query);
      const rows = await database().query<{ id: string }>(`SELECT id FROM yardstick WHERE ${sql}`, {
        type: QueryTypes.SELECT
      });
      const theirs = rows.map(({ id }) => id).sort();
      expect(
        list!
          .filter(matcher(query))
          .map(({ id }) => id)
          .sort(),
        print(query)
      ).toEqual(theirs);
      expect(index.find(query).sort(), print(query)).toEqual(theirs);
      found += theirs.length;
    }
    expect(found).toBeGreaterThan(1000);
  });
});

// The Snowball English stemmer that PostgreSQL ships is the reference.
describe('stemming', () => {
  it('agrees with PostgreSQL’s Snowball stemmer on the words of the demo world', async () => {
    const words = new Set<string>();
    for (const { about, jobs } of harrowPeople(makeWorld(4000)))
      for (const word of tokenKeys(`${about ?? ''} ${jobs!.map(({ title }) => title).join(' ')}`))
        if (/^[a-z]+$/.test(word)) words.add(word);
    await database().query(`CREATE TEXT SEARCH DICTIONARY plain_english (TEMPLATE = snowball, LANGUAGE = english)`);
    const rows = await database().query<{ word: string; stem: string }>(
      `SELECT word, (ts_lexize('plain_english', word))[1] AS stem FROM unnest($1::text[]) AS word`,
      { bind: [[...words]], type: QueryTypes.SELECT }
    );
    expect(rows.length).toBeGreaterThan(300);
    const different = rows.filter(({ word, stem }) => stemEnglish(word) !== stem);
    expect(different).toEqual([]);
    expect(snowball.newStemmer('english').stem('managers')).toBe('manag');
  });
});
