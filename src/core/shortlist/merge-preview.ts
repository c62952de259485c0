import { firmKey, isMail } from '../people/contact-keys';
import { nameVariants } from '../people/person-name';

/** What would happen to one line where it is merged into what the receiving system holds. */
export interface MergedLine {
  /** Its place among those that would leave. */
  line: number;
  what: 'new' | 'would change' | 'same' | 'conflict';
  /** The place of the line there that it is; null for a new one. */
  there: number | null;
  /** Field by field: what is there, and what would come. */
  changes: { header: string; there: string; here: string }[];
  /** Why it is a conflict. */
  why: string;
}

export interface MergePreview {
  lines: MergedLine[];
  counts: Record<MergedLine['what'], number>;
  /** Headers of the file that nothing here fills, and the other way round. */
  onlyThere: string[];
  onlyHere: string[];
}

const plain = (text: string) => text.trim().replaceAll(/\s+/g, ' ');
const headerKey = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/**
 * What a merge would do, before it happens: lines are met by mail address, else by name with firm. An empty cell here
 * never takes what is there. Two lines here for one there, or one here that is several there, is a conflict, and so is an
 * address that belongs to another name there.
 */
export function mergePreview(
  headers: readonly string[],
  rows: readonly (readonly string[])[],
  there: { headers: readonly string[]; rows: readonly (readonly string[])[] }
): MergePreview {
  const at = new Map(there.headers.map((header, i) => [headerKey(header), i]));
  const shared = headers.flatMap((header, i) => {
    const other = at.get(headerKey(header));
    return other === undefined ? [] : [{ header, here: i, there: other }];
  });
  const here = new Set(headers.map(headerKey));
  const keysHere = keyReader(headers);
  const keysThere = keyReader(there.headers);
  const byKey = new Map<string, number[]>();
  there.rows.forEach((row, i) => {
    const { mails, names } = keysThere(row);
    for (const key of [...mails, ...names]) byKey.set(key, [...(byKey.get(key) ?? []), i]);
  });
  const taken = new Map<number, number>();
  const lines = rows.map((row, line): MergedLine => {
    const { mails, names } = keysHere(row);
    const byMail = [...new Set(mails.flatMap((key) => byKey.get(key) ?? []))];
    const byName = [...new Set(names.flatMap((key) => byKey.get(key) ?? []))];
    const found = byMail.length ? byMail : byName;
    const [other] = found;
    if (other === undefined) return { line, what: 'new', there: null, changes: [], why: '' };
    const changes = shared.flatMap(({ header, here: i, there: j }) => {
      const [mine, theirs] = [plain(row[i] ?? ''), plain(there.rows[other]![j] ?? '')];
      return mine && mine !== theirs ? [{ header, there: theirs, here: mine }] : [];
    });
    const conflict = (why: string): MergedLine => ({ line, what: 'conflict', there: other, changes, why });
    if (found.length > 1) return conflict(`${found.length} lines there are this person`);
    const before = taken.get(other);
    if (before !== undefined) return conflict(`line ${before + 1} here goes to the same line there`);
    taken.set(other, line);
    const theirNames = keysThere(there.rows[other]!).plainNames;
    const mine = keysHere(row).plainNames;
    if (byMail.length && mine.length && theirNames.length && !mine.some((name) => theirNames.includes(name)))
      return conflict('the address belongs to another name there');
    return { line, what: changes.length ? 'would change' : 'same', there: other, changes, why: '' };
  });
  const counts = { new: 0, 'would change': 0, same: 0, conflict: 0 };
  for (const { what } of lines) counts[what]++;
  return {
    lines,
    counts,
    onlyThere: there.headers.filter((header) => !here.has(headerKey(header))),
    onlyHere: headers.filter((header) => !at.has(headerKey(header)))
  };
}

/** Reads what a line is known by: every cell that is a mail address, and its name with its firm. */
function keyReader(headers: readonly string[]) {
  const find = (pattern: RegExp) => headers.findIndex((header) => pattern.test(headerKey(header)));
  const [name, first, last, firm] = [
    find(/^(full ?name|name|navn|namn|naam|nombre completo|contact|kontakt)$/),
    find(/^(first ?name|given ?name|vorname|fornavn|förnamn|voornaam|prénom|prenom|nombre|nome)$/),
    find(/^(last ?name|family ?name|surname|nachname|efternavn|efternamn|achternaam|nom|apellidos?|cognome)$/),
    find(
      /^(company( name)?|firm|organi[sz]ation|account|firma|unternehmen|företag|selskap|bedrijf|empresa|azienda|entreprise)( in a sentence)?$/
    )
  ];
  return (row: readonly string[]) => {
    const mails = row.map((cell) => cell.trim().toLowerCase()).filter(isMail);
    const full = name >= 0 && row[name] ? row[name] : [row[first] ?? '', row[last] ?? ''].join(' ').trim();
    const plainNames = full ? nameVariants(full).filter(Boolean) : [];
    const at = firm >= 0 && row[firm] ? firmKey(row[firm]) : '';
    return { mails, plainNames, names: at ? plainNames.map((one) => `${one} at ${at}`) : [] };
  };
}
