import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import type { KeptStandIn } from '$sources/stand-ins/stand-ins';

const ending = '.index';

/** What of a stand-in was kept under a name; null where there are none, or they cannot be read. */
export function readKept(folder: string, name: string): KeptStandIn | null {
  try {
    const kept = deserialize(readFileSync(join(folder, name + ending))) as KeptStandIn;
    return kept.parts.ids.length === kept.order.length && kept.parts.stream instanceof Uint32Array ? kept : null;
  } catch {
    return null;
  }
}

/** Keeps what a stand-in was made of; that of the same source kept before under another name go. Where the folder cannot be written, nothing is kept. */
export function writeKept(folder: string, name: string, kept: KeptStandIn): void {
  try {
    mkdirSync(folder, { recursive: true });
    // The last piece names the contents: what stands before it is the source and the size of its world.
    const source = name.split('-').slice(0, -1).join('-');
    for (const file of readdirSync(folder))
      if (file.startsWith(`${source}-`) && !file.startsWith(name)) rmSync(join(folder, file));
    // Written beside and moved there, so that no half of it is ever read.
    const beside = join(folder, `${name}.${process.pid}`);
    writeFileSync(beside, serialize(kept));
    renameSync(beside, join(folder, name + ending));
  } catch (error) {
    console.error(`The index ${name} is not kept: ${(error as Error).message}`);
  }
}
