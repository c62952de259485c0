import pRetry, { AbortError } from 'p-retry';
import type { Search } from '$core/dialect';
import { FaultyPlace, Refused, TimedOut } from '$sources/faults';
import type { Page } from '$sources/source';
import { ServiceFault } from '$sources/connector/service-fault';
import type { SourceRow, TrialEvent } from '$server/platform/database/models';
import { Later, NotNow } from '$server/platform/jobs/not-now';
import { sleep } from '$server/platform/sleep';
import { askPeople } from '$server/workers/people';
import { askService } from './connections';
import { Pace } from './pace';
import { peopleWithoutObjected } from '$server/records/objections/objected';
import { faultsOf } from './sources';

/** Asking again: the pause doubles each time, from a quarter of a second. */
const retries = { retries: 7, minTimeout: 250, factor: 2, maxTimeout: 8000, randomize: true };
/** Milliseconds of a wait above which a job gives up its place in line and comes again. */
const longWait = 30_000;

/** Rows of one search taken of a service whose sheet says no end. */
const maxRows = 100_000;

/** A page as it is kept: without the rows that were there before. */
export interface AskedPage extends Page {
  cursor: string | null;
  spent: number | null;
}
export interface AskedFor {
  search: Search;
  /** The number of the search among those of its rendering, for the events. */
  number: number;
  page: number;
  /** What the page before handed over. */
  cursor: string | null;
  /** The ids of the rows that came before. */
  seen: ReadonlySet<string>;
  halt: AbortSignal;
}

const places = new Map<string, FaultyPlace>();
const paces = new Map<string, Pace>();

/** The one of a source, made where there is none yet or its limit has changed. */
function kept<T extends { perMinute: number | null }>(
  all: Map<string, T>,
  { id, sheet }: SourceRow,
  make: (perMinute: number | null) => T
): T {
  const { perMinute } = sheet.limits;
  let one = all.get(id);
  if (one?.perMinute !== perMinute || !one) all.set(id, (one = make(perMinute)));
  return one;
}

/** Asks a source for one page, once. */
async function askOnce(
  source: SourceRow,
  { search, page, cursor, seen, halt }: AskedFor
): Promise<AskedPage & { unread: number }> {
  if (source.kind === 'connected') {
    await kept(paces, source, (perMinute) => new Pace(perMinute)).turn(halt);
    const reply = await askService(source.id, { search, page, cursor }, halt);
    // One that never says that it is at its end is, where it shows no more than its sheet says, or nobody.
    const most = source.sheet.limits.shown ?? maxRows;
    return { ...reply, last: reply.last || !reply.people.length || seen.size + reply.people.length >= most };
  }
  const place = kept(places, source, (perMinute) => new FaultyPlace(perMinute));
  const ask = (at: number) => askPeople('page', { sourceId: source.id, search, page: at });
  const answer = await place.page(ask, page, JSON.stringify(search), faultsOf(source));
  return { ...answer, cursor: null, spent: null, unread: 0 };
}

/**
 * One page, asked again while it times out, is refused, or shows rows that were there before. Throws NotNow where this server
 * stops, and Later where the source asks for a long wait.
 */
export async function askPage(
  source: SourceRow,
  wanted: AskedFor
): Promise<{ answer: AskedPage; events: TrialEvent[]; requests: number }> {
  const { number, page, seen, halt } = wanted;
  const events: TrialEvent[] = [];
  const note = (what: string) => events.push({ at: new Date().toISOString(), search: number, page, what });
  let requests = 0;
  let repeated: AskedPage | null = null;
  const answer = await pRetry(
    async () => {
      requests++;
      const { unread, ...reply } = await askOnce(source, wanted).catch((error: unknown) => {
        if (halt.aborted) throw new AbortError(new NotNow('This server stops.'));
        if (error instanceof Refused && error.wait > longWait)
          throw new AbortError(new Later(error.wait, error.message));
        if (error instanceof Refused || error instanceof TimedOut || (error instanceof ServiceFault && error.again))
          throw error;
        throw new AbortError(error as Error);
      });
      if (unread) note(`${unread} rows name nobody and were left out`);
      const fresh = reply.people.filter(({ id }) => !seen.has(id));
      if (reply.people.length && !fresh.length) {
        repeated = reply;
        throw new Repeated();
      }
      if (fresh.length < reply.people.length)
        note(`${reply.people.length - fresh.length} rows were there before, each counted once`);
      return { ...reply, people: fresh };
    },
    {
      ...retries,
      async onFailedAttempt({ error }) {
        note(`${error.message}; asked again`);
        if (error instanceof Refused) await sleep(error.wait, halt);
      },
      shouldRetry: ({ error, retriesLeft }) => !(error instanceof Repeated && retriesLeft < retries.retries - 2)
    }
  ).catch((error: unknown) => {
    // Rows that come again and again are the end of what it shows.
    if (error instanceof Repeated && repeated) return { ...repeated, people: [], last: true };
    throw error;
  });
  return { answer: { ...answer, people: await peopleWithoutObjected(source.id, answer.people) }, events, requests };
}

class Repeated extends Error {
  constructor() {
    super('the page showed rows of a page before');
  }
}
