import { origins, wordingSchema, type WordSet, type Wording } from '../persona/word-set';
import { readCsvRecords, writeCsv } from './csv';

/** Word sets as CSV (RFC 4180), a wording a row; no cell starts a formula. */
export const writeWordingsCsv = (sets: readonly WordSet[]): string =>
  writeCsv(
    ['title', 'wording', 'origin', 'in use'],
    sets.flatMap(({ name, wordings }) =>
      wordings.map(({ text, origin, inUse }) => [name, text, origin, inUse ? 'yes' : 'no'])
    )
  );

/**
 * Wordings by title out of a CSV with the columns title and wording (origin and in use are optional). Throws an Error with
 * a sentence for people where it is none.
 */
export function readWordingsCsv(text: string): Map<string, Wording[]> {
  const first = text.replace(/^\ufeff/, '').trim();
  if (!first) throw new Error('The file is empty. Choose a CSV with the columns title and wording.');
  const rows = readCsvRecords(first);
  if (!rows.length || rows[0]!.title === undefined || rows[0]!.wording === undefined)
    throw new Error('The CSV needs a header row with the columns title and wording; origin and in use are optional.');
  const found = new Map<string, Wording[]>();
  for (const row of rows) {
    const title = (row.title ?? '').trim();
    const origin = origins.find((one) => one === row.origin) ?? 'typed';
    const read = wordingSchema.safeParse({ text: row.wording ?? '', origin, inUse: row['in use'] !== 'no' });
    if (!title || !read.success) continue;
    found.set(title, [...(found.get(title) ?? []), read.data]);
  }
  return found;
}
