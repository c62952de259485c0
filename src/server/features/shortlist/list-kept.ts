import { QueryTypes } from 'sequelize';
import type { Verdict } from '$core/measure';
import type { LeftOutReason } from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import type { ShortlistRow } from '$server/platform/database/shortlist-models';
import { notFound, refuse } from '$server/platform/refusals';
import { findBrief } from '$server/features/briefs/briefs';
import { cleanedOf, type Written } from './kept-row';
import { joinRecords, guessAddress, type KeptRecord } from '$core/shortlist';
import type { Choice } from './kept-row';
import { computeLeftOut } from './compute-left-out';
import { findShortlist } from './find-shortlist';

/**
 * SQL that holds for people an export takes unless it is told otherwise: nothing excludes them but that they have no address, since
 * they can still be called. One meaning in the bars, the filter and the export dialog.
 */
export const isExported = `p.left_out <@ ARRAY['no address']::text[]`;

export interface KeptFilter {
  words?: string | undefined;
  country?: string | undefined;
  company?: string | undefined;
  tag?: string | undefined;
  rank?: string | undefined;
  verdict?: Verdict | 'none' | undefined;
  mail?: 'good' | 'uncertain' | 'bad' | 'unanswered' | 'unchecked' | 'none' | undefined;
  leftOut?: LeftOutReason | 'in' | 'out' | undefined;
  due?: string | undefined;
  numbers?: readonly number[] | undefined;
}

/** The verdict on each person of a list, on whichever record it was given: a person's stands above a rule's, then the newest counts. */
export const judgedTable = `judged AS (
  SELECT DISTINCT ON (r.number) r.number, v.verdict
  FROM verdicts v JOIN shortlist_records r ON r.source_id = v.source_id AND r.person_id = v.person_id AND r.shortlist_id = $list
  WHERE v.persona_id = $personaId ORDER BY r.number, (v.by = 'rule'), v.updated_at DESC)`;

/** All people of a list, each with the verdict and the check of the address that there are. */
export const everybody = `FROM shortlist_people p LEFT JOIN judged j USING (number) LEFT JOIN mail_checks m ON m.address = p.mail AND p.mail <> ''
  WHERE p.shortlist_id = $list`;

/** People of one stretch of the table. */
const stretch = 100;

const mailState = `coalesce(m.state, CASE WHEN p.mail = '' THEN 'none' ELSE 'unchecked' END)`;

/** What a filter adds to the condition, and what it binds. */
export function keptConditions(filter: KeptFilter) {
  const where: string[] = [];
  const bind: Record<string, unknown> = {};
  const add = (name: keyof KeptFilter, condition: string, value: unknown = filter[name]) => {
    if (filter[name] === undefined || filter[name] === '') return;
    where.push(condition);
    if (condition.includes(`$${name}`)) bind[name] = value;
  };
  add(
    'words',
    `concat_ws(' ', p.name, p.title, p.company, p.place, p.mail, p.note, p.next_step, array_to_string(p.tags, ' '), p.own::text) ILIKE $words`,
    `%${(filter.words ?? '').replaceAll(/[\\%_]/g, '\\$&')}%`
  );
  add('country', 'p.country = $country');
  add('company', 'p.company = $company');
  add('tag', 'p.tags @> ARRAY[$tag]');
  add('rank', `p.records->0->'person'->>'rank' = $rank`);
  add('verdict', filter.verdict === 'none' ? 'j.verdict IS NULL' : 'j.verdict = $verdict');
  add('mail', `${mailState} = $mail`);
  const { leftOut } = filter;
  add(
    'leftOut',
    leftOut === 'in' ? isExported : leftOut === 'out' ? `NOT (${isExported})` : 'p.left_out @> ARRAY[$leftOut]'
  );
  add('due', `p.next_on <= $due::date AND p.next_on IS NOT NULL`);
  add('numbers', 'p.number = ANY ($numbers::int[])');
  return { where: where.map((one) => ` AND ${one}`).join(''), bind };
}

/** Columns that a table can be put in order by. */
const sorts: Record<string, string> = {
  name: `lower(p.name)`,
  title: 'lower(p.title)',
  company: 'lower(p.company)',
  country: 'p.country',
  place: 'lower(p.place)',
  mail: 'p.mail',
  mailState,
  headcount: 'p.headcount',
  verdict: `array_position(ARRAY['fit', 'unsure', 'miss'], j.verdict)`,
  likelihood: 'p.likelihood',
  priority: 'p.priority',
  nextOn: 'p.next_on',
  tags: `array_to_string(p.tags, ' ')`,
  keptAt: 'p.kept_at',
  leftOut: 'cardinality(p.left_out)'
};
const maxSorts = 5;

/** The order that `sort` names: columns, the first leading; a column of the list's own by its type. */
export function orderBy(sort: string, columns: ShortlistRow['columns']) {
  const bind: Record<string, unknown> = {};
  const parts = sort
    .split(',')
    .filter(Boolean)
    .slice(0, maxSorts)
    .map((name, i) => {
      const down = name.startsWith('-');
      const plain = down ? name.slice(1) : name;
      const own = plain.startsWith('own.') ? columns.find((column) => column.name === plain.slice(4)) : undefined;
      if (own) bind[`own${i}`] = own.name;
      const value = `p.own->>$own${i}`;
      const by = own ? (own.type === 'number' ? `(${value})::numeric` : `lower(${value})`) : sorts[plain];
      if (!by) throw refuse('no-such-column', plain.slice(0, 60));
      return `${by} ${down ? 'DESC' : 'ASC'} NULLS LAST`;
    });
  return { order: [...parts, 'p.number'].join(', '), bind };
}

/** A person as a list returns them. */
const reply = `p.number, p.name, p.title, p.company, p.country, p.place, p.mail, ${mailState} AS "mailState", coalesce(m.why, '') AS "mailWhy",
  p.phone, p.headcount, p.greeting, p.firm_said AS "firmSaid", p.tidy_title AS "tidyTitle", p.own, p.tags, p.priority,
  p.next_step AS "nextStep", p.next_on::text AS "nextOn", p.note, p.likelihood, j.verdict,
  ARRAY(SELECT DISTINCT r->>'sourceId' FROM jsonb_array_elements(p.records) r) AS sources,
  p.kept_at AS "keptAt", p.kept_from AS "keptFrom", p.kept_why AS "keptWhy", p.kept_by AS "keptBy", p.left_out AS "leftOut", p.taken_at AS "takenAt"`;

export interface SerializedPerson {
  number: number;
  name: string;
  title: string;
  company: string;
  country: string;
  place: string;
  mail: string;
  mailState: string;
  mailWhy: string;
  phone: string;
  headcount: number | null;
  greeting: string;
  firmSaid: string;
  tidyTitle: string;
  own: Record<string, string | number | boolean | null>;
  tags: string[];
  priority: number | null;
  nextStep: string;
  nextOn: string | null;
  note: string;
  likelihood: number | null;
  verdict: Verdict | null;
  sources: string[];
  keptAt: string;
  keptFrom: string;
  keptWhy: string;
  keptBy: string;
  leftOut: LeftOutReason[];
  takenAt: string | null;
}

interface Asked {
  filter: KeptFilter;
  sort?: string;
  from?: number;
  most?: number | null;
}

/** People of a list by a filter, in order, with more of what their rows hold where it is asked for. */
export async function keptPeople<More = unknown>(
  list: ShortlistRow,
  { filter, sort = '', from = 0, most = stretch }: Asked,
  more = ''
): Promise<(SerializedPerson & More)[]> {
  const { personaId } = await findBrief(list.briefId);
  const { where, bind } = keptConditions(filter);
  const { order, bind: ownBind } = orderBy(sort, list.columns);
  const rows = await database().query<
    SerializedPerson & More & { keptAt: Date | string; takenAt: Date | string | null }
  >(
    // First the rows of the page, so that details are read for those alone.
    `WITH ${judgedTable}, stretch AS (
       SELECT p.number, row_number() OVER (ORDER BY ${order}) AS place ${everybody}${where}
       ORDER BY place ${most === null ? '' : `LIMIT ${most}`} OFFSET $from)
     SELECT ${reply}${more} ${everybody.replace('shortlist_people p', 'stretch JOIN shortlist_people p USING (number)')} ORDER BY stretch.place`,
    { bind: { list: list.id, personaId, ...bind, ...ownBind, from }, type: QueryTypes.SELECT }
  );
  return rows.map((row) => ({
    ...row,
    keptAt: new Date(row.keptAt).toISOString(),
    takenAt: row.takenAt && new Date(row.takenAt).toISOString()
  }));
}

/** A stretch of the people of a list, and how many there are by the filter. */
export async function listKept(
  briefId: string,
  id: string,
  { from = 0, sort = '', ...filter }: KeptFilter & { from?: number; sort?: string }
) {
  const list = await findShortlist(briefId, id);
  await computeLeftOut(list);
  const { personaId } = await findBrief(briefId);
  const { where, bind } = keptConditions(filter);
  const [people, [counted]] = await Promise.all([
    keptPeople(list, { filter, sort, from }),
    database().query<{ of: number }>(`WITH ${judgedTable} SELECT count(*)::int AS of ${everybody}${where}`, {
      bind: { list: id, personaId, ...bind },
      type: QueryTypes.SELECT
    })
  ]);
  return { people, of: counted!.of };
}

interface WholeRow {
  records: KeptRecord[];
  choice: Choice;
  written: Written;
}

/** One person of a list with everything known: each field and its origin, each record, and a guessed address where none is listed. */
export async function readKept(briefId: string, id: string, number: number) {
  const list = await findShortlist(briefId, id);
  await computeLeftOut(list);
  const [row] = await keptPeople<WholeRow>(list, { filter: { numbers: [number] } }, ', p.records, p.choice, p.written');
  if (!row) throw notFound('This person');
  const { records, choice, written, ...person } = row;
  const joined = joinRecords(records, choice);
  const sources = await models().Source.findAll({ where: { id: person.sources }, attributes: ['id', 'name'] });
  return {
    person,
    written: Object.keys(written) as (keyof Written)[],
    cleaned: cleanedOf(person.name, person.title, person.company),
    fields: Object.entries(joined).map(([field, one]) => ({ field: field as keyof typeof joined, ...one })),
    records: records.map((record) => ({
      ...record,
      sourceName: sources.find(({ id: one }) => one === record.sourceId)?.name ?? record.sourceId
    })),
    guess: person.mail ? null : await guessFor(list, person)
  };
}

/** The likeliest address of somebody without one, by those that are known of the same firm. */
async function guessFor(list: ShortlistRow, { name, company }: SerializedPerson) {
  if (!company) return null;
  const known = await database().query<{ name: string; address: string }>(
    `SELECT name, mail AS address FROM shortlist_people WHERE shortlist_id = $id AND company = $company AND mail <> ''`,
    { bind: { id: list.id, company }, type: QueryTypes.SELECT }
  );
  const domains = new Map<string, number>();
  for (const { address } of known) {
    const domain = address.slice(address.lastIndexOf('@') + 1);
    domains.set(domain, (domains.get(domain) ?? 0) + 1);
  }
  const [domain] = [...domains].sort((a, b) => b[1] - a[1])[0] ?? [];
  return domain ? guessAddress(name, domain, known) : null;
}
