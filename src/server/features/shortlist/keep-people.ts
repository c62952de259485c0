import { QueryTypes, type Transaction } from 'sequelize';
import { samePeople, type Person } from '$core/people';
import type { KeptRecord } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { withoutObjected } from '$server/records/objections/objected';
import { columnTypes, rowOf, type KeptColumns } from './kept-row';
import { decidedPairs, nameOf, type Decided } from './record-pairs';
import { indexRecords, lockList, remember } from './steps';

/** Somebody who is to be kept: all records of theirs that are known. */
export interface Candidate {
  records: KeptRecord[];
  likelihood?: number | null;
  own?: Record<string, unknown>;
}
export interface Kept {
  /** New on the list. */
  kept: number;
  /** On it already; records that were not known of them were added. */
  there: number;
  /** Candidates that turned out to be one person. */
  joined: number;
  /** Left away, because they objected. */
  objected: number;
}

/** Rows written at once. */
const atOnce = 1000;

interface There {
  number: number;
  records: KeptRecord[];
  choice: KeptColumns['choice'];
  written: KeptColumns['written'];
  own: Record<string, unknown>;
}

/**
 * Puts people on a list, each once: anybody who is there already (by a record, or by the keys that all lists know people by)
 * gets the records that are new. One step, that can be undone.
 */
export async function keepOnList(
  shortlistId: string,
  given: readonly Candidate[],
  how: { from: string; why: string; by: string }
): Promise<Kept> {
  const clean: Candidate[] = [];
  const all = given.flatMap(({ records }) => records.map(({ sourceId, person }) => ({ sourceId, person })));
  const allowed = new Set((await withoutObjected(all)).map(({ sourceId, person }) => nameOf({ sourceId, person })));
  for (const one of given) {
    const records = one.records.filter(({ sourceId, person }) => allowed.has(nameOf({ sourceId, person })));
    // One record of somebody who objected is theirs, and so are the others.
    if (records.length === one.records.length) clean.push(one);
  }
  return database().transaction(async (transaction) => {
    await lockList(shortlistId, transaction);
    const there = await thoseThere(shortlistId, clean, transaction);
    const groups = grouped(clean, there, await decidedPairs(shortlistId, transaction));
    const [free] = await database().query<{ next: number }>(
      'UPDATE shortlists SET next_number = next_number + $n WHERE id = $shortlistId RETURNING next_number - $n AS next',
      {
        bind: { shortlistId, n: groups.filter(({ number }) => number === null).length },
        type: QueryTypes.SELECT,
        transaction
      }
    );
    let next = free!.next;
    const fresh = groups.filter(({ number }) => number === null).map((one) => ({ ...one, number: next++ }));
    const more = groups.filter((one) => one.number !== null && one.adds) as (Group & { number: number })[];
    await remember(
      shortlistId,
      `${fresh.length.toLocaleString('en')} people`,
      { came: fresh.map(({ number }) => number), numbers: more.map(({ number }) => number) },
      transaction
    );
    await writeRows(shortlistId, fresh, how, transaction);
    await rewrite(shortlistId, more, transaction);
    await indexRecords(
      shortlistId,
      [...fresh, ...more].map(({ number }) => number),
      transaction
    );
    return {
      kept: fresh.length,
      there: groups.length - fresh.length,
      joined: clean.length - groups.length,
      objected: given.length - clean.length
    };
  });
}

/** People of the list who may be among the candidates. */
async function thoseThere(
  shortlistId: string,
  given: readonly Candidate[],
  transaction: Transaction
): Promise<There[]> {
  const people = given.flatMap(({ records }) => records);
  const keys = [...new Set(given.flatMap((one) => rowOf(one).keys))];
  return database().query<There>(
    `SELECT number, records, choice, written, own FROM shortlist_people p
     WHERE shortlist_id = $shortlistId AND (keys && $keys::text[] OR number IN (
       SELECT r.number FROM shortlist_records r JOIN unnest($sources::text[], $ids::text[]) AS n (source_id, person_id) USING (source_id, person_id)
       WHERE r.shortlist_id = $shortlistId))
     ORDER BY number`,
    {
      bind: {
        shortlistId,
        keys,
        sources: people.map(({ sourceId }) => sourceId),
        ids: people.map(({ person }) => person.id)
      },
      type: QueryTypes.SELECT,
      transaction
    }
  );
}

interface Group extends Candidate {
  number: number | null;
  there: There | null;
  /** It brings a record, or a newer one, to somebody who is there. */
  adds: boolean;
}

/** Candidates grouped into people, each with their row on the list, if any. */
function grouped(given: readonly Candidate[], there: readonly There[], said: readonly Decided[]): Group[] {
  const flat: { sourceId: string; person: Person; of: number }[] = [];
  there.forEach(({ records }, of) => records.forEach(({ sourceId, person }) => flat.push({ sourceId, person, of })));
  const first = there.length;
  given.forEach(({ records }, i) =>
    records.forEach(({ sourceId, person }) => flat.push({ sourceId, person, of: first + i }))
  );
  // Records of one candidate belong together, and so does the same record twice.
  const byOwner = new Map<number, number>();
  const byRecord = new Map<string, number>();
  const decided = flat.flatMap(({ sourceId, person, of }, i) => {
    const pairs: { a: number; b: number; same: boolean }[] = [];
    for (const [map, key] of [
      [byOwner, of],
      [byRecord, nameOf({ sourceId, person })]
    ] as [Map<unknown, number>, unknown][]) {
      const other = map.get(key);
      if (other === undefined) map.set(key, i);
      else pairs.push({ a: other, b: i, same: true });
    }
    return pairs;
  });
  // What somebody said of two records stands above all, and was said last.
  for (const { a, b, same } of said) {
    const [one, other] = [byRecord.get(a), byRecord.get(b)];
    if (one !== undefined && other !== undefined) decided.push({ a: one, b: other, same });
  }
  const { personOf } = samePeople(flat, decided)!;
  const groups = new Map<number, Group>();
  flat.forEach(({ of }, i) => {
    if (of >= first) return;
    // Two who stand apart on the list stay so: somebody split them, or is asked.
    if (!groups.has(personOf[i]!))
      groups.set(personOf[i]!, {
        records: there[of]!.records,
        number: there[of]!.number,
        there: there[of]!,
        adds: false
      });
  });
  const came = new Set<number>();
  flat.forEach(({ of }, i) => {
    if (of < first) return;
    const candidate = given[of - first]!;
    const person = personOf[i]!;
    came.add(person);
    const known = groups.get(person);
    if (!known) {
      groups.set(person, { ...candidate, records: [...candidate.records], number: null, there: null, adds: true });
      return;
    }
    const records = newest([...known.records, ...candidate.records]);
    const adds = known.adds || JSON.stringify(records) !== JSON.stringify(known.records);
    groups.set(person, { ...known, records, adds, ...(candidate.own && { own: { ...known.own, ...candidate.own } }) });
  });
  return [...groups].flatMap(([person, group]) => (came.has(person) ? [group] : []));
}

/** Each record once, as it was seen last. */
function newest(records: readonly KeptRecord[]): KeptRecord[] {
  const byName = new Map<string, KeptRecord>();
  for (const record of records) {
    const name = nameOf(record);
    const other = byName.get(name);
    if (!other || other.seenAt < record.seenAt) byName.set(name, record);
  }
  return [...byName.values()];
}

const columns = Object.keys(columnTypes) as (keyof KeptColumns)[];

async function writeRows(
  shortlistId: string,
  groups: readonly (Group & { number: number })[],
  how: { from: string; why: string; by: string },
  transaction: Transaction
): Promise<void> {
  for (let at = 0; at < groups.length; at += atOnce) {
    const rows = groups.slice(at, at + atOnce).map((one) => ({
      number: one.number,
      likelihood: one.likelihood ?? null,
      own: one.own ?? {},
      ...rowOf(one)
    }));
    await database().query(
      `INSERT INTO shortlist_people (shortlist_id, number, likelihood, own, kept_from, kept_why, kept_by, ${columns.join(', ')})
       SELECT $shortlistId, r.number, r.likelihood, r.own, $from, $why, $by, ${columns.map((name) => `r.${name}`).join(', ')}
       FROM jsonb_to_recordset($rows::jsonb) AS r (number integer, likelihood double precision, own jsonb, ${typed(columns)})`,
      { bind: { shortlistId, ...how, rows: JSON.stringify(rows) }, transaction }
    );
  }
}

const typed = (names: readonly (keyof KeptColumns)[]) => names.map((name) => `${name} ${columnTypes[name]}`).join(', ');

/** Writes the columns that follow from records and choices again. */
export async function rewrite(
  shortlistId: string,
  people: readonly {
    number: number;
    records: KeptRecord[];
    there: Pick<There, 'choice' | 'written' | 'own'> | null;
    own?: Record<string, unknown>;
  }[],
  transaction: Transaction
): Promise<void> {
  for (let at = 0; at < people.length; at += atOnce) {
    const rows = people.slice(at, at + atOnce).map(({ number, records, there, own }) => ({
      number,
      own: { ...there?.own, ...own },
      ...rowOf({ records, choice: there?.choice ?? {}, written: there?.written ?? {} })
    }));
    await database().query(
      `UPDATE shortlist_people p SET own = r.own, ${columns.map((name) => `${name} = r.${name}`).join(', ')}
       FROM jsonb_to_recordset($rows::jsonb) AS r (number integer, own jsonb, ${typed(columns)})
       WHERE p.shortlist_id = $shortlistId AND p.number = r.number`,
      { bind: { shortlistId, rows: JSON.stringify(rows) }, transaction }
    );
  }
}
