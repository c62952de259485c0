import { chmodSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import pino, { type DestinationStream, type Logger } from 'pino';
import { DatabaseError } from 'sequelize';
import { environment } from './environment';

/** Messages of these may hold what somebody typed, or a person's data. */
const saysText = (error: Error) =>
  error instanceof DatabaseError || error instanceof SyntaxError || /^(Zod|Sequelize)/.test(error.name);

interface Cause {
  type: string;
  message?: string;
  sqlstate?: string;
  table?: string;
  constraint?: string;
  at?: string[];
  cause?: Cause;
}

/** An error as it is logged: what and where, with the database's SQLSTATE, and never a text or a person's data. */
export function causeOf(error: unknown): Cause {
  if (!(error instanceof Error)) return { type: typeof error };
  const inner = (error as { parent?: unknown }).parent ?? (error.cause as unknown);
  const { code, table, constraint } = error as { code?: unknown; table?: string; constraint?: string };
  return {
    type: error.name,
    ...(!saysText(error) && !(typeof code === 'string' && /^[0-9A-Z]{5}$/.test(code)) && { message: error.message }),
    ...(typeof code === 'string' && { sqlstate: code }),
    ...(table !== undefined && { table }),
    ...(constraint !== undefined && { constraint }),
    at: (error.stack ?? '')
      .split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 8)
      .map((line) => line.trim()),
    ...(inner !== undefined && inner !== error && { cause: causeOf(inner) })
  };
}

const options = (level: string) => ({
  level,
  base: { pid: process.pid },
  timestamp: pino.stdTimeFunctions.isoTime,
  formatters: { level: (label: string) => ({ level: label }) },
  serializers: { err: causeOf }
});

/** The entry that listens and the application are built apart: both find the one log here. */
const shared = globalThis as typeof globalThis & { eaveLog?: Logger };

/** The log of this server: JSON, a line an event. */
export function log(): Logger {
  const { log: where, logLevel } = environment();
  return (shared.eaveLog ??= pino({ ...options(logLevel), enabled: where !== 'none' }));
}

/** Sends the log where the settings say: files of a day or 10 MB at most, of which some are kept; or standard output. */
export async function openLog(): Promise<void> {
  const { log: where, logs, logLevel, keep } = environment();
  if (where !== 'file') return;
  mkdirSync(logs, { recursive: true, mode: 0o700 });
  chmodSync(logs, 0o700);
  // Not loaded by threads, which write no files.
  const { default: pinoRoll } = await import('pino-roll');
  const files: DestinationStream = await pinoRoll({
    file: join(logs, 'eave'),
    extension: '.log',
    frequency: 'daily',
    size: '10m',
    mkdir: true,
    mode: 0o600,
    limit: { count: keep.logs, removeOtherLogFiles: true }
  });
  shared.eaveLog = pino(options(logLevel), files);
}
