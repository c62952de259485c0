import { workerData } from 'node:worker_threads';
import { writeExport, type Leaving } from './export-shortlist';
import { doOneThing } from '$server/workers/one-thing';

/** Writes the people of a shortlist as a file, with its own line to the database. */
const { briefId, id, leaving } = workerData as { briefId: string; id: string; leaving: Leaving };

void doOneThing(() => writeExport(briefId, id, leaving));
