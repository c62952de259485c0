import { LRUCache } from 'lru-cache';
import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { memoize } from '$server/platform/memoize';
import type { RowOfVerdict, VerdictsByRecord } from './judged';
import { nameOfRecord } from './record-name';

interface Read {
  rows: VerdictsByRecord;
  /** The sum of their changes, and the last of these. */
  sum: number;
  last: number;
}
const nothing: Read = { rows: new Map(), sum: 0, last: 0 };

/** The verdicts of a persona that were read last. */
const newest = new LRUCache<string, Read>({ max: 48 });
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
export const lastChange = (personaId: string | undefined): number =>
  (personaId !== undefined && newest.get(personaId)?.last) || Number.MAX_SAFE_INTEGER;

/**
 * All verdicts of a persona, of which the database says `stamp`: how many there are and the sum of their changes, which
 * is another wherever a verdict is. Beside those that were read before, `changed` is all that is new.
 */
export const verdictsOf = (personaId: string, stamp: string, changed: NewVerdicts): Promise<VerdictsByRecord> =>
  memoize(cache, `${personaId} ${stamp}`, async () => {
    const before = newest.get(personaId);
    let read = before && merged(before, changed);
    // Some were taken back, or given by a transaction that ended after a later one.
    if (!read || stampOf(read) !== stamp) read = merged(nothing, await readAll(personaId));
    newest.set(personaId, read);
    return read.rows;
  });

async function readAll(personaId: string): Promise<NewVerdicts> {
  const [all] = await database().query<{ verdicts: NewVerdicts }>(
    `SELECT (${newVerdicts('$personaId', '0')}) AS verdicts`,
    {
      bind: { personaId },
      type: QueryTypes.SELECT
    }
  );
  return all!.verdicts;
}

function merged(before: Read, changed: NewVerdicts): Read {
  const rows = new Map(before.rows);
  let { sum, last } = before;
  for (const [sourceId, personId, verdict, reason, by, revision, updatedAt, change] of changed ?? []) {
    const name = nameOfRecord({ sourceId, personId });
    sum += change - (rows.get(name)?.change ?? 0);
    last = Math.max(last, change);
    // What was changed last stands last.
    rows.delete(name);
    rows.set(name, { sourceId, personId, verdict, reason, by, revision, updatedAt, change });
  }
  return { rows, sum, last };
}

const stampOf = ({ rows, sum }: Read): string => (rows.size ? `${rows.size} ${sum}` : '0 ');
