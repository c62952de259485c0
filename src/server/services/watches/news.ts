import { QueryTypes } from 'sequelize';
import type { Facts, FieldChange } from '$core/changes';
import type { Verdict } from '$core/measure';
import { database } from '../../database/connection';

/** News on one page. */
const pageSize = 100;

interface Asked {
  watch?: string | undefined;
  unread?: 'true' | 'false' | undefined;
  kind?: 'new' | 'back' | 'changed' | 'left' | undefined;
  before?: number | undefined;
}
interface NewsRow {
  id: number;
  watchId: string;
  kind: 'new' | 'back' | 'changed' | 'left';
  at: Date;
  facts: Facts;
  changes: FieldChange[];
  why: string;
  read: boolean;
  on: { sourceId: string; personId: string; revision: number };
  verdict: Verdict | null;
  known: ('contacted' | 'on a shortlist')[];
}

/** What watches have found, the newest first; whoever is known already is shown as such. */
export async function listNews({ watch, unread = 'true', kind, before }: Asked = {}) {
  const rows = await database().query<NewsRow>(
    `WITH picked AS (
       SELECT n.* FROM watch_news n WHERE true ${watch ? 'AND n.watch_id = $watch' : ''} ${unread === 'true' ? 'AND NOT n.read' : ''}
         ${kind ? 'AND n.kind = $kind' : ''} ${before === undefined ? '' : 'AND n.id < $before'} ORDER BY n.id DESC LIMIT ${pageSize})
     SELECT n.id::int AS id, n.watch_id AS "watchId", n.kind, n.at, n.facts, n.changes, n.why, n.read,
       jsonb_build_object('sourceId', n.source_id, 'personId', n.person_id, 'revision', coalesce(v.revision, 0)) AS "on", v.verdict,
       array_remove(ARRAY[
         CASE WHEN EXISTS (SELECT 1 FROM shortlist_records r JOIN shortlists l ON l.id = r.shortlist_id
           WHERE l.brief_id = w.brief_id AND r.source_id = n.source_id AND r.person_id = n.person_id) THEN 'on a shortlist' END,
         CASE WHEN EXISTS (SELECT 1 FROM documents d, jsonb_array_elements(d.body) e WHERE d.brief_id = w.brief_id AND d.kind = 'contacted'
           AND lower(e->>'name') = lower(n.facts->>'name')) THEN 'contacted' END], NULL) AS known
     FROM picked n JOIN watches w ON w.id = n.watch_id JOIN briefs b ON b.id = w.brief_id
       LEFT JOIN verdicts v ON v.persona_id = b.persona_id AND v.source_id = n.source_id AND v.person_id = n.person_id
     ORDER BY n.id DESC`,
    {
      bind: { ...(watch && { watch }), ...(kind && { kind }), ...(before !== undefined && { before }) },
      type: QueryTypes.SELECT
    }
  );
  return { news: rows.map((row) => ({ ...row, at: row.at.toISOString() })), last: rows.length < pageSize };
}

/** Marks some news as read or unread, or all of a watch as read. */
export async function readNews(what: { ids: number[]; read: boolean } | { watch: string }): Promise<void> {
  if ('watch' in what)
    await database().query('UPDATE watch_news SET read = true WHERE watch_id = $watch AND NOT read', { bind: what });
  else await database().query('UPDATE watch_news SET read = $read WHERE id = ANY ($ids::bigint[])', { bind: what });
  await database().query(
    'UPDATE watches SET updated_at = now() WHERE id IN (SELECT watch_id FROM watch_news WHERE ' +
      ('watch' in what ? 'watch_id = $watch' : 'id = ANY ($ids::bigint[])') +
      ')',
    {
      bind: 'watch' in what ? { watch: what.watch } : { ids: what.ids }
    }
  );
}
