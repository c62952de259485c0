import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import { database } from '../../database/connection';
import { remembered } from '../../remembered';
import { nameOfRecord, type RowOfVerdict, type VerdictsByRecord } from './judged';

/** The verdicts of a persona that were read last. */
const newest = new LRUCache<string, VerdictsByRecord>({ max: 48 });
const cache = new LRUCache<string, Promise<VerdictsByRecord>>({ max: 96 });

/** Verdicts as `newVerdicts` has PostgreSQL tell them; null where there are none. */
export type NewVerdicts =
  [string, string, RowOfVerdict['verdict'], string, RowOfVerdict['by'], number, number, number][] | null;

/** The SQL that tells the verdicts of a persona changed after another, in the order in which they were given. */
export const newVerdicts = (personaId: string, after: string): string => `
  SELECT json_agg(json_build_array(source_id, person_id, verdict, reason, by, revision,
    extract(epoch FROM updated_at) * 1000, change) ORDER BY updated_at)
  FROM verdicts WHERE persona_id = ${personaId} AND change > ${after}`;

/** The last change that was read of a persona's verdicts; beyond every change where none was. */
export function lastChange(personaId: string | undefined): number {
  const rows = personaId === undefined ? undefined : newest.get(personaId);
  if (!rows) return Number.MAX_SAFE_INTEGER;
  let last = 0;
  for (const { change } of rows.values()) if (change > last) last = change;
  return last;
}

/**
 * All verdicts of a persona, of which the database says `stamp`: how many there are and the sum of their changes, which
 * is another wherever a verdict is. Beside those that were read before, `changed` is all that is new.
 */
export const verdictsOf = (personaId: string, stamp: string, changed: NewVerdicts): Promise<VerdictsByRecord> =>
  remembered(cache, `${personaId} ${stamp}`, async () => {
    const before = newest.get(personaId);
    let rows = before && merged(before, changed);
    // Some were taken back, or given by a transaction that ended after a later one.
    if (!rows || stampOf(rows) !== stamp) rows = merged(new Map(), await readAll(personaId));
    newest.set(personaId, rows);
    return rows;
  });

async function readAll(personaId: string): Promise<NewVerdicts> {
  const [all] = await database().query<{ told: NewVerdicts }>(`SELECT (${newVerdicts('$personaId', '0')}) AS told`, {
    bind: { personaId },
    type: QueryTypes.SELECT
  });
  return all!.told;
}

function merged(before: VerdictsByRecord, changed: NewVerdicts): VerdictsByRecord {
  const rows = new Map(before);
  for (const [sourceId, personId, verdict, reason, by, revision, updatedAt, change] of changed ?? []) {
    const name = nameOfRecord(sourceId, personId);
    // What was changed last stands last.
    rows.delete(name);
    rows.set(name, { sourceId, personId, verdict, reason, by, revision, updatedAt, change });
  }
  return rows;
}

function stampOf(rows: VerdictsByRecord): string {
  let sum = 0;
  for (const { change } of rows.values()) sum += change;
  return rows.size ? `${rows.size} ${sum}` : '0 ';
}
