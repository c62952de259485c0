import { parentPort, workerData } from 'node:worker_threads';
import { indexName, makeStandIn, standIns } from '$sources/stand-ins/stand-ins';
import { makeWorld } from '$sources/world/world';
import { writeKept } from './index-cache';

/** Makes some stand-ins and sends what they are made of, one after the other; then keeps them for the next start. */
const { size, ids, folder } = workerData as { size: number; ids: string[]; folder: string };
const world = makeWorld(size);
const made = standIns
  .filter(({ sheet }) => ids.includes(sheet.id))
  .map((standIn) => {
    const { kept } = makeStandIn(standIn, world);
    parentPort!.postMessage({ id: standIn.sheet.id, kept });
    return { name: indexName(standIn, size), kept };
  });
for (const { name, kept } of made) writeKept(folder, name, kept);
