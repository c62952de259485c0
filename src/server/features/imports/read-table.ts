import { createReadStream } from 'node:fs';
import { open } from 'node:fs/promises';
import { Readable } from 'node:stream';
import chardet from 'chardet';
import { parse as csvParser, type CsvError } from 'csv-parse';
import { guessAllColumns, isDeep, parseWellFormed } from '$core/formats';
import { refuse } from '$server/platform/refusals';
import type { Reading } from '$api/import-shapes';

/** One row of a file: its cells in the order of the columns, or why it cannot be read. */
export type TableRow = { row: number; line: number; bytes: number } & ({ cells: unknown[] } | { error: string });

const headBytes = 256 * 1024;
const previewRows = 8;
/** Columns of a file at most. */
const maxColumns = 500;

/** Recognises encoding, format, separator and columns of a file from its beginning. Refuses what is no table of people. */
export async function recognise(path: string, fileName: string): Promise<Reading> {
  const head = await readHead(path);
  if (!head.length) throw refuse('file-empty', fileName);
  const encoding = await encodingOf(path, head);
  const text = new TextDecoder(encoding).decode(head, { stream: true });
  if (/[\x00-\x08\x0e-\x1f]/.test(text)) throw refuse('file-not-text', fileName);
  const first = text.trimStart();
  const format = first.startsWith('{') ? 'jsonl' : 'csv';
  if (format === 'csv' && (first.startsWith('[') || first.startsWith('<'))) throw refuse('file-not-table', fileName);
  const delimiter = format === 'csv' ? delimiterOf(text) : null;
  const reading: Reading = { format, encoding, delimiter, columns: [] };
  const names = format === 'csv' ? await csvHeading(path, reading, fileName) : await jsonKeys(path, reading, fileName);
  if (names.length > maxColumns) throw refuse('file-too-wide', fileName, names.length, maxColumns);
  reading.columns = names.map((name) => ({ name, field: 'ignore', samples: [] }));
  let seen = 0;
  for await (const row of readRows(path, reading)) {
    if ('cells' in row) row.cells.forEach((cell, i) => reading.columns[i]?.samples.push(sample(cell)));
    if (++seen === previewRows) break;
  }
  if (!seen) throw refuse('file-without-rows', fileName);
  guessAllColumns(
    names,
    reading.columns.map(({ samples }) => samples)
  ).forEach((field, i) => (reading.columns[i]!.field = field));
  return reading;
}

const sample = (cell: unknown) => (typeof cell === 'string' ? cell : (JSON.stringify(cell) ?? '')).slice(0, 80);

async function readHead(path: string): Promise<Buffer> {
  const file = await open(path);
  try {
    const { bytesRead, buffer } = await file.read(Buffer.alloc(headBytes), 0, headBytes, 0);
    return buffer.subarray(0, bytesRead);
  } finally {
    await file.close();
  }
}

async function encodingOf(path: string, head: Buffer): Promise<string> {
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  if (head[0] === 0xfe && head[1] === 0xff) return 'utf-16be';
  const strict = new TextDecoder('utf-8', { fatal: true });
  try {
    for await (const chunk of createReadStream(path)) strict.decode(chunk as Buffer, { stream: true });
    strict.decode();
    return 'utf-8';
  } catch {
    const guess = chardet.detect(head) ?? 'windows-1252';
    const label = /^(iso-8859-1|ascii|utf-8)$/i.test(guess) ? 'windows-1252' : guess;
    try {
      return new TextDecoder(label).encoding;
    } catch {
      return 'windows-1252';
    }
  }
}

/** The separator that cuts the heading into the most cells. */
function delimiterOf(text: string): string {
  const heading = text.split(/\r?\n/, 1)[0]!.replaceAll(/"[^"]*"/g, '');
  const counts = [',', ';', '\t', '|'].map((mark) => ({ mark, count: heading.split(mark).length }));
  return counts.reduce((best, next) => (next.count > best.count ? next : best)).mark;
}

async function csvHeading(path: string, reading: Reading, fileName: string): Promise<string[]> {
  for await (const row of csvRows(path, reading, false)) {
    if ('error' in row) throw refuse('file-row-unreadable', fileName, row.line, row.error);
    const names = row.cells.map(String);
    if (names.length === 1 && names[0]!.length > 200) throw refuse('file-without-columns', fileName);
    return names;
  }
  throw refuse('file-empty', fileName);
}

async function jsonKeys(path: string, reading: Reading, fileName: string): Promise<string[]> {
  const keys = new Set<string>();
  let seen = 0;
  for await (const { text, line } of linesOf(path, reading.encoding)) {
    if (text !== null && !text.trim()) continue;
    const read = readJson(text);
    if ('error' in read && seen === 0) throw refuse('file-row-unreadable', fileName, line, read.error);
    if ('object' in read) for (const key of Object.keys(read.object)) keys.add(key);
    if (++seen === 100) break;
  }
  // A row with a career is a whole person as Eave writes them; its other keys belong to it.
  return keys.has('jobs') ? ['person'] : [...keys];
}

/** Levels of JSON in one line at most; people have four. */
const deepest = 32;

function readJson(text: string | null): { object: Record<string, unknown> } | { error: string } {
  if (text === null) return { error: 'This line is longer than 1 MiB. Put each person on a separate line.' };
  if (isDeep(text, deepest)) return { error: `This line has lists or objects more than ${deepest} levels deep.` };
  try {
    const value: unknown = parseWellFormed(text);
    return value !== null && typeof value === 'object' && !Array.isArray(value)
      ? { object: value as Record<string, unknown> }
      : { error: 'Each line holds one JSON object; this one holds something else.' };
  } catch {
    return { error: 'This line is not valid JSON.' };
  }
}

/** PostgreSQL keeps no character zero. */
const hasZero = (cell: unknown): boolean =>
  typeof cell === 'string'
    ? cell.includes('\0')
    : typeof cell === 'object' && cell !== null && Object.values(cell).some(hasZero);
const zeroError = 'This row contains a character that can’t be saved (code zero). Remove it, or skip the row.';

/** The rows of a file in order, those that cannot be read among them. */
export async function* readRows(path: string, reading: Reading): AsyncGenerator<TableRow> {
  if (reading.format === 'csv') {
    for await (const row of csvRows(path, reading, true)) if (row.row > 0) yield row;
    return;
  }
  let row = 0;
  let bytes = 0;
  for await (const { text, line, bytes: more } of linesOf(path, reading.encoding)) {
    bytes += more;
    if (text !== null && !text.trim()) continue;
    row++;
    const read = readJson(text);
    if ('error' in read) yield { row, line, bytes, error: read.error };
    else {
      const { object } = read;
      const whole = reading.columns.length === 1 && reading.columns[0]!.name === 'person' && !('person' in object);
      const cells = whole ? [object] : reading.columns.map(({ name }) => object[name]);
      yield cells.some(hasZero) ? { row, line, bytes, error: zeroError } : { row, line, bytes, cells };
    }
  }
}

async function* csvRows(path: string, reading: Reading, checkWidth: boolean): AsyncGenerator<TableRow> {
  const decoded = Readable.from(decode(path, reading.encoding));
  const parser = csvParser({
    delimiter: reading.delimiter ?? ',',
    bom: true,
    info: true,
    relax_column_count: true,
    skip_empty_lines: true,
    max_record_size: 1024 * 1024
  });
  decoded.on('error', (error) => parser.destroy(error));
  decoded.pipe(parser);
  let row = -1;
  let width = 0;
  try {
    for await (const { record, info } of parser as AsyncIterable<{
      record: string[];
      info: { lines: number; bytes: number };
    }>) {
      row++;
      if (row === 0) width = record.length;
      const place = { row, line: info.lines, bytes: info.bytes };
      if (checkWidth && record.length > width)
        yield {
          ...place,
          error: `This row has ${record.length} cells and the heading ${width}. Check its quotes and separators.`
        };
      else if (record.some(hasZero)) yield { ...place, error: zeroError };
      else yield { ...place, cells: record };
    }
  } catch (error) {
    const { code, lines } = error as CsvError & { lines?: number };
    const known: Partial<Record<string, string>> = {
      CSV_QUOTE_NOT_CLOSED: 'A quote opens here and never closes.',
      INVALID_OPENING_QUOTE:
        'There is a quote in the middle of a cell. Put the whole cell in quotes and double the quote inside it.',
      CSV_INVALID_CLOSING_QUOTE:
        'Something stands between a closing quote and the next separator. Double the quotes inside the cell.',
      CSV_MAX_RECORD_SIZE: 'This row is longer than 1 MiB; a quote may be open.'
    };
    if (!code || !known[code]) throw error;
    yield { row: row + 1, line: lines ?? 0, bytes: 0, error: known[code] };
  } finally {
    decoded.destroy();
    parser.destroy();
  }
}

async function* decode(path: string, encoding: string): AsyncGenerator<string> {
  const decoder = new TextDecoder(encoding);
  for await (const chunk of createReadStream(path)) yield decoder.decode(chunk as Buffer, { stream: true });
  yield decoder.decode();
}

/** Most characters of one line: a longer one is reported and not kept in memory. */
const longestLine = 1024 * 1024;

/** The lines of a text, in time and memory that grow with the text only; `text` is null for a line that is too long. */
async function* linesOf(
  path: string,
  encoding: string
): AsyncGenerator<{ text: string | null; line: number; bytes: number }> {
  let pieces: string[] = [];
  let length = 0;
  let line = 0;
  const end = () => {
    const text = length > longestLine ? null : pieces.join('');
    const reply = { text: text && text.replace(/\r$/, ''), line: ++line, bytes: length + 1 };
    pieces = [];
    length = 0;
    return reply;
  };
  for await (const chunk of decode(path, encoding)) {
    let from = 0;
    for (let at = chunk.indexOf('\n'); at >= 0; at = chunk.indexOf('\n', from)) {
      length += at - from;
      pieces.push(chunk.slice(from, at));
      yield end();
      from = at + 1;
    }
    length += chunk.length - from;
    if (length <= longestLine) pieces.push(chunk.slice(from));
    else pieces = [];
  }
  if (length) yield end();
}
