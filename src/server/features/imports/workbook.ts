import { open, rename, rm, stat } from 'node:fs/promises';
import pLimit from 'p-limit';
import readWorkbook from 'read-excel-file/node';
import { writeCsvRows } from '$core/formats';
import { refuse } from '$server/platform/refusals';
import { ChildDied, runChild } from '$server/workers/run-child';
import { ArchiveTooLarge } from './bounded-archive';
import { checkWorkbook } from './workbook-limits';

/** Bytes of a workbook at most: it is packed, and read whole. */
const maxBytes = 64 * 1024 * 1024;
/** Bytes of the CSV that it becomes: one long text may be used by a million cells. */
const maxCsvBytes = 512 * 1024 * 1024;
/** Megabytes of memory, and milliseconds, that reading one may take. */
const limits = { memory: 2048, time: 120_000 };

/** Several at a time could take more memory together than the machine has. */
const oneAtATime = pLimit(1);

/** Puts CSV in the place of an XLSX workbook, in its own process; any other file stays as it is. */
export async function unpackWorkbook(path: string, fileName: string): Promise<void> {
  if (!(await isZip(path))) return;
  const { size } = await stat(path);
  if (size > maxBytes) throw refuse('workbook-too-large', fileName);
  await oneAtATime(() => runChild('workbook-process.js', { path, fileName }, limits)).catch(async (error: unknown) => {
    await rm(besideOf(path), { force: true });
    if (!(error instanceof ChildDied)) throw error;
    throw refuse(error.timedOut ? 'workbook-too-slow' : 'workbook-too-much-memory', fileName);
  });
}

/** Where the CSV is written before it takes the workbook's place. */
const besideOf = (path: string) => `${path}.csv`;

/** Whether a file begins as a ZIP archive does, which every XLSX workbook is (ECMA-376, part 2). */
async function isZip(path: string): Promise<boolean> {
  const file = await open(path);
  try {
    const { buffer, bytesRead } = await file.read(Buffer.alloc(4), 0, 4, 0);
    return bytesRead === 4 && buffer.readUInt32LE(0) === 0x04034b50;
  } finally {
    await file.close();
  }
}

/** Writes the first sheet that has rows as CSV, in the workbook's place. Refuses an archive that is no workbook, or has no rows. */
export async function csvOfWorkbook(path: string, fileName: string): Promise<void> {
  await checkWorkbook(path).catch((error: unknown) => {
    // Any other fault of the archive is found by the reader, too.
    if (error instanceof ArchiveTooLarge) throw refuse('workbook-out-of-bounds', fileName, error.message);
  });
  const sheets = await readWorkbook(path).catch(() => {
    throw refuse('workbook-unreadable', fileName);
  });
  const rows = sheets.find(({ data }) => data.length > 1)?.data.map((row) => row.map(textOf));
  if (!rows) throw refuse('workbook-without-rows', fileName);
  // The heading is the first row with most of its cells filled: a title above the table is none.
  const width = rows.reduce((most, row) => Math.max(most, row.filter(Boolean).length), 0);
  const heading = rows.findIndex((row) => row.filter(Boolean).length > width / 2);
  const beside = besideOf(path);
  const file = await open(beside, 'w', 0o600);
  try {
    const table = rows.slice(heading);
    let written = 0;
    let open: string[][] = [];
    let letters = 0;
    const flush = async () => {
      written += (await file.write(writeCsvRows(open))).bytesWritten;
      open = [];
      letters = 0;
      if (written > maxCsvBytes) throw refuse('workbook-too-much-text', fileName);
    };
    for (const row of table) {
      open.push(row);
      for (const cell of row) letters += cell.length + 1;
      if (letters > lettersAtOnce) await flush();
    }
    await flush();
  } finally {
    await file.close();
  }
  await rename(beside, path);
}
/** Letters after which rows are written, so that no string becomes too long to be made. */
const lettersAtOnce = 1_000_000;

/** A cell as text: a day as ISO 8601 has it. */
const textOf = (cell: unknown): string =>
  cell instanceof Date
    ? cell.toISOString().replace(/T00:00:00\.000Z$/, '')
    : cell === null || cell === undefined
      ? ''
      : String(cell).replaceAll('\0', '');
