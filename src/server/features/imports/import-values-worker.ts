import { workerData } from 'node:worker_threads';
import type { Reading } from '$api/import-shapes';
import type { ColumnField } from '$core/formats';
import { valuesMet } from './import-values';
import { doOneThing } from '$server/workers/one-thing';

/** Goes through an uploaded file for the values of its columns. */
const { id, reading, mapping } = workerData as { id: string; reading: Reading; mapping: ColumnField[] };

void doOneThing(() => valuesMet(id, reading, mapping));
