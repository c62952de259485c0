import { QueryTypes, type Transaction } from 'sequelize';
import { differences, factsOf, readTrigger, triggerReader, type Facts } from '$core/changes';
import { listedBy } from '$core/dialect';
import { presentJob, type Person } from '$core/people';
import { matchingOf, type ListedScopes } from '$core/semantics';
import type { KeptRecord } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { models, type SourceRow } from '$server/platform/database/models';
import type { WatchRow, WatchRunRow } from '$server/platform/database/watch-models';
import { askPeople } from '$server/workers/people';
import { readySource } from '$server/features/sources/sources';
import { firstLeads } from '$server/platform/first-leads';
import { recordName } from '$server/records/record-name';
import { tellNews, writeKnown, type KnownRow, type NewsInput } from './keep-changes';

/** People looked up with one question. */
const atOnce = 500;

interface Listed {
  number: number;
  keys: string[];
  records: KeptRecord[];
}
type KnownPerson = KnownRow & { person: Person | null; met: string[] };
/** What sources list about a person now. */
interface Found {
  sourceId: string;
  id: string;
  person: Person;
  listed: ListedScopes;
  records: string[];
  /** Days since somebody who leads came to their firm. */
  leaders: number | null;
}

/** Looks up the people of a list at the sources of a watch, before anything is kept. */
export async function lookUp(watch: WatchRow): Promise<{ people: Listed[]; found: Map<number, Found> }> {
  const people = await database().query<Listed>(
    'SELECT number, keys, records FROM shortlist_people WHERE shortlist_id = $id ORDER BY number',
    { bind: { id: watch.shortlistId }, type: QueryTypes.SELECT }
  );
  const sources = await database().query<{ id: string }>(
    'SELECT source_id AS id FROM watch_sources WHERE watch_id = $id ORDER BY position',
    { bind: { id: watch.id }, type: QueryTypes.SELECT }
  );
  const met = new Map<number, { source: SourceRow; person: Person }[]>();
  for (const { id } of sources) {
    const source = await readySource(id);
    for (let at = 0; at < people.length; at += atOnce)
      for (const [number, person] of await recordsAt(source.id, people.slice(at, at + atOnce)))
        met.set(number, [...(met.get(number) ?? []), { source, person }]);
  }
  const found = new Map<number, Found>();
  for (const [number, there] of met)
    found.set(number, {
      sourceId: there[0]!.source.id,
      id: there[0]!.person.id,
      person: firstLeads(there.map(({ person }) => person)),
      listed: new Set(there.flatMap(({ source }) => [...listedBy(source.sheet)])),
      records: there.map(({ source, person }) => recordName(source.id, person.id)),
      leaders: null
    });
  if (watch.rules.some(({ rule }) => /\bleaders:/i.test(rule))) await addLeaders(sources, found);
  return { people, found };
}

/** The records that a source has of some people: by the names of those that were kept, else by what they are known by. */
async function recordsAt(sourceId: string, people: readonly Listed[]): Promise<[number, Person][]> {
  const byId = new Map<string, number>();
  for (const { number, records } of people)
    for (const record of records) if (record.sourceId === sourceId) byId.set(record.person.id, number);
  const found = new Map<number, Person>();
  for (const person of await askPeople('people-by-id', { sourceId, ids: [...byId.keys()] })) {
    const number = byId.get(person.id)!;
    if (!found.has(number)) found.set(number, person);
  }
  const named = new Set(byId.values());
  const others = people.filter(({ number }) => !named.has(number));
  const located = await askPeople('locate', {
    sourceId,
    people: others.map(({ records }) => firstLeads(records.map(({ person }) => person)))
  });
  located.forEach((person, i) => person && found.set(others[i]!.number, person));
  return [...found];
}

async function addLeaders(sources: readonly { id: string }[], found: ReadonlyMap<number, Found>): Promise<void> {
  const firms = [...new Set([...found.values()].flatMap(({ person }) => presentJob(person)?.company ?? []))];
  for (const { id } of sources) {
    const days = await askPeople('leaders', { sourceId: id, firms });
    const byFirm = new Map(firms.map((firm, i) => [firm, days[i]!]));
    for (const one of found.values()) one.leaders ??= byFirm.get(presentJob(one.person)?.company ?? '') ?? null;
  }
}

/**
 * Applies the rules of a watch to what sources list about its people now and listed before; within the transaction that ends the
 * run. Somebody is news when a rule begins to hold of them, and told once while it goes on to hold.
 */
export async function keepWatched(
  watch: WatchRow,
  run: WatchRunRow,
  { people, found }: Awaited<ReturnType<typeof lookUp>>,
  transaction: Transaction
): Promise<void> {
  const rules = watch.rules.flatMap(({ name, rule }) => {
    const { trigger } = readTrigger(rule);
    return trigger
      ? [{ name, holds: triggerReader(trigger, matchingOf({ stemming: null, diacritics: 'folded' })) }]
      : [];
  });
  const rows = await database().query<KnownPerson>(
    'SELECT number, records, keys, facts, present, person, met FROM watch_people WHERE watch_id = $id',
    { bind: { id: watch.id }, type: QueryTypes.SELECT, transaction }
  );
  const known = new Map(rows.map((row) => [row.number, row]));
  const news: NewsInput[] = [];
  const kept: KnownPerson[] = [];
  for (const { number, keys, records } of people) {
    const old = known.get(number);
    const now = found.get(number);
    if (!now) {
      if (old?.present) {
        kept.push({ ...old, present: false });
        news.push({ ...noRecord, kind: 'left', number, facts: old.facts, why: 'the sources have them no more' });
      }
      continue;
    }
    // Who is looked up for the first time is compared with what was known when they were kept.
    const before = old ? old.person : firstLeads(records.map(({ person }) => person));
    const facts = factsOf(now.person);
    const met = rules
      .filter(({ holds }) => holds({ before, now: now.person, listed: now.listed, leaders: now.leaders }) === 'met')
      .map(({ name }) => name);
    const newlyMet = met.filter((name) => !old?.met.includes(name));
    const listed = { number, source_id: now.sourceId, person_id: now.id, person: now.person, facts };
    if (old && !old.present)
      news.push({ ...listed, kind: 'back', changes: changesOf(before, facts), why: newlyMet.join(', ') });
    else if (newlyMet.length)
      news.push({ ...listed, kind: 'changed', changes: changesOf(before, facts), why: newlyMet.join(', ') });
    kept.push({ number, facts, present: true, person: now.person, met, records: now.records, keys });
  }
  const counts = await tellNews(run, news, transaction);
  await writeKnown(watch.id, kept, transaction);
  // Anybody who was taken off the list is watched no more.
  await database().query('DELETE FROM watch_people WHERE watch_id = $id AND NOT number = ANY ($numbers::int[])', {
    bind: { id: watch.id, numbers: people.map(({ number }) => number) },
    transaction
  });
  await models().WatchRun.update({ people: found.size, counts }, { where: { id: run.id }, transaction });
}

const noRecord = { changes: [], source_id: '', person_id: '', person: null };

/** Fields that differ from before. */
function changesOf(before: Person | null, facts: Facts) {
  const known = new Map([['', { present: true, facts: before ? factsOf(before) : {} }]]);
  const [one] = differences(known, new Map([['', facts]]));
  return one && 'changes' in one ? one.changes.filter(({ before: then }) => then !== null) : [];
}
