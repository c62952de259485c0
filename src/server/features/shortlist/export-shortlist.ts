import { e164 } from '$core/people';
import { randomUUID } from 'node:crypto';
import { guessColumns, readCsv, writeCsv } from '$core/formats';
import {
  cellsOf,
  hashedContact,
  mergePreview,
  normalContact,
  vcardOf,
  type ColumnProfile,
  type LineOfList
} from '$core/shortlist';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import type { ShortlistRow } from '$server/platform/database/shortlist-models';
import { refuse } from '$server/platform/refusals';
import { runThread } from '$server/workers/threads';
import { fileTypes, jsonLines, workbookOf } from '$server/platform/table-file';
import { findProfile } from './column-profiles';
import { findShortlist } from './find-shortlist';
import { keptPeople, type KeptFilter, type SerializedPerson } from './list-kept';
import { computeLeftOut } from './compute-left-out';

export type Form = 'csv' | 'xlsx' | 'jsonl' | 'vcf' | 'tsv' | 'hashed';

/** Who of a list leaves, as what, and in which form. */
export interface Leaving extends Omit<KeptFilter, 'numbers'> {
  form: Form;
  profile?: string | undefined;
  addresses: 'any' | 'good' | 'good and uncertain';
  /** Also those who are left out. */
  all: 'true' | 'false';
  size?: number | undefined;
  batch: number;
  salt: string;
  /** Numbers with commas between. */
  numbers?: string | undefined;
  look: 'true' | 'false';
}

interface Chosen {
  people: SerializedPerson[];
  /** Before they were shared out in batches. */
  of: number;
  /** How many were left out, by why. */
  leftOut: { value: string; people: number }[];
}

/** Who would leave: those by the filter, without those who are left out and those whose address is not as wanted. */
async function whoLeaves(
  list: ShortlistRow,
  { form, addresses, all, size, batch, numbers, ...filter }: Leaving
): Promise<Chosen> {
  await computeLeftOut(list);
  const chosen = numbers ? numbers.split(',').map(Number).filter(Number.isInteger) : undefined;
  const everyone = await keptPeople(list, {
    filter: { ...filter, ...(chosen && { numbers: chosen }) },
    sort: 'company,name',
    most: null
  });
  const counts = new Map<string, number>();
  const out = (why: string) => void counts.set(why, (counts.get(why) ?? 0) + 1);
  const staying = everyone.filter((person) => {
    // Without an address somebody can still be rung up; a hash is of an address or a number.
    const reasons = person.leftOut.filter((why) => addresses !== 'any' || form === 'hashed' || why !== 'no address');
    if (all === 'false' && form !== 'tsv' && reasons.length) {
      reasons.forEach(out);
      return false;
    }
    const hasWantedState =
      addresses === 'any' ||
      person.mailState === 'good' ||
      (addresses === 'good and uncertain' && person.mailState === 'uncertain');
    if (!hasWantedState) out(`address ${person.mailState}`);
    return hasWantedState;
  });
  const people = size ? staying.slice((batch - 1) * size, batch * size) : staying;
  return {
    people,
    of: staying.length,
    leftOut: [...counts].map(([value, n]) => ({ value, people: n })).sort((a, b) => b.people - a.people)
  };
}

async function sourceNames(): Promise<ReadonlyMap<string, string>> {
  const rows = await models().Source.findAll({ attributes: ['id', 'name'], raw: true });
  return new Map(rows.map(({ id, name }) => [id, name]));
}

const lineOf = (person: SerializedPerson, names: ReadonlyMap<string, string>): LineOfList => ({
  ...person,
  phone: (person.phone && e164(person.phone, person.country)) || person.phone,
  page: '',
  industry: '',
  headcount: person.headcount === null ? '' : String(person.headcount),
  verdict: person.verdict ?? '',
  nextOn: person.nextOn ?? '',
  sources: person.sources.map((id) => names.get(id) ?? id)
});

/** Words of the file on where its lines are from: the last column of each. */
const provenance = (list: ShortlistRow, line: LineOfList) =>
  `Eave, shortlist “${list.name}”; from ${line.sources.join(', ')}; kept ${line.keptAt.slice(0, 10)}`;

const asTable = (
  list: ShortlistRow,
  people: readonly SerializedPerson[],
  profile: ColumnProfile,
  names: ReadonlyMap<string, string>
) => ({
  headers: [...profile.columns.map(({ header }) => header), 'Provenance'],
  rows: people.map((person) => {
    const line = lineOf(person, names);
    return [...cellsOf(line, profile), provenance(list, line)];
  })
});

/** Lines that a preview shows. */
const maxShown = 10;

/** The first lines of what would leave, and who is left out why. */
export async function previewExport(briefId: string, id: string, leaving: Leaving) {
  const list = await findShortlist(briefId, id);
  const [{ people, of, leftOut }, profile, names] = await Promise.all([
    whoLeaves(list, leaving),
    findProfile(leaving.profile),
    sourceNames()
  ]);
  const shown = people.slice(0, maxShown);
  const table = leaving.form === 'hashed' ? hashedTable(shown, leaving.salt) : asTable(list, shown, profile, names);
  return {
    ...table,
    people: people.length,
    batches: leaving.size ? Math.max(1, Math.ceil(of / leaving.size)) : 1,
    leftOut
  };
}

/** The field that a column's header names, in the languages of the lexicon; null where it names none. */
const fieldOfHeader = (header: string): string | null => {
  const [field] = guessColumns([header]);
  return field && field !== 'ignore' ? field : null;
};

/** What a merge into a receiving system's CSV would do with those who would leave. */
export async function mergeInto(briefId: string, id: string, leaving: Leaving, there: string) {
  const list = await findShortlist(briefId, id);
  let rows: string[][];
  try {
    rows = readCsv(there.replace(/^\uFEFF/, ''));
  } catch (error) {
    throw refuse('not-csv', (error as Error).message);
  }
  const [headers = [], ...body] = rows;
  if (headers.length < 2 || !body.length) throw refuse('csv-without-rows');
  const [{ people }, profile, names] = await Promise.all([
    whoLeaves(list, leaving),
    findProfile(leaving.profile),
    sourceNames()
  ]);
  const mine = asTable(list, people, profile, names);
  const { lines, ...rest } = mergePreview(mine.headers.slice(0, -1), mine.rows, { headers, rows: body }, fieldOfHeader);
  const order = { conflict: 0, 'would change': 1, new: 2, same: 3 };
  return {
    ...rest,
    lines: [...lines]
      .sort((a, b) => order[a.what] - order[b.what] || a.line - b.line)
      .slice(0, 500)
      .map(({ line, what, why, changes }) => ({
        who: [people[line]!.name, people[line]!.company].filter(Boolean).join(', '),
        what,
        why,
        changes
      }))
  };
}

/** One hash a contact, of mail addresses and telephone numbers; a line with neither gives none. */
const hashedTable = (people: readonly SerializedPerson[], salt: string) => ({
  headers: ['kind', 'sha256'],
  rows: people.flatMap(({ mail, phone, country }) =>
    [mail, phone].flatMap((contact) => {
      const normal = contact && normalContact(contact, country);
      return normal ? [[normal.startsWith('+') ? 'phone' : 'mail', hashedContact(normal, salt)]] : [];
    })
  )
});

/** The people of a list who leave, as a file; for its own thread. */
export async function writeExport(
  briefId: string,
  id: string,
  leaving: Leaving
): Promise<{ bytes: Uint8Array; numbers: number[] }> {
  const list = await findShortlist(briefId, id);
  const [{ people }, profile, names] = await Promise.all([
    whoLeaves(list, leaving),
    findProfile(leaving.profile),
    sourceNames()
  ]);
  return { bytes: await written(list, people, profile, names, leaving), numbers: people.map(({ number }) => number) };
}

async function written(
  list: ShortlistRow,
  people: readonly SerializedPerson[],
  profile: ColumnProfile,
  names: ReadonlyMap<string, string>,
  { form, salt }: Leaving
): Promise<Uint8Array> {
  if (form === 'vcf') return Buffer.from(people.map((person) => vcardOf(lineOf(person, names))).join(''));
  if (form === 'hashed') {
    const { headers, rows } = hashedTable(people, salt);
    return Buffer.from(writeCsv(headers, rows));
  }
  if (form === 'jsonl')
    return jsonLines(
      people.map((person) => {
        const line = lineOf(person, names);
        return { ...line, provenance: provenance(list, line) };
      })
    );
  const { headers, rows } = asTable(list, people, profile, names);
  if (form === 'csv') return Buffer.from(writeCsv(headers, rows));
  // A spreadsheet takes what is pasted as typed: a cell that would begin a formula is text by a quote before it.
  if (form === 'tsv')
    return Buffer.from(
      [headers, ...rows]
        .map((cells) => cells.map((cell) => cell.replaceAll(/[\t\r\n]+/g, ' ').replace(/^(?=[=+\-@])/, "'")).join('\t'))
        .join('\n')
    );
  return workbookOf(headers, rows);
}

const formNames: Record<Form, string> = {
  csv: 'CSV',
  xlsx: 'XLSX',
  jsonl: 'JSON Lines',
  vcf: 'vCard',
  tsv: 'to a spreadsheet',
  hashed: 'hashed audience'
};

/** The file, with its type, written by a thread so that nobody waits. The people in it count as exported, unless it was only previewed or copied. */
export async function exportShortlist(briefId: string, id: string, leaving: Leaving) {
  await findShortlist(briefId, id);
  const { bytes, numbers } = await runThread<{ bytes: Uint8Array<ArrayBuffer>; numbers: number[] }>(
    'shortlist-file-worker.js',
    { briefId, id, leaving }
  );
  if (leaving.look === 'false' && leaving.form !== 'tsv' && numbers.length) {
    const { addresses, size, batch, profile } = leaving;
    const what = [
      leaving.form === 'hashed' ? '' : (profile ?? 'Standard'),
      addresses === 'any' ? '' : `${addresses} addresses`,
      size ? `batch ${batch} of ${size.toLocaleString('en')} each` : ''
    ].filter(Boolean);
    await database().transaction(async (transaction) => {
      await models().ShortlistExport.create(
        {
          id: randomUUID(),
          shortlistId: id,
          form: formNames[leaving.form],
          people: numbers.length,
          what: what.join('; ')
        },
        { transaction }
      );
      await database().query(
        `UPDATE shortlist_people SET taken_at = now() WHERE shortlist_id = $id AND number = ANY ($numbers::int[])`,
        { bind: { id, numbers }, transaction }
      );
      await database().query(`UPDATE shortlists SET updated_at = now() WHERE id = $id`, { bind: { id }, transaction });
    });
  }
  const ending = leaving.form === 'hashed' ? 'csv' : leaving.form;
  return { bytes, type: fileTypes[ending], ending };
}
