import { join } from 'node:path';
import type { Sheet } from '$core/dialect';
import type { OwnLexicon } from '$core/titles';
import { demoWorldSize } from '$sources/stand-ins/stand-ins';
import { environment } from '$server/platform/environment';
import { currentAsker } from './asker';
import type { FileTask } from './file-index-worker';
import type { PeopleKind, PeopleWork } from './people-messages';
import { Pool } from './pool';
import type { SharedSource, SharedStandIn } from './shared-source';
import { runThread } from './threads';

let opened: Pool | undefined;

const pool = (): Pool => {
  const { threads, workers, patience } = environment();
  return (opened ??= new Pool({
    file: join(workers, 'people-worker.js'),
    threads,
    most: threads * 2 + 2,
    slowness: patience
  }));
};

/** Milliseconds that a question may take. Somebody waits for the short ones; the others show that they are in progress. */
const limits = { short: 1500, long: 15_000, job: 120_000 };

/** Questions that go through many strings or many people. */
const long: ReadonlySet<PeopleKind> = new Set<PeopleKind>([
  'board',
  'ledger-at-length',
  'candidates',
  'effects-at',
  'rank-changes',
  'count-changed',
  'identify',
  'senses',
  'lacking',
  'known',
  'locate',
  'leaders',
  'count-each',
  'read-runs',
  'run-of-people',
  'gather',
  'cut',
  'check-rows',
  'found-titles',
  'effect'
]);

/** Asks the worker threads. Searching, counting and translating run there and never hold up the page server. */
export const askPeople = <K extends PeopleKind>(kind: K, ask: PeopleWork[K]['ask']): Promise<PeopleWork[K]['answer']> =>
  question(kind, ask, false) as Promise<PeopleWork[K]['answer']>;

function question<K extends PeopleKind>(kind: K, ask: PeopleWork[K]['ask'], json: boolean): Promise<unknown> {
  const asker = currentAsker();
  const isLong = long.has(kind);
  const limit = !asker ? limits.job : isLong ? limits.long : limits.short;
  return pool().ask(kind, ask, { long: isLong, limit, asker, json });
}

/** An answer as JSON in UTF-8, written by the thread: the page server hands it on without reading it. */
export class Json<T> {
  constructor(readonly bytes: Uint8Array<ArrayBuffer>) {}
  text(): string {
    return new TextDecoder().decode(this.bytes);
  }
  read(): T {
    return JSON.parse(this.text()) as T;
  }
}

/** The same question, with the answer as JSON: for those of thousands of parts. */
export async function askForJson<K extends PeopleKind>(
  kind: K,
  ask: PeopleWork[K]['ask']
): Promise<Json<PeopleWork[K]['answer']>> {
  return new Json((await question(kind, ask, true)) as Uint8Array<ArrayBuffer>);
}

/** How busy the threads are. */
export const threadsState = () => pool().state();

/** Lets the threads forget a source, so that its people are read again when it is next asked. */
export const detachSource = (sourceId: string): void => pool().detach(sourceId);

/** Lets the threads take up what the users added to the lexicon. */
export const tellLexicon = (own: OwnLexicon): void => opened?.takeUp(own);

export async function closeThreads(): Promise<void> {
  const closing = opened;
  opened = undefined;
  standing = undefined;
  await closing?.close();
}

/** Megabytes that a thread which makes an index may take. */
const memory = 8192;

type Progressed = (progress: { done: number; of: number }) => void;

/** What is shared of the stand-ins, on the day on which they are. */
let standing: { day: number; sources: SharedStandIn[] } | undefined;

/**
 * Makes the stand-ins as on a day of their world, or reads what was kept of them, or moves those on that are at an earlier
 * day, and lets the threads search them; gives how many people each has.
 */
export async function loadStandIns(day: number, progressed: Progressed) {
  const { worldPeople: size = demoWorldSize, cache: folder } = environment();
  // They start meanwhile.
  pool();
  if (standing?.day !== day) {
    const [worker, task] =
      standing && standing.day < day
        ? ['world-worker.js', { sources: standing.sources, day }]
        : ['index-worker.js', { size, folder, day }];
    const sources = await runThread<SharedStandIn[], { done: number; of: number }>(worker, task, {
      memory,
      progressed
    });
    await Promise.all(sources.map((source) => pool().attach(source)));
    standing = { day, sources };
  }
  return standing.sources.map(({ id, parts }) => ({ id, people: parts.ids.starts.length - 1 }));
}

/** Reads the people of a file from the database and lets the threads search them; `progressed` gets the number read so far. */
export async function loadFile(id: string, sheet: Sheet, progressed: (people: number) => void): Promise<void> {
  const task: FileTask = { id, sheet };
  const source = await runThread<SharedSource, number>('file-index-worker.js', task, { memory, progressed });
  await pool().attach(source);
}
