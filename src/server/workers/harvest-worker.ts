import { workerData } from 'node:worker_threads';
import { linkHarvest } from '../services/harvest/link-harvest';
import { doOneThing } from './one-thing';

/** Works out who is who among the rows of a harvest, and how likely each is to fit, with a line of its own to the database. */
const { harvestId } = workerData as { harvestId: string };

void doOneThing(() => linkHarvest(harvestId));
