import { parentPort, workerData } from 'node:worker_threads';
import { samePeople, type SourceRecord } from '../src/core/people/same-person';
import { harrowPeople, lanternfieldPeople, marlowPeople, quillbankPeople } from '../src/sources/stand-ins/records';
import { makeWorld } from '../src/sources/world/world';

/** Works out who is who among so many records of a world of its own, and tells how far it is. */
const { size } = workerData as { size: number };
// Four sources hold about 1.6 records of each person.
const world = makeWorld(Math.ceil(size / 1.55));
const records: SourceRecord[] = [];
for (const [sourceId, people] of Object.entries({ harrowPeople, lanternfieldPeople, quillbankPeople, marlowPeople }))
  for (const person of people(world)) if (records.length < size) records.push({ sourceId, person });
const from = performance.now();
const same = samePeople(records, [], (progress) => parentPort!.postMessage({ progress }))!;
parentPort!.postMessage({ time: performance.now() - from, people: same.people });
