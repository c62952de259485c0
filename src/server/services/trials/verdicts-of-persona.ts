import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import { database } from '../../database/connection';
import { remembered } from '../../remembered';
import type { RowOfVerdict } from './judged';

/** The verdicts of a persona that were read last, in the order in which they were given. */
const newest = new LRUCache<string, readonly RowOfVerdict[]>({ max: 48 });
const kept = new LRUCache<string, Promise<readonly RowOfVerdict[]>>({ max: 96 });

/**
 * All verdicts of a persona, of which the database says `stamp`: how many there are and the sum of their changes, which
 * is another wherever a verdict is. Beside those that were read before, only what is new is read.
 */
export const verdictsOf = (personaId: string, stamp: string): Promise<readonly RowOfVerdict[]> =>
  remembered(kept, `${personaId} ${stamp}`, async () => {
    const before = newest.get(personaId);
    const last = before?.reduce((most, { change }) => Math.max(most, change), 0);
    let rows = before && merged(before, await read(personaId, last!));
    // Some were taken back, or given by a transaction that ended after a later one.
    if (!rows || stampOf(rows) !== stamp) rows = await read(personaId, 0);
    newest.set(personaId, rows);
    return rows;
  });

const read = async (personaId: string, after: number): Promise<RowOfVerdict[]> => {
  const rows = await database().query<Omit<RowOfVerdict, 'change'> & { change: string }>(
    `SELECT source_id AS "sourceId", person_id AS "personId", verdict, reason, by, revision, updated_at AS "updatedAt", change
     FROM verdicts WHERE persona_id = $personaId AND change > $after ORDER BY updated_at`,
    { bind: { personaId, after }, type: QueryTypes.SELECT }
  );
  return rows.map((row) => ({ ...row, change: Number(row.change) }));
};

const nameOf = ({ sourceId, personId }: RowOfVerdict) => JSON.stringify([sourceId, personId]);

function merged(rows: readonly RowOfVerdict[], changed: readonly RowOfVerdict[]): RowOfVerdict[] {
  const anew = new Set(changed.map(nameOf));
  return [...rows.filter((row) => !anew.has(nameOf(row))), ...changed];
}

const stampOf = (rows: readonly RowOfVerdict[]): string =>
  rows.length ? `${rows.length} ${rows.reduce((sum, { change }) => sum + change, 0)}` : '0 ';
