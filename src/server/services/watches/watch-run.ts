import { randomUUID } from 'node:crypto';
import { QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize';
import { differences, factsOf, nextTime, whyNew, type Facts, type Known } from '$core/changes';
import { hashText } from '$core/measure';
import { contactKeys, samePeople, type Person } from '$core/people';
import { database } from '../../database/connection';
import { models } from '../../database/models';
import type { WatchRow, WatchRunRow } from '../../database/watch-models';
import { addJob, alone, handle, lookAfter } from '../../jobs/queue';
import { Refusal } from '../../refusal';
import { startHarvest } from '../harvest/harvests';
import { enqueueDigest } from './digest';

const task = 'watch';

/** When a watch comes next after a moment; null where it never does. */
export const nextOf = (watch: Pick<WatchRow, 'rule' | 'firstDay' | 'hour' | 'zone'>, after: Date): Date | null => {
  const { rule, firstDay, hour, zone } = watch;
  const next = nextTime({ rule, from: firstDay, hour, zone }, after.toISOString());
  return next === null ? null : new Date(next);
};

interface WatchedSource {
  sourceId: string;
  sourceName: string;
  sheet: unknown;
  version: number;
}
export const sourcesOfWatch = (watchId: string): Promise<WatchedSource[]> =>
  database().query<WatchedSource>(
    `SELECT w.source_id AS "sourceId", s.name AS "sourceName", s.sheet, v.number AS version FROM watch_sources w
       JOIN sources s ON s.id = w.source_id JOIN versions v ON v.id = w.version_id WHERE w.watch_id = $watchId ORDER BY w.position`,
    { bind: { watchId }, type: QueryTypes.SELECT }
  );

/**
 * Begins a run: a harvest of its own gathers the whole result, with all that it can do about faults, limits and restarts. Null
 * where one is under way already, here or at another server.
 */
export async function beginRun(watch: WatchRow, dueAt: Date): Promise<string | null> {
  const id = randomUUID();
  try {
    await models().WatchRun.create({ id, watchId: watch.id, harvestId: null, state: 'running', dueAt });
  } catch (error) {
    if (error instanceof UniqueConstraintError) return null;
    throw error;
  }
  await gather(watch, id);
  return id;
}

/** Lets a run gather; where it cannot even begin it says why. */
async function gather(watch: WatchRow, runId: string): Promise<void> {
  const { WatchRun } = models();
  const from = await sourcesOfWatch(watch.id);
  try {
    if (!from.length)
      throw new Refusal(409, 'Nowhere to look', 'The sources or versions that it watched were deleted.');
    const marks = Object.fromEntries(
      from.map(({ sourceId, sourceName, sheet, version }) => [
        sourceId,
        { name: sourceName, version, sheet: hashText(JSON.stringify(sheet)).toString(36) }
      ])
    );
    const { id } = await startHarvest(watch.briefId, {
      name: watch.name,
      from: from.map(({ sourceId, version }) => ({ sourceId, version })),
      budget: watch.budget,
      watchId: watch.id
    });
    await WatchRun.update({ harvestId: id, marks }, { where: { id: runId } });
    await addJob(task, { runId }, `watch ${runId}`, 60, new Date(Date.now() + 1000));
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    await WatchRun.update(
      { state: 'failed', problem: error.message, endedAt: new Date() },
      { where: { id: runId, state: 'running' } }
    );
  }
}

handle(task, async (payload) => {
  const { runId } = payload as { runId: string };
  await alone(`watch ${runId}`, () => settleRun(runId));
});

/** Begins what is due, at most once whichever servers look, and takes up runs whose gathering has ended. */
export async function lookAtWatches(now = new Date()): Promise<void> {
  const due = await database().transaction(async (transaction) => {
    const rows = await models().Watch.findAll({
      where: database().literal(`active AND next_at <= '${now.toISOString()}'`) as never,
      lock: transaction.LOCK.UPDATE,
      skipLocked: true,
      transaction
    });
    const taken: { watch: WatchRow; dueAt: Date }[] = [];
    for (const watch of rows) {
      const dueAt = watch.nextAt!;
      // A clock that was set back must not have it come twice: the next time is after both.
      await watch.update(
        { nextAt: nextOf(watch, new Date(Math.max(now.getTime(), dueAt.getTime()))) },
        { transaction }
      );
      taken.push({ watch, dueAt });
    }
    return taken;
  });
  for (const { watch, dueAt } of due) await beginRun(watch, dueAt);
  const left = await database().query<{ id: string }>(
    `SELECT r.id FROM watch_runs r LEFT JOIN harvests h ON h.id = r.harvest_id
     WHERE r.state = 'running' AND (h.id IS NULL AND r.created_at < now() - interval '1 minute' OR h.state IN ('done', 'failed', 'paused'))`,
    { type: QueryTypes.SELECT }
  );
  for (const { id } of left) await settleRun(id);
}
lookAfter(() => lookAtWatches());

interface Row {
  sourceId: string;
  person: Person;
}
interface KnownRow {
  number: number;
  records: string[];
  keys: string[];
  facts: Facts;
  present: boolean;
}

const recordName = ({ sourceId, person }: Row) => `${sourceId}\n${person.id}`;

/**
 * Ends a run whose gathering has ended: works out what has changed since the run before, keeps that and whom the watch knows
 * now, and lets the rows go. One transaction, so that nothing is told twice or lost. Where not every source was read to its end the
 * run has failed: nothing is told, since who was not seen may well be there.
 */
export async function settleRun(runId: string): Promise<void> {
  const { WatchRun, Watch, Harvest } = models();
  const run = await WatchRun.findByPk(runId);
  if (run?.state !== 'running') return;
  const [watch, harvest] = await Promise.all([
    Watch.findByPk(run.watchId),
    run.harvestId ? Harvest.findByPk(run.harvestId) : null
  ]);
  if (!watch) return;
  if (!harvest) {
    // It was begun, and the server died before it could gather.
    if (run.harvestId === null) return gather(watch, run.id);
    await run.update({ state: 'failed', problem: 'What it gathered was deleted meanwhile.', endedAt: new Date() });
    return;
  }
  if (harvest.state === 'waiting' || harvest.state === 'running') {
    await addJob(task, { runId }, `watch ${runId}`, 60, new Date(Date.now() + 2000));
    return;
  }
  const fault =
    harvest.state === 'done' ? '' : `It was not read to its end, so nothing is said of who is new: ${harvest.problem}`;
  await database().transaction(async (transaction) => {
    const [mine] = await WatchRun.update(
      { state: fault ? 'failed' : 'done', problem: fault, endedAt: new Date() },
      { where: { id: runId, state: 'running' }, transaction }
    );
    if (!mine) return;
    if (!fault) await keepChanges(watch, run, harvest.id, transaction);
    await Harvest.destroy({ where: { id: harvest.id }, transaction });
    await database().query('UPDATE watches SET updated_at = now() WHERE id = $id', {
      bind: { id: watch.id },
      transaction
    });
  });
  if (!fault) await enqueueDigest(runId);
}

async function keepChanges(
  watch: WatchRow,
  run: WatchRunRow,
  harvestId: string,
  transaction: Transaction
): Promise<void> {
  const rows = await database().query<Row>(
    `SELECT source_id AS "sourceId", person FROM harvest_rows WHERE harvest_id = $harvestId AND reading <> 'not met' ORDER BY ordinal`,
    { bind: { harvestId }, type: QueryTypes.SELECT, transaction }
  );
  const known = await database().query<KnownRow>(
    'SELECT number, records, keys, facts, present FROM watch_people WHERE watch_id = $id ORDER BY number',
    { bind: { id: watch.id }, type: QueryTypes.SELECT, transaction }
  );
  const [before] = await database().query<{ marks: WatchRunRow['marks'] }>(
    `SELECT marks FROM watch_runs WHERE watch_id = $id AND state = 'done' AND id <> $run ORDER BY created_at DESC LIMIT 1`,
    { bind: { id: watch.id, run: run.id }, type: QueryTypes.SELECT, transaction }
  );
  const { seen, names } = met(rows, known);
  const found = differences(
    new Map(known.map((one): [string, Known] => [String(one.number), one])),
    new Map([...seen].map(([number, { facts }]) => [String(number), facts]))
  );
  // The first run tells whom there is, and nothing is news.
  const isFirst = !before;
  const earlier = isFirst
    ? new Map<string, Person>()
    : await seenBefore(watch.briefId, [...names.values()], transaction);
  const news = found.map((one) => {
    const number = Number(one.key);
    const row = names.get(number);
    const old = row && earlier.get(recordName(row));
    return {
      number,
      kind: one.kind,
      facts: one.kind === 'left' ? known.find((other) => other.number === number)!.facts : one.facts,
      changes: 'changes' in one ? one.changes : [],
      why:
        one.kind === 'new'
          ? whyNew(old ? factsOf(old) : null, one.facts)
          : one.kind === 'left'
            ? 'not found any more'
            : '',
      source_id: row?.sourceId ?? '',
      person_id: row?.person.id ?? '',
      person: row?.person ?? null
    };
  });
  const counts: WatchRunRow['counts'] = {};
  for (const { kind } of isFirst ? [] : news) counts[kind] = (counts[kind] ?? 0) + 1;
  if (!isFirst && news.length)
    await database().query(
      `INSERT INTO watch_news (watch_id, run_id, kind, number, facts, changes, why, source_id, person_id, person)
       SELECT $watch, $run, n.kind, n.number, n.facts, n.changes, n.why, n.source_id, n.person_id, n.person
       FROM jsonb_to_recordset($news::jsonb) AS n (kind text, number integer, facts jsonb, changes jsonb, why text, source_id text, person_id text, person jsonb)`,
      { bind: { watch: watch.id, run: run.id, news: JSON.stringify(news) }, transaction }
    );
  await keepKnown(watch.id, known, seen, transaction);
  await models().WatchRun.update(
    { people: seen.size, counts, breaks: before ? breaksBetween(before.marks, run.marks) : [] },
    { where: { id: run.id }, transaction }
  );
}

interface SeenPerson {
  records: string[];
  keys: string[];
  facts: Facts;
}

/** The people whom a run found, by their number at the watch: whoever it knows already keeps theirs. */
function met(rows: readonly Row[], known: readonly KnownRow[]) {
  const { personOf, people } = samePeople(rows)!;
  const groups: Row[][] = Array.from({ length: people }, () => []);
  rows.forEach((row, i) => groups[personOf[i]!]!.push(row));
  const byRecord = new Map(known.flatMap(({ number, records }) => records.map((name) => [name, number] as const)));
  const byKey = new Map(known.flatMap(({ number, keys }) => keys.map((key) => [key, number] as const)));
  let next = known.reduce((most, { number }) => Math.max(most, number), -1) + 1;
  const seen = new Map<number, SeenPerson>();
  const names = new Map<number, Row>();
  for (const group of groups) {
    const records = group.map(recordName);
    const keys = [...new Set(group.flatMap(({ person }) => contactKeys(person)))];
    const number =
      records.map((name) => byRecord.get(name)).find((one) => one !== undefined && !seen.has(one)) ??
      keys.map((key) => byKey.get(key)).find((one) => one !== undefined && !seen.has(one)) ??
      next++;
    // What the first source tells leads, as its place says; others fill what it leaves open.
    const facts = Object.assign({}, ...[...group].reverse().map(({ person }) => factsOf(person))) as Facts;
    seen.set(number, { records, keys, facts });
    names.set(number, group[0]!);
  }
  return { seen, names };
}

/** Earlier records of some people in the brief’s trials: by them it is told why somebody is new. */
async function seenBefore(
  briefId: string,
  rows: readonly Row[],
  transaction: Transaction
): Promise<ReadonlyMap<string, Person>> {
  const found = await database().query<Row>(
    `SELECT DISTINCT ON (t.source_id, p.person_id) t.source_id AS "sourceId", p.person FROM trial_people p JOIN trials t ON t.id = p.trial_id
       JOIN unnest($sources::text[], $ids::text[]) AS w (source_id, person_id) ON w.source_id = t.source_id AND w.person_id = p.person_id
     WHERE t.version_id IN (SELECT id FROM versions WHERE brief_id = $briefId) ORDER BY t.source_id, p.person_id, t.created_at DESC`,
    {
      bind: { briefId, sources: rows.map(({ sourceId }) => sourceId), ids: rows.map(({ person }) => person.id) },
      type: QueryTypes.SELECT,
      transaction
    }
  );
  return new Map(found.map((row) => [recordName(row), row.person]));
}

/** Keeps whom the watch knows now: only rows that are otherwise than they were are written. */
async function keepKnown(
  watchId: string,
  known: readonly KnownRow[],
  seen: ReadonlyMap<number, SeenPerson>,
  transaction: Transaction
): Promise<void> {
  const before = new Map(known.map((one) => [one.number, one]));
  const rows: KnownRow[] = [];
  for (const [number, one] of seen) {
    const old = before.get(number);
    const merged = {
      number,
      records: [...new Set([...(old?.records ?? []), ...one.records])],
      keys: [...new Set([...(old?.keys ?? []), ...one.keys])],
      facts: { ...old?.facts, ...one.facts },
      present: true
    };
    if (!old || JSON.stringify({ ...old }) !== JSON.stringify(merged)) rows.push(merged);
  }
  for (const old of known) if (old.present && !seen.has(old.number)) rows.push({ ...old, present: false });
  const atOnce = 2000;
  for (let at = 0; at < rows.length; at += atOnce)
    await database().query(
      `INSERT INTO watch_people (watch_id, number, records, keys, facts, present)
       SELECT $watchId, r.number, r.records, r.keys, r.facts, r.present
       FROM jsonb_to_recordset($rows::jsonb) AS r (number integer, records text[], keys text[], facts jsonb, present boolean)
       ON CONFLICT (watch_id, number) DO UPDATE SET records = excluded.records, keys = excluded.keys, facts = excluded.facts, present = excluded.present`,
      { bind: { watchId, rows: JSON.stringify(rows.slice(at, at + atOnce)) }, transaction }
    );
}

/** What of sources and strings was otherwise than before, in sentences. */
function breaksBetween(before: WatchRunRow['marks'], now: WatchRunRow['marks']): string[] {
  const ids = new Set([...Object.keys(before ?? {}), ...Object.keys(now ?? {})]);
  return [...ids].flatMap((id) => {
    const [a, b] = [before?.[id], now?.[id]];
    if (!a || !b) return [`${(a ?? b)!.name} was ${a ? 'taken out' : 'added'}`];
    return [
      ...(a.version === b.version ? [] : [`${b.name} is asked version ${b.version} in place of ${a.version}`]),
      ...(a.sheet === b.sheet ? [] : [`the sheet of ${b.name} was changed`])
    ];
  });
}
