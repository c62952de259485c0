import { QueryTypes } from 'sequelize';
import type { Verdict } from '$core/measure';
import type { Person } from '$core/people';
import { database } from '../../database/connection';
import { Refusal } from '../../refusal';
import { runThread } from '../../workers/threads';
import { findBrief } from '../briefs/briefs';
import { findHarvest } from './harvests';

export interface PeopleFilter {
  source?: string | undefined;
  country?: string | undefined;
  verdict?: Verdict | 'none' | undefined;
  certain?: boolean | undefined;
  words?: string | undefined;
}

/** Where a page of the list goes on: behind this person. */
interface After {
  score: number | null;
  number: number;
}

/** People on one page of the list. */
const pageSize = 100;

/** The verdict on each person of a harvest, on whichever record it was given: the newest counts. */
const judgedTable = `judged AS (
  SELECT DISTINCT ON (r.number) r.number, v.verdict, v.source_id, v.person_id
  FROM verdicts v JOIN harvest_rows r ON r.source_id = v.source_id AND r.person_id = v.person_id AND r.harvest_id = $harvestId
  WHERE v.persona_id = $personaId AND r.number IS NOT NULL
  ORDER BY r.number, v.updated_at DESC)`;

function conditions({ source, country, verdict, certain, words }: PeopleFilter) {
  const where = ['p.harvest_id = $harvestId'];
  const bind: Record<string, unknown> = {};
  if (source) {
    where.push('p.sources @> ARRAY[$source]');
    bind.source = source;
  }
  if (country) {
    where.push('p.country = $country');
    bind.country = country;
  }
  if (certain) where.push('p.certain');
  if (verdict) {
    where.push(verdict === 'none' ? 'j.verdict IS NULL' : 'j.verdict = $verdict');
    if (verdict !== 'none') bind.verdict = verdict;
  }
  if (words) {
    where.push(`concat_ws(' ', p.name, p.title, p.company, p.place) ILIKE $words`);
    bind.words = `%${words.replaceAll(/[\\%_]/g, '\\$&')}%`;
  }
  return { where: where.join(' AND '), bind };
}

interface ListedPerson {
  number: number;
  name: string;
  title: string;
  company: string;
  country: string;
  place: string;
  sources: string[];
  certain: boolean;
  score: number | null;
  verdict: Verdict | null;
}

/** A page of the people of a harvest, the likely ones first, behind `after`; how many there are is told with the first page. */
export async function listHarvestPeople(
  briefId: string,
  harvestId: string,
  filter: PeopleFilter,
  after: After | null,
  size = pageSize
) {
  const [{ personaId }] = await Promise.all([findBrief(briefId), findHarvest(briefId, harvestId)]);
  const { where, bind } = conditions(filter);
  const from = `FROM harvest_people p LEFT JOIN judged j USING (number) WHERE ${where}`;
  const all = { harvestId, personaId, ...bind };
  // Those of whom nothing was learnt come last, as the index has them.
  const behind = after
    ? after.score === null
      ? 'AND p.score IS NULL AND p.number > $number'
      : 'AND (p.score < $score OR p.score IS NULL OR (p.score = $score AND p.number > $number))'
    : '';
  const rows = await database().query<ListedPerson>(
    `WITH ${judgedTable}
     SELECT p.number, p.name, p.title, p.company, p.country, p.place, p.sources, p.certain, p.score, j.verdict ${from} ${behind}
     ORDER BY p.score DESC NULLS LAST, p.number LIMIT ${size}`,
    {
      bind: { ...all, ...(after && { number: after.number, ...(after.score !== null && { score: after.score }) }) },
      type: QueryTypes.SELECT
    }
  );
  const [counted] = after
    ? [null]
    : await database().query<{ people: string }>(`WITH ${judgedTable} SELECT count(*) AS people ${from}`, {
        bind: all,
        type: QueryTypes.SELECT
      });
  return { people: rows, of: counted ? Number(counted.people) : null, last: rows.length < size };
}

/** The countries and verdicts of a harvest's people, with how many have each. */
export async function harvestFacets(briefId: string, harvestId: string) {
  const [{ personaId }] = await Promise.all([findBrief(briefId), findHarvest(briefId, harvestId)]);
  const rows = await database().query<{ kind: string; value: string | null; people: string }>(
    `WITH ${judgedTable}
     SELECT 'country' AS kind, country AS value, count(*) AS people FROM harvest_people p WHERE harvest_id = $harvestId GROUP BY 2
     UNION ALL
     SELECT 'verdict', j.verdict, count(*) FROM harvest_people p LEFT JOIN judged j USING (number) WHERE p.harvest_id = $harvestId GROUP BY 2`,
    { bind: { harvestId, personaId }, type: QueryTypes.SELECT }
  );
  const of = (kind: string) =>
    rows
      .filter((row) => row.kind === kind)
      .map(({ value, people }) => ({ value: value ?? '', people: Number(people) }))
      .sort((a, b) => b.people - a.people);
  return { countries: of('country').filter(({ value }) => value), verdicts: of('verdict') };
}

/** One person of a harvest with all records, the newest first. */
export async function readHarvestPerson(briefId: string, harvestId: string, number: number) {
  await findHarvest(briefId, harvestId);
  const records = await database().query<{
    sourceId: string;
    sourceName: string;
    person: Person;
    reading: 'met' | 'unknown';
    untold: string[];
    slices: string[];
    seenAt: Date;
  }>(
    `SELECT r.source_id AS "sourceId", s.name AS "sourceName", r.person, r.reading, r.untold, r.seen_at AS "seenAt",
       ARRAY(SELECT what FROM harvest_slices sl WHERE sl.id = ANY (r.slices) ORDER BY sl.place) AS slices
     FROM harvest_rows r JOIN sources s ON s.id = r.source_id
     WHERE r.harvest_id = $harvestId AND r.number = $number ORDER BY s.sheet->>'age' NULLS LAST, r.seen_at DESC, r.ordinal`,
    { bind: { harvestId, number }, type: QueryTypes.SELECT }
  );
  if (!records.length) throw new Refusal(404, 'Not found', 'This person is not in the harvest any more.');
  return { records: records.map((record) => ({ ...record, seenAt: record.seenAt.toISOString() })) };
}

/** Learns anew from the verdicts that there are now, and puts the people in order. */
export async function orderAnew(briefId: string, harvestId: string) {
  const harvest = await findHarvest(briefId, harvestId);
  if (harvest.state === 'running')
    throw new Refusal(409, 'Under way', 'People are put in order when the harvest stands still or is done.');
  await runThread('harvest-worker.js', { harvestId });
}
