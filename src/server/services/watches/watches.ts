import { randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { driftOf, rhythmFault, watchName, type Rhythm } from '$core/changes';
import { database } from '../../database/connection';
import type { HarvestBudget } from '../../database/harvest-models';
import { models } from '../../database/models';
import type { WatchRow, WatchRunRow } from '../../database/watch-models';
import { notFound, Refusal } from '../../refusal';
import { findBrief, readDocument } from '../briefs/briefs';
import { findRunnable } from '../sources/sources';
import { findVersion } from '../strings/versions';
import { beginRun, nextOf } from './watch-run';

const newFeed = () => randomBytes(24).toString('base64url');

export async function findWatch(id: string): Promise<WatchRow> {
  const watch = await models().Watch.findByPk(id);
  if (!watch) throw notFound('This watch');
  return watch;
}

function checkRhythm(rhythm: Rhythm): void {
  const fault = rhythmFault(rhythm);
  if (fault) throw new Refusal(422, 'No rhythm', fault);
}

/** A telling name for a watch of a brief. */
export async function watchNameFor(briefId: string) {
  const { body } = await readDocument(briefId, 'persona');
  return { name: watchName(body) };
}

interface Wanted {
  name: string;
  rhythm: Rhythm;
  budget: HarvestBudget;
  from: { sourceId: string; version: number }[];
}

/** Watches a version at each of some sources; the first run begins at once, and tells whom there is. */
export async function createWatch(briefId: string, { name, rhythm, budget, from }: Wanted) {
  await findBrief(briefId);
  checkRhythm(rhythm);
  if (new Set(from.map(({ sourceId }) => sourceId)).size < from.length)
    throw new Refusal(422, 'A source twice', 'Each source is watched by one version. Take one of them out.');
  const runs = await Promise.all(
    from.map(async ({ sourceId, version }) => ({
      source: await findRunnable(sourceId),
      version: await findVersion(briefId, version)
    }))
  );
  const id = randomUUID();
  const watch = await database().transaction(async (transaction) => {
    const { rule, from: firstDay, hour, zone } = rhythm;
    const made = await models().Watch.create(
      {
        id,
        briefId,
        name,
        rule,
        firstDay,
        hour,
        zone,
        budget,
        feed: newFeed(),
        nextAt: nextOf({ rule, firstDay, hour, zone }, new Date())
      },
      { transaction }
    );
    for (const [position, { source, version }] of runs.entries())
      await database().query(
        'INSERT INTO watch_sources (watch_id, source_id, version_id, position) VALUES ($id, $source, $version, $position)',
        { bind: { id, source: source.id, version: version.id, position }, transaction }
      );
    return made;
  });
  await beginRun(watch, new Date());
  return { id };
}

interface Change {
  name?: string | undefined;
  rhythm?: Rhythm | undefined;
  active?: boolean | undefined;
  renewFeed?: true | undefined;
}
export async function changeWatch(id: string, { name, rhythm, active, renewFeed }: Change): Promise<void> {
  const watch = await findWatch(id);
  if (rhythm) checkRhythm(rhythm);
  if (name !== undefined) watch.name = name;
  if (rhythm) Object.assign(watch, { rule: rhythm.rule, firstDay: rhythm.from, hour: rhythm.hour, zone: rhythm.zone });
  if (active !== undefined) watch.active = active;
  if (renewFeed) watch.feed = newFeed();
  if (rhythm || active !== undefined) watch.nextAt = nextOf(watch, new Date());
  await watch.save();
}

export async function deleteWatch(id: string): Promise<void> {
  await (await findWatch(id)).destroy();
}

/** Runs a watch now; it comes again when it would have. */
export async function runWatch(id: string): Promise<void> {
  const begun = await beginRun(await findWatch(id), new Date());
  if (!begun) throw new Refusal(409, 'Under way', 'This watch is being run already. What it finds comes by itself.');
}

const toldRun = (run: WatchRunRow) => ({
  id: run.id,
  state: run.state,
  problem: run.problem ?? '',
  dueAt: run.dueAt.toISOString(),
  endedAt: run.endedAt?.toISOString() ?? null,
  people: run.people,
  counts: run.counts ?? {},
  breaks: run.breaks ?? []
});

export async function runsOfWatch(id: string) {
  await findWatch(id);
  const runs = await models().WatchRun.findAll({ where: { watchId: id }, order: [['createdAt', 'DESC']], limit: 200 });
  return runs.map(toldRun);
}

interface Listed {
  id: string;
  briefName: string;
  unread: number;
  sources: { sourceId: string; sourceName: string; version: number }[];
  /** Verdicts of its brief: whether each is a fit, and whether it is on somebody who came as news; in the order given. */
  verdicts: { fit: boolean; came: boolean }[];
}

/** All watches in the order in which they were begun, with all that Home says of them in three questions. */
export async function listWatches() {
  const { Watch, WatchRun } = models();
  const [watches, told, runs] = await Promise.all([
    Watch.findAll({ order: ['createdAt'] }),
    database().query<Listed>(
      `SELECT w.id, b.name AS "briefName", (SELECT count(*)::int FROM watch_news n WHERE n.watch_id = w.id AND NOT n.read) AS unread,
         (SELECT coalesce(jsonb_agg(jsonb_build_object('sourceId', s.id, 'sourceName', s.name, 'version', v.number) ORDER BY ws.position), '[]')
          FROM watch_sources ws JOIN sources s ON s.id = ws.source_id JOIN versions v ON v.id = ws.version_id WHERE ws.watch_id = w.id) AS sources,
         (SELECT coalesce(jsonb_agg(jsonb_build_object('fit', v.verdict = 'fit', 'came', n.source_id IS NOT NULL) ORDER BY v.updated_at), '[]')
          FROM verdicts v LEFT JOIN (SELECT DISTINCT source_id, person_id FROM watch_news WHERE watch_id = w.id AND kind IN ('new', 'back')) n
            USING (source_id, person_id) WHERE v.persona_id = b.persona_id AND v.verdict IN ('fit', 'miss')) AS verdicts
       FROM watches w JOIN briefs b ON b.id = w.brief_id`,
      { type: QueryTypes.SELECT }
    ),
    WatchRun.findAll({
      where: database().literal(
        'id IN (SELECT DISTINCT ON (watch_id) id FROM watch_runs ORDER BY watch_id, created_at DESC)'
      ) as never
    })
  ]);
  return watches.flatMap((watch) => {
    const more = told.find(({ id }) => id === watch.id);
    const last = runs.find(({ watchId }) => watchId === watch.id);
    if (!more) return [];
    const { briefName, unread, sources, verdicts } = more;
    return [
      {
        id: watch.id,
        briefId: watch.briefId,
        briefName,
        name: watch.name,
        rhythm: { rule: watch.rule, from: watch.firstDay, hour: watch.hour, zone: watch.zone },
        budget: watch.budget,
        active: watch.active,
        nextAt: watch.active ? (watch.nextAt?.toISOString() ?? null) : null,
        feed: watch.feed,
        sources,
        unread,
        lastRun: last ? toldRun(last) : null,
        drift: driftAmong(verdicts)
      }
    ];
  });
}

/** Verdicts on others that the share of fits before is told from at least. */
const fewestBefore = 10;

/** Whether the share of fits among those who were news has fallen below that of the other verdicts; null while nothing can be said. */
function driftAmong(verdicts: Listed['verdicts']) {
  const before = verdicts.filter(({ came }) => !came);
  const came = verdicts.filter((one) => one.came).map(({ fit }) => fit);
  if (before.length < fewestBefore || !came.length) return null;
  const share = before.filter(({ fit }) => fit).length / before.length;
  return { says: driftOf(share, came).says, judged: came.length, fits: came.filter(Boolean).length };
}
