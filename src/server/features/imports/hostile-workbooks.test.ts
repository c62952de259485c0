import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { makeZip } from '$server/testing/make-zip';
import { ChildDied, runChild } from '$server/workers/run-child';
import { unpackWorkbook } from './workbook';

let folder: string;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'eave-workbooks-'));
});
afterAll(() => rm(folder, { recursive: true }));

const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

/** A workbook of one sheet (ECMA-376) whose XML is given in pieces. */
const workbook = (sheet: Iterable<string>, more: Record<string, Iterable<string>> = {}) =>
  makeZip({
    '[Content_Types].xml': [
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/></Types>'
    ],
    '_rels/.rels': [
      `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${office}/officeDocument" Target="xl/workbook.xml"/></Relationships>`
    ],
    'xl/workbook.xml': [
      `<workbook xmlns="${main}" xmlns:r="${office}"><sheets><sheet name="People" sheetId="1" r:id="r1"/></sheets></workbook>`
    ],
    'xl/_rels/workbook.xml.rels': [
      `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${office}/worksheet" Target="worksheets/sheet1.xml"/><Relationship Id="r2" Type="${office}/sharedStrings" Target="sharedStrings.xml"/></Relationships>`
    ],
    'xl/worksheets/sheet1.xml': sheet,
    ...more
  });
function* sheetOf(rows: Iterable<string>) {
  yield `<worksheet xmlns="${main}"><sheetData>`;
  yield* rows;
  yield '</sheetData></worksheet>';
}
const text = (address: string, value: string) => `<c r="${address}" t="inlineStr"><is><t>${value}</t></is></c>`;
const heading = `<row r="1">${text('A1', 'Name')}${text('B1', 'Title')}</row>`;
function* times(count: number, piece: string) {
  for (let i = 0; i < count; i++) yield piece;
}

async function unpack(bytes: Uint8Array): Promise<string> {
  const path = join(folder, 'book.xlsx');
  await writeFile(path, bytes);
  await unpackWorkbook(path, 'book.xlsx');
  return readFile(path, 'utf8');
}

describe('a workbook that unpacks to more than it may', () => {
  it.each([
    ['spaces', () => workbook(times(600, ' '.repeat(2 ** 20))), 'unpacks to more than'],
    [
      'a file beside the sheet',
      () => workbook(sheetOf([heading]), { 'xl/media/image1.png': times(600, '\0'.repeat(2 ** 20)) }),
      'unpacks to more than'
    ],
    [
      'files',
      () => makeZip(Object.fromEntries(Array.from({ length: 5100 }, (_, i) => [`${i}`, ['']]))),
      'more than 5,000 files'
    ],
    [
      'one cell far away',
      () => workbook(sheetOf([heading, '<row r="1048576"><c r="XFD1048576"><v>1</v></c></row>'])),
      'more than 1,000,000 rows'
    ],
    [
      'a wide rectangle with two cells',
      () => workbook(sheetOf([heading, '<row r="900000"><c r="XFD900000"><v>1</v></c></row>'])),
      'spans 900,000 rows and 16,384 columns'
    ],
    ['rows', () => workbook(sheetOf(times(1001, '<row/>'.repeat(1000)))), 'more than 1,000,000 rows'],
    [
      'cells without addresses',
      () => workbook(sheetOf(times(810, `<row>${'<c/>'.repeat(100)}</row>`.repeat(100)))),
      'more than 8,000,000 cells'
    ],
    [
      'one long text used by every cell',
      () =>
        workbook(
          sheetOf([
            heading,
            ...Array.from({ length: 900 }, (_, i) => `<row r="${i + 2}"><c r="A${i + 2}" t="s"><v>0</v></c></row>`)
          ]),
          { 'xl/sharedStrings.xml': [`<sst xmlns="${main}"><si><t>`, 'word '.repeat(120_000), '</t></si></sst>'] }
        ),
      'more than 512 MiB of text'
    ]
  ])('is refused by name: %s', async (_, make, why) => {
    await expect(unpack(await make())).rejects.toMatchObject({ status: 422, message: expect.stringContaining(why) });
    // A refused one leaves nothing beside it.
    expect(await readdir(folder)).toEqual(['book.xlsx']);
  });

  it('ends its own process alone where the memory does not suffice, and the next one is read', async () => {
    const path = join(folder, 'book.xlsx');
    const rows = Array.from(
      { length: 60_000 },
      (_, i) => `<row r="${i + 2}">${text(`A${i + 2}`, `${i}`.repeat(20))}</row>`
    );
    await writeFile(path, await workbook(sheetOf([heading, ...rows])));
    const died = runChild('workbook-process.js', { path, fileName: 'book.xlsx' }, { memory: 16, time: 60_000 });
    await expect(died).rejects.toBeInstanceOf(ChildDied);
    const late = runChild('workbook-process.js', { path, fileName: 'book.xlsx' }, { memory: 512, time: 100 });
    await expect(late).rejects.toMatchObject({ timedOut: true });
    const next = sheetOf([heading, `<row r="2">${text('A2', 'Ana Gil')}${text('B2', 'Jefa de cocina')}</row>`]);
    expect(await unpack(await workbook(next))).toBe('Name,Title\r\nAna Gil,Jefa de cocina\r\n');
  });
});
