import { workerData } from 'node:worker_threads';
import { csvOfWorkbook } from '../services/sources/imports/workbook';
import { doOneThing } from './one-thing';

/** Writes the first sheet of an XLSX workbook with rows in it as CSV, in its place. */
const { path, fileName } = workerData as { path: string; fileName: string };

void doOneThing(() => csvOfWorkbook(path, fileName));
