import { parse } from 'csv-parse/browser/esm/sync';
import type { ColumnField } from './column-fields';
import { guessColumns } from './columns';
import {
  isFirm,
  isName,
  isPlace,
  isTitle,
  mailPattern,
  matchesWhole,
  noise,
  phoneIn,
  urlPattern,
  type PageRow
} from './page-pieces';
import { someOf } from './page-shape';
import { personFromRow } from './person-from-row';

// Pages with a person a line: tables, and lines whose pieces are in one order.

/** What stands before an entry of a list. */
export const bullet = /^\s*(?:[-*•▪‣>]|\d{1,3}[.)]|\[[ x]?\])\s+/;

/** Where most lines have the same number of cells between tabs or bars, the page was a table. */
export function readTable(lines: readonly string[]): PageRow[] | null {
  for (const separator of ['\t', '|', ';', ',']) {
    const cells = lines.filter((line) => line.includes(separator)).map((line) => cellsOf(line, separator));
    const filled = lines.filter((line) => line.trim()).length;
    if (cells.length < 2 || cells.length < filled * 0.6) continue;
    const trimmed = cells
      .map((row) => (row[0] === '' && row.at(-1) === '' ? row.slice(1, -1) : row))
      .filter((row) => !row.every((cell) => /^[-:\s]*$/.test(cell)));
    const width = Math.max(...trimmed.map((row) => row.length));
    if (width < 3) continue;
    const headed = guessColumns(trimmed[0]!);
    const named = headed.filter((field) => field !== 'ignore').length;
    // Commas part much else than cells.
    if (separator === ',' && named < 2) continue;
    if (named >= 2) return trimmed.slice(1).flatMap((row) => fromColumns(row, headed));
    const guessed = columnsByContent(trimmed, width);
    if (guessed) return trimmed.flatMap((row) => fromColumns(row, guessed));
  }
  return null;
}

/** The cells of a line, those in quotes without them. */
function cellsOf(line: string, separator: string): string[] {
  const plain = line.split(separator).map((cell) => cell.trim());
  if (!line.includes('"')) return plain;
  try {
    return parse(line, { delimiter: separator, relax_quotes: true, trim: true })[0] ?? plain;
  } catch {
    // A quote that is never closed is a sign like any other.
    return plain;
  }
}

function columnsByContent(rows: readonly string[][], width: number): ColumnField[] | null {
  const kinds: [ColumnField, (text: string) => boolean][] = [
    ['mail', (text) => matchesWhole(mailPattern, text)],
    ['url', (text) => matchesWhole(urlPattern, text)],
    ['phone', (text) => phoneIn(text) !== null],
    ['place', isPlace],
    ['name', isName],
    ['title', isTitle],
    ['company', isFirm]
  ];
  const columns: ColumnField[] = Array.from({ length: width }, () => 'ignore');
  const some = someOf(rows);
  for (const [field, fits] of kinds) {
    const shares = columns.map((taken, i) =>
      taken === 'ignore' ? some.filter((row) => row[i] && fits(row[i])).length / some.length : 0
    );
    const best = shares.indexOf(Math.max(...shares));
    if (shares[best]! >= 0.5) columns[best] = field;
  }
  if (!columns.includes('name')) return null;
  if (!columns.includes('company')) {
    const title = columns.indexOf('title');
    const free = columns.flatMap((field, i) => (field === 'ignore' && rows.some((row) => row[i]) ? [i] : []));
    const next = free.find((i) => i > title) ?? free[0];
    if (next !== undefined) columns[next] = 'company';
  }
  return columns;
}

function fromColumns(cells: readonly string[], columns: readonly ColumnField[]): PageRow[] {
  const read = personFromRow(cells, columns, 'row');
  if (!('person' in read)) return [];
  const value = (field: ColumnField) => cells[columns.indexOf(field)]?.trim() ?? '';
  const job = read.person.jobs?.[0];
  const place = [value('place'), value('country')].filter(Boolean).join(', ');
  return [
    {
      values: {
        name: read.person.name,
        ...(job?.title && { title: job.title }),
        ...(job?.company && { company: job.company }),
        ...(place && { place }),
        ...(value('url') && { url: value('url') }),
        ...(value('mail') && { mail: value('mail') }),
        ...(value('phone') && { phone: value('phone') })
      },
      doubtful: []
    }
  ];
}

const entries = (lines: readonly string[]): string[] =>
  lines.map((line) => line.replace(bullet, '').trim()).filter((line) => line && !noise.test(line));

/** The number of pieces that most of some rows have, and how many of them do. */
function widthOfMost(rows: readonly string[][]): { width: number; share: number } {
  const widths = new Map<number, number>();
  for (const { length } of rows) widths.set(length, (widths.get(length) ?? 0) + 1);
  const [width, many] = [...widths].sort((a, b) => b[1] - a[1])[0] ?? [0, 0];
  return { width, share: rows.length ? many / rows.length : 0 };
}

/**
 * Lines of one shape, a person each: the pieces between dashes, bars, brackets or commas are in the same order in most of them, and
 * what a piece is follows from all that are at its place.
 */
export function readAligned(lines: readonly string[]): PageRow[] | null {
  const some = entries(someOf(lines));
  let filled: string[] | undefined;
  for (const parts of [
    /\s{1,40}[|•·–—-]\s{1,40}|\s{0,40}[|•·;]\s{0,40}|\t+|\s{0,40}[()]\s{0,40}/,
    /\s{1,40}[|•·–—-]\s{1,40}|\s{0,40}[|•·;]\s{0,40}|\t+|\s{0,40}[()]\s{0,40}|,\s+/
  ]) {
    const cut = (list: readonly string[]) =>
      list.map((line) =>
        line
          .split(parts)
          .map((piece) => piece.trim())
          .filter(Boolean)
      );
    // Few pages have a person a line, which some of the lines tell before all are cut.
    const least = widthOfMost(cut(some));
    if (least.width < 3 || least.share < 0.6) continue;
    const rows = cut((filled ??= entries(lines)));
    const { width, share } = widthOfMost(rows);
    if (rows.length < 3 || width < 3 || share < 0.8) continue;
    const shaped = rows.filter(({ length }) => length === width);
    const columns = columnsByContent(shaped, width);
    if (!columns || !(columns.includes('title') && columns.includes('company'))) continue;
    // Names are distinguished from two-word firms by their position, the same in nearly every line.
    const nameAt = columns.indexOf('name');
    const names = shaped.filter((row) => isName(row[nameAt]!)).length;
    if (names < 0.8 * shaped.length) continue;
    return shaped.flatMap((row) => fromColumns(row, columns));
  }
  return null;
}
