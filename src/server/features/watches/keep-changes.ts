import { QueryTypes, type Transaction } from 'sequelize';
import {
  differences,
  factsOf,
  steadyFacts,
  whyLeft,
  whyNew,
  type FieldChange,
  type Facts,
  type Known
} from '$core/changes';
import { contactKeys, samePeople, type Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import type { WatchRow, WatchRunRow } from '$server/platform/database/watch-models';
import { hasPeopleHere } from '$api/source-kinds';
import { askPeople } from '$server/workers/people';
import { firstLeads } from '$server/platform/first-leads';
import { partsOfRecordName, recordName } from '$server/records/record-name';
import { readySource } from '$server/features/sources/sources';

/** A record that a run found. */
export interface Row {
  sourceId: string;
  person: Person;
}
export interface KnownRow {
  number: number;
  records: string[];
  keys: string[];
  facts: Facts;
  present: boolean;
}

const nameOf = ({ sourceId, person }: Row) => recordName(sourceId, person.id);

/** Records that a harvest gathered, in its order. */
export const rowsOfHarvest = (harvestId: string, transaction: Transaction): Promise<Row[]> =>
  database().query<Row>(
    `SELECT source_id AS "sourceId", person FROM harvest_rows WHERE harvest_id = $harvestId AND reading <> 'not met' ORDER BY ordinal`,
    { bind: { harvestId }, type: QueryTypes.SELECT, transaction }
  );

/**
 * Works out what has changed since the run before, and keeps that and whom the watch knows now; within the transaction that
 * ends the run. Where only a part was looked at (`partly`), nobody is said to have left.
 */
export async function keepChanges(
  watch: WatchRow,
  run: WatchRunRow,
  rows: readonly Row[],
  { partly = false }: { partly?: boolean },
  transaction: Transaction
): Promise<void> {
  const known = await database().query<KnownRow>(
    'SELECT number, records, keys, facts, present FROM watch_people WHERE watch_id = $id ORDER BY number',
    { bind: { id: watch.id }, type: QueryTypes.SELECT, transaction }
  );
  const [before] = await database().query<{ marks: WatchRunRow['marks'] }>(
    `SELECT marks FROM watch_runs WHERE watch_id = $id AND state = 'done' AND id <> $run ORDER BY created_at DESC LIMIT 1`,
    { bind: { id: watch.id, run: run.id }, type: QueryTypes.SELECT, transaction }
  );
  const { seen, names } = met(rows, known);
  const byNumber = new Map(known.map((one) => [one.number, one]));
  for (const [number, one] of seen) {
    const before = byNumber.get(number);
    if (before) one.facts = steadyFacts(before.facts, one.facts, watch.thresholds);
  }
  const found = differences(
    new Map(known.map((one): [string, Known] => [String(one.number), one])),
    new Map([...seen].map(([number, { facts }]) => [String(number), facts]))
  ).filter(({ kind }) => !partly || kind !== 'left');
  // The first run only records who is there; nothing is an update.
  const isFirst = !before;
  const earlier = isFirst
    ? new Map<string, Person>()
    : await seenBefore(watch.briefId, [...names.values()], transaction);
  const still = await stillThere(found.flatMap(({ kind, key }) => (kind === 'left' ? byNumber.get(Number(key))! : [])));
  const news = found.map((one): NewsInput => {
    const number = Number(one.key);
    const row = names.get(number);
    const old = row && earlier.get(nameOf(row));
    return {
      number,
      kind: one.kind,
      facts: one.kind === 'left' ? byNumber.get(number)!.facts : one.facts,
      changes: 'changes' in one ? one.changes : [],
      why:
        one.kind === 'new'
          ? whyNew(old ? factsOf(old) : null, one.facts)
          : one.kind === 'left'
            ? whyLeft(byNumber.get(number)!.facts, still.get(number))
            : '',
      source_id: row?.sourceId ?? '',
      person_id: row?.person.id ?? '',
      person: row?.person ?? null
    };
  });
  const counts = isFirst ? {} : await tellNews(run, news, transaction);
  await keepKnown(watch.id, known, seen, partly, transaction);
  await models().WatchRun.update(
    { people: seen.size, counts, breaks: before ? breaksBetween(before.marks, run.marks) : [] },
    { where: { id: run.id }, transaction }
  );
}

/** News as it is kept. */
export interface NewsInput {
  kind: 'new' | 'back' | 'changed' | 'left';
  number: number;
  facts: Facts;
  changes: readonly FieldChange[];
  why: string;
  source_id: string;
  person_id: string;
  person: Person | null;
}

/** Keeps what a run has to tell, and gives how many there are of each kind. */
export async function tellNews(
  { id: run, watchId: watch }: Pick<WatchRunRow, 'id' | 'watchId'>,
  news: readonly NewsInput[],
  transaction: Transaction
): Promise<WatchRunRow['counts']> {
  const counts: WatchRunRow['counts'] = {};
  for (const { kind } of news) counts[kind] = (counts[kind] ?? 0) + 1;
  if (news.length)
    await database().query(
      `INSERT INTO watch_news (watch_id, run_id, kind, number, facts, changes, why, source_id, person_id, person)
       SELECT $watch, $run, n.kind, n.number, n.facts, n.changes, n.why, n.source_id, n.person_id, n.person
       FROM jsonb_to_recordset($news::jsonb) AS n (kind text, number integer, facts jsonb, changes jsonb, why text, source_id text, person_id text, person jsonb)`,
      { bind: { watch, run, news: JSON.stringify(news) }, transaction }
    );
  return counts;
}

/** What the sources whose people are here tell now of those who were not found any more; null where they have them no more, nothing where it cannot be told. */
async function stillThere(left: readonly KnownRow[]): Promise<Map<number, Facts | null>> {
  const reply = new Map<number, Facts | null>();
  const bySource = new Map<string, Map<string, number>>();
  for (const { number, records } of left)
    for (const record of records) {
      const [sourceId, personId] = partsOfRecordName(record);
      const ids = bySource.get(sourceId) ?? new Map<string, number>();
      bySource.set(sourceId, ids.set(personId, number));
    }
  const sources = await models().Source.findAll({ where: { id: [...bySource.keys()] } });
  for (const { id: sourceId, kind } of sources) {
    if (!hasPeopleHere(kind)) continue;
    const ids = bySource.get(sourceId)!;
    await readySource(sourceId);
    for (const number of ids.values()) if (!reply.has(number)) reply.set(number, null);
    for (const person of await askPeople('people-by-id', { sourceId, ids: [...ids.keys()] }))
      reply.set(ids.get(person.id)!, factsOf(person));
  }
  return reply;
}

interface SeenPerson {
  records: string[];
  keys: string[];
  facts: Facts;
}

/** The people a run found, by their number at the watch: anybody who it knows already keeps theirs. */
function met(rows: readonly Row[], known: readonly KnownRow[]) {
  const { personOf, people } = samePeople(rows)!;
  const groups: Row[][] = Array.from({ length: people }, () => []);
  rows.forEach((row, i) => groups[personOf[i]!]!.push(row));
  const byRecord = new Map(known.flatMap(({ number, records }) => records.map((name) => [name, number] as const)));
  const byKey = new Map(known.flatMap(({ number, keys }) => keys.map((key) => [key, number] as const)));
  let next = known.reduce((most, { number }) => Math.max(most, number), -1) + 1;
  const seen = new Map<number, SeenPerson>();
  const names = new Map<number, Row>();
  for (const group of groups) {
    const records = group.map(nameOf);
    const keys = [...new Set(group.flatMap(({ person }) => contactKeys(person)))];
    const number =
      records.map((name) => byRecord.get(name)).find((one) => one !== undefined && !seen.has(one)) ??
      keys.map((key) => byKey.get(key)).find((one) => one !== undefined && !seen.has(one)) ??
      next++;
    // What the first source tells leads, as its place says; others fill what it leaves open.
    const facts = firstLeads(group.map(({ person }) => factsOf(person)));
    seen.set(number, { records, keys, facts });
    names.set(number, group[0]!);
  }
  return { seen, names };
}

/** Earlier records of some people in the brief’s trials, which explain why somebody is new. */
async function seenBefore(
  briefId: string,
  rows: readonly Row[],
  transaction: Transaction
): Promise<ReadonlyMap<string, Person>> {
  const found = await database().query<Row>(
    `SELECT DISTINCT ON (t.source_id, p.person_id) t.source_id AS "sourceId", p.person FROM trial_people p JOIN trials t ON t.id = p.trial_id
       JOIN unnest($sources::text[], $ids::text[]) AS w (source_id, person_id) ON w.source_id = t.source_id AND w.person_id = p.person_id
     WHERE t.version_id IN (SELECT id FROM versions WHERE brief_id = $briefId) ORDER BY t.source_id, p.person_id, t.created_at DESC`,
    {
      bind: { briefId, sources: rows.map(({ sourceId }) => sourceId), ids: rows.map(({ person }) => person.id) },
      type: QueryTypes.SELECT,
      transaction
    }
  );
  return new Map(found.map((row) => [nameOf(row), row.person]));
}

/** Saves the people that the watch knows now; writes only rows that changed. */
async function keepKnown(
  watchId: string,
  known: readonly KnownRow[],
  seen: ReadonlyMap<number, SeenPerson>,
  partly: boolean,
  transaction: Transaction
): Promise<void> {
  const before = new Map(known.map((one) => [one.number, one]));
  const rows: KnownRow[] = [];
  for (const [number, one] of seen) {
    const old = before.get(number);
    const merged = {
      number,
      records: [...new Set([...(old?.records ?? []), ...one.records])],
      keys: [...new Set([...(old?.keys ?? []), ...one.keys])],
      facts: { ...old?.facts, ...one.facts },
      present: true
    };
    if (!old || JSON.stringify({ ...old }) !== JSON.stringify(merged)) rows.push(merged);
  }
  if (!partly) for (const old of known) if (old.present && !seen.has(old.number)) rows.push({ ...old, present: false });
  await writeKnown(watchId, rows, transaction);
}

/** People a watch knows, written at once. */
const atOnce = 2000;

/** Saves people as a watch knows them now; where people are watched, with their facts and the rules they met. */
export async function writeKnown(
  watchId: string,
  rows: readonly (KnownRow & { person?: Person | null; met?: readonly string[] })[],
  transaction: Transaction
): Promise<void> {
  for (let at = 0; at < rows.length; at += atOnce)
    await database().query(
      `INSERT INTO watch_people (watch_id, number, records, keys, facts, present, person, met)
       SELECT $watchId, r.number, r.records, r.keys, r.facts, r.present, r.person, coalesce(r.met, '{}')
       FROM jsonb_to_recordset($rows::jsonb) AS r (number integer, records text[], keys text[], facts jsonb, present boolean, person jsonb, met text[])
       ON CONFLICT (watch_id, number) DO UPDATE SET records = excluded.records, keys = excluded.keys, facts = excluded.facts,
         present = excluded.present, person = excluded.person, met = excluded.met`,
      { bind: { watchId, rows: JSON.stringify(rows.slice(at, at + atOnce)) }, transaction }
    );
}

/** What of sources and strings was otherwise than before, in sentences. */
function breaksBetween(before: WatchRunRow['marks'], now: WatchRunRow['marks']): string[] {
  const ids = new Set([...Object.keys(before ?? {}), ...Object.keys(now ?? {})]);
  return [...ids].flatMap((id) => {
    const [a, b] = [before?.[id], now?.[id]];
    if (!a || !b) return [`${(a ?? b)!.name} was ${a ? 'taken out' : 'added'}`];
    return [
      ...(a.version === b.version ? [] : [`${b.name} is asked version ${b.version} in place of ${a.version}`]),
      ...(a.sheet === b.sheet ? [] : [`the sheet of ${b.name} was changed`])
    ];
  });
}
