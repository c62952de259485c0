import { parse as parseCsv } from 'csv-parse/browser/esm/sync';
import { stringify } from 'csv-stringify/browser/esm/sync';
import { origins, wordingSchema, type WordSet, type Wording } from '../persona/word-set';

/** Word sets as CSV (RFC 4180), a wording a row; no cell starts a formula. */
export const writeWordingsCsv = (sets: readonly WordSet[]): string =>
  stringify(
    sets.flatMap(({ name, wordings }) =>
      wordings.map(({ text, origin, inUse }) => [name, text, origin, inUse ? 'yes' : 'no'])
    ),
    {
      header: true,
      columns: ['title', 'wording', 'origin', 'in use'].map((key) => ({ key })),
      escape_formulas: true,
      record_delimiter: '\r\n'
    }
  );

/**
 * Wordings by title out of a CSV with the columns title and wording (origin and in use are optional). Throws an Error with
 * a sentence for people where it is none.
 */
export function readWordingsCsv(text: string): Map<string, Wording[]> {
  const first = text.replace(/^\ufeff/, '').trim();
  if (!first) throw new Error('The file is empty. Choose a CSV with the columns title and wording.');
  let rows: Record<string, string>[];
  try {
    rows = parseCsv(first, {
      columns: (heading: string[]) => heading.map((name) => name.trim().toLowerCase()),
      skip_empty_lines: true,
      relax_column_count: true,
      delimiter: /[,;\t]/.exec(first.split('\n')[0]!)?.[0] ?? ','
    });
  } catch (error) {
    throw new Error(`The CSV cannot be read: ${(error as Error).message}.`, { cause: error });
  }
  if (!rows.length || rows[0]!.title === undefined || rows[0]!.wording === undefined)
    throw new Error('The CSV needs a heading with the columns title and wording; origin and in use are optional.');
  const found = new Map<string, Wording[]>();
  for (const row of rows) {
    const title = unescaped(row.title ?? '');
    const origin = origins.find((one) => one === row.origin) ?? 'typed';
    const read = wordingSchema.safeParse({ text: unescaped(row.wording ?? ''), origin, inUse: row['in use'] !== 'no' });
    if (!title || !read.success) continue;
    found.set(title, [...(found.get(title) ?? []), read.data]);
  }
  return found;
}

const unescaped = (cell: string) => cell.trim().replace(/^'(?=[=+\-@])/, '');
