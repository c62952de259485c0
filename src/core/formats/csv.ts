import { parse } from 'csv-parse/browser/esm/sync';
import { stringify } from 'csv-stringify/browser/esm/sync';

const signs = /[,;\t]/;

/**
 * The rows of a CSV as cells, the heading first; commas, semicolons or tabs between them, by the first line. Throws an
 * Error with a sentence for people where it cannot be read.
 */
export function readCsv(text: string, most = Infinity): string[][] {
  try {
    return parse(text, {
      relax_column_count: true,
      skip_empty_lines: true,
      delimiter: signs.exec(text.split('\n')[0]!)?.[0] ?? ',',
      ...(most < Infinity && { to: most })
    });
  } catch (error) {
    throw new Error(`The CSV cannot be read: ${(error as Error).message}.`, { cause: error });
  }
}

/** The rows under a CSV's heading by column name in small letters; cells without the mark that `writeCsv` puts before a formula. */
export function readCsvRecords(text: string): Record<string, string>[] {
  const [heading = [], ...rows] = readCsv(text);
  const names = heading.map((name) => name.trim().toLowerCase());
  return rows.map((cells) =>
    Object.fromEntries(names.flatMap((name, i) => (cells[i] === undefined ? [] : [[name, unescaped(cells[i])]])))
  );
}

/** Writes a CSV (RFC 4180) in which no cell starts a formula. `readCsvRecords` reads it back. */
export const writeCsv = (columns: readonly string[], rows: readonly (readonly string[])[]): string =>
  stringify(
    rows.map((cells) => cells.map(escaped)),
    { header: true, columns: columns.map((key) => ({ key })), record_delimiter: '\r\n' }
  );

/** Rows of a CSV as they are, without a heading and without a mark before what would start a formula: for what Eave alone reads. */
export const writeCsvRows = (rows: readonly (readonly string[])[]): string =>
  stringify(rows as string[][], { record_delimiter: '\r\n' });

/**
 * What a spreadsheet reads as a formula, after the quotes that a cell of that kind may have itself: a sign, full-width ones too, behind
 * any spaces and characters that cannot be seen (OWASP, CSV Injection).
 */
const formula = /^'*(?:[\s\p{Cc}\p{Cf}]*[=+\-@＝＋－＠]|[\t\r])/u;

/** A cell with a quote before it where it would start a formula. */
const escaped = (cell: string) => (formula.test(cell) ? `'${cell}` : cell);
/** Takes off the quote that keeps a cell from starting a formula. */
const unescaped = (cell: string) => (cell.startsWith("'") && formula.test(cell) ? cell.slice(1) : cell);
