import { hasPeopleHere } from '$api/source-kinds';
import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { readQrels, writeQrels, writeRuns } from '$core/formats';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { refuse } from '$server/platform/refusals';
import { askPeople } from '$server/workers/people';
import { findBrief } from '$server/features/briefs/briefs';
import { peopleOfTrials } from '$server/features/trials/identity';
import { contextOf } from '$server/features/trials/brief-context';
import { foundIn } from '$server/features/trials/latest-trials';
import { readySource } from '$server/features/sources/sources';
import type { RunOfPeople } from '$server/workers/people-messages';
import { versionString } from '$server/features/trials/versions';
import type { Person } from '$core/people';
import { recordName } from '$server/records/record-name';
import { objectedRecords, peopleWithoutObjected } from '$server/records/objections/objected';

/** The verdicts of a brief as TREC qrels. */
export async function exportQrels(briefId: string) {
  const { personaId } = await findBrief(briefId);
  const rows = await models().Verdict.findAll({ where: { personaId }, order: ['sourceId', 'personId'] });
  return { text: writeQrels(rows) };
}

/** The newest results of every version at every source as TREC runs; `certain` leaves out those who are possible only. */
export async function exportRuns(briefId: string, certain = false) {
  const { trials } = await contextOf(briefId);
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
  if (first) throw refuse('trec-line-unreadable', first.line, first.why, wanted).with({ unread: unread.slice(0, 100) });
  if (!rows) throw refuse('trec-empty', wanted);
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
  const reply = { added: 0, same: 0, otherwise: 0, elsewhere: 0 };
  await database().transaction(async (transaction) => {
    const had = new Map(
      (await Verdicts.findAll({ where: { personaId }, transaction })).map((one) => [
        recordName(one.sourceId, one.personId),
        one.verdict
      ])
    );
    const objected = await objectedRecords(rows, transaction);
    const fresh = new Map<string, (typeof rows)[number]>();
    for (const row of rows) {
      const name = recordName(row.sourceId, row.personId);
      const before = had.get(name) ?? fresh.get(name)?.verdict;
      if (!here.has(row.sourceId) || objected.has(name)) reply.elsewhere++;
      else if (before === undefined) fresh.set(name, row);
      else if (before === row.verdict) reply.same++;
      else reply.otherwise++;
    }
    reply.added = fresh.size;
    await Verdicts.bulkCreate(
      [...fresh.values()].map((row) => ({ personaId, ...row, reason: '' })),
      { transaction }
    );
  });
  return reply;
}

/** Takes results out of TREC runs: each becomes a run of its version at its source, if those people are known there. `body` is what was sent, as JSON. */
export async function importRuns(briefId: string, body: Uint8Array) {
  const { personaId } = await findBrief(briefId);
  const { runs, unread } = await askPeople('read-runs', { body });
  refuseUnread(unread, runs.length, 'Each line is written: topic Q0 source/record rank score version-number/source.');
  const { Version, Source } = models();
  const { trials } = await contextOf(briefId);
  const reply = { added: 0, same: 0, unknown: 0 };
  const ready: NewTrial[] = [];
  for (const { version: number, sourceId, ids: given } of runs) {
    const objected = await objectedRecords(given.map((personId) => ({ sourceId, personId })));
    const ids = given.filter((personId) => !objected.has(recordName(sourceId, personId)));
    const [version, source] = await Promise.all([
      Version.findOne({ where: { briefId, number } }),
      Source.findByPk(sourceId)
    ]);
    if (!version || !source) throw refuse('trec-not-of-this-brief', number, sourceId, version ? 'source' : 'version');
    const before = trials.find((one) => one.version.id === version.id && one.trial.sourceId === sourceId);
    if (before && isSameList(before.trial.found, ids)) {
      reply.same++;
      continue;
    }
    const people = !hasPeopleHere(source.kind)
      ? await peopleOfTrials(trials.map(({ trial }) => trial).filter((one) => one.sourceId === sourceId))
      : null;
    if (!people) await readySource(sourceId);
    const seed = `${personaId}/${sourceId}`;
    const run = await askPeople('run-of-people', {
      ...versionString(version),
      sheet: source.sheet,
      ids,
      people,
      size: sampleSize,
      seed
    });
    reply.unknown += given.length - run.found.length;
    if (!run.found.length) continue;
    reply.added++;
    ready.push({ versionId: version.id, sourceId, seed, run });
  }
  if (!reply.added && !reply.same) throw refuse('trec-people-unknown');
  await database().transaction(async (transaction) => {
    for (const one of ready) await keepRun(one, transaction);
  });
  return reply;
}

const sampleSize = 40;
interface NewTrial {
  versionId: string;
  sourceId: string;
  seed: string;
  run: RunOfPeople;
}

const isSameList = (one: readonly string[], other: readonly string[]) =>
  one.length === other.length && one.every((id, i) => id === other[i]);

/** Keeps a result that came from elsewhere as a trial that is done. */
async function keepRun({ versionId, sourceId, seed, run }: NewTrial, transaction: Transaction): Promise<void> {
  const { Trial, TrialPerson } = models();
  const id = randomUUID();
  const { rendering, found, open } = run;
  const people = await peopleWithoutObjected(sourceId, JSON.parse(run.people) as Person[], transaction);
  const allowed = new Set(people.map(({ id: one }) => one));
  const sample = run.sample.filter(({ person }) => allowed.has(person.id));
  const count = found.length;
  const answer = {
    said: count,
    interval: { low: count, high: count },
    shown: count,
    certain: count - open.length,
    possible: count,
    complete: true
  };
  await Trial.create(
    { id, versionId, sourceId, seed, rendering, answers: [answer], open, filtered: 0, found },
    { transaction }
  );
  await database().query(
    `INSERT INTO trial_pages (trial_id, search, page, said, last, people) VALUES ($id, 0, 0, $count, true, $people::jsonb)`,
    { bind: { id, count, people: JSON.stringify(people) }, transaction }
  );
  await TrialPerson.bulkCreate(
    sample.map(({ rank, person }) => ({ trialId: id, rank, personId: person.id, person })),
    { transaction }
  );
}
