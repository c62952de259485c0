import { QueryTypes, type Transaction } from 'sequelize';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { recordName } from '$server/records/record-name';

interface Named {
  sourceId: string;
  person: Pick<Person, 'id'>;
}
/** What was said of two records, by their names. */
export interface Decided {
  a: string;
  b: string;
  same: boolean;
}

/** What a kept record is named by. */
export const nameOf = ({ sourceId, person }: Named): string => recordName(sourceId, person.id);

/** What somebody said of two records, anywhere or on one list, what was said last coming last. */
export const decidedPairs = (shortlistId: string, transaction?: Transaction): Promise<Decided[]> =>
  database().query<Decided>(
    `SELECT a, b, same FROM (
       SELECT concat(first_source, E'\\n', first_person) AS a, concat(second_source, E'\\n', second_person) AS b, same, updated_at AS at FROM same_person
       UNION ALL SELECT a, b, same, at FROM shortlist_pairs WHERE shortlist_id = $shortlistId) said ORDER BY at`,
    { bind: { shortlistId }, type: QueryTypes.SELECT, ...(transaction && { transaction }) }
  );

/** Pairs of a record with each of some others, to be said of. */
export const pairsWith = (one: Named, others: readonly Named[], same: boolean): Decided[] =>
  others.map((other) => {
    const [a, b] = [nameOf(one), nameOf(other)].sort() as [string, string];
    return { a, b, same };
  });

/** Pairs of records that both are at sources: what is said of them holds for all briefs. */
const atSources = `FROM jsonb_to_recordset($said::jsonb) AS d (a text, b text, same boolean)
  JOIN sources x ON x.id = split_part(d.a, E'\\n', 1) JOIN sources y ON y.id = split_part(d.b, E'\\n', 1)`;
const nameIn = (side: string) => `substr(${side}, strpos(${side}, E'\\n') + 1)`;

/** Keeps what was said of records: on the list, and for all briefs where both are of sources. */
export async function sayPairs(shortlistId: string, said: readonly Decided[], transaction: Transaction): Promise<void> {
  if (!said.length) return;
  await database().query(
    `INSERT INTO shortlist_pairs (shortlist_id, a, b, same) SELECT $shortlistId, a, b, same FROM jsonb_to_recordset($said::jsonb) AS d (a text, b text, same boolean)
     ON CONFLICT (shortlist_id, a, b) DO UPDATE SET same = excluded.same, at = now()`,
    { bind: { shortlistId, said: JSON.stringify(said) }, transaction }
  );
  await database().query(
    `INSERT INTO same_person (first_source, first_person, second_source, second_person, same, created_at, updated_at)
     SELECT x.id, ${nameIn('d.a')}, y.id, ${nameIn('d.b')}, d.same, now(), now() ${atSources}
     ON CONFLICT (first_source, first_person, second_source, second_person) DO UPDATE SET same = excluded.same, updated_at = now()`,
    { bind: { said: JSON.stringify(said) }, transaction }
  );
}

/** Takes back what was said of records. */
export async function unsayPairs(
  shortlistId: string,
  said: readonly Decided[],
  transaction: Transaction
): Promise<void> {
  if (!said.length) return;
  await database().query(
    `DELETE FROM shortlist_pairs p USING jsonb_to_recordset($said::jsonb) AS d (a text, b text) WHERE p.shortlist_id = $shortlistId AND p.a = d.a AND p.b = d.b`,
    { bind: { shortlistId, said: JSON.stringify(said) }, transaction }
  );
  await database().query(
    `DELETE FROM same_person s USING jsonb_to_recordset($said::jsonb) AS d (a text, b text)
     WHERE concat(s.first_source, E'\\n', s.first_person) IN (d.a, d.b) AND concat(s.second_source, E'\\n', s.second_person) IN (d.a, d.b)`,
    { bind: { said: JSON.stringify(said) }, transaction }
  );
}
