import { workerData } from 'node:worker_threads';
import { runImport } from '../services/sources/imports/run-import';
import { doOneThing } from './one-thing';

/** Imports one file, with a line of its own to the database. */
const { importId, serverId } = workerData as { importId: string; serverId: string };

void doOneThing(() => runImport(importId, serverId));
