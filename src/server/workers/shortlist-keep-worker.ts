import { workerData } from 'node:worker_threads';
import { keepNow, type KeepTask } from '../services/shortlist/keep';
import { doOneThing } from './one-thing';

/** Puts many people on a shortlist, with a line of its own to the database. */
void doOneThing(() => keepNow(workerData as KeepTask));
