import { createHash } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Person } from '$core/corpus';
import { database } from '../database/connection';
import { models, type TrialRow } from '../database/models';
import { Refusal } from '../refusal';
import { askPeople } from '../workers/people';
import type { IdentifyAnswer, RecordName } from '../workers/people-messages';
import { findBrief } from './briefs';
import { findSource, peopleRevision, readySource } from './sources';
import { latestTrials } from './latest-trials';

/** Who is who among all records that a brief's newest trials show and its verdicts are on. */
export interface Identity {
  /** The number of a record's person; undefined for a record that is not among them. */
  numberOf(sourceId: string, personId: string): number | undefined;
  /** The records of a source with the numbers of their people, in the order met. */
  recordsAt(sourceId: string): { id: string; number: number }[];
  people: number;
  doubtful: IdentifyAnswer['doubtful'];
}

const known = new Map<string, Promise<Identity>>();
const mostKept = 12;
const written = (sourceId: string, personId: string) => JSON.stringify([sourceId, personId]);

/** Works out who is who, or remembers it while trials, the people judged and what was decided stay as they are. */
export async function identityOf(briefId: string): Promise<Identity> {
  const { personaId } = await findBrief(briefId);
  const { Verdict: Verdicts, SamePerson } = models();
  const [trials, judged, decided] = await Promise.all([
    latestTrials(briefId),
    Verdicts.findAll({ where: { personaId }, attributes: ['sourceId', 'personId'], raw: true }),
    SamePerson.findAll({ order: ['updatedAt'] })
  ]);
  const ids = new Map<string, Set<string>>();
  const note = (sourceId: string, id: string) => {
    let set = ids.get(sourceId);
    if (!set) ids.set(sourceId, (set = new Set()));
    set.add(id);
  };
  for (const { trial } of trials) for (const id of trial.found) note(trial.sourceId, id);
  for (const { sourceId, personId } of judged) note(sourceId, personId);
  // Named by all records and decisions themselves: an answer never serves for others.
  const hash = createHash('sha256');
  for (const [sourceId, set] of ids) hash.update(JSON.stringify([sourceId, [...set]]));
  for (const one of decided)
    hash.update(JSON.stringify([one.firstSource, one.firstPerson, one.secondSource, one.secondPerson, one.same]));
  // The records of a file, or of a place run by hand, can be others under the same ids.
  for (const { trial } of trials) hash.update(trial.id);
  const sources = await models().Source.findAll({
    where: { id: [...ids.keys()] },
    attributes: ['id', 'people'],
    raw: true
  });
  hash.update(JSON.stringify(sources.map(({ id, people }) => [id, people, peopleRevision(id)]).sort()));
  const key = hash.digest('hex');
  let identity = known.get(key);
  if (!identity) {
    identity = identify(
      ids,
      trials.map(({ trial }) => trial),
      decided.map((one) => ({
        first: { sourceId: one.firstSource, personId: one.firstPerson },
        second: { sourceId: one.secondSource, personId: one.secondPerson },
        same: one.same
      }))
    );
    identity.catch(() => known.delete(key));
    known.set(key, identity);
    if (known.size > mostKept) known.delete(known.keys().next().value!);
  }
  return identity;
}

async function identify(
  ids: ReadonlyMap<string, ReadonlySet<string>>,
  trials: readonly TrialRow[],
  decisions: { first: RecordName; second: RecordName; same: boolean }[]
): Promise<Identity> {
  const records = await Promise.all(
    [...ids].map(async ([sourceId, set]) => {
      const { kind } = await findSource(sourceId);
      if (kind !== 'by-hand') await readySource(sourceId);
      const people =
        kind === 'by-hand' ? await peopleOfTrials(trials.filter((trial) => trial.sourceId === sourceId)) : undefined;
      return { sourceId, ids: [...set], ...(people && { people }) };
    })
  );
  const { personOf, people, doubtful } = await askPeople('identify', { records, decisions });
  const numbers = new Map<string, number>();
  records.forEach(({ sourceId, ids: list }, i) =>
    list.forEach((id, j) => numbers.set(written(sourceId, id), personOf[i]![j]!))
  );
  const bySource = new Map(
    records.map(({ sourceId, ids: list }, i) => [sourceId, list.map((id, j) => ({ id, number: personOf[i]![j]! }))])
  );
  return {
    numberOf: (sourceId, personId) => numbers.get(written(sourceId, personId)),
    recordsAt: (sourceId) => bySource.get(sourceId) ?? [],
    people,
    doubtful
  };
}

/** All people that some trials brought, each once. */
export async function peopleOfTrials(trials: readonly TrialRow[]): Promise<Person[]> {
  const pages = await models().TrialPage.findAll({ where: { trialId: trials.map(({ id }) => id) } });
  return [...new Map(pages.flatMap(({ people }) => people.map((person) => [person.id, person] as const))).values()];
}

/** Decides whether two records are of one person; with null, forgets what was decided. */
export async function decideSame(first: RecordName, second: RecordName, same: boolean | null): Promise<void> {
  if (written(first.sourceId, first.personId) === written(second.sourceId, second.personId))
    throw new Refusal(422, 'One record', 'These are one and the same record. Choose two.');
  const [a, b] =
    written(first.sourceId, first.personId) < written(second.sourceId, second.personId)
      ? [first, second]
      : [second, first];
  await Promise.all([findSource(a.sourceId), findSource(b.sourceId)]);
  const pair = {
    firstSource: a.sourceId,
    firstPerson: a.personId,
    secondSource: b.sourceId,
    secondPerson: b.personId
  };
  if (same === null) await models().SamePerson.destroy({ where: pair });
  else await models().SamePerson.upsert({ ...pair, same });
}

/** The pairs of a brief that may be one person, for someone to decide, and those decided, newest first. */
export async function pairsOf(briefId: string) {
  const [identity, decided] = await Promise.all([
    identityOf(briefId),
    models().SamePerson.findAll({ order: [['updatedAt', 'DESC']], limit: 200 })
  ]);
  const mine = decided.filter(
    (one) =>
      identity.numberOf(one.firstSource, one.firstPerson) !== undefined &&
      identity.numberOf(one.secondSource, one.secondPerson) !== undefined
  );
  const wanted = new Map<string, string[]>();
  for (const one of mine)
    for (const [sourceId, id] of [
      [one.firstSource, one.firstPerson],
      [one.secondSource, one.secondPerson]
    ] as const)
      wanted.set(sourceId, [...(wanted.get(sourceId) ?? []), id]);
  const people = new Map<string, Person>();
  const trials = (await latestTrials(briefId)).map(({ trial }) => trial);
  for (const [sourceId, list] of wanted) {
    const { kind } = await findSource(sourceId);
    const some =
      kind === 'by-hand'
        ? await peopleOfTrials(trials.filter((trial) => trial.sourceId === sourceId))
        : await askPeople('people-by-id', { sourceId, ids: list });
    for (const person of some) people.set(written(sourceId, person.id), person);
  }
  return {
    doubtful: identity.doubtful,
    decided: mine.flatMap((one) => {
      const first = people.get(written(one.firstSource, one.firstPerson));
      const second = people.get(written(one.secondSource, one.secondPerson));
      return first && second
        ? [
            {
              first: { sourceId: one.firstSource, personId: one.firstPerson },
              second: { sourceId: one.secondSource, personId: one.secondPerson },
              people: [first, second] as [Person, Person],
              same: one.same
            }
          ]
        : [];
    })
  };
}

/** Records told for a name, at most. */
const mostNamed = 60;

/** Records with a name like this among those a brief's newest trials show, each with the number of its person. */
export async function recordsNamed(briefId: string, name: string) {
  const [identity, trials] = await Promise.all([identityOf(briefId), latestTrials(briefId)]);
  if (!trials.length) return [];
  const rows = await database().query<{ sourceId: string; person: Person }>(
    `SELECT DISTINCT ON (t.source_id, person ->> 'id') t.source_id AS "sourceId", person
       FROM trial_pages p JOIN trials t ON t.id = p.trial_id, jsonb_array_elements(p.people) AS person
      WHERE t.id IN (:trials) AND person ->> 'name' ILIKE :name
      ORDER BY t.source_id, person ->> 'id' LIMIT ${mostNamed}`,
    {
      replacements: {
        trials: trials.map(({ trial }) => trial.id),
        name: `%${name.replaceAll(/[\\%_]/g, '\\$&')}%`
      },
      type: QueryTypes.SELECT
    }
  );
  return rows
    .flatMap(({ sourceId, person }) => {
      const number = identity.numberOf(sourceId, person.id);
      return number === undefined ? [] : [{ number, sourceId, person }];
    })
    .sort((a, b) => a.person.name.localeCompare(b.person.name) || a.number - b.number);
}
