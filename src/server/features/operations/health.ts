import { monitorEventLoopDelay } from 'node:perf_hooks';
import { QueryTypes } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { isMigrated } from '$server/platform/database/migrate';
import { isQueueRunning } from '$server/platform/jobs/queue';
import { askPeople, threadsState } from '$server/workers/people';
import { listSources } from '$server/features/sources/sources';

/** How long the thread that answers was busy with one thing, since it was last asked about. */
const delays = monitorEventLoopDelay({ resolution: 5 });
delays.enable();

/** The longest time in milliseconds for which nothing else was answered, since the last time this was asked. */
function longestStall(): number {
  const longest = Math.max(0, delays.max / 1e6 - 5);
  delays.reset();
  return Math.round(longest);
}

/** Milliseconds that each part has to answer. */
const patience = 1500;

/** Whether something is done in time and without an error. */
async function works(work: () => Promise<unknown>): Promise<boolean> {
  let late: NodeJS.Timeout | undefined;
  const inTime = new Promise<never>((_, fail) => {
    late = setTimeout(() => fail(new Error('late')), patience);
  });
  return Promise.race([work(), inTime])
    .then(() => true)
    .catch(() => false)
    .finally(() => clearTimeout(late));
}

/** Whether everything that an answer may need is there. Sources still being prepared don't count. */
export async function readiness() {
  let states: { id: string; state: string }[] = [];
  const [db, schema, workers, sources] = await Promise.all([
    works(() => database().query('SELECT 1', { type: QueryTypes.SELECT })),
    works(async () => {
      if (!(await isMigrated(database()))) throw new Error('not migrated');
    }),
    works(() => askPeople('ping', null)),
    works(async () => {
      states = (await listSources()).map(({ id, readiness: { state } }) => ({ id, state }));
      if (states.some(({ state }) => state === 'failed')) throw new Error('failed');
    })
  ]);
  const queue = isQueueRunning();
  const ready = db && schema && queue && workers && sources;
  return {
    ready,
    database: db,
    schema,
    queue,
    workers,
    sources,
    threads: threadsState(),
    stall: longestStall(),
    sourceStates: states
  };
}
