import { workerData } from 'node:worker_threads';
import { linkHarvest } from './link-harvest';
import { orderHarvest } from './order-harvest';
import { doOneThing } from '$server/workers/one-thing';

/**
 * Works out who is who among the rows of a harvest, and how likely each is to fit; or, where that is known, the latter alone. With a
 * line of its own to the database.
 */
const { harvestId, only } = workerData as { harvestId: string; only?: 'order' };

void doOneThing(() => (only === 'order' ? orderHarvest(harvestId) : linkHarvest(harvestId)));
