import { ForeignKeyConstraintError, QueryTypes, UniqueConstraintError } from 'sequelize';
import * as z from 'zod';
import type { Search } from '$core/dialect';
import type { SearchResult, Page } from '$sources/source';
import { database } from '$server/platform/database/connection';
import { models, type SourceRow, type TrialRow } from '$server/platform/database/models';
import { isDatabaseAway } from '$server/platform/database/away';
import { addJob, alone, defineTask, hasNoJob, type JobContext } from '$server/platform/jobs/queue';
import { Later, NotNow } from '$server/platform/jobs/not-now';
import { askPeople } from '$server/workers/people';
import { readDocument } from '$server/features/briefs/briefs';
import { askPage } from '$server/features/sources/ask-source';
import { whyItBrokeOff } from '$server/features/sources/why-it-broke-off';
import { sourceToAsk } from '$server/features/sources/sources';

const task = 'trial';
const maxEvents = 500;

/** Queues a trial. One with many of its brief ahead of it gets a lower priority, so that a busy brief does not delay the others. */
export async function enqueue(trial: Pick<TrialRow, 'id' | 'versionId'>): Promise<void> {
  const [ahead] = await database().query<{ count: string; service: string | null }>(
    `SELECT count(*), (SELECT s.id FROM trials one JOIN sources s ON s.id = one.source_id WHERE one.id = $id AND s.kind = 'connected') AS service
     FROM trials t JOIN versions v ON v.id = t.version_id
     WHERE t.state IN ('waiting', 'running') AND v.brief_id = (SELECT brief_id FROM versions WHERE id = $version)`,
    { bind: { version: trial.versionId, id: trial.id }, type: QueryTypes.SELECT }
  );
  const { count, service } = ahead!;
  await addJob(task, { trialId: trial.id }, { key: trial.id, priority: Number(count), service });
}

/** Queues trials again that no server works on any more: they wait or were running, and have no job. */
export async function resumeTrials(): Promise<void> {
  const left = await database().query<{ id: string; versionId: string }>(
    `SELECT id, version_id AS "versionId" FROM trials t
     WHERE state IN ('waiting', 'running') AND ${hasNoJob('t.id::text')}
     ORDER BY created_at`,
    { type: QueryTypes.SELECT }
  );
  for (const trial of left) await enqueue(trial);
}

export const trialTask = defineTask(task, z.object({ trialId: z.string() }), ({ trialId }, { stopping, log }) =>
  alone(`trial ${trialId}`, (lost) => work(trialId, AbortSignal.any([lost, stopping]), log))
);

/** Runs a trial to its end. Each page is saved as it arrives, so that the trial resumes where it stopped. */
async function work(trialId: string, halt: AbortSignal, log: JobContext['log']): Promise<void> {
  const { Trial } = models();
  const [, [trial]] = await Trial.update(
    { state: 'running' },
    { where: { id: trialId, state: ['waiting', 'running'] }, returning: true }
  );
  if (!trial) return;
  let source: SourceRow | undefined;
  try {
    source = await sourceToAsk(trial.sourceId);
    const answers: SearchResult[] = [];
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
    if (error instanceof Later) {
      await wait(trial, error);
      throw error;
    }
    log.warn({ err: error, trial: trialId }, 'trial failed');
    await Trial.update(
      { state: 'failed', problem: whyItBrokeOff(error, source) },
      { where: { id: trialId, state: 'running' } }
    );
  }
}

/** Lets a trial wait for the time that its source asks for; what it has stays. */
async function wait(trial: TrialRow, { wait: milliseconds, message }: Later): Promise<void> {
  const until = new Date(Date.now() + milliseconds).toISOString();
  const event = { at: new Date().toISOString(), search: 0, page: 0, what: `${message}; it goes on at ${until}` };
  await models().Trial.update(
    { state: 'waiting', events: [...trial.events, event].slice(0, maxEvents) },
    { where: { id: trial.id, state: 'running' } }
  );
}

/** All rows of one search; null when the trial was stopped meanwhile. */
async function pages(
  trial: TrialRow,
  source: SourceRow,
  search: Search,
  number: number,
  halt: AbortSignal
): Promise<SearchResult | null> {
  const { Trial, TrialPage } = models();
  const kept = await TrialPage.findAll({ where: { trialId: trial.id, search: number }, order: ['page'] });
  const all: Page[] = kept.map(({ said, last, people }) => ({ said, last, people }));
  let cursor = kept.at(-1)?.cursor ?? null;
  const seen = new Set(all.flatMap(({ people }) => people.map(({ id }) => id)));
  while (!all.at(-1)?.last) {
    if (halt.aborted) throw new NotNow('This server stops, or has lost its line to the database.');
    const state = await Trial.findByPk(trial.id, { attributes: ['state'] });
    if (state?.state !== 'running') return null;
    const page = all.length;
    const asked = await askPage(source, { search, number, page, cursor, seen, halt });
    const { spent, ...answer } = asked.answer;
    await database().transaction(async (transaction) => {
      await TrialPage.create({ trialId: trial.id, search: number, page, ...answer }, { transaction });
      await trial.update(
        {
          requests: trial.requests + asked.requests,
          events: [...trial.events, ...asked.events].slice(0, maxEvents),
          ...(spent !== null && { spent: (trial.spent ?? 0) + spent })
        },
        { transaction }
      );
    });
    cursor = answer.cursor;
    for (const { id } of answer.people) seen.add(id);
    all.push(answer);
  }
  const ids = new Set<string>();
  const people = all.flatMap((page) => page.people.filter(({ id }) => ids.size < ids.add(id).size));
  // A count read by hand keeps what it may represent.
  const interval = source.kind === 'by-hand' ? trial.answers[number]?.interval : undefined;
  // Where the count changed between pages, the first is the one that the pages belong to.
  return { said: all[0]!.said, people, ...(interval && { interval }) };
}

async function finish(trial: TrialRow, source: SourceRow, answers: SearchResult[]): Promise<void> {
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
