import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import * as z from 'zod';
import { isLoopback } from './hosts';

const days = (usual: number) => z.coerce.number().int().min(0).max(36_500).default(usual);

const environmentSchema = z
  .object({
    DATABASE_URL: z.string().regex(/^postgres(ql)?:\/\//, 'must begin with postgres://'),
    HOST: z.string().default('127.0.0.1').refine(isLoopback, {
      error:
        'must be a loopback address (127.0.0.1, ::1 or localhost): Eave has no sign-in, so anybody who reaches it can read and change everything. To let others in, put a reverse proxy with sign-in in front of it, as docs/run.md shows'
    }),
    PORT: z.coerce.number().int().min(0).max(65_535).default(4310),
    ORIGIN: z.url({ protocol: /^https?$/ }).optional(),
    EAVE_HOSTS: z.string().default(''),
    EAVE_DATA: z.string().default('.data'),
    EAVE_BUILD: z.string().default('build'),
    EAVE_FAULTS: z.enum(['usual', 'none']).default('usual'),
    EAVE_DEMO: z.enum(['finished', 'begun']).default('finished'),
    EAVE_PRIVATE_SERVICES: z.enum(['yes', 'no']).default('no'),
    EAVE_SERVICE_SECONDS: z.coerce.number().min(0.1).max(600).default(20),
    EAVE_SMTP: z
      .string()
      .regex(/^smtps?:\/\/./, 'must begin with smtp:// or smtps://')
      .optional(),
    EAVE_DIGEST_TO: z.email('must be a mail address').optional(),
    EAVE_DIGEST_FROM: z.email('must be a mail address').default('eave@localhost.localdomain'),
    EAVE_SECRET: z.string().min(16, 'must have at least 16 characters').optional(),
    EAVE_WORLD_PEOPLE: z.coerce.number().int().min(1000).max(1_000_000).optional(),
    EAVE_THREADS: z.coerce.number().int().min(2).max(64).default(Math.max(3, availableParallelism())),
    EAVE_PATIENCE: z.coerce.number().min(1).max(20).default(1),
    EAVE_LOG: z.enum(['stdout', 'file', 'none']).default('stdout'),
    EAVE_LOG_LEVEL: z.enum(['debug', 'info', 'warn', 'error']).default('info'),
    EAVE_SLOW_QUERY_MS: z.coerce.number().int().min(1).default(200),
    EAVE_CHECK_ANSWERS: z.enum(['yes', 'no']).optional(),
    NODE_ENV: z.string().optional(),
    EAVE_STOP_WITHIN: z.coerce.number().min(1).max(600).default(20),
    EAVE_KEEP_TRIAL_PAGES: days(0),
    EAVE_KEEP_TRIALS: days(0),
    EAVE_KEEP_HARVESTS: days(0),
    EAVE_KEEP_IMPORTS: days(30),
    EAVE_KEEP_LOGS: z.coerce.number().int().min(1).max(365).default(14)
  })
  .transform((set) => ({
    databaseUrl: set.DATABASE_URL,
    host: set.HOST,
    port: set.PORT,
    /** The address it is reached by from outside, behind a proxy. */
    origin: set.ORIGIN && new URL(set.ORIGIN).origin,
    /** Host names accepted in addition to those of loopback. */
    hosts: [...set.EAVE_HOSTS.split(','), ...(set.ORIGIN ? [new URL(set.ORIGIN).hostname] : [])]
      .map((host) => host.trim().toLowerCase())
      .filter(Boolean),
    data: resolve(set.EAVE_DATA),
    uploads: resolve(set.EAVE_DATA, 'uploads'),
    cache: resolve(set.EAVE_DATA, 'cache'),
    logs: resolve(set.EAVE_DATA, 'logs'),
    workers: resolve(set.EAVE_BUILD, 'workers'),
    /** Whether stand-ins have their usual faults until somebody switches them. */
    faults: set.EAVE_FAULTS === 'usual',
    /** Whether the demo is a job that is done, with its trials and verdicts, or one to begin. */
    finishedDemo: set.EAVE_DEMO === 'finished',
    /** Whether connected services may be on this machine or in a private network. */
    privateServices: set.EAVE_PRIVATE_SERVICES === 'yes',
    /** Milliseconds that a connected service may take for one answer. */
    serviceTime: set.EAVE_SERVICE_SECONDS * 1000,
    /** Where news of watches is sent by mail; null where it is not. */
    digest:
      set.EAVE_SMTP && set.EAVE_DIGEST_TO
        ? { smtp: set.EAVE_SMTP, to: set.EAVE_DIGEST_TO, from: set.EAVE_DIGEST_FROM }
        : null,
    /** What the keys of services are encrypted with, in place of a key kept in `data`. */
    secret: set.EAVE_SECRET,
    worldPeople: set.EAVE_WORLD_PEOPLE,
    /** Threads that count and translate; some more are started while all are busy. */
    threads: set.EAVE_THREADS,
    /** How many times the usual time a question may take before it is broken off. */
    patience: set.EAVE_PATIENCE,
    log: set.EAVE_LOG,
    logLevel: set.EAVE_LOG_LEVEL,
    slowQuery: set.EAVE_SLOW_QUERY_MS,
    /** Whether every answer is checked against its schema: in development and in tests. */
    checkAnswers: (set.EAVE_CHECK_ANSWERS ?? (set.NODE_ENV === 'development' ? 'yes' : 'no')) === 'yes',
    /** Seconds that a stop waits for what is in progress. */
    stopWithin: set.EAVE_STOP_WITHIN,
    /** Days that things are kept; 0 for as long as nobody deletes them. */
    keep: {
      trialPages: set.EAVE_KEEP_TRIAL_PAGES,
      trials: set.EAVE_KEEP_TRIALS,
      harvests: set.EAVE_KEEP_HARVESTS,
      imports: set.EAVE_KEEP_IMPORTS,
      logs: set.EAVE_KEEP_LOGS
    }
  }));
export type Environment = z.output<typeof environmentSchema>;

/** Reads all settings out of environment variables. Throws a sentence that names every wrong one. */
export function readEnvironment(variables: Record<string, string | undefined>): Environment {
  const read = environmentSchema.safeParse(variables);
  if (read.success) return read.data;
  const wrong = read.error.issues.map((issue) => `${issue.path.join('.')} ${issue.message}`).join('; ');
  throw new Error(
    `Eave cannot start: ${wrong}. Start it with npm start, or set what docs/run.md lists under Settings.`
  );
}

let known: Environment | undefined;

/** The settings in the environment, read once. Throws a sentence when one is wrong. */
export const environment = (): Environment => (known ??= readEnvironment(process.env));
