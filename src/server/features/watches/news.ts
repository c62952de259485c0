import { QueryTypes } from 'sequelize';
import type { Facts, FieldChange } from '$core/changes';
import type { Verdict } from '$core/measure';
import { contactKeys } from '$core/people';
import { database } from '$server/platform/database/connection';
import { readDocument } from '$server/features/briefs/briefs';

/** News on one page. */
const pageSize = 100;

interface Asked {
  watch?: string | undefined;
  unread?: 'true' | 'false' | undefined;
  kind?: 'new' | 'back' | 'changed' | 'left' | undefined;
  before?: number | undefined;
}
/** What a brief knows of somebody already. */
type Known = 'contacted' | 'on a shortlist';

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
  briefId: string;
  /** What the person is known by. */
  keys: string[];
  /** On a shortlist of the brief. */
  listed: boolean;
}

/** What watches have found, the newest first; anybody who is known already is shown as such. */
export async function listNews({ watch, unread = 'true', kind, before }: Asked = {}) {
  const rows = await database().query<NewsRow>(
    `WITH picked AS (
       SELECT n.* FROM watch_news n WHERE true ${watch ? 'AND n.watch_id = $watch' : ''} ${unread === 'true' ? 'AND NOT n.read' : ''}
         ${kind ? 'AND n.kind = $kind' : ''} ${before === undefined ? '' : 'AND n.id < $before'} ORDER BY n.id DESC LIMIT ${pageSize})
     SELECT n.id::int AS id, n.watch_id AS "watchId", n.kind, n.at, n.facts, n.changes, n.why, n.read,
       jsonb_build_object('sourceId', n.source_id, 'personId', n.person_id, 'revision', coalesce(v.revision, 0)) AS "on", v.verdict,
       w.brief_id AS "briefId", coalesce(k.keys, '{}') AS keys,
       EXISTS (SELECT 1 FROM shortlist_people p JOIN shortlists l ON l.id = p.shortlist_id LEFT JOIN shortlist_records r USING (shortlist_id, number)
         WHERE l.brief_id = w.brief_id AND (p.keys && k.keys OR (r.source_id = n.source_id AND r.person_id = n.person_id))) AS listed
     FROM picked n JOIN watches w ON w.id = n.watch_id JOIN briefs b ON b.id = w.brief_id
       LEFT JOIN watch_people k ON k.watch_id = n.watch_id AND k.number = n.number
       LEFT JOIN verdicts v ON v.persona_id = b.persona_id AND v.source_id = n.source_id AND v.person_id = n.person_id
     ORDER BY n.id DESC`,
    {
      bind: { ...(watch && { watch }), ...(kind && { kind }), ...(before !== undefined && { before }) },
      type: QueryTypes.SELECT
    }
  );
  const contacted = await contactedKeys(new Set(rows.map(({ briefId }) => briefId)));
  const news = rows.map(({ briefId, keys, listed, ...row }) => {
    const isContacted = keys.some((key) => contacted.get(briefId)!.has(key));
    const known: Known[] = [
      ...(listed ? (['on a shortlist'] as const) : []),
      ...(isContacted ? (['contacted'] as const) : [])
    ];
    return { ...row, at: row.at.toISOString(), known };
  });
  return { news, last: rows.length < pageSize };
}

/** Contact keys of the people that some briefs have contacted. */
const contactedKeys = async (briefs: ReadonlySet<string>): Promise<ReadonlyMap<string, ReadonlySet<string>>> =>
  new Map(
    await Promise.all(
      [...briefs].map(async (id) => {
        const { body } = await readDocument(id, 'contacted');
        return [id, new Set(body.flatMap(contactKeys))] as const;
      })
    )
  );

/** Marks some news as read or unread, or all of a watch as read. */
export async function readNews(what: { ids: number[]; read: boolean } | { watch: string }): Promise<void> {
  if ('watch' in what)
    await database().query('UPDATE watch_news SET read = true WHERE watch_id = $watch AND NOT read', { bind: what });
  else await database().query('UPDATE watch_news SET read = $read WHERE id = ANY ($ids::bigint[])', { bind: what });
}
