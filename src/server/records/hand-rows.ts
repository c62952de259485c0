import type { PageRow } from '$core/formats';
import { personFromPageRow } from '$core/formats';
import { hashText } from '$core/measure';
import { firmKey, isRoleMailbox, plainName, type Person } from '$core/people';
import type { HandEntryRow, HandRow } from '$server/platform/database/models';

const mailOf = ({ values }: Pick<PageRow, 'values'>): string =>
  values.mail && !isRoleMailbox(values.mail) ? values.mail.trim().toLowerCase() : '';
const nameOf = ({ values }: Pick<PageRow, 'values'>): string =>
  [plainName(values.name ?? ''), firmKey(values.company ?? '')].join('|');

function idOf(row: Pick<PageRow, 'values'>): string {
  const key = `${nameOf(row)}|${mailOf(row)}`;
  return `hand-${hashText(key).toString(36)}${hashText(`${key}/2`).toString(36)}`;
}

/**
 * Rows as an entry keeps them. One that was there before (`own`) stays the person it was, however it is corrected; another is
 * the person of an earlier row (`others`) with the same name at the same firm, unless their mail addresses differ.
 */
export function rowsKept(
  rows: readonly (Pick<PageRow, 'values'> & Partial<HandRow>)[],
  { own = [], others = [] }: { own?: readonly HandRow[]; others?: readonly HandRow[] } = {}
): HandRow[] {
  const known = new Set(own.map(({ id }) => id));
  const byName = new Map<string, HandRow[]>();
  for (const row of others) byName.set(nameOf(row), [...(byName.get(nameOf(row)) ?? []), row]);
  const met = (row: Pick<PageRow, 'values'>) => {
    const named = byName.get(nameOf(row)) ?? [];
    const isOther = ({ id }: HandRow) =>
      named.some((other) => other.id === id && mailOf(other) && mailOf(row) && mailOf(other) !== mailOf(row));
    return named.find((one) => !isOther(one))?.id;
  };
  return rows
    .filter(({ values }) => values.name?.trim())
    .map((row) => ({
      id: row.id !== undefined && known.has(row.id) ? row.id : (met(row) ?? idOf(row)),
      values: row.values,
      doubtful: row.doubtful ?? []
    }));
}

/** What all entries of one search brought together. */
export interface SearchSeen {
  people: Person[];
  /** The page that each of them stood on. */
  on: number[];
  pages: number[];
  /** The newest entry that has a count. */
  counted: HandEntryRow | null;
}

/**
 * The rows of one search's entries, the oldest first, each person once over entries, by page and place. Somebody whom one
 * entry has twice was shown twice.
 */
export function searchSeen(entries: readonly HandEntryRow[]): SearchSeen {
  const met = new Set<string>();
  const rows: { person: Person; page: number }[] = [];
  for (const { rows: given, page } of entries) {
    const fresh = given.filter(({ id }) => !met.has(id));
    for (const row of fresh) {
      const person = personFromPageRow(row, row.id);
      if (person) rows.push({ person, page: page ?? 1 });
      met.add(row.id);
    }
  }
  rows.sort((a, b) => a.page - b.page);
  return {
    people: rows.map(({ person }) => person),
    on: rows.map(({ page }) => page),
    pages: [...new Set(entries.filter(({ rows }) => rows.length).map(({ page }) => page ?? 1))].sort((a, b) => a - b),
    counted: entries.findLast(({ count }) => count !== null) ?? null
  };
}
