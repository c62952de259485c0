import { QueryTypes, type Transaction } from 'sequelize';
import { personFromPageRow } from '$core/formats';
import { atFirms } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import type { HandRow } from '$server/platform/database/models';
import { excludedFirms } from '$server/features/briefs/excluded-firms';
import type { Row } from './keep-changes';

/** Looks that are due, at whose place something was read since. */
export const looksDone = (): Promise<{ id: string }[]> =>
  database().query<{ id: string }>(
    `SELECT r.id FROM watch_runs r JOIN watch_sources s USING (watch_id)
     WHERE r.state = 'due' AND EXISTS (SELECT 1 FROM hand_entries h WHERE h.version_id = s.version_id AND h.source_id = s.source_id
       AND NOT h.taken_back AND jsonb_array_length(h.rows) > 0 AND h.created_at > r.created_at)`,
    { type: QueryTypes.SELECT }
  );

/** Everything read at a watch's manual source, newest first: each person as last seen. */
export async function rowsByHand(watchId: string, transaction: Transaction): Promise<Row[]> {
  const entries = await database().query<{ sourceId: string; rows: HandRow[] }>(
    `SELECT h.source_id AS "sourceId", h.rows FROM hand_entries h JOIN watch_sources s ON s.version_id = h.version_id AND s.source_id = h.source_id
     WHERE s.watch_id = $watchId AND NOT h.taken_back ORDER BY h.seen_at DESC, h.created_at DESC`,
    { bind: { watchId }, type: QueryTypes.SELECT, transaction }
  );
  const [watch] = await database().query<{ briefId: string }>(
    'SELECT brief_id AS "briefId" FROM watches WHERE id = $watchId',
    {
      bind: { watchId },
      type: QueryTypes.SELECT,
      transaction
    }
  );
  const isExcluded = atFirms((await excludedFirms(watch!.briefId, transaction)).all);
  const met = new Set<string>();
  return entries.flatMap(({ sourceId, rows }) =>
    rows.flatMap((row) => {
      if (met.has(row.id)) return [];
      met.add(row.id);
      const person = personFromPageRow(row, row.id);
      return person && !isExcluded(person) ? [{ sourceId, person }] : [];
    })
  );
}
