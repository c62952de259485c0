import { workerData } from 'node:worker_threads';
import { keepNow, type KeepTask } from './keep';
import { doOneThing } from '$server/workers/one-thing';

/** Puts many people on a shortlist, with its own line to the database. */
void doOneThing(() => keepNow(workerData as KeepTask));
