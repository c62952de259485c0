import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { environment } from '../environment';
import { log } from '../log';

// Several servers may work on one database. Each is known by its own name, and holds an advisory lock on it for as long
// as it lives: PostgreSQL lets go of it when the process is killed or the connection is lost.

/** The name of this server among those of one database. */
export const serverId = randomUUID();

const lockOf = (id: string) => `eave server ${id}`;

/** Called with each notification on the channel, or null when some may have been missed. */
const listeners = new Set<(notification: string | null) => void>();
export const subscribe = (listener: (notification: string | null) => void): void => void listeners.add(listener);
const tellAll = (notification: string | null) => listeners.forEach((listener) => listener(notification));

let client: pg.Client | undefined;
let again: NodeJS.Timeout | undefined;
let closing = false;

/** Says that this server lives, and says so again whenever the connection to the database was lost. */
export async function beAlive(pause = 250): Promise<void> {
  closing = false;
  const connection = new pg.Client({
    connectionString: environment().databaseUrl,
    connectionTimeoutMillis: 5000,
    keepAlive: true,
    application_name: `eave ${serverId}`
  });
  const lost = () => {
    if (client !== connection) return;
    client = undefined;
    if (!closing) again = setTimeout(() => void beAlive(Math.min(pause * 2, 10_000)), pause).unref();
  };
  client = connection;
  connection.on('error', lost);
  connection.on('end', lost);
  connection.on('notification', ({ payload }) => tellAll(payload ?? ''));
  try {
    await connection.connect();
    await connection.query('SELECT pg_advisory_lock(hashtextextended($1, 0))', [lockOf(serverId)]);
    await connection.query('LISTEN eave');
    pause = 250;
    tellAll(null);
  } catch (error) {
    log().warn({ err: error }, 'the database does not answer');
    await connection.end().catch(() => {});
    lost();
  }
}

export async function stopBeingAlive(): Promise<void> {
  closing = true;
  clearTimeout(again);
  const connection = client;
  client = undefined;
  await connection?.end().catch(() => {});
}

/** Those of some servers that live no more. */
export async function deadAmong(ids: readonly string[], asked: Pick<pg.Pool, 'query'>): Promise<Set<string>> {
  const others = [...new Set(ids)].filter((id) => id !== serverId);
  if (!others.length) return new Set();
  // A lock that can be had is held by nobody; it is let go of at the end of the statement.
  const { rows } = await asked.query<{ id: string }>(
    `SELECT id FROM unnest($1::text[]) AS id WHERE pg_try_advisory_xact_lock(hashtextextended('eave server ' || id, 0))`,
    [others]
  );
  return new Set(rows.map(({ id }) => id));
}
