import { QueryTypes } from 'sequelize';
import { samePeople } from '$core/people';
import type { KeptRecord } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { notFound, refuse } from '$server/platform/refusals';
import { firstLeads } from '$server/platform/first-leads';
import { findShortlist } from './find-shortlist';
import { rewrite } from './keep-people';
import { keptPeople } from './list-kept';
import { decidedPairs, pairsWith, nameOf, sayPairs } from './record-pairs';
import { wholeRows } from './whole-rows';
import { indexRecords, lockList, remember } from './steps';

/** Merges several people of a list: the first gets all records, and what only the others have. */
export async function joinKept(briefId: string, id: string, numbers: readonly number[]) {
  await findShortlist(briefId, id);
  const wanted = [...new Set(numbers)];
  return database().transaction(async (transaction) => {
    await lockList(id, transaction);
    const found = await wholeRows(id, wanted, transaction);
    const [first, ...others] = found;
    if (!first || !others.length) throw notFound('One of these people');
    const said = pairsWith(
      first.records[0]!,
      others.map(({ records }) => records[0]!),
      true
    );
    await remember(id, `${found.length} joined`, { numbers: found.map(({ number }) => number), said }, transaction);
    await sayPairs(id, said, transaction);
    const gone = others.map(({ number }) => number);
    await database().query(
      `UPDATE shortlist_people p SET
         tags = ARRAY(SELECT DISTINCT t FROM shortlist_people o, unnest(o.tags) t WHERE o.shortlist_id = $id AND o.number = ANY ($all::int[]) ORDER BY t),
         note = coalesce((SELECT string_agg(DISTINCT o.note, E'\\n') FILTER (WHERE o.note <> '')
           FROM shortlist_people o WHERE o.shortlist_id = $id AND o.number = ANY ($all::int[])), ''),
         taken_at = (SELECT max(o.taken_at) FROM shortlist_people o WHERE o.shortlist_id = $id AND o.number = ANY ($all::int[]))
       WHERE p.shortlist_id = $id AND p.number = $first`,
      { bind: { id, first: first.number, all: found.map(({ number }) => number) }, transaction }
    );
    await database().query('DELETE FROM shortlist_people WHERE shortlist_id = $id AND number = ANY ($gone::int[])', {
      bind: { id, gone },
      transaction
    });
    const own = firstLeads(found.map((row) => row.own));
    await rewrite(
      id,
      [{ number: first.number, records: found.flatMap(({ records }) => records), there: { ...first, own } }],
      transaction
    );
    await indexRecords(id, [first.number], transaction);
    return { people: found.length };
  });
}

/** Takes one record out of a person: it is somebody else, and is on the list as another. */
export async function splitKept(briefId: string, id: string, number: number, record: number) {
  await findShortlist(briefId, id);
  return database().transaction(async (transaction) => {
    await lockList(id, transaction);
    const [row] = await wholeRows(id, [number], transaction);
    const out = row?.records[record];
    if (!row || !out) throw notFound('This record');
    if (row.records.length < 2) throw refuse('only-record');
    const [given] = await database().query<{ next: number }>(
      'UPDATE shortlists SET next_number = next_number + 1 WHERE id = $id RETURNING next_number - 1 AS next',
      { bind: { id }, type: QueryTypes.SELECT, transaction }
    );
    const next = given!.next;
    const rest = row.records.filter((one) => one !== out);
    const said = pairsWith(out, rest, false);
    await remember(id, '1 split in two', { came: [next], numbers: [number], said }, transaction);
    await sayPairs(id, said, transaction);
    // A copy first, so that tags, notes and why it was kept stay with both.
    await database().query(
      `INSERT INTO shortlist_people SELECT (jsonb_populate_record(p, jsonb_build_object('number', $next::int, 'choice', '{}'::jsonb, 'written', '{}'::jsonb))).*
       FROM shortlist_people p WHERE shortlist_id = $id AND number = $number`,
      { bind: { id, number, next }, transaction }
    );
    // Records have other places now: what was chosen by place says nothing any more.
    const byText = Object.fromEntries(Object.entries(row.choice).filter(([, chosen]) => 'text' in chosen));
    await rewrite(
      id,
      [
        { number, records: rest, there: { ...row, choice: byText } },
        { number: next, records: [out], there: { own: row.own, choice: {}, written: {} } }
      ],
      transaction
    );
    await indexRecords(id, [number, next], transaction);
    return { people: 2 };
  });
}

/** People of one list who are looked at for pairs at most; more are asked about by filter. */
const maxCompared = 20_000;

/** Pairs of a list that may be one person and are not taken for it. */
export async function doubtfulKept(briefId: string, id: string) {
  const list = await findShortlist(briefId, id);
  const rows = await database().query<{ number: number; records: KeptRecord[] }>(
    `SELECT number, records FROM shortlist_people WHERE shortlist_id = $id ORDER BY number LIMIT ${maxCompared}`,
    { bind: { id }, type: QueryTypes.SELECT }
  );
  const flat = rows.flatMap(({ number, records }) =>
    records.map(({ sourceId, person }) => ({ number, sourceId, person }))
  );
  const at = new Map(flat.map(({ sourceId, person }, i) => [nameOf({ sourceId, person }), i]));
  const first = new Map<number, number>();
  flat.forEach(({ number }, i) => first.has(number) || first.set(number, i));
  const own = flat.map(({ number }, i) => ({ a: first.get(number)!, b: i, same: true })).filter(({ a, b }) => a !== b);
  const decided = await decidedPairs(id);
  const said = decided.flatMap(({ a, b, same }) =>
    at.has(a) && at.has(b) ? [{ a: at.get(a)!, b: at.get(b)!, same }] : []
  );
  const { personOf, doubtful } = samePeople(flat, [...own, ...said])!;
  const seen = new Map<string, { numbers: [number, number]; why: string }>();
  const add = (a: number, b: number, why: string) => {
    const [x, y] = [flat[a]!.number, flat[b]!.number].sort((p, q) => p - q) as [number, number];
    if (x !== y) seen.set(`${x} ${y}`, seen.get(`${x} ${y}`) ?? { numbers: [x, y], why });
  };
  for (const { a, b, why } of doubtful)
    if (!said.some((one) => (one.a === a && one.b === b) || (one.a === b && one.b === a))) add(a, b, why);
  // Two people on the list that the rules consider one: somebody split them, or they were added before enough was known.
  const byPerson = new Map<number, number>();
  flat.forEach((_, i) => {
    const other = byPerson.get(personOf[i]!);
    if (other === undefined) byPerson.set(personOf[i]!, i);
    else add(other, i, 'the same name and firm, or the same address');
  });
  const pairs = [...seen.values()].slice(0, 200);
  const people = await keptPeople(list, { filter: { numbers: pairs.flatMap(({ numbers }) => numbers) }, most: null });
  const byNumber = new Map(people.map((one) => [one.number, one]));
  return pairs.flatMap(({ numbers, why }) => {
    const both = numbers.map((number) => byNumber.get(number));
    return both[0] && both[1] ? [{ numbers, why, people: both as [(typeof people)[0], (typeof people)[0]] }] : [];
  });
}
