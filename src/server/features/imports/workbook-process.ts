import { csvOfWorkbook } from './workbook';
import { doTaskOfParent } from '$server/workers/run-child';

/** Writes the first sheet of an XLSX workbook that has rows as CSV, in its place. */
doTaskOfParent(({ path, fileName }: { path: string; fileName: string }) => csvOfWorkbook(path, fileName));
