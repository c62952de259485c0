import { QueryTypes } from 'sequelize';
import type { Person } from '$core/people';
import type { KeptRecord } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { refuse } from '$server/platform/refusals';
import { contextOf } from '$server/features/trials/brief-context';
import { findBrief } from '$server/features/briefs/briefs';
import { findHarvest } from '$server/features/harvest/harvests';
import { recordName } from '$server/records/record-name';
import { harvestPeopleNumbers, type PeopleFilter } from '$server/features/harvest/harvest-people';
import type { Candidate } from './keep-people';

interface Found {
  sourceId: string;
  personId: string;
  person: Person;
  seenAt: Date;
}
interface RecordName {
  sourceId: string;
  personId: string;
}

const wanted = `wanted AS (SELECT DISTINCT * FROM unnest($sources::text[], $ids::text[]) AS w (source_id, person_id))`;
const newest = `SELECT DISTINCT ON (source_id, person_id) source_id AS "sourceId", person_id AS "personId", person, seen_at AS "seenAt"
  FROM seen ORDER BY source_id, person_id, seen_at DESC`;

const ask = (sql: string, briefId: string, names: readonly RecordName[]) =>
  database().query<Found>(sql, {
    bind: { briefId, sources: names.map(({ sourceId }) => sourceId), ids: names.map(({ personId }) => personId) },
    type: QueryTypes.SELECT
  });

const named = ({ sourceId, personId }: RecordName) => recordName(sourceId, personId);

/** Records of people a brief has seen, as they were seen last: in a harvest, among those drawn, or on the pages of a trial. */
async function recordsSeen(briefId: string, names: readonly RecordName[]): Promise<Found[]> {
  const found = await ask(
    `WITH ${wanted}, seen AS (
       SELECT source_id, person_id, r.person, r.seen_at FROM harvest_rows r JOIN wanted USING (source_id, person_id)
         WHERE r.harvest_id IN (SELECT id FROM harvests WHERE brief_id = $briefId)
       UNION ALL
       SELECT t.source_id, p.person_id, p.person, t.created_at FROM trials t JOIN trial_people p ON p.trial_id = t.id
         JOIN wanted w ON w.source_id = t.source_id AND w.person_id = p.person_id
         WHERE t.version_id IN (SELECT id FROM versions WHERE brief_id = $briefId)
     ) ${newest}`,
    briefId,
    names
  );
  const known = new Set(found.map(named));
  const missing = names.filter((name) => !known.has(named(name)));
  if (!missing.length) return found;
  // Pages are long, and looked through for those alone who are nowhere else.
  const onPages = await ask(
    `WITH ${wanted}, seen AS (
       SELECT t.source_id, w.person_id, e AS person, t.created_at AS seen_at FROM trials t JOIN trial_pages p ON p.trial_id = t.id
         CROSS JOIN jsonb_array_elements(p.people) e JOIN wanted w ON w.source_id = t.source_id AND w.person_id = e->>'id'
         WHERE t.version_id IN (SELECT id FROM versions WHERE brief_id = $briefId)
     ) ${newest}`,
    briefId,
    missing
  );
  return [...found, ...onPages];
}

const recordOf = ({ sourceId, person, seenAt }: Pick<Found, 'sourceId' | 'person' | 'seenAt'>): KeptRecord => ({
  sourceId,
  person,
  seenAt: seenAt.toISOString()
});

/** Some records that a brief has seen, each with the other records of the same person as the brief knows who is who. */
export async function fromRecords(briefId: string, names: readonly RecordName[]): Promise<Candidate[]> {
  const context = await contextOf(briefId);
  const identity = await context.identity();
  const sources = [...new Set(context.trials.map(({ trial }) => trial.sourceId))];
  const byPerson = new Map<string, Map<string, RecordName>>();
  for (const name of names) {
    const number = identity.numberOf(name.sourceId, name.personId);
    const others = sources.flatMap((sourceId) => {
      const personId = number === undefined ? undefined : identity.recordAt(sourceId, number);
      return personId === undefined ? [] : [{ sourceId, personId }];
    });
    const key = number === undefined ? named(name) : String(number);
    const list = byPerson.get(key) ?? new Map<string, RecordName>();
    byPerson.set(key, list);
    for (const one of [name, ...others]) list.set(named(one), one);
  }
  const found = new Map(
    (
      await recordsSeen(
        briefId,
        [...byPerson.values()].flatMap((list) => [...list.values()])
      )
    ).map((one) => [named(one), one])
  );
  const candidates = [...byPerson.values()].flatMap((list): Candidate[] => {
    const records = [...list.keys()].flatMap((name) => found.get(name) ?? []);
    return records.length ? [{ records: records.map(recordOf) }] : [];
  });
  if (!candidates.length) throw refuse('people-unknown');
  return candidates;
}

/** Everybody judged a fit in the brief, whichever record of theirs was. */
export async function fromFits(briefId: string): Promise<Candidate[]> {
  const { personaId } = await findBrief(briefId);
  const names = await database().query<RecordName>(
    `SELECT source_id AS "sourceId", person_id AS "personId" FROM verdicts WHERE persona_id = $personaId AND verdict = 'fit' ORDER BY updated_at`,
    { bind: { personaId }, type: QueryTypes.SELECT }
  );
  if (!names.length) throw refuse('no-fits');
  return fromRecords(briefId, names);
}

/** The people of a harvest that match a filter, each with all records. */
export async function fromHarvest(
  briefId: string,
  harvestId: string,
  filter: PeopleFilter & { likelyFrom?: number | undefined; numbers?: readonly number[] | undefined }
): Promise<Candidate[]> {
  await findHarvest(briefId, harvestId);
  const numbers = filter.numbers ?? (await harvestPeopleNumbers(briefId, harvestId, filter, filter.likelyFrom));
  const rows = await database().query<Found & { number: number; likelihood: number | null }>(
    `SELECT r.number, r.source_id AS "sourceId", r.person_id AS "personId", r.person, r.seen_at AS "seenAt", p.score AS likelihood
     FROM harvest_rows r JOIN harvest_people p USING (harvest_id, number)
     WHERE harvest_id = $harvestId AND number = ANY ($numbers::int[]) ORDER BY number, r.ordinal`,
    { bind: { harvestId, numbers: [...numbers] }, type: QueryTypes.SELECT }
  );
  const byNumber = new Map<number, Candidate>();
  for (const row of rows) {
    const known = byNumber.get(row.number);
    if (known) known.records.push(recordOf(row));
    else byNumber.set(row.number, { records: [recordOf(row)], likelihood: row.likelihood });
  }
  if (!byNumber.size) throw refuse('no-matches');
  return [...byNumber.values()];
}

/** People that the brief's watches have reported. */
export async function fromNews(briefId: string, ids: readonly number[]): Promise<Candidate[]> {
  const rows = await database().query<Found>(
    `SELECT n.source_id AS "sourceId", n.person_id AS "personId", n.person, n.at AS "seenAt" FROM watch_news n JOIN watches w ON w.id = n.watch_id
     WHERE w.brief_id = $briefId AND n.id = ANY ($ids::bigint[]) AND n.person IS NOT NULL ORDER BY n.id`,
    { bind: { briefId, ids: [...ids] }, type: QueryTypes.SELECT }
  );
  if (!rows.length) throw refuse('update-gone');
  return rows.map((row) => ({ records: [recordOf(row)] }));
}
