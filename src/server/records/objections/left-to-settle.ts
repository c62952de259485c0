import { QueryTypes, type Transaction } from 'sequelize';
import { ownMails, withoutTag, type Person } from '$core/people';
import { database } from '$server/platform/database/connection';

/** A place where free text still names somebody who was erased: only a person can say what of it is theirs. */
export interface LeftToSettle {
  what: string;
  /** The brief that it belongs to; null where it belongs to none. */
  brief: { id: string; name: string } | null;
  rows: number;
}

/** Words that name somebody where all of a group are in one text: the parts of the name, or a mail address. In small letters. */
export function wordsThatName(people: readonly { person: Person }[]): string[][] {
  const groups = people.flatMap(({ person }) => {
    const parts = person.name
      .toLowerCase()
      .split(/[^\p{L}\p{M}'’-]+/u)
      .filter((part) => part.length > 2);
    return [...(parts.length > 1 ? [parts] : []), ...ownMails(person).flatMap((mail) => [[mail], [withoutTag(mail)]])];
  });
  return [...new Map(groups.map((group) => [[...group].sort().join(' '), group])).values()];
}

/** Free texts, by what a person calls them: the table, the text, and the brief of a row. */
const texts: readonly { what: string; sql: string }[] = [
  ...(['verdicts', 'judgements'] as const).map((table) => ({
    what: 'reasons of verdicts',
    sql: `SELECT reason AS text, b.id FROM ${table} t LEFT JOIN briefs b USING (persona_id) WHERE reason <> ''`
  })),
  { what: 'notes on people', sql: `SELECT text, b.id FROM notes t LEFT JOIN briefs b USING (persona_id)` },
  { what: 'the persona, wording, draft or choice', sql: `SELECT body::text AS text, brief_id AS id FROM documents` },
  {
    what: 'versions and their notes',
    sql: `SELECT concat_ws(' ', text, name, note) AS text, brief_id AS id FROM versions`
  },
  {
    what: 'diary entries',
    sql: `SELECT concat_ws(' ', said, h.count, rows) AS text, v.brief_id AS id FROM hand_entries h JOIN versions v ON v.id = h.version_id`
  },
  {
    what: 'notes and next steps on shortlists',
    sql: `SELECT concat_ws(' ', p.note, p.next_step, p.kept_why, p.held_why, p.own, p.tags) AS text, l.brief_id AS id FROM shortlist_people p JOIN shortlists l ON l.id = p.shortlist_id`
  },
  {
    what: 'names of shortlists, harvests, watches and briefs',
    sql: `SELECT concat_ws(' ', name, purpose, columns, views, tags) AS text, brief_id AS id FROM shortlists
      UNION ALL SELECT name, brief_id FROM harvests UNION ALL SELECT concat_ws(' ', name, rules), brief_id FROM watches UNION ALL SELECT name, id FROM briefs`
  },
  {
    what: 'undo steps of shortlists',
    sql: `SELECT concat_ws(' ', s.what, s.before, s.said) AS text, l.brief_id AS id FROM shortlist_steps s JOIN shortlists l ON l.id = s.shortlist_id`
  },
  {
    what: 'names of files and sources',
    sql: `SELECT file_name AS text, NULL::uuid AS id FROM imports UNION ALL SELECT name, NULL FROM sources`
  },
  { what: 'word sets', sql: `SELECT concat_ws(' ', name, wordings, note) AS text, NULL::uuid AS id FROM word_sets` }
];

/** Where free text still names people who are being erased, and files that were uploaded and not imported yet. */
export async function leftToSettle(
  people: readonly { person: Person }[],
  transaction: Transaction
): Promise<LeftToSettle[]> {
  const words = JSON.stringify(wordsThatName(people));
  const found = await database().query<{ what: string; id: string | null; name: string | null; rows: number }>(
    `SELECT t.what, b.id, b.name, count(*)::int AS rows
     FROM (${texts.map(({ what, sql }) => `SELECT '${what}' AS what, lower(x.text) AS text, x.id FROM (${sql}) x`).join(' UNION ALL ')}) t
       LEFT JOIN briefs b ON b.id = t.id
     WHERE EXISTS (SELECT 1 FROM jsonb_array_elements($words::jsonb) AS w (words)
       WHERE NOT EXISTS (SELECT 1 FROM jsonb_array_elements_text(w.words) AS one (word) WHERE strpos(t.text, one.word) = 0))
     GROUP BY 1, 2, 3 ORDER BY 1, 3`,
    { bind: { words }, type: QueryTypes.SELECT, transaction }
  );
  // What is in these is not known before they are read; the import leaves out anybody who objected.
  const [waiting] = await database().query<{ rows: number }>(
    `SELECT count(*)::int AS rows FROM imports WHERE state IN ('ready', 'waiting')`,
    { type: QueryTypes.SELECT, transaction }
  );
  return [
    ...found.map(({ what, id, name, rows }) => ({ what, brief: id === null ? null : { id, name: name ?? '' }, rows })),
    ...(waiting!.rows ? [{ what: 'uploaded files that are not imported yet', brief: null, rows: waiting!.rows }] : [])
  ];
}
