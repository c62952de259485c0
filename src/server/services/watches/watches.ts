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
import { beginRun, nextOf, sourcesOfWatch } from './watch-run';

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

/** All watches, those with something unread first. */
export async function listWatches() {
  const { Watch, WatchRun, Brief } = models();
  const watches = await Watch.findAll({ order: ['createdAt'] });
  if (!watches.length) return [];
  const [briefs, unread] = await Promise.all([
    Brief.findAll({ where: { id: watches.map(({ briefId }) => briefId) }, attributes: ['id', 'name', 'personaId'] }),
    database().query<{ watchId: string; unread: number }>(
      `SELECT watch_id AS "watchId", count(*)::int AS unread FROM watch_news WHERE NOT read GROUP BY 1`,
      { type: QueryTypes.SELECT }
    )
  ]);
  return Promise.all(
    watches.map(async (watch) => {
      const brief = briefs.find(({ id }) => id === watch.briefId)!;
      const [sources, last, drift] = await Promise.all([
        sourcesOfWatch(watch.id),
        WatchRun.findOne({ where: { watchId: watch.id }, order: [['createdAt', 'DESC']] }),
        driftAt(watch.id, brief.personaId)
      ]);
      return {
        id: watch.id,
        briefId: watch.briefId,
        briefName: brief.name,
        name: watch.name,
        rhythm: { rule: watch.rule, from: watch.firstDay, hour: watch.hour, zone: watch.zone },
        budget: watch.budget,
        active: watch.active,
        nextAt: watch.active ? (watch.nextAt?.toISOString() ?? null) : null,
        feed: watch.feed,
        sources: sources.map(({ sourceId, sourceName, version }) => ({ sourceId, sourceName, version })),
        unread: unread.find((row) => row.watchId === watch.id)?.unread ?? 0,
        lastRun: last && toldRun(last),
        drift
      };
    })
  );
}

/** Whether the share of fits among those who were news has fallen below that of the brief’s other verdicts; null while nothing can be said. */
async function driftAt(watchId: string, personaId: string) {
  const rows = await database().query<{ verdict: string; came: boolean }>(
    `SELECT v.verdict, n.id IS NOT NULL AS came FROM verdicts v
       LEFT JOIN LATERAL (SELECT id FROM watch_news n WHERE n.watch_id = $watchId AND n.kind IN ('new', 'back')
         AND n.source_id = v.source_id AND n.person_id = v.person_id LIMIT 1) n ON true
     WHERE v.persona_id = $personaId AND v.verdict IN ('fit', 'miss') ORDER BY v.updated_at`,
    { bind: { watchId, personaId }, type: QueryTypes.SELECT }
  );
  const before = rows.filter(({ came }) => !came);
  const came = rows.filter((row) => row.came).map(({ verdict }) => verdict === 'fit');
  if (before.length < 10 || !came.length) return null;
  const share = before.filter(({ verdict }) => verdict === 'fit').length / before.length;
  return { says: driftOf(share, came).says, judged: came.length, fits: came.filter(Boolean).length };
}
