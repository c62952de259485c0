import { randomUUID } from 'node:crypto';
import { render, toldBy } from '$core/dialect';
import { matchingOf, truthReader } from '$core/query';
import { drawSample } from '$core/measure';
import { readQrels, readRuns, writeQrels, writeRuns, type RunRow } from '$core/formats';
import { database } from '../database/connection';
import { models } from '../database/models';
import { Refusal } from '../refusal';
import { askPeople } from '../workers/people';
import { findBrief } from './briefs';
import { peopleOfTrials } from './identity';
import { foundIn, latestTrials } from './latest-trials';
import { readySource } from './sources';
import { versionQuery } from './versions';

/** The verdicts of a brief as TREC qrels. */
export async function exportQrels(briefId: string) {
  const { personaId } = await findBrief(briefId);
  const rows = await models().Verdict.findAll({ where: { personaId }, order: ['sourceId', 'personId'] });
  return { text: writeQrels(rows) };
}

/** The newest results of every version at every source as TREC runs; `certain` leaves out those who are possible only. */
export async function exportRuns(briefId: string, certain = false) {
  const trials = await latestTrials(briefId);
  return {
    text: writeRuns(
      trials.flatMap(({ trial, version }) =>
        foundIn(trial, certain).map((personId, i) => ({
          version: version.number,
          sourceId: trial.sourceId,
          personId,
          rank: i + 1
        }))
      )
    )
  };
}

const refuseUnread = (unread: readonly { line: number; why: string }[], rows: number, wanted: string) => {
  const [first] = unread;
  if (first)
    throw new Refusal(
      422,
      'The file cannot be read',
      `Line ${first.line}: ${first.why}. Nothing was taken. ${wanted}`,
      { unread: unread.slice(0, 100) }
    );
  if (!rows) throw new Refusal(422, 'The file is empty', `There is no line to read. ${wanted}`);
};

/**
 * Takes verdicts out of TREC qrels, all or none. Those that say otherwise than what was judged here are counted and left as
 * they are; so are those at sources that are not here.
 */
export async function importQrels(briefId: string, text: string) {
  const { personaId } = await findBrief(briefId);
  const { rows, unread } = readQrels(text);
  refuseUnread(unread, rows.length, 'Each line is written: topic 0 source/record relevance.');
  const { Verdict: Verdicts, Source } = models();
  const here = new Set((await Source.findAll({ attributes: ['id'] })).map(({ id }) => id));
  const told = { added: 0, same: 0, otherwise: 0, elsewhere: 0 };
  await database().transaction(async (transaction) => {
    const had = new Map(
      (await Verdicts.findAll({ where: { personaId }, transaction })).map((one) => [
        JSON.stringify([one.sourceId, one.personId]),
        one.verdict
      ])
    );
    const fresh = new Map<string, (typeof rows)[number]>();
    for (const row of rows) {
      const name = JSON.stringify([row.sourceId, row.personId]);
      const before = had.get(name) ?? fresh.get(name)?.verdict;
      if (!here.has(row.sourceId)) told.elsewhere++;
      else if (before === undefined) fresh.set(name, row);
      else if (before === row.verdict) told.same++;
      else told.otherwise++;
    }
    told.added = fresh.size;
    await Verdicts.bulkCreate(
      [...fresh.values()].map((row) => ({ personaId, ...row, reason: '' })),
      { transaction }
    );
  });
  return told;
}

/** Takes results out of TREC runs: each becomes a run of its version at its source, if those people are known there. */
export async function importRuns(briefId: string, text: string) {
  const { personaId } = await findBrief(briefId);
  const { rows, unread } = readRuns(text);
  refuseUnread(unread, rows.length, 'Each line is written: topic Q0 source/record rank score version-number/source.');
  const { Version, Source, Trial, TrialPage, TrialPerson } = models();
  const runs = new Map<string, RunRow[]>();
  for (const row of rows) {
    const name = `${row.version} ${row.sourceId}`;
    const list = runs.get(name);
    if (list) list.push(row);
    else runs.set(name, [row]);
  }
  const trials = await latestTrials(briefId);
  const told = { added: 0, same: 0, unknown: 0 };
  const ready: (() => Promise<void>)[] = [];
  for (const list of runs.values()) {
    const [{ version: number, sourceId }] = list as [RunRow];
    const [version, source] = await Promise.all([
      Version.findOne({ where: { briefId, number } }),
      Source.findByPk(sourceId)
    ]);
    if (!version || !source)
      throw new Refusal(
        422,
        'Not of this brief',
        `The run of version ${number} at ${sourceId} cannot be taken: this brief has no such ${version ? 'source' : 'version'}. Nothing was taken.`
      );
    const ids = [...new Set([...list].sort((a, b) => a.rank - b.rank).map(({ personId }) => personId))];
    const before = trials.find((one) => one.version.id === version.id && one.trial.sourceId === sourceId);
    if (before && JSON.stringify(before.trial.found) === JSON.stringify(ids)) {
      told.same++;
      continue;
    }
    const people =
      source.kind === 'by-hand'
        ? await peopleOfTrials(trials.map(({ trial }) => trial).filter((one) => one.sourceId === sourceId))
        : await askPeople('people-by-id', { sourceId: (await readySource(sourceId)).id, ids });
    const byId = new Map(people.map((person) => [person.id, person]));
    const known = ids.flatMap((id) => byId.get(id) ?? []);
    told.unknown += ids.length - known.length;
    if (!known.length) continue;
    told.added++;
    ready.push(async () => {
      const id = randomUUID();
      const seed = `${personaId}/${sourceId}`;
      const rendering = render(versionQuery(version), source.sheet);
      const found = known.map((person) => person.id);
      const count = known.length;
      const truth =
        rendering.leftover && truthReader(rendering.leftover, toldBy(source.sheet), matchingOf(source.sheet.matching));
      const open = truth ? known.filter((person) => truth(person) !== 'met').map((person) => person.id) : [];
      await database().transaction(async (transaction) => {
        await Trial.create(
          {
            id,
            versionId: version.id,
            sourceId,
            seed,
            rendering,
            answers: [
              {
                said: count,
                interval: { low: count, high: count },
                shown: count,
                certain: count - open.length,
                possible: count,
                complete: true
              }
            ],
            open,
            filtered: 0,
            found
          },
          { transaction }
        );
        await TrialPage.create(
          { trialId: id, search: 0, page: 0, said: count, last: true, people: known },
          { transaction }
        );
        await TrialPerson.bulkCreate(
          drawSample(found, 40, seed).map((rank) => ({
            trialId: id,
            rank,
            personId: found[rank - 1]!,
            person: known[rank - 1]!
          })),
          { transaction }
        );
      });
    });
  }
  if (!told.added && !told.same)
    throw new Refusal(
      422,
      'Nobody is known',
      'None of the people in these runs is in the source they are said to be from. Nothing was taken.'
    );
  for (const take of ready) await take();
  return told;
}
