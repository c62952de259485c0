import { QueryTypes } from 'sequelize';
import { layOut } from '$core/language';
import { wilson } from '$core/measure';
import type { Person } from '$core/people';
import { matcher } from '$core/semantics';
import { firmsLike, moreLike, type KeptRecord } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { firstLeads } from '$server/platform/first-leads';
import { findShortlist } from './find-shortlist';

/** Most people of a brief that the chosen ones are compared with. */
const maxRest = 20_000;

interface Seen {
  person: Person;
  verdict: 'fit' | 'miss' | 'unsure' | null;
  /** On the list, by this record. */
  number: number | null;
}

/** Every record a brief has seen, with its verdict and its person on the list. */
const seenIn = (briefId: string, personaId: string, listId: string): Promise<Seen[]> =>
  database().query<Seen>(
    `WITH seen AS (
       SELECT r.source_id, r.person_id, r.person FROM harvest_rows r
         WHERE r.harvest_id = (SELECT id FROM harvests WHERE brief_id = $briefId AND watch_id IS NULL ORDER BY created_at DESC LIMIT 1) AND r.reading <> 'not met'
       UNION
       SELECT t.source_id, p.person_id, p.person FROM trial_people p JOIN trials t ON t.id = p.trial_id JOIN versions v ON v.id = t.version_id
         WHERE v.brief_id = $briefId
       UNION
       SELECT r.source_id, r.person_id, p.records->0->'person' FROM shortlist_people p JOIN shortlist_records r USING (shortlist_id, number)
         WHERE p.shortlist_id = $listId
     ), each AS (SELECT DISTINCT ON (source_id, person_id) * FROM seen ORDER BY source_id, person_id)
     SELECT e.person, v.verdict, l.number FROM each e
       LEFT JOIN verdicts v ON v.persona_id = $personaId AND v.source_id = e.source_id AND v.person_id = e.person_id
       LEFT JOIN shortlist_records l ON l.shortlist_id = $listId AND l.source_id = e.source_id AND l.person_id = e.person_id
     ORDER BY (v.verdict IS NULL), e.source_id, e.person_id LIMIT ${maxRest}`,
    { bind: { briefId, personaId, listId }, type: QueryTypes.SELECT }
  );

/** What the chosen people of a list have in common, compared with the others seen, as a string; its precision among the judged, and the people it would add. */
export async function moreLikeThese(briefId: string, id: string, numbers: readonly number[]) {
  const list = await findShortlist(briefId, id);
  const { personaId } = await findBrief(briefId);
  const chosen = await database().query<{ number: number; records: KeptRecord[] }>(
    `SELECT number, records FROM shortlist_people WHERE shortlist_id = $id AND number = ANY ($numbers::int[])`,
    { bind: { id: list.id, numbers: [...numbers] }, type: QueryTypes.SELECT }
  );
  if (chosen.length < 2) throw refuse('too-few-selected');
  const seen = await seenIn(briefId, personaId, id);
  const wanted = new Set(numbers);
  const good = chosen.map(({ records }) => firstLeads(records.map(({ person }) => person)));
  const rest = seen.filter(({ number }) => number === null || !wanted.has(number));
  const { query, traits } = moreLike(
    good,
    rest.map(({ person }) => person)
  );
  const finds = query ? matcher(query) : () => false;
  const judged = seen.filter(({ verdict, person }) => verdict && verdict !== 'unsure' && finds(person));
  const fits = judged.filter(({ verdict }) => verdict === 'fit').length;
  const adds = rest.filter(({ number, person, verdict }) => number === null && verdict !== 'miss' && finds(person));
  return {
    text: query && layOut(query),
    traits,
    precision: { fits, judged: judged.length, interval: wilson(fits, judged.length) },
    adds: { people: adds.length, some: adds.slice(0, 10).map(({ person }) => person) },
    firms: firmsLike(
      good,
      rest.map(({ person }) => person)
    )
  };
}
