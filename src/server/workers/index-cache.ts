import { mkdirSync, readdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import type { KeptStandIn } from '$sources/stand-ins/stand-ins';
import type { KeptWorld } from '$sources/world/world';

const ending = '.index';

/** What of a stand-in was kept under a name; null where there is none, or it cannot be read. */
export const readKept = (folder: string, name: string): KeptStandIn | null =>
  read(
    folder,
    name,
    ({ order, parts }: KeptStandIn) =>
      parts.ids.length === order.length && parts.stream instanceof Uint32Array && Array.isArray(parts.own)
  );

/** What of a world was kept under a name, in the same way. */
export const readKeptWorld = (folder: string, name: string): KeptWorld | null =>
  read(
    folder,
    name,
    ({ luck, namesakes, began }: KeptWorld) =>
      luck instanceof Int32Array && namesakes.length === luck.length && began.length === luck.length
  );

function read<T>(folder: string, name: string, isWhole: (kept: T) => boolean): T | null {
  try {
    const kept = deserialize(readFileSync(join(folder, name + ending))) as T;
    return isWhole(kept) ? kept : null;
  } catch {
    return null;
  }
}

/** Keeps what a stand-in or a world was made of; that of the same one kept before under another name goes. Where the folder cannot be written, nothing is kept. */
export function writeKept(folder: string, name: string, kept: KeptStandIn | KeptWorld): void {
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
