import { QueryTypes } from 'sequelize';
import { contactKeys } from '$core/people';
import { leaveOutReader } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import type { ShortlistRow } from '$server/platform/database/shortlist-models';
import { readDocument } from '$server/features/briefs/briefs';
import { excludedFirms } from '$server/features/briefs/excluded-firms';
import { readHouseList } from '$server/features/library/house-lists';

/** People looked at before others have their turn. */
const atOnce = 1000;

/**
 * Recomputes who on a list is excluded and why, if anything it depends on has changed: the people the brief has
 * contacted, the list's firms, the countries that ask consent, who was exported, or the people themselves.
 */
export async function computeLeftOut(list: ShortlistRow): Promise<void> {
  const [contacted, consent, firms, [taken]] = await Promise.all([
    readDocument(list.briefId, 'contacted'),
    readHouseList('consent'),
    excludedFirms(list.briefId),
    database().query<{ mark: string }>(
      `SELECT concat(count(p.taken_at), max(p.taken_at)) AS mark FROM shortlist_people p JOIN shortlists s ON s.id = p.shortlist_id
       WHERE s.brief_id = $briefId AND s.taken_counts`,
      { bind: { briefId: list.briefId }, type: QueryTypes.SELECT }
    )
  ]);
  const mark = `${list.revision} ${contacted.revision} ${consent.revision} ${firms.mark} ${taken!.mark}`;
  if (mark === list.exclusionsMark) return;
  const { customers, excluded } = firms;
  const reasons = leaveOutReader(
    { ...list.firms, customers, excluded },
    list.consent ? consent.body.map(({ country }) => country) : []
  );
  const keys = new Set(contacted.body.flatMap(contactKeys));
  for (const key of await keysTaken(list)) keys.add(key);
  for (let from = 0; ; from += atOnce) {
    const rows = await database().query<Person>(
      `SELECT number, company, country, mail, keys, held_out AS "heldOut", taken_at IS NOT NULL AS taken, left_out AS "leftOut"
       FROM shortlist_people WHERE shortlist_id = $id AND number >= $from AND number < $to`,
      { bind: { id: list.id, from, to: from + atOnce }, type: QueryTypes.SELECT }
    );
    const changed = rows.flatMap((row) => {
      const reply = [
        ...reasons({ ...row, contacted: row.keys.some((key) => keys.has(key)), takenBefore: row.taken }),
        ...(row.heldOut ? (['by hand'] as const) : [])
      ];
      return reply.join() === row.leftOut.join() ? [] : [{ number: row.number, reasons: reply }];
    });
    if (changed.length)
      await database().query(
        `UPDATE shortlist_people p SET left_out = ARRAY(SELECT jsonb_array_elements_text(r.reasons))
         FROM jsonb_to_recordset($changed::jsonb) AS r (number integer, reasons jsonb)
         WHERE p.shortlist_id = $id AND p.number = r.number`,
        { bind: { id: list.id, changed: JSON.stringify(changed) } }
      );
    if (from + atOnce >= list.nextNumber) break;
  }
  // Changes made meanwhile are picked up the next time.
  await database().query(
    `UPDATE shortlists SET exclusions_mark = $mark WHERE id = $id AND date_trunc('milliseconds', updated_at) = $at`,
    { bind: { id: list.id, mark, at: list.updatedAt.toISOString() } }
  );
  list.exclusionsMark = mark;
}

interface Person {
  number: number;
  company: string;
  country: string;
  mail: string;
  keys: string[];
  heldOut: boolean;
  taken: boolean;
  leftOut: string[];
}

/** What people are known by who were exported from other lists of the brief, where that counts as contacted. */
async function keysTaken(list: ShortlistRow): Promise<string[]> {
  const rows = await database().query<{ key: string }>(
    `SELECT DISTINCT unnest(p.keys) AS key FROM shortlist_people p JOIN shortlists s ON s.id = p.shortlist_id
     WHERE s.brief_id = $briefId AND s.id <> $id AND s.taken_counts AND p.taken_at IS NOT NULL`,
    { bind: { briefId: list.briefId, id: list.id }, type: QueryTypes.SELECT }
  );
  return rows.map(({ key }) => key);
}
