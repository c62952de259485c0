import { QueryTypes } from 'sequelize';
import { leftOutWords, type LeftOutReason } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { findBrief } from '$server/features/briefs/briefs';
import { countObjections } from '$server/records/objections/erase';
import { readShortlist } from './shortlists';

/**
 * What is done with the people of a list, as text to print: for what they are kept, from where and when, who is left out,
 * who was given them, and what is not kept. Its parts are those of article 30 of the General Data Protection Regulation as
 * far as Eave can know them.
 */
export async function processingRecord(briefId: string, id: string): Promise<string> {
  const [brief, list, objections, sources] = await Promise.all([
    findBrief(briefId),
    readShortlist(briefId, id),
    countObjections(),
    database().query<{ name: string; kind: string; records: number; first: Date; last: Date }>(
      `SELECT coalesce(s.name, r->>'sourceId') AS name, coalesce(s.kind, 'removed') AS kind, count(*)::int AS records,
         min((r->>'seenAt')::timestamptz) AS first, max((r->>'seenAt')::timestamptz) AS last
       FROM shortlist_people p, jsonb_array_elements(p.records) r LEFT JOIN sources s ON s.id = r->>'sourceId'
       WHERE p.shortlist_id = $id GROUP BY 1, 2 ORDER BY 3 DESC`,
      { bind: { id }, type: QueryTypes.SELECT }
    )
  ]);
  const why = await database().query<{ kept_from: string; kept_why: string; people: number; first: Date }>(
    `SELECT kept_from, kept_why, count(*)::int AS people, min(kept_at) AS first FROM shortlist_people WHERE shortlist_id = $id GROUP BY 1, 2 ORDER BY 3 DESC LIMIT 50`,
    { bind: { id }, type: QueryTypes.SELECT }
  );
  const day = (at: Date | string) => new Date(at).toISOString().slice(0, 10);
  const left = list.counted.leftOut.filter(({ value }) => value in leftOutWords);
  const lines = [
    'Record of processing',
    `Made by Eave on ${day(new Date())}`,
    '',
    `Brief: ${brief.name}`,
    `Shortlist: ${list.name}, ${list.people.toLocaleString('en')} people, created ${day(list.createdAt)}`,
    `Purpose: ${list.purpose || 'none yet; add one in the list’s settings'}`,
    '',
    'What is stored about each person',
    '  name, job titles and firms, place and country, ways to reach them at work, facts of the firm, and the researcher’s notes',
    '',
    'Where the data comes from',
    ...sources.map(
      ({ name, kind, records, first, last }) =>
        `  ${name} (${kind}): ${records.toLocaleString('en')} records, seen ${day(first)} to ${day(last)}`
    ),
    '',
    'Why they were added',
    ...why.map(
      ({ kept_from, kept_why, people, first }) =>
        `  ${people.toLocaleString('en')} from ${kept_from}, ${day(first)} on${kept_why && `: ${kept_why}`}`
    ),
    '',
    'Who is excluded, and why',
    ...(left.length
      ? left.map(({ value, people }) => `  ${people.toLocaleString('en')}: ${leftOutWords[value as LeftOutReason]}`)
      : ['  nobody']),
    `  ${objections.people.toLocaleString('en')} people objected (all lists); they were erased, and only a keyed hash of each remains`,
    '',
    'Exports',
    ...(list.exports.length
      ? list.exports.map(
          ({ at, form, people, what }) =>
            `  ${day(at)}: ${people.toLocaleString('en')} people as ${form}${what && ` (${what})`}`
        )
      : ['  none yet']),
    '',
    'Retention',
    '  until the list or the brief is deleted, or the person objects'
  ];
  return `${lines.join('\n')}\n`;
}
