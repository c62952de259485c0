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
  /** The columns that were compared, as each file calls them. */
  compared: { here: string; there: string }[];
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
 * address that belongs to another name there. Columns meet by their headers, else by what `fieldOf` says that a header holds; a line is
 * the same only where something was compared.
 */
export function mergePreview(
  headers: readonly string[],
  rows: readonly (readonly string[])[],
  there: { headers: readonly string[]; rows: readonly (readonly string[])[] },
  fieldOf: (header: string) => string | null = () => null
): MergePreview {
  const shared = columnsMet(headers, there.headers, fieldOf);
  const [metHere, metThere] = [new Set(shared.map((one) => one.here)), new Set(shared.map((one) => one.there))];
  const keysHere = keyReader(headers);
  const keysThere = keyReader(there.headers);
  const byKey = new Map<string, number[]>();
  there.rows.forEach((row, i) => {
    const { mails, names } = keysThere(row);
    for (const key of [...mails, ...names]) {
      const list = byKey.get(key);
      if (list) list.push(i);
      else byKey.set(key, [i]);
    }
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
    if (!shared.length) return conflict('no column of the two files holds the same, so nothing can be compared');
    return { line, what: changes.length ? 'would change' : 'same', there: other, changes, why: '' };
  });
  const counts = { new: 0, 'would change': 0, same: 0, conflict: 0 };
  for (const { what } of lines) counts[what]++;
  return {
    lines,
    counts,
    compared: shared.map((one) => ({ here: headers[one.here]!, there: there.headers[one.there]! })),
    onlyThere: there.headers.filter((_, i) => !metThere.has(i)),
    onlyHere: headers.filter((_, i) => !metHere.has(i))
  };
}

/** Columns of two files that hold the same, each at most once: by their headers first, then by the field that a header names. */
function columnsMet(
  headers: readonly string[],
  others: readonly string[],
  fieldOf: (header: string) => string | null
): { header: string; here: number; there: number }[] {
  const met: { header: string; here: number; there: number }[] = [];
  const taken = new Set<number>();
  const meet = (keyOf: (header: string) => string | null) => {
    const at = new Map<string, number>();
    others.forEach((header, i) => {
      const key = taken.has(i) ? null : keyOf(header);
      if (key && !at.has(key)) at.set(key, i);
    });
    headers.forEach((header, here) => {
      const key = met.some((one) => one.here === here) ? null : keyOf(header);
      const there = key ? at.get(key) : undefined;
      if (there === undefined || taken.has(there)) return;
      taken.add(there);
      met.push({ header, here, there });
    });
  };
  meet((header) => headerKey(header) || null);
  meet(fieldOf);
  return met.sort((a, b) => a.here - b.here);
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
