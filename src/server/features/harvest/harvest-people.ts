import { QueryTypes } from 'sequelize';
import { evidenceOf, fitsCurve, fitsRead, type Judged } from '$core/harvest';
import type { Verdict } from '$core/measure';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { findHarvest } from './harvests';
import { signsOf } from './learn-from-verdicts';
import { orderInThread } from './link-in-thread';

export interface PeopleFilter {
  source?: string | undefined;
  country?: string | undefined;
  verdict?: Verdict | 'none' | undefined;
  certain?: boolean | undefined;
  words?: string | undefined;
  /** Only people with no record in this other harvest. */
  notIn?: string | undefined;
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
  SELECT DISTINCT ON (r.number) r.number, v.verdict, v.source_id, v.person_id, v.revision, v.change, v.updated_at
  FROM verdicts v JOIN harvest_rows r ON r.source_id = v.source_id AND r.person_id = v.person_id AND r.harvest_id = $harvestId
  WHERE v.persona_id = $personaId AND r.number IS NOT NULL
  ORDER BY r.number, v.updated_at DESC)`;

/** The record that was judged last, or the first. */
const onRecord = `coalesce(
  CASE WHEN j.verdict IS NOT NULL THEN jsonb_build_object('sourceId', j.source_id, 'personId', j.person_id, 'revision', j.revision) END,
  (SELECT jsonb_build_object('sourceId', r.source_id, 'personId', r.person_id, 'revision', 0)
   FROM harvest_rows r WHERE r.harvest_id = p.harvest_id AND r.number = p.number ORDER BY r.ordinal LIMIT 1))`;

/** All people of a harvest, each with the verdict there is. */
const everybody = 'FROM harvest_people p LEFT JOIN judged j USING (number) WHERE p.harvest_id = $harvestId';

/** A person as a list returns them. */
const listed = `p.number, p.name, p.title, p.company, p.country, p.place, p.sources, p.certain, p.score, j.verdict, ${onRecord} AS on`;

/** What a filter adds to the condition, and what it binds. */
function conditions({ source, country, verdict, certain, words, notIn }: PeopleFilter) {
  const where: string[] = [];
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
  if (notIn) {
    where.push(`NOT EXISTS (SELECT 1 FROM harvest_rows r JOIN harvest_rows o USING (source_id, person_id)
      WHERE r.harvest_id = p.harvest_id AND r.number = p.number AND o.harvest_id = $notIn AND o.reading <> 'not met')`);
    bind.notIn = notIn;
  }
  return { where: where.map((one) => ` AND ${one}`).join(''), bind };
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
  /** The record that a verdict is given on, and its revision. */
  on: { sourceId: string; personId: string; revision: number };
}

/** A page of the people of a harvest, most likely fits first, after `after`; the first page also has their number. */
export async function listHarvestPeople(
  briefId: string,
  harvestId: string,
  filter: PeopleFilter,
  after: After | null,
  size = pageSize
) {
  const [{ personaId }] = await Promise.all([findBrief(briefId), findHarvest(briefId, harvestId)]);
  const { where, bind } = conditions(filter);
  const from = everybody + where;
  const all = { harvestId, personaId, ...bind };
  // People without a likelihood come last, in the order of the index.
  const behind = after
    ? after.score === null
      ? 'AND p.score IS NULL AND p.number > $number'
      : 'AND (p.score < $score OR p.score IS NULL OR (p.score = $score AND p.number > $number))'
    : '';
  const rows = await database().query<ListedPerson>(
    `WITH ${judgedTable}
     SELECT ${listed} ${from} ${behind}
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

/** The numbers of all people of a harvest that match a filter, with at least a given likelihood. */
export async function harvestPeopleNumbers(
  briefId: string,
  harvestId: string,
  filter: PeopleFilter,
  likelyFrom?: number
): Promise<number[]> {
  const { personaId } = await findBrief(briefId);
  const { where, bind } = conditions(filter);
  const rows = await database().query<{ number: number }>(
    `WITH ${judgedTable} SELECT p.number ${everybody}${where}${likelyFrom === undefined ? '' : ' AND p.score >= $likelyFrom'}
     ORDER BY p.score DESC NULLS LAST, p.number`,
    {
      bind: { harvestId, personaId, ...bind, ...(likelyFrom !== undefined && { likelyFrom }) },
      type: QueryTypes.SELECT
    }
  );
  return rows.map(({ number }) => number);
}

/** The next people of the random order who aren't judged: `many` at most, none behind the first `within` of that order. */
export async function nextDrawn(
  briefId: string,
  harvestId: string,
  { many = 1, within = 2 ** 31 - 1 } = {}
): Promise<ListedPerson[]> {
  const [{ personaId }] = await Promise.all([findBrief(briefId), findHarvest(briefId, harvestId)]);
  return database().query<ListedPerson>(
    `WITH ${judgedTable}
     SELECT ${listed} ${everybody} AND j.verdict IS NULL AND p.drawn < $within ORDER BY p.drawn LIMIT $many`,
    { bind: { harvestId, personaId, many, within }, type: QueryTypes.SELECT }
  );
}

/**
 * How far judging has come. Everybody in the random order up to the first unjudged person is a random sample, no matter in which order
 * the others were read in; and those of it behind the first person of the list who is not judged are a random sample of all behind.
 */
export async function readingOf(briefId: string, harvestId: string) {
  const { personaId } = await findBrief(briefId);
  const [row] = await database().query<
    Record<'people' | 'fits' | 'misses' | 'sampled', number> & { behind: Judged['behind'] }
  >(
    `WITH ${judgedTable}, everyone AS (
       SELECT p.drawn, j.verdict, row_number() OVER (ORDER BY p.score DESC NULLS LAST, p.number) AS place ${everybody}),
     reach AS (
       SELECT coalesce(min(drawn) FILTER (WHERE verdict IS NULL), count(*)) AS until,
         coalesce(min(place) FILTER (WHERE verdict IS NULL), count(*) + 1) AS gap FROM everyone),
     placed AS (SELECT verdict, place >= gap AS behind, drawn < until AS sampled FROM everyone, reach)
     SELECT count(*)::int AS people, count(*) FILTER (WHERE verdict = 'fit')::int AS fits, count(*) FILTER (WHERE verdict = 'miss')::int AS misses,
       (SELECT until FROM reach)::int AS sampled,
       jsonb_build_object('people', count(*) FILTER (WHERE behind),
         'sampledFits', count(*) FILTER (WHERE behind AND sampled AND verdict = 'fit'),
         'sampledMisses', count(*) FILTER (WHERE behind AND sampled AND verdict = 'miss'),
         'otherFits', count(*) FILTER (WHERE behind AND NOT sampled AND verdict = 'fit'),
         'otherMisses', count(*) FILTER (WHERE behind AND NOT sampled AND verdict = 'miss')) AS behind
     FROM placed`,
    { bind: { harvestId, personaId }, type: QueryTypes.SELECT }
  );
  const turns = await database().query<{ fit: boolean; place: number }>(
    `WITH ${judgedTable}
     SELECT j.verdict = 'fit' AS fit, (SELECT min(r.ordinal) FROM harvest_rows r WHERE r.harvest_id = $harvestId AND r.number = j.number)::int AS place
     FROM judged j JOIN harvests h ON h.id = $harvestId WHERE j.verdict <> 'unsure' AND j.updated_at >= h.created_at ORDER BY j.change`,
    { bind: { harvestId, personaId }, type: QueryTypes.SELECT }
  );
  const { behind, ...counts } = row!;
  return { judged: row!.fits + row!.misses, ...counts, ...fitsRead({ ...counts, behind }), curve: fitsCurve(turns) };
}

/** The countries and verdicts of a harvest's people, with how many have each. */
export async function harvestFacets(briefId: string, harvestId: string) {
  const [{ personaId }] = await Promise.all([findBrief(briefId), findHarvest(briefId, harvestId)]);
  const rows = await database().query<{ kind: string; value: string | null; people: string }>(
    `WITH ${judgedTable}
     SELECT 'country' AS kind, country AS value, count(*) AS people FROM harvest_people p WHERE harvest_id = $harvestId GROUP BY 2
     UNION ALL
     SELECT 'verdict', j.verdict, count(*) ${everybody} GROUP BY 2`,
    { bind: { harvestId, personaId }, type: QueryTypes.SELECT }
  );
  const of = (kind: string) =>
    rows
      .filter((row) => row.kind === kind)
      .map(({ value, people }) => ({ value: value ?? '', people: Number(people) }))
      .sort((a, b) => b.people - a.people);
  return { countries: of('country').filter(({ value }) => value), verdicts: of('verdict') };
}

/** One person of a harvest with all records, the newest first, and why they are as likely to fit as they are. */
export async function readHarvestPerson(briefId: string, harvestId: string, number: number) {
  const { learnt } = await findHarvest(briefId, harvestId);
  const records = await database().query<{
    sourceId: string;
    sourceName: string;
    person: Person;
    reading: 'met' | 'unknown';
    unlisted: string[];
    slices: string[];
    seenAt: Date;
  }>(
    `SELECT r.source_id AS "sourceId", s.name AS "sourceName", r.person, r.reading, r.unlisted, r.seen_at AS "seenAt",
       ARRAY(SELECT what FROM harvest_slices sl WHERE sl.id = ANY (r.slices) ORDER BY sl.place) AS slices
     FROM harvest_rows r JOIN sources s ON s.id = r.source_id
     WHERE r.harvest_id = $harvestId AND r.number = $number ORDER BY (s.sheet->>'age')::numeric NULLS LAST, r.seen_at DESC, r.ordinal`,
    { bind: { harvestId, number }, type: QueryTypes.SELECT }
  );
  if (!records.length) throw refuse('harvest-person-gone');
  const signs = learnt ? await signsOf(harvestId, records) : null;
  const shown = signs ? records.flatMap((_, i) => signs(i)) : [];
  return {
    evidence: learnt ? evidenceOf(shown, learnt.strongest) : [],
    records: records.map((record) => ({ ...record, seenAt: record.seenAt.toISOString() }))
  };
}

/** Learns again from the verdicts that there are now, and puts the people in order. */
export async function orderAnew(briefId: string, harvestId: string) {
  const harvest = await findHarvest(briefId, harvestId);
  if (harvest.state === 'running') throw refuse('ranking-later');
  await orderInThread(harvestId);
}
