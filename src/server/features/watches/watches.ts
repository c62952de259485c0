import { randomBytes, randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import { driftOf, reachDrift, readTrigger, rhythmFault, watchName, type Rhythm, type Thresholds } from '$core/changes';
import { hasPeopleHere, type SourceKind } from '$api/source-kinds';
import { database } from '$server/platform/database/connection';
import type { HarvestBudget } from '$server/platform/database/harvest-models';
import { models } from '$server/platform/database/models';
import type { WatchRow, WatchRunRow } from '$server/platform/database/watch-models';
import { notFound, refuse } from '$server/platform/refusals';
import { findBrief, readDocument } from '$server/features/briefs/briefs';
import { findShortlist } from '$server/features/shortlist/find-shortlist';
import { findSource } from '$server/features/sources/sources';
import { findVersion } from '$server/features/trials/versions';
import { beginRun, nextOf, openRun } from './watch-run';

const newFeed = () => randomBytes(24).toString('base64url');

export async function findWatch(id: string): Promise<WatchRow> {
  const watch = await models().Watch.findByPk(id);
  if (!watch) throw notFound('This watch');
  return watch;
}

function checkRhythm(rhythm: Rhythm): void {
  const fault = rhythmFault(rhythm);
  if (fault) throw refuse('invalid-schedule', fault);
}

/** A telling name for a watch of a brief. */
export async function watchNameFor(briefId: string) {
  const { body } = await readDocument(briefId, 'persona');
  return { name: watchName(body) };
}

interface WantedWatch {
  name: string;
  rhythm: Rhythm;
  budget: HarvestBudget;
  thresholds?: Thresholds | undefined;
}
type Wanted = WantedWatch &
  (
    | { from: { sourceId: string; version: number }[] }
    | { people: { list: string; sources: string[]; rules: { name: string; rule: string }[] } }
  );

/** What is watched where: a version at each of some sources, or the people of a list at some. */
async function placesOf(briefId: string, wanted: Wanted) {
  const ids = 'from' in wanted ? wanted.from.map(({ sourceId }) => sourceId) : wanted.people.sources;
  if (new Set(ids).size < ids.length) throw refuse('source-watched-twice');
  if ('from' in wanted) {
    const places = await Promise.all(
      wanted.from.map(async ({ sourceId, version }) => ({
        source: await findSource(sourceId),
        version: await findVersion(briefId, version)
      }))
    );
    if (places.length > 1 && places.some(({ source }) => source.kind === 'by-hand'))
      throw refuse('manual-source-watched-alone');
    return places;
  }
  return Promise.all(
    ids.map(async (id) => {
      const source = await findSource(id);
      if (!hasPeopleHere(source.kind)) throw refuse('watched-people-elsewhere', source.name);
      return { source, version: null };
    })
  );
}

/** Creates a watch of a search or of people. Its first run starts at once and records who is there. */
export async function createWatch(briefId: string, wanted: Wanted) {
  const { name, rhythm, budget, thresholds } = wanted;
  await findBrief(briefId);
  checkRhythm(rhythm);
  const people = 'people' in wanted ? wanted.people : null;
  if (people) {
    await findShortlist(briefId, people.list);
    checkRules(people.rules);
  }
  const places = await placesOf(briefId, wanted);
  const id = randomUUID();
  const run = await database().transaction(async (transaction) => {
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
        nextAt: nextOf({ rule, firstDay, hour, zone }, new Date()),
        ...(thresholds && { thresholds }),
        ...(people && { shortlistId: people.list, rules: people.rules })
      },
      { transaction }
    );
    for (const [position, { source, version }] of places.entries())
      await database().query(
        'INSERT INTO watch_sources (watch_id, source_id, version_id, position) VALUES ($id, $source, $version, $position)',
        { bind: { id, source: source.id, version: version?.id ?? null, position }, transaction }
      );
    return openRun(made, new Date(), transaction);
  });
  await run?.start();
  return { id };
}

function checkRules(rules: readonly { name: string; rule: string }[]): void {
  for (const { name, rule } of rules) {
    const { trigger, problems } = readTrigger(rule);
    if (!trigger) throw refuse('invalid-watch-rule', name, problems[0]!);
  }
}

interface Change {
  name?: string | undefined;
  rhythm?: Rhythm | undefined;
  active?: boolean | undefined;
  renewFeed?: true | undefined;
  rules?: { name: string; rule: string }[] | undefined;
  thresholds?: Thresholds | undefined;
}
export async function changeWatch(
  id: string,
  { name, rhythm, active, renewFeed, rules, thresholds }: Change
): Promise<void> {
  const watch = await findWatch(id);
  if (rhythm) checkRhythm(rhythm);
  if (rules) {
    checkRules(rules);
    watch.rules = rules;
  }
  if (thresholds) watch.thresholds = thresholds;
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
  const started = await beginRun(await findWatch(id), new Date());
  if (!started) throw refuse('watch-running');
}

const serializeRun = (run: WatchRunRow) => ({
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
  return runs.map(serializeRun);
}

interface Listed {
  id: string;
  briefName: string;
  unread: number;
  sources: { sourceId: string; sourceName: string; kind: SourceKind; version: number | null }[];
  list: { id: string; name: string } | null;
  /** What each of its runs told, the last first. */
  runs: Pick<WatchRunRow, 'counts' | 'breaks'>[];
  /** Verdicts of its brief in the order given: whether each is a fit, and whether its person came as an update. */
  verdicts: { fit: boolean; came: boolean }[];
}

/** All watches in the order in which they were started, with all that Home says of them in three questions. */
export async function listWatches() {
  const { Watch, WatchRun } = models();
  const [watches, reply, runs] = await Promise.all([
    Watch.findAll({ order: ['createdAt'] }),
    database().query<Listed>(
      `SELECT w.id, b.name AS "briefName", (SELECT count(*)::int FROM watch_news n WHERE n.watch_id = w.id AND NOT n.read) AS unread,
         (SELECT coalesce(jsonb_agg(jsonb_build_object('sourceId', s.id, 'sourceName', s.name, 'kind', s.kind, 'version', v.number) ORDER BY ws.position), '[]')
          FROM watch_sources ws JOIN sources s ON s.id = ws.source_id LEFT JOIN versions v ON v.id = ws.version_id WHERE ws.watch_id = w.id) AS sources,
         (SELECT coalesce(jsonb_agg(jsonb_build_object('counts', r.counts, 'breaks', r.breaks)), '[]') FROM
           (SELECT counts, breaks FROM watch_runs WHERE watch_id = w.id AND state = 'done' ORDER BY created_at DESC LIMIT 60) r) AS runs,
         (SELECT jsonb_build_object('id', l.id, 'name', l.name) FROM shortlists l WHERE l.id = w.shortlist_id) AS list,
         (SELECT coalesce(jsonb_agg(jsonb_build_object('fit', v.verdict = 'fit', 'came', EXISTS (
             SELECT 1 FROM watch_news n WHERE n.watch_id = w.id AND n.source_id = v.source_id AND n.person_id = v.person_id AND n.kind IN ('new', 'back'))) ORDER BY v.updated_at), '[]')
          FROM verdicts v WHERE v.persona_id = b.persona_id AND v.verdict IN ('fit', 'miss')) AS verdicts
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
    const more = reply.find(({ id }) => id === watch.id);
    const last = runs.find(({ watchId }) => watchId === watch.id);
    if (!more) return [];
    const { briefName, unread, sources, list, runs: before, verdicts } = more;
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
        list,
        rules: watch.rules,
        thresholds: watch.thresholds,
        unread,
        lastRun: last ? serializeRun(last) : null,
        drift: driftAmong(verdicts),
        reach: list ? ('goes on' as const) : reachAmong(before)
      }
    ];
  });
}

/** Fewest verdicts on other people from which the earlier share of fits is estimated. */
const fewestBefore = 10;

/** Whether the share of fits among those who were news has fallen below that of the other verdicts; null while nothing can be said. */
function driftAmong(verdicts: Listed['verdicts']) {
  const before = verdicts.filter(({ came }) => !came);
  const came = verdicts.filter((one) => one.came).map(({ fit }) => fit);
  if (before.length < fewestBefore || !came.length) return null;
  const known = { fits: before.filter(({ fit }) => fit).length, judged: before.length };
  return { says: driftOf(known, came), judged: came.length, fits: came.filter(Boolean).length };
}

/** Whether the string reaches fewer or more from run to run, since its last break: the last run first. */
function reachAmong(runs: Listed['runs']) {
  const last = runs.findIndex(({ breaks }) => breaks.length);
  const series = last < 0 ? runs : runs.slice(0, last);
  return reachDrift(
    series.map(({ counts: { new: fresh = 0, back = 0, left = 0 } }) => ({ came: fresh + back, gone: left })).reverse()
  );
}
