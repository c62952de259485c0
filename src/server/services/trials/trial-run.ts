import pRetry, { AbortError } from 'p-retry';
import { ForeignKeyConstraintError, QueryTypes, UniqueConstraintError } from 'sequelize';
import type { Search } from '$core/dialect';
import { FaultyPlace, Refused, TimedOut } from '$sources/faults';
import type { Answer, Page } from '$sources/source';
import { database } from '../../database/connection';
import { models, type SourceRow, type TrialEvent, type TrialRow } from '../../database/models';
import { isDatabaseAway, isDiskFull } from '../../database/away';
import { addJob, alone, handle, lookAfter, NotNow } from '../../jobs/queue';
import { log } from '../../log';
import { Refusal } from '../../refusal';
import { askPeople } from '../../workers/people';
import { readDocument } from '../briefs/briefs';
import { faultsOf, findSource, readySource } from '../sources/sources';

const task = 'trial';
/** Asking again: the pause doubles each time, from a quarter of a second. */
const retries = { retries: 7, minTimeout: 250, factor: 2, maxTimeout: 8000, randomize: true };
const mostEvents = 500;

/** Puts a trial in line. A brief with many trials waiting does not keep others from their turn. */
export async function enqueue(trial: Pick<TrialRow, 'id' | 'versionId'>): Promise<void> {
  const [ahead] = await database().query<{ count: string }>(
    `SELECT count(*) FROM trials t JOIN versions v ON v.id = t.version_id
     WHERE t.state IN ('waiting', 'running') AND v.brief_id = (SELECT brief_id FROM versions WHERE id = $version)`,
    { bind: { version: trial.versionId }, type: QueryTypes.SELECT }
  );
  await addJob(task, { trialId: trial.id }, trial.id, Number(ahead!.count));
}

/** Takes up what nobody works on any more: trials that wait or were running, and have no job. */
export async function resumeTrials(): Promise<void> {
  const left = await database().query<{ id: string; versionId: string }>(
    `SELECT id, version_id AS "versionId" FROM trials t
     WHERE state IN ('waiting', 'running') AND NOT EXISTS (SELECT 1 FROM graphile_worker.jobs WHERE key = t.id::text)
     ORDER BY created_at`,
    { type: QueryTypes.SELECT }
  );
  for (const trial of left) await enqueue(trial);
}

handle(task, async (payload, stopping) => {
  const { trialId } = payload as { trialId: string };
  await alone(`trial ${trialId}`, (lost) => work(trialId, AbortSignal.any([lost, stopping])));
});
lookAfter(resumeTrials);

const places = new Map<string, FaultyPlace>();
const placeOf = ({ id, sheet }: SourceRow) => {
  let place = places.get(id);
  if (!place) places.set(id, (place = new FaultyPlace(sheet.limits.perMinute)));
  return place;
};

/** Brings a trial to its end: every page once, each kept as it comes, so that it can go on wherever it was left. */
async function work(trialId: string, halt: AbortSignal): Promise<void> {
  const { Trial } = models();
  const [, [trial]] = await Trial.update(
    { state: 'running' },
    { where: { id: trialId, state: ['waiting', 'running'] }, returning: true }
  );
  if (!trial) return;
  try {
    // A place run by hand has all its pages already.
    const found = await findSource(trial.sourceId);
    const source = found.kind === 'by-hand' ? found : await readySource(trial.sourceId);
    const answers: Answer[] = [];
    for (const [i, search] of trial.rendering.searches.entries()) {
      const answer = await pages(trial, source, search, i, halt);
      if (!answer) return;
      answers.push(answer);
    }
    await finish(trial, source, answers);
  } catch (error) {
    if (error instanceof NotNow || isDatabaseAway(error)) throw error;
    // Another server has kept this page: the lock was lost, and it goes on there.
    if (error instanceof UniqueConstraintError) throw new NotNow('Another server works on this.');
    if (error instanceof ForeignKeyConstraintError) return;
    log().warn({ err: error, trial: trialId }, 'trial failed');
    await Trial.update({ state: 'failed', problem: reasonOf(error) }, { where: { id: trialId, state: 'running' } });
  }
}

/** Why a trial failed, in a sentence; what only its makers understand is in the log. */
function reasonOf(error: unknown): string {
  if (isDiskFull(error)) return 'There is no room left on the disk of the database. Make room, then let it go on.';
  if (error instanceof Refusal || error instanceof Refused || error instanceof TimedOut) return error.message;
  return 'It broke off by a fault in Eave itself; the server’s log tells more. The pages that came are kept: let it go on.';
}

/** All rows of one search; null when the trial was stopped meanwhile. */
async function pages(
  trial: TrialRow,
  source: SourceRow,
  search: Search,
  number: number,
  halt: AbortSignal
): Promise<Answer | null> {
  const { Trial, TrialPage } = models();
  const kept = await TrialPage.findAll({ where: { trialId: trial.id, search: number }, order: ['page'] });
  const all: Page[] = kept.map(({ said, last, people }) => ({ said, last, people }));
  const seen = new Set(all.flatMap(({ people }) => people.map(({ id }) => id)));
  while (!all.at(-1)?.last) {
    if (halt.aborted) throw new NotNow('This server stops, or has lost its line to the database.');
    const state = await Trial.findByPk(trial.id, { attributes: ['state'] });
    if (state?.state !== 'running') return null;
    const page = all.length;
    const { answer, events, requests } = await askPage(source, search, number, page, seen);
    await database().transaction(async (transaction) => {
      await TrialPage.create({ trialId: trial.id, search: number, page, ...answer }, { transaction });
      await trial.update(
        { requests: trial.requests + requests, events: [...trial.events, ...events].slice(0, mostEvents) },
        { transaction }
      );
    });
    for (const { id } of answer.people) seen.add(id);
    all.push(answer);
  }
  const ids = new Set<string>();
  const people = all.flatMap((page) => page.people.filter(({ id }) => ids.size < ids.add(id).size));
  // A count read by hand keeps what it may stand for.
  const interval = source.kind === 'by-hand' ? trial.answers[number]?.interval : undefined;
  // Where the count changed between pages, the first is the one that the pages belong to.
  return { said: all[0]!.said, people, ...(interval && { interval }) };
}

/** One page, asked again while it times out, is refused, or shows rows that were there before. */
async function askPage(
  source: SourceRow,
  search: Search,
  number: number,
  page: number,
  seen: ReadonlySet<string>
): Promise<{ answer: Page; events: TrialEvent[]; requests: number }> {
  const events: TrialEvent[] = [];
  const note = (what: string) => events.push({ at: new Date().toISOString(), search: number, page, what });
  const faults = faultsOf(source);
  const place = placeOf(source);
  let requests = 0;
  const ask = (at: number) => askPeople('page', { sourceId: source.id, search, page: at });
  let repeated: Page | null = null;
  const answer = await pRetry(
    async () => {
      requests++;
      const told = await place.page(ask, page, JSON.stringify(search), faults).catch((error: unknown) => {
        if (error instanceof Refused || error instanceof TimedOut) throw error;
        throw new AbortError(error as Error);
      });
      const fresh = told.people.filter(({ id }) => !seen.has(id));
      if (told.people.length && !fresh.length) {
        repeated = told;
        throw new Repeated();
      }
      if (fresh.length < told.people.length)
        note(`${told.people.length - fresh.length} rows were there before, each counted once`);
      return { ...told, people: fresh };
    },
    {
      ...retries,
      async onFailedAttempt({ error }) {
        note(`${error.message}; asked again`);
        if (error instanceof Refused) await new Promise((done) => setTimeout(done, error.wait));
      },
      shouldRetry: ({ error, retriesLeft }) => !(error instanceof Repeated && retriesLeft < retries.retries - 2)
    }
  ).catch((error: unknown) => {
    // Rows that come again and again are the end of what it shows.
    if (error instanceof Repeated && repeated) return { ...repeated, people: [], last: true };
    throw error;
  });
  return { answer, events, requests };
}

class Repeated extends Error {
  constructor() {
    super('the page showed rows of a page before');
  }
}

async function finish(trial: TrialRow, source: SourceRow, answers: Answer[]): Promise<void> {
  const { Version, TrialPerson } = models();
  const version = await Version.findByPk(trial.versionId);
  const { body: contacted } = await readDocument(version!.briefId, 'contacted');
  const drawn = await TrialPerson.findAll({ where: { trialId: trial.id }, attributes: ['personId'], raw: true });
  const outcome = await askPeople('gather', {
    sheet: source.sheet,
    rendering: trial.rendering,
    answers,
    size: trial.sampleSize,
    seed: trial.seed,
    contacted,
    drawn: drawn.map(({ personId }) => personId)
  });
  await database().transaction(async (transaction) => {
    // Stopped or deleted meanwhile, it stays so.
    const [ended] = await models().Trial.update(
      {
        state: 'done',
        answers: outcome.answers,
        filtered: outcome.filtered,
        contacted: outcome.contacted,
        found: outcome.found,
        open: outcome.open,
        duplicates: outcome.duplicates
      },
      { where: { id: trial.id, state: 'running' }, transaction }
    );
    if (!ended) return;
    await TrialPerson.destroy({ where: { trialId: trial.id }, transaction });
    await TrialPerson.bulkCreate(
      outcome.sample.map(({ rank, person }) => ({ trialId: trial.id, rank, personId: person.id, person })),
      { transaction }
    );
  });
}

/** People of a trial's result by rank (from 1), out of the pages that were kept. */
export async function peopleAtRanks(trial: TrialRow, ranks: readonly number[]) {
  const wanted = new Map(ranks.map((rank) => [trial.found[rank - 1]!, rank]));
  const rows = await models().TrialPage.findAll({ where: { trialId: trial.id } });
  const people = new Map(
    rows.flatMap((row) => row.people.filter(({ id }) => wanted.has(id)).map((person) => [person.id, person] as const))
  );
  return [...wanted].flatMap(([id, rank]) => {
    const person = people.get(id);
    return person ? [{ rank, person }] : [];
  });
}
