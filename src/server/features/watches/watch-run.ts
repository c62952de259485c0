import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import * as z from 'zod';
import { nextTime } from '$core/changes';
import { hashText } from '$core/measure';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import type { SourceKind } from '$api/source-kinds';
import type { WatchRow, WatchRunRow } from '$server/platform/database/watch-models';
import { onChange } from '$server/platform/changes';
import { log } from '$server/platform/log';
import { addJob, alone, defineTask, hasNoJob } from '$server/platform/jobs/queue';
import { Refusal } from '$server/platform/refusal';
import { refuse } from '$server/platform/refusals';
import { startHarvest } from '$server/features/harvest/harvests';
import { enqueueDigest } from './digest';
import { looksDone, rowsByHand } from './hand-run';
import { keepChanges, rowsOfHarvest } from './keep-changes';
import { keepWatched, lookUp } from './people-run';

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
  kind: SourceKind;
  sheet: unknown;
  version: number | null;
}
const sourcesOfWatch = (watchId: string, transaction: Transaction | null = null): Promise<WatchedSource[]> =>
  database().query<WatchedSource>(
    `SELECT w.source_id AS "sourceId", s.name AS "sourceName", s.kind, s.sheet, v.number AS version FROM watch_sources w
       JOIN sources s ON s.id = w.source_id LEFT JOIN versions v ON v.id = w.version_id WHERE w.watch_id = $watchId ORDER BY w.position`,
    { bind: { watchId }, type: QueryTypes.SELECT, transaction }
  );

const isByHand = (from: readonly WatchedSource[]): boolean => from.some(({ kind }) => kind === 'by-hand');

/** A run that has its row; `start` has it gather. */
interface OpenedRun {
  id: string;
  start: () => Promise<void>;
}

/**
 * Opens a run, within the transaction that makes it due: killed after that, the server leaves a row that the sweep continues from.
 * A search is gathered by its own harvest, with its faults, limits and restarts; people are looked up; at a manual source
 * somebody has to look. Null where a run is in progress already, here or at another server.
 */
export async function openRun(watch: WatchRow, dueAt: Date, transaction: Transaction): Promise<OpenedRun | null> {
  const id = randomUUID();
  const from = await sourcesOfWatch(watch.id, transaction);
  const byHand = isByHand(from);
  // The first run lists who there is, from what was read before.
  const isDue =
    byHand && (await models().WatchRun.count({ where: { watchId: watch.id, state: 'done' }, transaction })) > 0;
  // A violated constraint would end the whole transaction.
  const opened = await database().query(
    `INSERT INTO watch_runs (id, watch_id, harvest_id, state, due_at) VALUES ($id, $watchId, NULL, $state, $dueAt) ON CONFLICT DO NOTHING RETURNING id`,
    {
      bind: { id, watchId: watch.id, state: isDue ? 'due' : 'running', dueAt },
      type: QueryTypes.SELECT,
      transaction
    }
  );
  if (!opened.length) return null;
  const start = async () => {
    if (isDue) return;
    if (byHand) await settleRun(id);
    // As a job, which another server takes over at once where this one is killed.
    else await enqueueRun(id);
  };
  return { id, start };
}

/** Opens a run and has it gather. Null where one is in progress. */
export async function beginRun(watch: WatchRow, dueAt: Date): Promise<string | null> {
  const run = await database().transaction((transaction) => openRun(watch, dueAt, transaction));
  await run?.start();
  return run?.id ?? null;
}

/** Starts the harvest of a run; where that is refused, the run fails with the reason. */
async function gather(watch: WatchRow, runId: string, from: readonly WatchedSource[]): Promise<void> {
  const { WatchRun } = models();
  try {
    if (!from.length) throw refuse('nothing-to-watch');
    const marks = Object.fromEntries(
      from.map(({ sourceId, sourceName, sheet, version }) => [
        sourceId,
        { name: sourceName, version: version ?? 0, sheet: hashText(JSON.stringify(sheet)).toString(36) }
      ])
    );
    // The harvest and whose run it is are kept at once: killed between, nobody would know of it.
    await startHarvest(watch.briefId, {
      name: watch.name,
      from: from.flatMap(({ sourceId, version }) => (version === null ? [] : [{ sourceId, version }])),
      budget: watch.budget,
      watchId: watch.id,
      along: (harvestId, transaction) => WatchRun.update({ harvestId, marks }, { where: { id: runId }, transaction })
    });
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    await endRun(runId, 'failed', error.message);
  }
}

/** Ends a run that goes on; false where another has ended it. */
async function endRun(
  id: string,
  state: 'done' | 'failed',
  problem: string,
  transaction: Transaction | null = null
): Promise<boolean> {
  const [mine] = await models().WatchRun.update(
    { state, problem, endedAt: new Date() },
    { where: { id, state: ['running', 'due'] }, transaction }
  );
  return mine > 0;
}

const enqueueRun = (runId: string): Promise<void> => addJob(task, { runId }, { key: `watch ${runId}`, priority: 60 });

export const watchTask = defineTask(task, z.object({ runId: z.string() }), ({ runId }) =>
  alone(`watch ${runId}`, () => settleRun(runId))
);

/** Begins what is due, at most once whichever servers look, and takes up runs whose gathering has ended. */
export async function lookAtWatches(now = new Date()): Promise<void> {
  const due = await database().transaction(async (transaction) => {
    const rows = await models().Watch.findAll({
      where: database().literal(`active AND next_at <= '${now.toISOString()}'`) as never,
      lock: transaction.LOCK.UPDATE,
      skipLocked: true,
      transaction
    });
    const opened: (OpenedRun | null)[] = [];
    for (const watch of rows) {
      const dueAt = watch.nextAt!;
      // A clock that was set back must not have it come twice: the next time is after both.
      await watch.update(
        { nextAt: nextOf(watch, new Date(Math.max(now.getTime(), dueAt.getTime()))) },
        { transaction }
      );
      opened.push(await openRun(watch, dueAt, transaction));
    }
    return opened;
  });
  for (const run of due) await run?.start();
  for (const { id } of await runsGathered()) await enqueueRun(id);
  for (const { id } of await looksDone()) await settleRun(id);
}

/** Runs whose harvest has ended, and runs that no job works on. */
const runsGathered = () =>
  database().query<{ id: string }>(
    `SELECT r.id FROM watch_runs r LEFT JOIN harvests h ON h.id = r.harvest_id
     WHERE r.state = 'running' AND (h.id IS NULL AND ${hasNoJob("'watch ' || r.id")} OR h.state IN ('done', 'failed', 'paused'))`,
    { type: QueryTypes.SELECT }
  );

/** Milliseconds over which changes of harvests are looked at together: each page that one reads is a change. */
const together = 200;

/** Queues runs as soon as their harvest ends, until what it returns is called. What is missed is left to `lookAtWatches`. */
export function settleAsHarvestsEnd(): () => void {
  let timer: NodeJS.Timeout | undefined;
  const look = async () => {
    timer = undefined;
    for (const { id } of await runsGathered()) await enqueueRun(id);
  };
  const off = onChange((change) => {
    if (change.of !== 'anything' && !(change.of === 'brief' && change.what === 'harvests')) return;
    timer ??= setTimeout(() => {
      look().catch((error: unknown) => log().warn({ err: error }, 'runs of watches not looked at'));
    }, together).unref();
  });
  return () => {
    clearTimeout(timer);
    off();
  };
}

/**
 * Ends a run whose harvest has ended: saves the differences to the run before and the people known now, and deletes the rows.
 * One transaction, so that no update is lost or reported twice. If a source wasn't read to its end the run has failed and reports
 * nothing, because people who weren't seen may still be there.
 */
export async function settleRun(runId: string): Promise<void> {
  const { WatchRun, Watch, Harvest } = models();
  const run = await WatchRun.findByPk(runId);
  if (run?.state !== 'running' && run?.state !== 'due') return;
  const [watch, harvest] = await Promise.all([
    Watch.findByPk(run.watchId),
    run.harvestId ? Harvest.findByPk(run.harvestId) : null
  ]);
  if (!watch) return;
  if (!harvest) {
    const from = await sourcesOfWatch(run.watchId);
    if (watch.shortlistId && from.length) return settlePeople(watch, run);
    if (isByHand(from)) return settleByHand(watch, run);
    if (run.harvestId === null) await gather(watch, run.id, from);
    else await endRun(runId, 'failed', 'What it gathered was deleted meanwhile.');
    return;
  }
  if (harvest.state === 'waiting' || harvest.state === 'running') return;
  const fault =
    harvest.state === 'done' ? '' : `It was not read to its end, so nothing is said of who is new: ${harvest.problem}`;
  await database().transaction(async (transaction) => {
    if (!(await endRun(runId, fault ? 'failed' : 'done', fault, transaction))) return;
    if (!fault)
      await keepChanges(watch, run, await rowsOfHarvest(harvest.id, transaction), { partly: false }, transaction);
    await Harvest.destroy({ where: { id: harvest.id }, transaction });
  });
  if (!fault) await enqueueDigest(runId);
}

async function settleByHand(watch: WatchRow, run: WatchRunRow): Promise<void> {
  await database().transaction(async (transaction) => {
    if (!(await endRun(run.id, 'done', '', transaction))) return;
    // Pages read by hand are a part of the whole: who does not are on them may well be there.
    await keepChanges(watch, run, await rowsByHand(watch.id, transaction), { partly: true }, transaction);
  });
  await enqueueDigest(run.id);
}

async function settlePeople(watch: WatchRow, run: WatchRunRow): Promise<void> {
  const looked = await lookUp(watch);
  await database().transaction(async (transaction) => {
    if (!(await endRun(run.id, 'done', '', transaction))) return;
    await keepWatched(watch, run, looked, transaction);
  });
  await enqueueDigest(run.id);
}
