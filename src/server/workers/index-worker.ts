import { parentPort, workerData } from 'node:worker_threads';
import { indexName, makeStandIn, standIns } from '$sources/stand-ins/stand-ins';
import { makeWorld } from '$sources/world/world';
import { writeKept } from './index-cache';

/** Makes some stand-ins and sends what they are made of, one after the other, keeping each for the next start. */
const { size, ids, folder } = workerData as { size: number; ids: string[]; folder: string };
const world = makeWorld(size);
for (const standIn of standIns.filter(({ sheet }) => ids.includes(sheet.id))) {
  const { kept } = makeStandIn(standIn, world);
  parentPort!.postMessage({ id: standIn.sheet.id, kept });
  writeKept(folder, indexName(standIn, size), kept);
}
