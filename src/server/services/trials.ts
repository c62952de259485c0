import { randomUUID } from 'node:crypto';
import { contactKeys } from '$core/people/contact-keys';
import { matchingOf } from '$core/query/matching';
import { marksOf } from '$core/query/parts';
import { precisionOf } from '$core/measure/precision';
import { setQueries } from '$core/query/named-sets';
import { parse } from '$core/query/parse';
import { valuesOf } from '$core/corpus/values';
import { database } from '../database/connection';
import { models, type TrialPersonRow, type TrialRow, type VersionRow } from '../database/models';
import { notFound } from '../refusal';
import { askPeople } from '../workers/people';
import { findBrief, readDocument } from './briefs';
import { readySource } from './sources';
import { verdictsOn } from './verdicts';
import { findVersion, versionQuery } from './versions';

/** Runs a version at a source and keeps what came: the count, the translation and a sample through the depth shown. */
export async function runTrial(briefId: string, number: number, sourceId: string, sampleSize: number) {
  const [{ personaId }, version, source] = await Promise.all([
    findBrief(briefId),
    findVersion(briefId, number),
    readySource(sourceId)
  ]);
  const query = versionQuery(version);
  const seed = `${personaId}/${sourceId}`;
  const { body: contacted } = await readDocument(briefId, 'contacted');
  const outcome = await askPeople('try', {
    sourceId: source.id,
    query,
    size: sampleSize,
    seed,
    contacted: contacted.flatMap(contactKeys)
  });
  const id = randomUUID();
  await database().transaction(async (transaction) => {
    const { Trial, TrialPerson } = models();
    await Trial.create(
      {
        id,
        versionId: version.id,
        sourceId: source.id,
        seed,
        rendering: outcome.rendering,
        answers: outcome.answers,
        countLow: outcome.count.low,
        countHigh: outcome.count.high,
        shown: outcome.shown,
        filtered: outcome.filtered,
        contacted: outcome.contacted
      },
      { transaction }
    );
    await TrialPerson.bulkCreate(
      outcome.sample.map(({ rank, person }) => ({ trialId: id, rank, personId: person.id, person })),
      { transaction }
    );
  });
  return readTrial(briefId, id);
}

export const toldTrial = (trial: TrialRow, version: VersionRow) => ({
  id: trial.id,
  version: version.number,
  sourceId: trial.sourceId,
  rendering: trial.rendering,
  answers: trial.answers,
  count: { low: trial.countLow, high: trial.countHigh },
  shown: trial.shown,
  filtered: trial.filtered,
  contacted: trial.contacted,
  createdAt: trial.createdAt.toISOString()
});

/** The newest trial of each version at each source, newest version first. */
export async function latestTrials(briefId: string, numbers?: readonly number[]) {
  await findBrief(briefId);
  const { Version, Trial } = models();
  const versions = await Version.findAll({
    where: { briefId, ...(numbers && { number: [...numbers] }) },
    order: [['number', 'DESC']]
  });
  const byId = new Map(versions.map((version) => [version.id, version]));
  const trials = await Trial.findAll({ where: { versionId: [...byId.keys()] }, order: [['createdAt', 'DESC']] });
  const seen = new Set<string>();
  return trials
    .filter((trial) => {
      const key = `${trial.versionId} ${trial.sourceId}`;
      return seen.size < seen.add(key).size;
    })
    .map((trial) => ({ trial, version: byId.get(trial.versionId)! }))
    .sort((a, b) => b.version.number - a.version.number);
}

export async function listTrials(briefId: string) {
  return (await latestTrials(briefId)).map(({ trial, version }) => toldTrial(trial, version));
}

/** How many people of a trial's result the sample stands for, where that is known exactly. */
export const populationOf = (trial: TrialRow) => trial.shown;

/** A trial with its sampled people, their marked words and the verdicts on them. */
export async function readTrial(briefId: string, trialId: string) {
  const brief = await findBrief(briefId);
  const { Trial, Version, TrialPerson, Source } = models();
  const trial = await Trial.findByPk(trialId);
  const version = trial && (await Version.findOne({ where: { id: trial.versionId, briefId } }));
  if (!trial || !version) throw notFound('This trial');
  const [people, source] = await Promise.all([
    TrialPerson.findAll({ where: { trialId }, order: ['rank'] }),
    Source.findByPk(trial.sourceId)
  ]);
  const verdicts = await verdictsOn(
    brief.personaId,
    trial.sourceId,
    people.map((row: TrialPersonRow) => row.personId)
  );
  const { query } = parse(version.text, setQueries(version.sets));
  const matching = matchingOf(source!.sheet.matching);
  return {
    ...toldTrial(trial, version),
    sourceName: source!.name,
    shownCap: source!.sheet.limits.shown,
    text: version.text,
    sets: version.sets,
    precision: precisionOf(
      [...verdicts.values()].map((one) => one.verdict),
      populationOf(trial)
    ),
    sample: people.map(({ rank, person, personId }) => ({
      rank,
      person,
      values: valuesOf(person),
      marks: query ? marksOf(query, person, matching) : [],
      verdict: verdicts.get(personId) ?? null
    }))
  };
}
