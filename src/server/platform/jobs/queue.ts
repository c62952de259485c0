import { Logger, run, runMigrations, type Runner, type RunnerOptions, type Task as Handler } from 'graphile-worker';
import pg from 'pg';
import type pino from 'pino';
import type * as z from 'zod';
import { migrationLock } from '../database/migration-lock';
import { Later, NotNow } from './not-now';
import { environment } from '../environment';
import { log } from '../log';
import { sleep } from '../sleep';
import { beAlive, deadAmong, serverId, stopBeingAlive } from './this-server';

/**
 * Jobs worked on at once, by lane. Jobs that ask connected services mostly wait for an answer, and one that hangs holds its runner
 * for minutes: they have their own runners, so that a slow service delays nobody else's job.
 */
const runners = { here: 3, services: 5 } as const;
type Lane = keyof typeof runners;
const lanes = Object.keys(runners) as Lane[];
const concurrency = runners.here + runners.services;
/** Milliseconds between two looks at what other servers left behind. */
const lookEvery = 5000;
/** Milliseconds before the runner is started again: doubled each time, to the longest. */
const pauses = { first: 250, longest: 5000 };

const logger = new Logger(() => (level, message, meta) => {
  // What a job was given, or failed by, may hold a person's data: it is logged by ourselves.
  if (level === 'error' || level === 'warning')
    log().warn({ queue: level, job: jobOf(meta) }, message.split(/ with error|:/, 1)[0]!);
});
const jobOf = (meta: unknown) => (meta as { job?: { id?: string } } | undefined)?.job?.id;

let pool: pg.Pool | undefined;
let running: Running | undefined;

/** What a job is given beside its payload. */
export interface JobContext {
  /** Aborts when this server is stopping. */
  stopping: AbortSignal;
  /** Names the job in each line. */
  log: pino.Logger;
}

/** A kind of job: its name in the queue, and what works on it. */
export interface Task {
  name: string;
  work: (payload: unknown, context: JobContext) => Promise<void>;
}

/** A kind of job whose payload is checked by its schema before `work` gets it. */
export const defineTask = <Payload>(
  name: string,
  payload: z.ZodType<Payload>,
  work: (payload: Payload, context: JobContext) => Promise<void>
): Task => ({ name, work: (given, context) => work(payload.parse(given), context) });

/** What the queue does: kinds of jobs, and sweeps that pick up what a server that died has left. */
export interface Jobs {
  tasks: readonly Task[];
  sweeps: readonly (() => Promise<void>)[];
}
let known: Jobs = { tasks: [], sweeps: [] };

/** The name under which a lane's runners know a kind of job. */
const nameIn = (lane: Lane, name: string) => (lane === 'here' ? name : `${name} at a service`);

const workIn =
  (lane: Lane, { name, work }: Task): Handler =>
  async (payload, { job, abortSignal }) => {
    const began = performance.now();
    const jobLog = log().child({ job: job.id, task: name });
    try {
      const stopping = running?.stopping.signal ?? abortSignal ?? new AbortController().signal;
      await work(payload, { stopping, log: jobLog });
      jobLog.info({ ms: Math.round(performance.now() - began) }, 'job done');
    } catch (error) {
      if (error instanceof Later) {
        jobLog.info({ wait: error.wait }, 'job comes again');
        // Under the key of one that is in progress another is made, and this one ends.
        const { rows } = await connections().query<{ queue: string | null }>(
          'SELECT queue_name AS queue FROM graphile_worker.jobs WHERE id = $1',
          [job.id]
        );
        const runAt = new Date(Date.now() + error.wait);
        const queue = rows[0]?.queue ?? null;
        await insertJob(nameIn(lane, name), payload, { key: job.key ?? job.id, priority: job.priority, runAt, queue });
        return;
      }
      const level = error instanceof NotNow ? 'info' : 'warn';
      jobLog[level]({ attempt: job.attempts, err: error }, 'job not done');
      throw error;
    }
  };

/** SQL that holds where no job of a key (an SQL expression) waits or is worked on. */
export const hasNoJob = (key: string): string => `NOT EXISTS (SELECT 1 FROM graphile_worker.jobs WHERE key = ${key})`;

function connections(): pg.Pool {
  if (!pool) {
    pool = new pg.Pool({
      connectionString: environment().databaseUrl,
      max: concurrency * 2 + 4,
      connectionTimeoutMillis: 10_000
    });
    // A database that goes away is met again by the next query; without a listener it would end the process.
    pool.on('error', () => {});
  }
  return pool;
}

interface Running {
  runners: Set<Runner>;
  /** What starts the runners again; each ends after the queue was stopped. */
  loops: Promise<void>[];
  stopping: AbortController;
  ended: boolean;
  looking: NodeJS.Timeout | undefined;
}

const workerName = (server: string, lane: Lane, number: number) =>
  `eave/${server}/${lane === 'here' ? '' : `${lane}-`}${number}`;

/** Starts to work on jobs that wait in PostgreSQL (graphile-worker), and carries on when the database comes back after an outage. */
export async function startQueue(work: Jobs): Promise<void> {
  if (running) return;
  known = work;
  const mine: Running = {
    runners: new Set(),
    loops: [],
    stopping: new AbortController(),
    ended: false,
    looking: undefined
  };
  running = mine;
  await beAlive();
  await makeTables();
  await sweep();
  for (const lane of lanes)
    for (let number = 1; number <= runners[lane]; number++) mine.loops.push(keepRunning(mine, lane, number));
  const look = async () => {
    await sweep().catch((error: unknown) => log().warn({ err: error }, 'sweep failed'));
    if (!mine.ended) mine.looking = setTimeout(() => void look(), lookEvery).unref();
  };
  mine.looking = setTimeout(() => void look(), lookEvery).unref();
}

/** Makes the tables of the queue: two servers that make them at once would be refused by PostgreSQL. */
async function makeTables(): Promise<void> {
  const client = await connections().connect();
  try {
    await client.query('SELECT pg_advisory_lock($1)', [migrationLock]);
    await runMigrations({ pgPool: connections(), logger });
  } finally {
    // Closed instead of returned to the pool: closing the connection releases the lock in any case.
    client.release(true);
  }
}

/** One runner of jobs: when it ends, as when PostgreSQL goes away, another is started after a pause. */
async function keepRunning(mine: Running, lane: Lane, number: number): Promise<void> {
  for (let pause = pauses.first; !mine.ended;) {
    const began = performance.now();
    try {
      // A job that it held when it ended, as when its connection was lost, is free again.
      await connections().query('SELECT graphile_worker.force_unlock_workers($1::text[])', [
        [workerName(serverId, lane, number)]
      ]);
      const runner = await run({
        pgPool: connections(),
        logger,
        // Each by a name from which others can tell whose it is: with several at once it would be given one.
        concurrency: 1,
        workerId: workerName(serverId, lane, number),
        noHandleSignals: true,
        pollInterval: 1000,
        taskList: Object.fromEntries(known.tasks.map((task) => [nameIn(lane, task.name), workIn(lane, task)]))
        // The types know of this name for single jobs only.
      } as RunnerOptions);
      mine.runners.add(runner);
      runner.promise.catch(() => {});
      if (mine.ended) await runner.stop();
      // A worker ends when it can't say how a job went, and its runner would go on without one. Where the connection is lost as it is
      // given a job, the job is locked for it in the database and it doesn't know of it: a new one unlocks that first.
      const workerEnded = new Promise<void>((done) => {
        for (const event of ['worker:stop', 'worker:fatalError', 'worker:getJob:error'] as const)
          runner.events.once(event, () => done());
      });
      await Promise.race([runner.promise, workerEnded]).finally(() => mine.runners.delete(runner));
      if (!mine.ended) void runner.stop().catch(() => {});
    } catch (error) {
      log().warn({ err: error }, 'the job runner ended');
    }
    if (mine.ended) return;
    if (performance.now() - began > 10 * pause) pause = pauses.first;
    await sleep(pause, mine.stopping.signal);
    pause = Math.min(pause * 2, pauses.longest);
  }
}

/** Frees the jobs of servers that are dead, clears those that are over, and looks after what they left. */
async function sweep(): Promise<void> {
  await freeDeadJobs();
  // Out of attempts: what it was for reports that itself.
  await connections().query(
    `SELECT graphile_worker.complete_jobs(coalesce(array_agg(id), '{}')) FROM graphile_worker.jobs
     WHERE attempts >= max_attempts AND locked_at IS NULL`
  );
  // One that fails keeps the others from nothing: it comes again with them.
  for (const one of known.sweeps) await one().catch((error: unknown) => log().warn({ err: error }, 'sweep failed'));
}

/** Unlocks jobs by their owner: a server that starts never takes those of another that works on them. */
async function freeDeadJobs(): Promise<void> {
  const { rows } = await connections().query<{ worker: string }>(
    'SELECT DISTINCT locked_by AS worker FROM graphile_worker.jobs WHERE locked_by IS NOT NULL'
  );
  const ownerOf = (worker: string) => /^eave\/([^/]+)\//.exec(worker)?.[1];
  const dead = await deadAmong(
    rows.flatMap(({ worker }) => ownerOf(worker) ?? []),
    connections()
  );
  // Without an owner are those of a release before, which gave no names.
  const left = rows.map(({ worker }) => worker).filter((worker) => dead.has(ownerOf(worker) ?? '') || !ownerOf(worker));
  if (left.length) await connections().query('SELECT graphile_worker.force_unlock_workers($1::text[])', [left]);
}

interface JobOptions {
  /** Replaces a waiting job of the same key. */
  key: string;
  /** Lower ones come first. */
  priority: number;
  /** It starts no earlier; at once where left out. */
  runAt?: Date | undefined;
  /** The connected service that it asks: jobs of one service run one after another, in the lane of services. */
  service?: string | null;
}

/** Adds a job. */
export const addJob = (
  name: string,
  payload: unknown,
  { key, priority, runAt = new Date(), service = null }: JobOptions
): Promise<void> =>
  insertJob(nameIn(service === null ? 'here' : 'services', name), payload, {
    key,
    priority,
    runAt,
    queue: service && `service ${service}`
  });

/** Writes a job down; the jobs of one queue run one after another. */
async function insertJob(
  nameInLane: string,
  payload: unknown,
  { key, priority, runAt, queue }: { key: string; priority: number; runAt: Date; queue: string | null }
): Promise<void> {
  await connections().query(
    `SELECT graphile_worker.add_job($1, $2::json, queue_name := $6, job_key := $3, priority := $4, max_attempts := 25, run_at := $5)`,
    [nameInLane, JSON.stringify(payload), key, priority, runAt, queue]
  );
}

/** Takes jobs no more, lets those in progress come to a good place to stop, and closes the connections. */
export async function stopQueue(): Promise<void> {
  const mine = running;
  running = undefined;
  if (mine) {
    mine.ended = true;
    clearTimeout(mine.looking);
    mine.stopping.abort();
    await Promise.all([...mine.runners].map((runner) => runner.stop().catch(() => {})));
    // One that was just being started would find the connections closed.
    await Promise.all(mine.loops);
  }
  await stopBeingAlive();
  const closing = pool;
  pool = undefined;
  await closing?.end().catch(() => {});
}

/** Whether jobs are being worked on. */
export const isQueueRunning = (): boolean => running !== undefined && running.runners.size > 0;

/** Whether a server is known to be dead. */
export const isDead = async (server: string): Promise<boolean> =>
  (await deadAmong([server], connections())).has(server);

/**
 * Runs `work` while nobody else does under the same name, in this server or another; throws NotNow where somebody does. A
 * killed server lets go at once. The signal says that the lock was lost with the connection to the database: another may work.
 */
export async function alone(name: string, work: (lost: AbortSignal) => Promise<void>): Promise<void> {
  const client = await connections().connect();
  const lost = new AbortController();
  const lose = () => lost.abort();
  client.on('error', lose);
  client.on('end', lose);
  let broken: Error | undefined;
  try {
    const { rows } = await client.query<{ got: boolean }>(
      'SELECT pg_try_advisory_lock(hashtextextended($1, 0)) AS got',
      [name]
    );
    if (!rows[0]!.got) throw new NotNow('Another server works on this.');
    try {
      await work(lost.signal);
    } finally {
      await client.query('SELECT pg_advisory_unlock(hashtextextended($1, 0))', [name]).catch((error: Error) => {
        broken = error;
      });
    }
  } finally {
    client.off('error', lose);
    client.off('end', lose);
    // A client that could not let go of its lock is not lent again.
    client.release(broken ?? lost.signal.aborted);
  }
}
