import { randomUUID } from 'node:crypto';
import { matchingOf, marksOf, print, untoldIn, setQueries, parse } from '$core/query';
import { judgedSample, figuresOf, foundBy, extendSample, spendOn } from '$core/measure';
import { valuesOf } from '$core/corpus';
import { render, toldBy, type Sheet } from '$core/dialect';
import { col, fn } from 'sequelize';
import { database } from '../database/connection';
import { models, type TrialPersonRow, type TrialRow, type VersionRow } from '../database/models';
import { notFound, Refusal } from '../refusal';
import { findBrief } from './briefs';
import { findRunnable } from './sources';
import { enqueue, peopleAtRanks } from './trial-run';
import { judgedIn, type Judged } from './judged';
import { notesOn } from './notes';
import { verdictsOn } from './verdicts';
import { latestTrials } from './latest-trials';
import { findVersion, versionQuery } from './versions';

/** Starts a trial of a version at a source: it runs in the background, and its pages are kept as they come. */
export async function startTrial(briefId: string, number: number, sourceId: string, sampleSize: number) {
  const [{ personaId }, version, source] = await Promise.all([
    findBrief(briefId),
    findVersion(briefId, number),
    findRunnable(sourceId)
  ]);
  const trial = await models().Trial.create({
    id: randomUUID(),
    versionId: version.id,
    sourceId: source.id,
    seed: `${personaId}/${sourceId}`,
    rendering: render(versionQuery(version), source.sheet),
    answers: [],
    filtered: 0,
    state: 'waiting',
    sampleSize
  });
  await enqueue(trial);
  return readTrial(briefId, trial.id);
}

/** Starts a trial and waits until it has ended, or for so many milliseconds. */
export async function runTrial(briefId: string, number: number, sourceId: string, sampleSize: number, wait = 60_000) {
  const { id } = await startTrial(briefId, number, sourceId, sampleSize);
  const until = Date.now() + wait;
  const isUnderWay = async () => {
    const trial = await models().Trial.findByPk(id, { attributes: ['state'] });
    return trial?.state === 'waiting' || trial?.state === 'running';
  };
  for (let pause = 10; Date.now() < until && (await isUnderWay()); pause = Math.min(200, pause * 1.5))
    await new Promise((done) => setTimeout(done, pause));
  return readTrial(briefId, id);
}

async function findTrial(briefId: string, trialId: string): Promise<{ trial: TrialRow; version: VersionRow }> {
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

/** Draws more people of a trial's result, to `size` in all; those drawn before stay. */
export async function drawMore(briefId: string, trialId: string, size: number) {
  const { trial } = await findTrial(briefId, trialId);
  if (trial.state !== 'done')
    throw new Refusal(409, 'Not done yet', 'People can be drawn when the trial is done. Wait for it, or let it go on.');
  const { TrialPerson } = models();
  await database().transaction(async (transaction) => {
    const drawn = await TrialPerson.findAll({ where: { trialId }, attributes: ['rank'], transaction });
    const ranks = extendSample(
      trial.found,
      drawn.map(({ rank }) => rank),
      size,
      trial.seed
    );
    const people = await peopleAtRanks(trial, ranks);
    await TrialPerson.bulkCreate(
      people.map(({ rank, person }) => ({ trialId, rank, personId: person.id, person })),
      { transaction, ignoreDuplicates: true }
    );
    await trial.update({ sampleSize: Math.max(trial.sampleSize, size) }, { transaction });
  });
  return readTrial(briefId, trialId);
}

export const toldTrial = (trial: TrialRow, version: VersionRow) => ({
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
  return (await latestTrials(briefId, undefined, false)).map(({ trial, version }) => toldTrial(trial, version));
}

/** Rows to expect in all, by the counts said so far: those not asked yet are taken to be like those that were. */
function expectedRows(
  pages: readonly { search: number; page: number; said: number }[],
  searches: number,
  sheet: Sheet
) {
  const begun = pages.filter(({ page }) => page === 0);
  if (!begun.length) return null;
  const most = sheet.limits.shown ?? Infinity;
  return Math.round((begun.reduce((sum, { said }) => sum + Math.min(said, most), 0) * searches) / begun.length);
}

/** All figures of a trial that is done: what the board says of it, too. */
export function trialFigures(
  trial: TrialRow,
  drawn: readonly Pick<TrialPersonRow, 'personId'>[],
  { identity, verdicts }: Pick<Judged, 'identity' | 'verdicts'>
) {
  const open = new Set(trial.open);
  const sample = drawn.flatMap(({ personId }) => {
    const person = identity.numberOf(trial.sourceId, personId);
    return person === undefined ? [] : [{ person, open: open.has(personId) }];
  });
  return figuresOf(trial.answers, trial.rendering.leftover !== null, judgedSample(sample, verdicts), {
    certain: trial.found.length - trial.open.length,
    possible: trial.found.length
  });
}

/** A trial with its sampled people, their marked words and the verdicts on them. */
export async function readTrial(briefId: string, trialId: string) {
  const [brief, { trial, version }] = await Promise.all([findBrief(briefId), findTrial(briefId, trialId)]);
  const { TrialPerson, TrialPage, Source } = models();
  const [people, source, pages] = await Promise.all([
    TrialPerson.findAll({ where: { trialId }, order: ['rank'] }),
    Source.findByPk(trial.sourceId),
    TrialPage.findAll({
      where: { trialId },
      attributes: ['search', 'page', 'said', 'last', [fn('jsonb_array_length', col('people')), 'rows']],
      raw: true
    }) as unknown as Promise<{ search: number; page: number; said: number; last: boolean; rows: number }[]>
  ]);
  const rows = pages.reduce((sum, page) => sum + page.rows, 0);
  const verdicts = await verdictsOn(
    brief.personaId,
    trial.sourceId,
    people.map((row: TrialPersonRow) => row.personId)
  );
  const notes = await notesOn(
    brief.personaId,
    trial.sourceId,
    people.map(({ personId }) => personId)
  );
  // Who is who is worked out when there are results; a trial under way does not wait for it.
  const judged = trial.state === 'done' ? await judgedIn(briefId) : null;
  const open = new Set(trial.open);
  const { query } = parse(version.text, setQueries(version.sets));
  const matching = matchingOf(source!.sheet.matching);
  return {
    ...toldTrial(trial, version),
    sourceName: source!.name,
    progress: {
      searches: trial.rendering.searches.length,
      searchesDone: pages.filter(({ last }) => last).length,
      pages: pages.length,
      rows,
      rowsExpected: expectedRows(pages, trial.rendering.searches.length, source!.sheet)
    },
    spent: spendOn(source!.sheet, trial.rendering.searches.length, rows),
    events: trial.events,
    shownCap: source!.sheet.limits.shown,
    text: version.text,
    sets: version.sets,
    figures: judged && trialFigures(trial, people, judged),
    certain: trial.found.length - trial.open.length,
    sample: people.map(({ rank, person, personId }) => ({
      rank,
      person,
      values: valuesOf(person),
      marks: query ? marksOf(query, person, matching) : [],
      untold:
        open.has(personId) && trial.rendering.leftover
          ? untoldIn(trial.rendering.leftover, person, toldBy(source!.sheet), matching).map((term) => print(term))
          : [],
      verdict: verdicts.get(personId) ?? null,
      counts: judged?.of(trial.sourceId, personId) ?? null,
      number: judged?.identity.numberOf(trial.sourceId, personId) ?? null,
      note: notes.get(personId) ?? null
    }))
  };
}
