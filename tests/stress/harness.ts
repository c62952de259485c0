import { once } from 'node:events';
import { rmSync } from 'node:fs';
import { Worker } from 'node:worker_threads';
import pg from 'pg';
import { freshDatabases } from '../../scripts/lib/test-databases.mjs';
import { afterAll, inject } from 'vitest';
import { startApplication } from '../browser/application';

/** How much is tried: a night’s worth with STRESS=full, otherwise a few minutes’. */
export const full = process.env.STRESS === 'full';
export const amount = (usual: number, whole: number): number => (full ? whole : usual);

export const pause = (milliseconds: number) => new Promise<void>((done) => setTimeout(done, milliseconds));

export async function until(holds: () => Promise<boolean>, within: number, what: string): Promise<void> {
  const end = Date.now() + within;
  while (!(await holds().catch(() => false))) {
    if (Date.now() > end) throw new Error(`${what}: not within ${within} ms`);
    await pause(100);
  }
}

/** Makes a database anew and gives its address. */
export const freshDatabase = async (name: string): Promise<string> =>
  (await freshDatabases(inject('postgres'), [name]))[0]!;

export async function query<Row extends object>(
  databaseUrl: string,
  sql: string,
  values: unknown[] = []
): Promise<Row[]> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  try {
    return (await client.query<Row>(sql, values)).rows;
  } finally {
    await client.end();
  }
}

export type Application = Awaited<ReturnType<typeof startApplication>>;

/** Starts servers for a test file; whatever still runs at its end is killed. `people` is the size of their world. */
export function useServers(data: string, people = 3000) {
  const running = new Set<Application>();
  afterAll(() => {
    for (const one of running) one.stop();
  });
  rmSync(`.data/${data}`, { recursive: true, force: true });
  return async (databaseUrl: string, more: Record<string, string> = {}): Promise<Application> => {
    // Threads take long to begin, and these servers begin often.
    const application = await startApplication(databaseUrl, people, `.data/${data}`, { EAVE_THREADS: '2', ...more });
    running.add(application);
    return application;
  };
}

/** Waits until all trials on a database have come to their end. */
export const trialsDone = (databaseUrl: string, trials: number) =>
  until(
    async () => {
      const states = await query<{ state: string }>(databaseUrl, 'SELECT state FROM trials');
      return states.length === trials && states.every(({ state }) => state === 'done');
    },
    90_000,
    'the trials come to their end'
  );

export interface Answered<T> {
  status: number;
  body: T;
}

/** Asks an operation of the API; the status is 0 where nobody answers. */
export async function ask<T = Record<string, unknown>>(
  address: string,
  method: string,
  path: string,
  body?: unknown,
  headers: Record<string, string> = {}
): Promise<Answered<T>> {
  try {
    const response = await fetch(`${address}/api${path}`, {
      method,
      headers: { ...(body !== undefined && { 'content-type': 'application/json' }), ...headers },
      ...(body !== undefined && { body: JSON.stringify(body) })
    });
    const text = await response.text();
    return { status: response.status, body: (text ? JSON.parse(text) : null) as T };
  } catch {
    return { status: 0, body: null as T };
  }
}

/** Waits until all sources of a server are ready. */
export const sourcesReady = (address: string) =>
  until(
    async () => {
      const { body } = await ask<{ readiness: { state: string } }[]>(address, 'GET', '/sources');
      return body.length > 0 && body.every(({ readiness }) => readiness.state === 'ready');
    },
    60_000,
    'the sources are ready'
  );

export async function importFile(address: string, text: string, into: string | null = null): Promise<string> {
  const received = await fetch(`${address}/api/imports?name=people.csv`, { method: 'POST', body: text });
  const { id, reading } = (await received.json()) as { id: string; reading: { columns: { field: string }[] } };
  const mapping = reading.columns.map(({ field }) => field);
  await ask(address, 'POST', `/imports/${id}/start`, { name: 'People', mapping, into });
  return id;
}

/** Waits until an import is done, for which the lease of a server that is gone may have to run out first; what it was refused for is the error. */
export async function importDone(address: string, id: string): Promise<void> {
  let over = '';
  await until(
    async () => {
      const { body } = await ask<{ state: string; outcome: { message: string | null } | null }>(
        address,
        'GET',
        `/imports/${id}`
      );
      if (body.state === 'refused' || body.state === 'stopped') over = `${body.state}: ${body.outcome?.message}`;
      return body.state === 'done' || over !== '';
    },
    120_000,
    'the import comes to its end'
  );
  if (over) throw new Error(`The import was ${over}`);
}

/** Watches how long this machine keeps a thread waiting that does nothing. What it gives tells the longest such wait in milliseconds since the last time; stalls of a server are read against it, as both share the cores. */
export function watchMachine(): () => Promise<number> {
  const idle = new Worker(
    `const { parentPort } = require('node:worker_threads');
     const delays = require('node:perf_hooks').monitorEventLoopDelay({ resolution: 5 });
     delays.enable();
     parentPort.on('message', () => {
       parentPort.postMessage(Math.max(0, delays.max / 1e6 - 5));
       delays.reset();
     });`,
    { eval: true }
  );
  afterAll(() => idle.terminate());
  return async () => {
    idle.postMessage(null);
    const [stall] = (await once(idle, 'message')) as [number];
    return Math.round(stall);
  };
}
