import { open, rename, stat } from 'node:fs/promises';
import readWorkbook from 'read-excel-file/node';
import { writeCsvRows } from '$core/formats';
import { Refusal } from '../../../refusal';
import { runThread } from '../../../workers/threads';

/** Bytes of a workbook at most: it is packed, and read whole. */
const maxBytes = 64 * 1024 * 1024;
/** Megabytes of memory that reading one may take. */
const maxMemory = 2048;

const refuse = (detail: string) => new Refusal(422, 'The file cannot be imported', detail);

/** Puts CSV in the place of an XLSX workbook, in a thread of its own; any other file stays as it is. */
export async function unpackWorkbook(path: string, fileName: string): Promise<void> {
  if (!(await isZip(path))) return;
  const { size } = await stat(path);
  if (size > maxBytes)
    throw refuse(`${fileName} is a workbook of more than 64 MiB. Save its table as CSV and choose that.`);
  await runThread('workbook-worker.js', { path, fileName }, { memory: maxMemory }).catch((error: unknown) => {
    if ((error as { code?: string }).code !== 'ERR_WORKER_OUT_OF_MEMORY') throw error;
    throw refuse(`${fileName} holds more than can be read at once. Save its table as CSV and choose that.`);
  });
}

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
  const sheets = await readWorkbook(path).catch(() => {
    throw refuse(
      `${fileName} is an archive and no XLSX workbook that can be read. Save the table as XLSX, CSV or JSON Lines and choose that.`
    );
  });
  const rows = sheets.map(({ data }) => data.map((row) => row.map(textOf))).find((data) => data.length > 1);
  if (!rows) throw refuse(`No sheet of ${fileName} has a heading and rows under it. Choose a file with people in it.`);
  // The heading is the first row with most of its cells filled: a title above the table is none.
  const width = Math.max(...rows.map((row) => row.filter(Boolean).length));
  const heading = rows.findIndex((row) => row.filter(Boolean).length > width / 2);
  const beside = `${path}.csv`;
  const file = await open(beside, 'w', 0o600);
  try {
    const table = rows.slice(heading);
    for (let at = 0; at < table.length; at += rowsAtOnce)
      await file.write(writeCsvRows(table.slice(at, at + rowsAtOnce)));
  } finally {
    await file.close();
  }
  await rename(beside, path);
}
const rowsAtOnce = 5000;

/** A cell as text: a day as ISO 8601 has it. */
const textOf = (cell: unknown): string =>
  cell instanceof Date
    ? cell.toISOString().replace(/T00:00:00\.000Z$/, '')
    : cell === null || cell === undefined
      ? ''
      : String(cell).replaceAll('\0', '');
