import { workerData } from 'node:worker_threads';
import { writeHarvestFile, type HarvestFormat } from './harvest-file';
import type { PeopleFilter } from './harvest-people';
import { doOneThing } from '$server/workers/one-thing';

/** Writes the people of a harvest as a file, with its own line to the database. */
const { briefId, harvestId, filter, format } = workerData as {
  briefId: string;
  harvestId: string;
  filter: PeopleFilter;
  format: HarvestFormat;
};

void doOneThing(() => writeHarvestFile(briefId, harvestId, filter, format));
