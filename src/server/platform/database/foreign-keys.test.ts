import { QueryTypes } from 'sequelize';
import { expect, it } from 'vitest';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { database } from './connection';

useFreshDatabase();

/** Foreign keys whose columns are not the leading columns of any index, in any order. */
const unindexed = `
  SELECT c.conrelid::regclass::text AS "table", array_agg(a.attname::text ORDER BY k.place) AS columns
  FROM pg_constraint c CROSS JOIN LATERAL unnest(c.conkey) WITH ORDINALITY AS k (number, place)
    JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = k.number
  WHERE c.contype = 'f' AND c.connamespace = 'public'::regnamespace
  GROUP BY c.oid, c.conrelid, c.conkey
  HAVING NOT EXISTS (SELECT FROM pg_index i
    WHERE i.indrelid = c.conrelid AND (i.indkey::int2[])[0:cardinality(c.conkey) - 1] @> c.conkey)
  ORDER BY 1, 2`;

const read = () => database().query<{ table: string; columns: string[] }>(unindexed, { type: QueryTypes.SELECT });

it('finds an index that begins with the columns of every foreign key', async () => {
  expect(await read()).toEqual([]);
});

it('notices a foreign key that has none', async () => {
  await database().query('DROP INDEX verdicts_source_id_key');
  expect(await read()).toEqual([{ table: 'verdicts', columns: ['source_id'] }]);
});
