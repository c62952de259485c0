import { QueryTypes, type Transaction } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { refuse } from '$server/platform/refusals';
import { findShortlist } from './find-shortlist';
import { unsayPairs, type Decided } from './record-pairs';

/** Steps that can be undone, of each list. */
const maxSteps = 50;
/** Rows that are kept as they were with one step, where the whole row changes. */
export const maxRowsAtOnce = 20_000;

/** Columns that a change of many people touches: what is kept of them before is small. */
export const lightColumns = [
  'own',
  'tags',
  'priority',
  'next_step',
  'next_on',
  'note',
  'held_out',
  'held_why',
  'left_out'
] as const;

interface Before {
  came?: readonly number[];
  /** People who change or go, and whether only their light columns do. */
  numbers?: readonly number[];
  light?: boolean;
  /** What was said of records by it. */
  said?: readonly Decided[];
}

/** Remembers how people of a list were before a step, within its transaction and before it is made. */
export async function remember(
  shortlistId: string,
  what: string,
  { came = [], numbers = [], light = false, said = [] }: Before,
  transaction: Transaction
): Promise<void> {
  const reply = light
    ? `jsonb_build_object('number', number, ${lightColumns.map((name) => `'${name}', ${name}`).join(', ')})`
    : 'to_jsonb(p)';
  await database().query(
    `INSERT INTO shortlist_steps (shortlist_id, what, came, said, before)
     SELECT $shortlistId, $what, $came::int[], $said::jsonb, coalesce(jsonb_agg(${reply}), '[]')
     FROM shortlist_people p WHERE shortlist_id = $shortlistId AND number = ANY ($numbers::int[])`,
    { bind: { shortlistId, what, came: [...came], numbers: [...numbers], said: JSON.stringify(said) }, transaction }
  );
  await database().query(
    `DELETE FROM shortlist_steps WHERE shortlist_id = $shortlistId AND id NOT IN (
       SELECT id FROM shortlist_steps WHERE shortlist_id = $shortlistId ORDER BY id DESC LIMIT ${maxSteps})`,
    { bind: { shortlistId }, transaction }
  );
}

/** Rebuilds the search columns of people whose records were written or restored. */
export const indexRecords = (shortlistId: string, numbers: readonly number[], transaction: Transaction) =>
  database()
    .query(
      `WITH gone AS (DELETE FROM shortlist_records WHERE shortlist_id = $shortlistId AND number = ANY ($numbers::int[]))
     SELECT 1`,
      { bind: { shortlistId, numbers: [...numbers] }, transaction }
    )
    .then(() =>
      database().query(
        `INSERT INTO shortlist_records (shortlist_id, source_id, person_id, number)
       SELECT p.shortlist_id, r->>'sourceId', r->'person'->>'id', p.number
       FROM shortlist_people p, jsonb_array_elements(p.records) r
       WHERE p.shortlist_id = $shortlistId AND p.number = ANY ($numbers::int[])
       ON CONFLICT (shortlist_id, source_id, person_id) DO UPDATE SET number = excluded.number`,
        { bind: { shortlistId, numbers: [...numbers] }, transaction }
      )
    );

/** Puts the people of a list back as they were before its last step. */
export async function undo(briefId: string, shortlistId: string): Promise<{ what: string }> {
  await findShortlist(briefId, shortlistId);
  return database().transaction(async (transaction) => {
    await lockList(shortlistId, transaction);
    const bind = { shortlistId };
    const [step] = await database().query<{
      id: string;
      what: string;
      came: number[];
      light: boolean;
      numbers: number[];
      said: Decided[];
    }>(
      `SELECT id, what, came, said, before->0 IS NOT NULL AND NOT before->0 ? 'records' AS light,
         ARRAY(SELECT (b->>'number')::int FROM jsonb_array_elements(before) b) AS numbers
       FROM shortlist_steps WHERE shortlist_id = $shortlistId ORDER BY id DESC LIMIT 1`,
      { bind, type: QueryTypes.SELECT, transaction }
    );
    if (!step) throw refuse('nothing-to-undo');
    const before = `FROM shortlist_steps s, jsonb_populate_recordset(NULL::shortlist_people, s.before) b WHERE s.id = $id`;
    if (step.light)
      await database().query(
        `UPDATE shortlist_people p SET ${lightColumns.map((name) => `${name} = b.${name}`).join(', ')}
         ${before} AND p.shortlist_id = $shortlistId AND p.number = b.number`,
        { bind: { ...bind, id: step.id }, transaction }
      );
    else {
      await database().query(
        'DELETE FROM shortlist_people WHERE shortlist_id = $shortlistId AND number = ANY ($numbers::int[])',
        { bind: { ...bind, numbers: [...step.came, ...step.numbers] }, transaction }
      );
      await database().query(`INSERT INTO shortlist_people SELECT b.* ${before}`, {
        bind: { id: step.id },
        transaction
      });
      await indexRecords(shortlistId, step.numbers, transaction);
    }
    await unsayPairs(shortlistId, step.said, transaction);
    await database().query('DELETE FROM shortlist_steps WHERE id = $id', { bind: { id: step.id }, transaction });
    return { what: step.what };
  });
}

/** Holds a list for one step at a time, and lets those who look at it know. */
export const lockList = (shortlistId: string, transaction: Transaction) =>
  database().query(`UPDATE shortlists SET updated_at = now(), exclusions_mark = '' WHERE id = $shortlistId`, {
    bind: { shortlistId },
    transaction
  });
