import { hasPeopleHere } from '$api/source-kinds';
import { QueryTypes } from 'sequelize';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { refuse } from '$server/platform/refusals';
import { askPeople } from '$server/workers/people';
import type { RecordName } from '$server/workers/people-messages';
import { contextOf } from '$server/features/trials/brief-context';
import { peopleOfTrials } from '$server/features/trials/identity';
import { findSource } from '$server/features/sources/sources';

const written = (sourceId: string, personId: string) => JSON.stringify([sourceId, personId]);

/** Decides whether two records are of one person; with null, forgets what was decided. */
export async function decideSame(first: RecordName, second: RecordName, same: boolean | null): Promise<void> {
  if (written(first.sourceId, first.personId) === written(second.sourceId, second.personId))
    throw refuse('same-record');
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
  const context = await contextOf(briefId);
  const [identity, decided] = await Promise.all([
    context.identity(),
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
  const trials = context.trials.map(({ trial }) => trial);
  for (const [sourceId, list] of wanted) {
    const { kind } = await findSource(sourceId);
    const some = !hasPeopleHere(kind)
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
const maxNamed = 60;

/** Records with a name like this among those a brief's newest trials show, each with the number of its person. */
export async function recordsNamed(briefId: string, name: string) {
  const { trials, identity: whoIsWho } = await contextOf(briefId);
  if (!trials.length) return [];
  const identity = await whoIsWho();
  const rows = await database().query<{ sourceId: string; person: Person }>(
    `SELECT DISTINCT ON (t.source_id, person ->> 'id') t.source_id AS "sourceId", person
       FROM trial_pages p JOIN trials t ON t.id = p.trial_id, jsonb_array_elements(p.people) AS person
      WHERE t.id IN (:trials) AND person ->> 'name' ILIKE :name
      ORDER BY t.source_id, person ->> 'id' LIMIT ${maxNamed}`,
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
