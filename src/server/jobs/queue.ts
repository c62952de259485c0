import { run, runMigrations, makeWorkerUtils, Logger, type Runner, type TaskList } from 'graphile-worker';
import pg from 'pg';
import { environment } from '../environment';

/** Jobs worked on at once. */
const concurrency = 3;
const quiet = new Logger(() => (level, message) => {
  if (level === 'error') console.error(message);
});

let pool: pg.Pool | undefined;
let runner: Promise<Runner> | undefined;
let tasks: TaskList = {};

/** Names what works on a kind of job; before the first job is added. */
export const handle = (name: string, work: (payload: unknown) => Promise<void>) => {
  tasks = { ...tasks, [name]: work };
};

function connections(): pg.Pool {
  if (!pool) {
    pool = new pg.Pool({ connectionString: environment().databaseUrl, max: concurrency + 3 });
    // A database that goes away is met again by the next query; without a listener it would end the process.
    pool.on('error', () => {});
  }
  return pool;
}

/**
 * Starts to work on jobs that wait in PostgreSQL (graphile-worker). Jobs that a server was working on when it was killed
 * are freed: what they do must bear to be done again, and is guarded by `alone`.
 */
export function startQueue(): Promise<Runner> {
  return (runner ??= (async () => {
    const options = { pgPool: connections(), logger: quiet };
    await runMigrations(options);
    const utils = await makeWorkerUtils(options);
    const { rows } = await connections().query<{ locked_by: string }>(
      'SELECT DISTINCT locked_by FROM graphile_worker.jobs WHERE locked_by IS NOT NULL'
    );
    if (rows.length) await utils.forceUnlockWorkers(rows.map((row) => row.locked_by));
    await utils.release();
    return run({ ...options, concurrency, noHandleSignals: true, pollInterval: 1000, taskList: tasks });
  })().catch((error: unknown) => {
    runner = undefined;
    throw error;
  }));
}

/** Adds a job, once for each `key`; lower priorities come first. */
export async function addJob(name: string, payload: unknown, key: string, priority: number): Promise<void> {
  await (await startQueue()).addJob(name, payload, { jobKey: key, priority, maxAttempts: 10 });
}

/** Stops taking jobs, waits for nobody, and closes the connections. */
export async function stopQueue(): Promise<void> {
  const stopping = runner;
  runner = undefined;
  await (await stopping?.catch(() => undefined))?.stop().catch(() => {});
  const closing = pool;
  pool = undefined;
  await closing?.end().catch(() => {});
}

/** Runs `work` while nobody else does under the same name, in this server or another; false where somebody does. A killed server lets go at once. */
export async function alone(name: string, work: () => Promise<void>): Promise<boolean> {
  const client = await connections().connect();
  try {
    const { rows } = await client.query<{ got: boolean }>(
      'SELECT pg_try_advisory_lock(hashtextextended($1, 0)) AS got',
      [name]
    );
    if (!rows[0]!.got) return false;
    try {
      await work();
    } finally {
      await client.query('SELECT pg_advisory_unlock(hashtextextended($1, 0))', [name]).catch(() => {});
    }
    return true;
  } finally {
    client.release();
  }
}
