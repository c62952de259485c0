import writeWorkbook from 'write-excel-file/node';

/** Media types of what people leave in, by the ending of the file. */
export const fileTypes = {
  csv: 'text/csv; charset=utf-8',
  tsv: 'text/tab-separated-values; charset=utf-8',
  jsonl: 'application/jsonl',
  xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  vcf: 'text/vcard; charset=utf-8',
  txt: 'text/plain; charset=utf-8'
} as const;

/** A workbook of one sheet. Text in a cell of a workbook is text: it never starts a formula. */
export const workbookOf = (columns: readonly string[], rows: readonly (readonly string[])[]): Promise<Uint8Array> =>
  writeWorkbook([columns, ...rows].map((row) => row.map((value) => ({ value, type: String })))).toBuffer();

/** A line of JSON each. */
export const jsonLines = (rows: readonly unknown[]): Uint8Array =>
  Buffer.from(rows.map((row) => `${JSON.stringify(row)}\n`).join(''));
