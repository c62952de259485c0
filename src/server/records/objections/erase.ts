import { randomUUID } from 'node:crypto';
import { QueryTypes, type Transaction } from 'sequelize';
import { compareNames, contactKeys, nameParts, objectionKeys, ownMails, withoutTag, type Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { refuse } from '$server/platform/refusals';
import { leftToSettle, wordsThatName } from './left-to-settle';
import { namesOf, objectionHash } from './objected';

interface RecordName {
  sourceId: string;
  personId: string;
}
export type Objecting = RecordName | { person: { name: string; company: string; contact: string[] } };

/** How many people have objected. */
export async function countObjections(): Promise<{ people: number }> {
  const [row] = await database().query<{ people: number }>(
    'SELECT count(DISTINCT person)::int AS people FROM objections',
    {
      type: QueryTypes.SELECT
    }
  );
  return row!;
}

/** Tables that hold people as JSON: where each is, and what names its source. */
const peopleIn = `
  SELECT source_id, person FROM source_people
  UNION ALL SELECT source_id, person FROM harvest_rows
  UNION ALL SELECT t.source_id, p.person FROM trial_people p JOIN trials t ON t.id = p.trial_id
  UNION ALL SELECT t.source_id, e FROM trial_pages p JOIN trials t ON t.id = p.trial_id, jsonb_array_elements(p.people) e
  UNION ALL SELECT source_id, person FROM watch_news WHERE person IS NOT NULL
  UNION ALL SELECT r->>'sourceId', r->'person' FROM shortlist_people p, jsonb_array_elements(p.records) r
  UNION ALL SELECT h.source_id, jsonb_strip_nulls(jsonb_build_object('id', e->>'id', 'name', coalesce(e->'values'->>'name', ''),
      'jobs', jsonb_build_array(jsonb_build_object('title', coalesce(e->'values'->>'title', ''), 'company', coalesce(e->'values'->>'company', ''))),
      'contact', CASE WHEN e->'values'->>'mail' IS NULL THEN '[]' ELSE jsonb_build_array(e->'values'->>'mail') END))
    FROM hand_entries h, jsonb_array_elements(h.rows) e
  UNION ALL SELECT 'list', e FROM documents d, jsonb_array_elements(d.body) e WHERE d.kind IN ('known', 'contacted')`;

/**
 * Somebody objected: every record of theirs is found, by its id at its source, mail address, telephone or page, by name and firm, and
 * by what somebody decided of who is who, and erased in all tables; their verdicts stay as numbers under a name that means nothing.
 * What remains is a keyed hash of what they were known by, so that they are never taken in again. All of it or nothing. Returns how
 * much was erased, and where free text still names them, which only a person can settle.
 */
export async function objectTo(who: Objecting) {
  return database().transaction(async (transaction) => {
    const records = await recordsOf(who, transaction);
    const { people } = records;
    if (!people.length) throw refuse('erasure-too-vague');
    const person = randomUUID();
    await keepHashes(records, person, transaction);
    const erased = await eraseAll(people, `gone-${person}`, transaction);
    return { erased: erased.filter(({ rows }) => rows > 0), left: await leftToSettle(people, transaction) };
  });
}

/** Keeps the keyed hashes of what somebody was known by, without telephones and pages that they share with others. */
async function keepHashes(
  { people, sharedWithOthers }: Records,
  person: string,
  transaction: Transaction
): Promise<void> {
  const known = new Set(people.flatMap(namesOf));
  for (const key of sharedWithOthers) known.delete(`key ${key}`);
  const hashes = await Promise.all([...known].map(objectionHash));
  await database().query(
    `INSERT INTO objections (hash, person) SELECT decode(h, 'base64'), $person FROM unnest($hashes::text[]) AS x (h) ON CONFLICT (hash) DO NOTHING`,
    { bind: { hashes, person }, transaction }
  );
}

/** The same for a list of people, known by a mail address or a name with a firm; gives how many there were. */
export async function eraseThose(list: readonly Person[], transaction: Transaction): Promise<number> {
  for (const { name, jobs, contact = [] } of list) {
    const company = jobs?.[0]?.company ?? '';
    const records = await recordsOf({ person: { name, company, contact } }, transaction);
    const person = randomUUID();
    await keepHashes(records, person, transaction);
    await eraseAll(records.people, `gone-${person}`, transaction);
  }
  return list.length;
}

interface Found {
  sourceId: string;
  person: Person;
}

/** The records of somebody, and telephones and pages of theirs that other people have too. */
interface Records {
  people: Found[];
  sharedWithOthers: Set<string>;
}

const idOf = ({ sourceId, person }: Found) => `${sourceId}\n${person.id}`;

/**
 * All records of somebody: found from what is known of them, and then from what those records hold and what was decided of them,
 * until nothing new comes.
 */
async function recordsOf(who: Objecting, transaction: Transaction): Promise<Records> {
  const all = new Map<string, Found>();
  const sharedWithOthers = new Set<string>();
  const add = (found: Found) => {
    const known = all.get(idOf(found));
    // The same record at another time may be known by something else, but a name is better than none.
    if (!known || (!known.person.name && found.person.name)) all.set(idOf(found), found);
  };
  if ('person' in who) {
    const { name, company, contact } = who.person;
    const person: Person = { id: 'typed', name, contact, ...(company && { jobs: [{ title: '', company }] }) };
    if (!objectionKeys(person).own.length) return { people: [], sharedWithOthers };
    add({ sourceId: 'typed', person });
  } else {
    const rows = await database().query<Found>(
      `SELECT source_id AS "sourceId", person FROM (${peopleIn}) AS p (source_id, person) WHERE source_id = $sourceId AND person->>'id' = $personId LIMIT 1`,
      { bind: { ...who }, type: QueryTypes.SELECT, transaction }
    );
    for (const row of rows) add(row);
    if (!rows.length) add({ sourceId: who.sourceId, person: { id: who.personId, name: '' } });
  }
  const looked = new Set<string>();
  for (;;) {
    const open = [...all.values()].filter((one) => !looked.has(idOf(one)));
    if (!open.length) return { people: [...all.values()], sharedWithOthers };
    for (const one of open) {
      looked.add(idOf(one));
      const { own, shared } = objectionKeys(one.person);
      const [keys, sharedKeys] = [new Set(own), new Set(shared)];
      if (!keys.size && !sharedKeys.size) continue;
      for (const found of await alike(one.person, transaction)) {
        const other = objectionKeys(found.person);
        const meets = other.shared.filter((key) => sharedKeys.has(key));
        if (other.own.some((key) => keys.has(key))) add(found);
        else if (meets.length && compareNames(one.person.name, found.person.name) !== 'other') add(found);
        // A switchboard, or the page of a team: it says nothing of who somebody is.
        else for (const key of meets) sharedWithOthers.add(key);
      }
    }
    for (const found of await decidedSame(open, transaction)) add(found);
  }
}

/** The records that somebody said are of the same person as these, or that were joined with them on a shortlist. */
async function decidedSame(people: readonly Found[], transaction: Transaction): Promise<Found[]> {
  const named = `unnest($sources::text[], $ids::text[]) AS n (source_id, person_id)`;
  const bind = { sources: people.map(({ sourceId }) => sourceId), ids: people.map(({ person }) => person.id) };
  const others = await database().query<{ sourceId: string; personId: string }>(
    `SELECT s.second_source AS "sourceId", s.second_person AS "personId" FROM same_person s, ${named}
       WHERE s.same AND s.first_source = n.source_id AND s.first_person = n.person_id
     UNION SELECT s.first_source, s.first_person FROM same_person s, ${named}
       WHERE s.same AND s.second_source = n.source_id AND s.second_person = n.person_id
     UNION SELECT split_part(p.b, E'\\n', 1), split_part(p.b, E'\\n', 2) FROM shortlist_pairs p, ${named}
       WHERE p.same AND p.a = concat(n.source_id, E'\\n', n.person_id)
     UNION SELECT split_part(p.a, E'\\n', 1), split_part(p.a, E'\\n', 2) FROM shortlist_pairs p, ${named}
       WHERE p.same AND p.b = concat(n.source_id, E'\\n', n.person_id)
     UNION SELECT o.source_id, o.person_id FROM shortlist_records r JOIN shortlist_records o USING (shortlist_id, number), ${named}
       WHERE r.source_id = n.source_id AND r.person_id = n.person_id`,
    { bind, type: QueryTypes.SELECT, transaction }
  );
  if (!others.length) return [];
  const known = await database().query<Found>(
    `SELECT DISTINCT p.source_id AS "sourceId", p.person FROM (${peopleIn}) AS p (source_id, person), ${named}
     WHERE p.source_id = n.source_id AND p.person->>'id' = n.person_id`,
    {
      bind: { sources: others.map(({ sourceId }) => sourceId), ids: others.map(({ personId }) => personId) },
      type: QueryTypes.SELECT,
      transaction
    }
  );
  // A record that is in no table any more is known by its id.
  return [...others.map(({ sourceId, personId }) => ({ sourceId, person: { id: personId, name: '' } })), ...known];
}

/** Records whose name, address, telephone or page is like somebody's: those to look at closely. */
async function alike(person: Person, transaction: Transaction): Promise<Found[]> {
  const parts = nameParts(person.name).sort((a, b) => b.length - a.length);
  const plain = (text: string) => text.replaceAll(/[\\%_]/g, '\\$&');
  const { shared } = objectionKeys(person);
  const texts = [
    ...ownMails(person).map((mail) => `%${plain(withoutTag(mail)).replace('@', '%@')}%`),
    ...shared.flatMap((key) => (key.startsWith('page ') ? [`%${plain(key.slice(5))}%`] : []))
  ];
  const digits = shared.flatMap((key) => (key.startsWith('tel ') ? [`%${key.replaceAll(/\D/g, '').slice(-8)}%`] : []));
  if (!parts[0] && !texts.length && !digits.length) return [];
  return database().query<Found>(
    `SELECT DISTINCT source_id AS "sourceId", person FROM (${peopleIn}) AS p (source_id, person)
     WHERE person->>'name' ILIKE $name OR (person->'contact')::text ILIKE ANY ($texts::text[])
       OR regexp_replace((person->'contact')::text, '[^0-9",]', '', 'g') LIKE ANY ($digits::text[])`,
    {
      bind: {
        // Letters with accents are any letter here; which name it is, is looked at afterwards.
        name: parts[0] ? `%${plain(parts[0]).replaceAll(/[aeiouy]+|ss/g, '%')}%` : '',
        texts,
        digits
      },
      type: QueryTypes.SELECT,
      transaction
    }
  );
}

/** Erases records in every table that may hold them. */
async function eraseAll(people: readonly Found[], gone: string, transaction: Transaction) {
  const erased: { what: string; rows: number }[] = [];
  const bind = {
    sources: people.map(({ sourceId }) => sourceId),
    ids: people.map(({ person }) => person.id),
    gone
  };
  const run = async (what: string, sql: string, more: Record<string, unknown> = {}) => {
    const wanted = { ...bind, ...more };
    const used = Object.fromEntries(Object.entries(wanted).filter(([name]) => sql.includes(`$${name}`)));
    const [, reply] = await database().query(sql, { bind: used, transaction });
    const rows = (reply as { rowCount?: number }).rowCount ?? 0;
    if (what) erased.push({ what, rows });
    return rows;
  };
  const named = `unnest($sources::text[], $ids::text[]) AS n (source_id, person_id)`;
  const keys = [...new Set(people.flatMap(({ person }) => [...contactKeys(person), ...objectionKeys(person).own]))];

  // Sources of one's own: the people that are left are counted, and their index is rebuilt.
  const imported = await run(
    'records of imported files',
    `DELETE FROM source_people p USING ${named} WHERE p.source_id = n.source_id AND p.person->>'id' = n.person_id`
  );
  if (imported)
    await run(
      '',
      `UPDATE sources s SET people = (SELECT count(*) FROM source_people p WHERE p.source_id = s.id), people_revision = people_revision + 1
       WHERE s.id = ANY ($sources::text[]) AND s.kind = 'file'`
    );
  await run(
    'sampled people of trials',
    `DELETE FROM trial_people p USING trials t, ${named} WHERE t.id = p.trial_id AND t.source_id = n.source_id AND p.person_id = n.person_id`
  );
  await run(
    'pages of trials',
    `UPDATE trial_pages p SET people = (SELECT coalesce(jsonb_agg(e ORDER BY place), '[]') FROM jsonb_array_elements(p.people) WITH ORDINALITY AS x (e, place)
       WHERE NOT EXISTS (SELECT 1 FROM ${named} WHERE n.source_id = t.source_id AND n.person_id = e->>'id'))
     FROM trials t WHERE t.id = p.trial_id AND EXISTS (SELECT 1 FROM ${named}, jsonb_array_elements(p.people) e WHERE n.source_id = t.source_id AND n.person_id = e->>'id')`
  );
  const renamed = (column: string) =>
    `(SELECT coalesce(jsonb_agg(CASE WHEN EXISTS (SELECT 1 FROM ${named} WHERE n.source_id = t.source_id AND n.person_id = e #>> '{}') THEN to_jsonb($gone::text) ELSE e END ORDER BY place), '[]')
      FROM jsonb_array_elements(t.${column}) WITH ORDINALITY AS x (e, place))`;
  await run(
    '',
    `UPDATE trials t SET found = ${renamed('found')}, open = ${renamed('open')}, erased = t.erased + 1
     WHERE EXISTS (SELECT 1 FROM ${named} WHERE n.source_id = t.source_id AND (t.found ? n.person_id OR t.open ? n.person_id))`
  );
  await run(
    'rows of diaries',
    `UPDATE hand_entries h SET rows = (SELECT coalesce(jsonb_agg(e ORDER BY place), '[]') FROM jsonb_array_elements(h.rows) WITH ORDINALITY AS x (e, place)
       WHERE NOT EXISTS (SELECT 1 FROM ${named} WHERE n.source_id = h.source_id AND n.person_id = e->>'id')), revision = h.revision + 1
     WHERE EXISTS (SELECT 1 FROM ${named}, jsonb_array_elements(h.rows) e WHERE n.source_id = h.source_id AND n.person_id = e->>'id')`
  );
  await run(
    '',
    `DELETE FROM harvest_people p USING harvest_rows r, ${named}
     WHERE r.harvest_id = p.harvest_id AND r.number = p.number AND r.source_id = n.source_id AND r.person_id = n.person_id`
  );
  await run(
    'records of harvests',
    `DELETE FROM harvest_rows r USING ${named} WHERE r.source_id = n.source_id AND r.person_id = n.person_id`
  );
  await run(
    '',
    `UPDATE harvests h SET people = (SELECT count(*) FROM harvest_people p WHERE p.harvest_id = h.id) WHERE people > 0`
  );
  // What could be undone would bring them back.
  const onLists = `SELECT p.shortlist_id, p.number FROM shortlist_people p JOIN shortlist_records r USING (shortlist_id, number), ${named}
    WHERE r.source_id = n.source_id AND r.person_id = n.person_id UNION SELECT shortlist_id, number FROM shortlist_people WHERE keys && $keys::text[]`;
  await run(
    '',
    `DELETE FROM shortlist_steps s WHERE EXISTS (SELECT 1 FROM jsonb_array_elements(s.before) b, jsonb_array_elements(coalesce(b->'records', '[]')) r, ${named}
       WHERE r->>'sourceId' = n.source_id AND r->'person'->>'id' = n.person_id)
       OR (s.shortlist_id, true) IN (SELECT o.shortlist_id, s.before @> jsonb_build_array(jsonb_build_object('number', o.number)) OR o.number = ANY (s.came) FROM (${onLists}) o)`,
    { keys }
  );
  await run(
    'people on shortlists',
    `DELETE FROM shortlist_people p USING (${onLists}) o WHERE p.shortlist_id = o.shortlist_id AND p.number = o.number`,
    { keys }
  );
  const atWatches = `SELECT watch_id, number FROM watch_people w WHERE w.keys && $keys::text[]
    OR EXISTS (SELECT 1 FROM ${named} WHERE w.records @> ARRAY[concat(n.source_id, E'\\n', n.person_id)])`;
  await run(
    'news of watches',
    `DELETE FROM watch_news x USING (${atWatches}) o WHERE x.watch_id = o.watch_id AND x.number = o.number`,
    { keys }
  );
  await run(
    'people whom watches know',
    `DELETE FROM watch_people x USING (${atWatches}) o WHERE x.watch_id = o.watch_id AND x.number = o.number`,
    { keys }
  );
  await run('', `DELETE FROM mail_checks WHERE address = ANY ($mails::text[])`, {
    mails: people.flatMap(({ person }) => ownMails(person))
  });
  for (const table of ['verdicts', 'judgements'])
    await run(
      table === 'verdicts' ? 'verdicts, kept without a name' : '',
      `UPDATE ${table} v SET person_id = $gone || '-' || substr(md5(v.person_id || v.source_id || $gone), 1, 8), reason = ''
       FROM ${named} WHERE v.source_id = n.source_id AND v.person_id = n.person_id`
    );
  await run(
    'notes',
    `DELETE FROM notes t USING ${named} WHERE t.source_id = n.source_id AND t.person_id = n.person_id`
  );
  await run(
    '',
    `DELETE FROM same_person s USING ${named} WHERE (s.first_source = n.source_id AND s.first_person = n.person_id) OR (s.second_source = n.source_id AND s.second_person = n.person_id)`
  );
  await run(
    '',
    `DELETE FROM shortlist_pairs s USING ${named} WHERE concat(n.source_id, E'\\n', n.person_id) IN (s.a, s.b)`
  );
  await eraseFromLists(people, transaction, erased);
  // The first lines that were read of a file, and what was wrong with its rows: the parts of a name may be in several columns.
  await run(
    'first lines of files',
    `UPDATE imports i SET
       reading = jsonb_set(reading, '{columns}', (SELECT coalesce(jsonb_agg(c || '{"samples": []}'), '[]') FROM jsonb_array_elements(reading->'columns') c)),
       outcome = CASE WHEN outcome IS NULL THEN NULL ELSE jsonb_set(outcome, '{errors}', '[]') END
     WHERE EXISTS (SELECT 1 FROM jsonb_array_elements($words::jsonb) AS w (words)
       WHERE NOT EXISTS (SELECT 1 FROM jsonb_array_elements_text(w.words) AS one (word) WHERE strpos(lower(concat(i.reading, i.outcome)), one.word) = 0))`,
    { words: JSON.stringify(wordsThatName(people)) }
  );
  return erased;
}

/** Takes somebody off the lists of people that briefs keep: known-goods and contacted. */
async function eraseFromLists(
  people: readonly Found[],
  transaction: Transaction,
  erased: { what: string; rows: number }[]
): Promise<void> {
  const keys = new Set(people.flatMap(({ person }) => objectionKeys(person).own));
  const ids = new Set(people.map(({ person }) => person.id));
  const documents = await database().query<{ briefId: string; kind: string; body: Person[] }>(
    `SELECT brief_id AS "briefId", kind, body FROM documents WHERE kind IN ('known', 'contacted') AND body <> '[]' FOR UPDATE`,
    { type: QueryTypes.SELECT, transaction }
  );
  let rows = 0;
  for (const { briefId, kind, body } of documents) {
    const left = body.filter(
      (person) => !ids.has(person.id) && !objectionKeys(person).own.some((key) => keys.has(key))
    );
    if (left.length === body.length) continue;
    rows += body.length - left.length;
    await database().query(
      `UPDATE documents SET body = $body::jsonb, revision = revision + 1, updated_at = now() WHERE brief_id = $briefId AND kind = $kind`,
      { bind: { briefId, kind, body: JSON.stringify(left) }, transaction }
    );
  }
  erased.push({ what: 'known-goods and people contacted', rows });
}
