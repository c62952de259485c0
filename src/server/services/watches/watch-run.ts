import { randomUUID } from 'node:crypto';
import { QueryTypes, UniqueConstraintError } from 'sequelize';
import { nextTime } from '$core/changes';
import { hashText } from '$core/measure';
import { database } from '../../database/connection';
import { models } from '../../database/models';
import type { WatchRow } from '../../database/watch-models';
import { addJob, alone, handle, lookAfter } from '../../jobs/queue';
import { Refusal } from '../../refusal';
import { startHarvest } from '../harvest/harvests';
import { enqueueDigest } from './digest';
import { keepChanges } from './keep-changes';

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
const sourcesOfWatch = (watchId: string): Promise<WatchedSource[]> =>
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
  });
  if (!fault) await enqueueDigest(runId);
}
