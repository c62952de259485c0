import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { wilson } from '$core/measure';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import type { ShortlistRow } from '$server/platform/database/shortlist-models';
import { changedElsewhere } from '$server/platform/refusals';
import { contextOf } from '$server/features/trials/brief-context';
import { findBrief } from '$server/features/briefs/briefs';
import { newestTotals } from '$server/features/harvest/harvests';
import { findShortlist } from './find-shortlist';
import { mailOfList } from './mail-run';
import { everybody, judgedTable } from './list-kept';
import { computeLeftOut } from './compute-left-out';
import { isExported } from './list-kept';

/** The shortlists of a brief, the newest first, with how many people each has. */
export async function listShortlists(briefId: string) {
  await findBrief(briefId);
  const rows = await database().query<{
    id: string;
    name: string;
    purpose: string;
    people: number;
    createdAt: Date;
    updatedAt: Date;
  }>(
    `SELECT id, name, purpose, created_at AS "createdAt", updated_at AS "updatedAt",
       (SELECT count(*) FROM shortlist_people p WHERE p.shortlist_id = s.id)::int AS people
     FROM shortlists s WHERE brief_id = $briefId ORDER BY created_at DESC`,
    { bind: { briefId }, type: QueryTypes.SELECT }
  );
  return rows.map((row) => ({
    ...row,
    createdAt: row.createdAt.toISOString(),
    updatedAt: row.updatedAt.toISOString()
  }));
}

export async function createShortlist(briefId: string, { name, purpose }: { name: string; purpose: string }) {
  await findBrief(briefId);
  const id = randomUUID();
  await models().Shortlist.create({ id, briefId, name, purpose });
  return { id };
}

type Settings = Partial<
  Pick<ShortlistRow, 'name' | 'purpose' | 'columns' | 'views' | 'tags' | 'firms' | 'consent' | 'takenCounts'>
>;

/** Changes what a list is called, keeps beside its people, and leaves out, if nobody has since `revision`. */
export async function changeShortlist(
  briefId: string,
  id: string,
  { revision, ...change }: Settings & { revision: number }
) {
  await findShortlist(briefId, id);
  const [changed] = await models().Shortlist.update({ ...change, revision: revision + 1 }, { where: { id, revision } });
  if (!changed) throw changedElsewhere('The settings of this shortlist', await findShortlist(briefId, id));
  return { revision: revision + 1 };
}

/** Deletes a list with its people; their verdicts stay. */
export async function deleteShortlist(briefId: string, id: string): Promise<void> {
  await (await findShortlist(briefId, id)).destroy();
}

/** A list with its settings, how many people there are of each kind, and the road that led to them. */
export async function readShortlist(briefId: string, id: string) {
  const list = await findShortlist(briefId, id);
  const { personaId } = await findBrief(briefId);
  await computeLeftOut(list);
  const bind = { list: id, personaId };
  const rows = await database().query<{ kind: Kind; value: string | null; people: number }>(
    `WITH ${judgedTable}, p AS MATERIALIZED (SELECT p.country, p.company, p.tags, p.left_out, p.taken_at, p.records->0->'person'->>'rank' AS rank, j.verdict, coalesce(m.state, CASE WHEN p.mail = '' THEN 'none' ELSE 'unchecked' END) AS mail_state ${everybody})
     SELECT 'country' AS kind, country AS value, count(*)::int AS people FROM p WHERE country <> '' GROUP BY 2
     UNION ALL (SELECT 'company', company, count(*)::int FROM p WHERE company <> '' GROUP BY 2 ORDER BY 3 DESC, 2 LIMIT 200)
     UNION ALL SELECT 'tag', t, count(*)::int FROM p, unnest(tags) t GROUP BY 2
     UNION ALL SELECT 'verdict', coalesce(verdict, 'none'), count(*)::int FROM p GROUP BY 2
     UNION ALL SELECT 'mail', mail_state, count(*)::int FROM p GROUP BY 2
     UNION ALL SELECT 'leftOut', l, count(*)::int FROM p, unnest(left_out) l GROUP BY 2
     UNION ALL SELECT 'leftOut', CASE WHEN ${isExported} THEN 'in' ELSE 'out' END, count(*)::int FROM p GROUP BY 2
     UNION ALL SELECT 'rank', rank, count(*)::int FROM p WHERE rank <> '' GROUP BY 2
     UNION ALL SELECT 'people', 'all', count(*)::int FROM p
     UNION ALL SELECT 'people', 'taken', count(taken_at)::int FROM p`,
    { bind, type: QueryTypes.SELECT }
  );
  const of = (kind: Kind) =>
    rows
      .filter((row) => row.kind === kind)
      .map(({ value, people }) => ({ value: value ?? '', people }))
      .sort((a, b) => b.people - a.people || (a.value < b.value ? -1 : 1));
  const one = (kind: Kind, value: string) => rows.find((row) => row.kind === kind && row.value === value)?.people ?? 0;
  const [[step], exports, gathered, mail, judged] = await Promise.all([
    database().query<{ what: string }>(
      'SELECT what FROM shortlist_steps WHERE shortlist_id = $id ORDER BY id DESC LIMIT 1',
      { bind: { id }, type: QueryTypes.SELECT }
    ),
    models().ShortlistExport.findAll({ where: { shortlistId: id }, order: [['at', 'DESC']], limit: 50 }),
    newestTotals(briefId),
    mailOfList(list),
    contextOf(briefId).then((context) => context.judged())
  ]);
  const [fits, misses] = [one('verdict', 'fit'), one('verdict', 'miss')];
  const people = one('people', 'all');
  return {
    id,
    name: list.name,
    purpose: list.purpose,
    people,
    createdAt: list.createdAt.toISOString(),
    updatedAt: list.updatedAt.toISOString(),
    columns: list.columns,
    views: list.views,
    tags: list.tags,
    firms: list.firms,
    consent: list.consent,
    takenCounts: list.takenCounts,
    revision: list.revision,
    counted: {
      country: of('country'),
      company: of('company'),
      tag: of('tag'),
      verdict: of('verdict'),
      mail: of('mail'),
      leftOut: of('leftOut'),
      rank: of('rank')
    },
    road: {
      ...gathered,
      fits: [...judged.verdicts.values()].filter((verdict) => verdict === 'fit').length,
      kept: people,
      good: one('mail', 'good'),
      taken: one('people', 'taken')
    },
    precision: { fits, judged: fits + misses, interval: wilson(fits, fits + misses, Math.max(people, fits + misses)) },
    undo: step?.what ?? null,
    mail,
    exports: exports.map(({ at, form, people: many, what }) => ({ at: at.toISOString(), form, people: many, what }))
  };
}
type Kind = 'country' | 'company' | 'tag' | 'verdict' | 'mail' | 'leftOut' | 'rank' | 'people';
