import { csvOfWorkbook } from '../services/sources/imports/workbook';
import { doTaskOfParent } from './child-process';

/** Writes the first sheet of an XLSX workbook that has rows as CSV, in its place. */
doTaskOfParent(({ path, fileName }: { path: string; fileName: string }) => csvOfWorkbook(path, fileName));
