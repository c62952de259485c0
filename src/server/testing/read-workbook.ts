import { readSheet } from 'read-excel-file/node';

/** The rows of the first sheet of an XLSX workbook. */
export const readXlsxOf = (bytes: Uint8Array) => readSheet(Buffer.from(bytes));
