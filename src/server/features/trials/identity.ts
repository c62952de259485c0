import { hasPeopleHere } from '$api/source-kinds';
import type { Person } from '$core/people';
import { models, type TrialRow } from '$server/platform/database/models';
import { askPeople } from '$server/workers/people';
import type { IdentifyAnswer, RecordName } from '$server/workers/people-messages';
import { nameOfRecord } from './record-name';
import type { Tried } from './latest-trials';
import { findSource, readySource } from '$server/features/sources/sources';

/** Who is who among all records that a brief's newest trials show and its verdicts are on. */
export interface Identity {
  /** The number of a record's person; undefined for a record that is not among them. */
  numberOf(sourceId: string, personId: string): number | undefined;
  /** The first record of a person at a source; undefined where they have none there. */
  recordAt(sourceId: string, number: number): string | undefined;
  people: number;
  doubtful: IdentifyAnswer['doubtful'];
}

type Records = ReadonlyMap<string, ReadonlySet<string>>;

/** The records that some trials found, by source. They don't change once a trial is done. */
const shown = new WeakMap<readonly Tried[], Records>();

function recordsOf(trials: readonly Tried[]): Records {
  let records = shown.get(trials);
  if (!records) {
    const made = new Map<string, Set<string>>();
    for (const {
      trial: { sourceId, found }
    } of trials) {
      let set = made.get(sourceId);
      if (!set) made.set(sourceId, (set = new Set()));
      for (const id of found) set.add(id);
    }
    shown.set(trials, (records = made));
  }
  return records;
}

/** The names of the same records, as verdicts go by. */
const shownNames = new WeakMap<readonly Tried[], ReadonlySet<string>>();

export function namesOf(trials: readonly Tried[]): ReadonlySet<string> {
  let names = shownNames.get(trials);
  if (!names) {
    const made = [...recordsOf(trials)].flatMap(([sourceId, ids]) =>
      [...ids].map((id) => nameOfRecord({ sourceId, personId: id }))
    );
    shownNames.set(trials, (names = new Set(made)));
  }
  return names;
}

function withMore(records: Records, more: readonly RecordName[]): Records {
  if (!more.length) return records;
  const all = new Map([...records].map(([sourceId, ids]) => [sourceId, new Set(ids)]));
  for (const { sourceId, personId } of more) {
    let set = all.get(sourceId);
    if (!set) all.set(sourceId, (set = new Set()));
    set.add(personId);
  }
  return all;
}

/** Links the records that some trials found, and some more, to people. */
export async function identify(tried: readonly Tried[], more: readonly RecordName[]): Promise<Identity> {
  const ids = withMore(recordsOf(tried), more);
  const trials = tried.map(({ trial }) => trial);
  const decided = await models().SamePerson.findAll({ order: ['updatedAt'], raw: true });
  const decisions = decided.map((one) => ({
    first: { sourceId: one.firstSource, personId: one.firstPerson },
    second: { sourceId: one.secondSource, personId: one.secondPerson },
    same: one.same
  }));
  const records = await Promise.all(
    [...ids].map(async ([sourceId, set]) => {
      const { kind } = await findSource(sourceId);
      if (hasPeopleHere(kind)) await readySource(sourceId);
      const people = !hasPeopleHere(kind)
        ? await peopleOfTrials(trials.filter((trial) => trial.sourceId === sourceId))
        : undefined;
      return { sourceId, ids: [...set], ...(people && { people }) };
    })
  );
  const { personOf, people, doubtful } = await askPeople('identify', { records, decisions });
  const numbers = new Map(
    records.map(({ sourceId, ids: list }, i) => [sourceId, new Map(list.map((id, j) => [id, personOf[i]![j]!]))])
  );
  const firstAt = new Map(
    records.map(({ sourceId, ids: list }, i) => {
      const first = new Map<number, string>();
      list.forEach((id, j) => {
        const number = personOf[i]![j]!;
        if (!first.has(number)) first.set(number, id);
      });
      return [sourceId, first] as const;
    })
  );
  return {
    numberOf: (sourceId, personId) => numbers.get(sourceId)?.get(personId),
    recordAt: (sourceId, number) => firstAt.get(sourceId)?.get(number),
    people,
    doubtful
  };
}

/** All people that some trials brought, each once. */
export async function peopleOfTrials(trials: readonly TrialRow[]): Promise<Person[]> {
  const pages = await models().TrialPage.findAll({ where: { trialId: trials.map(({ id }) => id) } });
  return [...new Map(pages.flatMap(({ people }) => people.map((person) => [person.id, person] as const))).values()];
}
