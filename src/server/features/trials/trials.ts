import { randomUUID } from 'node:crypto';
import { LRUCache } from 'lru-cache';
import type { Transaction } from 'sequelize';
import { judgedSample, figuresOf, foundBy, extendSample, spendOn } from '$core/measure';
import type { Sheet } from '$core/dialect';
import { database } from '$server/platform/database/connection';
import {
  models,
  type BriefRow,
  type SourceRow,
  type TrialPersonRow,
  type TrialRow,
  type VersionRow
} from '$server/platform/database/models';
import { notFound, refuse } from '$server/platform/refusals';
import { askForJson, askPeople } from '$server/workers/people';
import type { StringText } from '$server/workers/people-messages';
import { findBrief } from '$server/features/briefs/briefs';
import { findRunnable } from '$server/features/sources/sources';
import { enqueue, peopleAtRanks } from './trial-run';
import { contextOf, type BriefContext } from './brief-context';
import type { Judged } from './judged';
import { notesOn } from './notes';
import { serializeVerdict, verdictsOn } from './verdicts';
import { newestTrials } from './latest-trials';
import { memoize } from '$server/platform/memoize';
import { checkedString, findVersion, keepIn, serializeVersion, versionString } from './versions';

/** A string as a source is to be asked it. Written and kept as text: a long one has thousands of parts, of which nothing is looked at here. */
async function renderedFor(source: SourceRow, string: StringText) {
  return (await askForJson('render', { ...string, sheet: source.sheet })).text();
}

/** Keeps a trial that waits for its turn. Gives its id. */
async function keepTrial(
  { personaId }: BriefRow,
  version: VersionRow,
  { id: sourceId }: SourceRow,
  rendering: string,
  sampleSize: number,
  transaction: Transaction | null = null
): Promise<string> {
  const id = randomUUID();
  await database().query(
    `INSERT INTO trials (id, version_id, source_id, seed, rendering, answers, filtered, state, sample_size, created_at)
     VALUES ($id, $versionId, $sourceId, $seed, $rendering::jsonb, '[]', 0, 'waiting', $sampleSize, now())`,
    {
      bind: { id, versionId: version.id, sourceId, seed: `${personaId}/${sourceId}`, rendering, sampleSize },
      transaction
    }
  );
  return id;
}

/** Starts a trial of a version at a source: it runs in the background, and its pages are kept as they come. Gives its id. */
export async function startTrial(
  briefId: string,
  number: number,
  sourceId: string,
  sampleSize: number
): Promise<string> {
  const [brief, version, source] = await Promise.all([
    findBrief(briefId),
    findVersion(briefId, number),
    findRunnable(sourceId)
  ]);
  const id = await keepTrial(brief, version, source, await renderedFor(source, versionString(version)), sampleSize);
  await enqueue({ id, versionId: version.id });
  return id;
}

/** Keeps a string as a version and starts a trial of it at each of some sources. All of it or nothing. */
export async function runAtSources(
  briefId: string,
  {
    text,
    parent,
    sourceIds,
    sampleSize
  }: { text: string; parent: number | null; sourceIds: string[]; sampleSize: number }
) {
  const [brief, string, sources] = await Promise.all([
    findBrief(briefId),
    checkedString(text),
    Promise.all([...new Set(sourceIds)].map(findRunnable))
  ]);
  const renderings = await Promise.all(sources.map((source) => renderedFor(source, string)));
  const { version, ids } = await database().transaction(async (transaction) => {
    const kept = await keepIn(transaction, briefId, string, parent);
    const started: string[] = [];
    for (const [i, source] of sources.entries())
      started.push(await keepTrial(brief, kept, source, renderings[i]!, sampleSize, transaction));
    return { version: kept, ids: started };
  });
  // If its job isn't queued now, the next sweep queues it.
  for (const id of ids) await enqueue({ id, versionId: version.id });
  return { version: serializeVersion(version), trials: ids.map((id, i) => ({ id, sourceId: sources[i]!.id })) };
}

/** Starts a trial and waits until it has ended, or for so many milliseconds. */
export async function runTrial(briefId: string, number: number, sourceId: string, sampleSize: number, wait = 60_000) {
  const id = await startTrial(briefId, number, sourceId, sampleSize);
  const until = Date.now() + wait;
  const isUnderWay = async () => {
    const trial = await models().Trial.findByPk(id, { attributes: ['state'] });
    return trial?.state === 'waiting' || trial?.state === 'running';
  };
  for (let pause = 10; Date.now() < until && (await isUnderWay()); pause = Math.min(200, pause * 1.5))
    await new Promise((done) => setTimeout(done, pause));
  return readTrial(briefId, id);
}

export async function findTrial(briefId: string, trialId: string): Promise<{ trial: TrialRow; version: VersionRow }> {
  const { Trial, Version } = models();
  const trial = await Trial.findByPk(trialId);
  const version = trial && (await Version.findOne({ where: { id: trial.versionId, briefId } }));
  if (!trial || !version) throw notFound('This trial');
  return { trial, version };
}

/** Stops a trial where it is; the pages that came are kept. */
export async function stopTrial(briefId: string, trialId: string) {
  const { trial } = await findTrial(briefId, trialId);
  await models().Trial.update({ state: 'stopped' }, { where: { id: trial.id, state: ['waiting', 'running'] } });
  return readTrial(briefId, trialId);
}

/** Lets a stopped or failed trial go on where it was left. */
export async function resumeTrial(briefId: string, trialId: string) {
  const { trial } = await findTrial(briefId, trialId);
  const [changed] = await models().Trial.update(
    { state: 'waiting', problem: '' },
    { where: { id: trial.id, state: ['stopped', 'failed'] } }
  );
  if (changed) await enqueue(trial);
  return readTrial(briefId, trialId);
}

/** Deletes a trial with its pages and its sample, in progress or not; the verdicts on its people stay. */
export async function deleteTrial(briefId: string, trialId: string): Promise<void> {
  const { trial } = await findTrial(briefId, trialId);
  await trial.destroy();
}

/** Draws more people of a trial's result, to `size` in all; those drawn before stay. */
export async function drawMore(briefId: string, trialId: string, size: number) {
  await drawAtOnce(briefId, [{ trial: trialId, size }]);
  return readTrial(briefId, trialId);
}

/** The same for several trials: all of it or nothing. */
export async function drawAtOnce(briefId: string, draws: readonly { trial: string; size: number }[]): Promise<void> {
  const found = await Promise.all(draws.map(async (draw) => ({ ...draw, ...(await findTrial(briefId, draw.trial)) })));
  if (found.some(({ trial }) => trial.state !== 'done')) throw refuse('trial-not-done');
  const { TrialPerson } = models();
  await database().transaction(async (transaction) => {
    for (const { trial, size } of found.sort((a, b) => (a.trial.id < b.trial.id ? -1 : 1))) {
      const drawn = await TrialPerson.findAll({ where: { trialId: trial.id }, attributes: ['rank'], transaction });
      const ranks = extendSample(
        trial.found,
        drawn.map(({ rank }) => rank),
        size,
        trial.seed
      );
      const people = await peopleAtRanks(trial, ranks);
      await TrialPerson.bulkCreate(
        people.map(({ rank, person }) => ({ trialId: trial.id, rank, personId: person.id, person })),
        { transaction, ignoreDuplicates: true }
      );
      await trial.update({ sampleSize: Math.max(trial.sampleSize, size) }, { transaction });
    }
  });
}

export const serializeTrial = (trial: TrialRow, version: VersionRow) => ({
  id: trial.id,
  version: version.number,
  sourceId: trial.sourceId,
  rendering: trial.rendering,
  answers: trial.answers,
  found: foundBy(trial.answers, trial.rendering.leftover !== null),
  people: trial.found.length,
  filtered: trial.filtered,
  contacted: trial.contacted,
  duplicates: trial.duplicates,
  state: trial.state,
  problem: trial.problem,
  requests: trial.requests,
  createdAt: trial.createdAt.toISOString()
});

export async function listTrials(briefId: string) {
  await findBrief(briefId);
  return (await newestTrials(briefId)).map(({ trial, version }) => serializeTrial(trial, version));
}

/** Rows to expect in all, by the counts said so far: those not asked yet are taken to be like those that were. */
function expectedRows(
  pages: readonly { search: number; page: number; said: number }[],
  searches: number,
  sheet: Sheet
) {
  const firstPages = pages.filter(({ page }) => page === 0);
  if (!firstPages.length) return null;
  const most = sheet.limits.shown ?? Infinity;
  return Math.round(
    (firstPages.reduce((sum, { said }) => sum + Math.min(said, most), 0) * searches) / firstPages.length
  );
}

/** The page of the result that each person found stood on; null where no pages were read by hand. */
const pagesOf = ({ found, foundOn }: TrialRow): ReadonlyMap<string, number> | null =>
  foundOn && new Map(found.map((id, at) => [id, foundOn[at]!]));

/** All figures of a trial that is done: what the board says of it, too. */
export function trialFigures(
  trial: TrialRow,
  drawn: readonly Pick<TrialPersonRow, 'personId'>[],
  { identity, verdicts }: Pick<Judged, 'identity' | 'verdicts'>
) {
  const open = new Set(trial.open);
  const pageOf = pagesOf(trial);
  const sample = drawn.flatMap(({ personId }) => {
    const person = identity.numberOf(trial.sourceId, personId);
    const page = pageOf?.get(personId);
    return person === undefined ? [] : [{ person, open: open.has(personId), page }];
  });
  return figuresOf(trial.answers, trial.rendering.leftover !== null, judgedSample(sample, verdicts), {
    certain: trial.found.length - trial.open.length,
    possible: trial.found.length
  });
}

/** What of a trial stays the same while it is the newest and done, and nobody draws more people, makes it again by hand, writes a note, or is erased. */
type Static = Awaited<ReturnType<typeof readStatic>>;
const staticCache = new LRUCache<string, Promise<Static>>({ max: 60 });

async function readStatic({ briefId, personaId }: BriefContext, trialId: string) {
  const { trial, version } = await findTrial(briefId, trialId);
  const { TrialPerson, TrialPage, Source } = models();
  const [people, source, pages] = await Promise.all([
    TrialPerson.findAll({ where: { trialId }, order: ['rank'] }),
    Source.findByPk(trial.sourceId),
    TrialPage.findAll({ where: { trialId }, attributes: { exclude: ['people'] }, raw: true })
  ]);
  const { sheet, name } = source!;
  const rows = pages.reduce((sum, page) => sum + page.rows, 0);
  const open = new Set(trial.open);
  const searches = trial.rendering.searches.length;
  const ids = people.map(({ personId }) => personId);
  const notes = await notesOn(personaId, trial.sourceId, ids);
  const readings = people.length
    ? await askPeople('read-sample', {
        ...versionString(version),
        sheet,
        leftover: trial.rendering.leftover,
        people: people.map(({ person, personId }) => ({ person, open: open.has(personId) }))
      })
    : [];
  return {
    trial,
    notes,
    drawn: people.map(({ rank, person, personId }, i) => ({ rank, person, personId, reading: readings[i]! })),
    reply: {
      ...serializeTrial(trial, version),
      sourceName: name,
      progress: {
        searches,
        searchesDone: pages.filter(({ last }) => last).length,
        pages: pages.length,
        rows,
        rowsExpected: expectedRows(pages, searches, sheet)
      },
      spent: spendOn(sheet, searches, rows, trial.spent),
      events: trial.events,
      shownCap: sheet.limits.shown,
      text: version.text,
      sets: version.sets,
      certain: trial.found.length - trial.open.length
    }
  };
}

/** A trial with its sampled people, their marked words and the verdicts on them. */
export async function readTrial(briefId: string, trialId: string) {
  const context = await contextOf(briefId);
  const read = () => readStatic(context, trialId);
  const mark = context.pageMark(trialId);
  const { trial, drawn, notes, reply } = await (mark === undefined ? read() : memoize(staticCache, mark, read));
  // Who is who is worked out when there are results; a trial in progress does not wait for it.
  const judged = trial.state === 'done' ? await context.judged() : null;
  const verdicts = judged
    ? null
    : await verdictsOn(
        context.personaId,
        trial.sourceId,
        drawn.map(({ personId }) => personId)
      );
  const { sourceId } = trial;
  const pageOf = pagesOf(trial);
  return {
    ...reply,
    figures: judged && trialFigures(trial, drawn, judged),
    sample: drawn.map(({ rank, person, personId, reading }) => ({
      rank,
      page: pageOf?.get(personId) ?? null,
      person,
      ...reading,
      verdict: judged ? serializeVerdict(judged.on(sourceId, personId)) : (verdicts!.get(personId) ?? null),
      counts: judged?.of(sourceId, personId) ?? null,
      number: judged?.identity.numberOf(sourceId, personId) ?? null,
      note: notes.get(personId) ?? null
    }))
  };
}
