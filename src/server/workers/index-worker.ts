import { parentPort, Worker, workerData } from 'node:worker_threads';
import { indexName, makeStandIn, standIns, worldName, type KeptStandIn } from '$sources/stand-ins/stand-ins';
import { makeWorld, type KeptWorld } from '$sources/world/world';
import { readKept, readKeptWorld, writeKept } from './index-cache';
import { moveShared, shareStandIn, shareWorld, type SharedStandIn } from './shared-source';
import type { ThreadMessage } from './threads';

interface Task {
  size: number;
  folder: string;
  /** The day on which the world is wanted. */
  day: number;
  /** Makes only these, for another thread that makes the rest. */
  ids?: string[];
}

const { size, folder, day, ids } = workerData as Task;
const tell = (message: ThreadMessage<SharedStandIn[], { done: number; of: number }>) =>
  parentPort!.postMessage(message);

/** Makes some stand-ins and sends what they are made of, one after the other; then keeps them for the next start. */
function makeSome(wanted: readonly string[]): void {
  const world = makeWorld(size);
  const made = standIns
    .filter(({ sheet }) => wanted.includes(sheet.id))
    .map((standIn) => {
      const { kept } = makeStandIn(standIn, world);
      parentPort!.postMessage({ id: standIn.sheet.id, kept });
      return { name: indexName(standIn, size), kept };
    });
  for (const { name, kept } of made) writeKept(folder, name, kept);
}

/** Another thread that makes some of them meanwhile. */
function makeBeside(wanted: string[], made: (id: string, kept: KeptStandIn) => void): Promise<void> {
  return new Promise((ended, failed) => {
    const thread = new Worker(new URL(import.meta.url), { workerData: { size, folder, day, ids: wanted } });
    thread.on('message', (one: { id: string; kept: KeptStandIn }) => made(one.id, one.kept));
    thread.on('error', failed);
    // It has written them down by then.
    thread.on('exit', () => ended());
  });
}

/** All stand-ins, in memory that threads share: those kept from an earlier start are read, the others made by two threads. */
async function makeAll(): Promise<void> {
  const kept = new Map<string, KeptStandIn>();
  const note = (id: string, one: KeptStandIn) => {
    kept.set(id, one);
    tell({ progress: { done: kept.size, of: standIns.length } });
  };
  for (const standIn of standIns) {
    const one = readKept(folder, indexName(standIn, size));
    if (one) note(standIn.sheet.id, one);
  }
  const [mine, ...others] = standIns.filter(({ sheet }) => !kept.has(sheet.id));
  const beside = others.length
    ? makeBeside(
        others.map(({ sheet }) => sheet.id),
        note
      )
    : Promise.resolve();
  // It begins before this one is busy.
  await new Promise((next) => setTimeout(next, 20));
  let world: KeptWorld | null = readKeptWorld(folder, worldName(size));
  const keep: (() => void)[] = [];
  if (mine || !world) {
    const whole = makeWorld(size);
    const known = whole.kept;
    world = known;
    keep.push(() => writeKept(folder, worldName(size), known));
    if (mine) {
      const one = makeStandIn(mine, whole).kept;
      note(mine.sheet.id, one);
      keep.push(() => writeKept(folder, indexName(mine, size), one));
    }
  }
  await beside;
  const common = shareWorld(world);
  const first = standIns.map(({ sheet }) => shareStandIn(sheet.id, common, 0, kept.get(sheet.id)!));
  // They are kept as on the first day, from which any other is a few seconds away.
  tell({ answer: day > 0 ? first.map((source) => moveShared(source, day)) : first });
  for (const one of keep) one();
}

if (ids) makeSome(ids);
else makeAll().catch((error: Error) => tell({ error: error.message }));
