import { chmod, mkdir, readdir } from 'node:fs/promises';
import { join } from 'node:path';

/** Belongs to another user where Eave was started as root; PostgreSQL keeps it private itself. */
const left = new Set(['postgres']);

/** Makes a folder with all in it for its owner alone: 0700 folders and 0600 files. Made where it is not there. */
export async function makePrivate(folder: string): Promise<void> {
  await mkdir(folder, { recursive: true, mode: 0o700 });
  await chmod(folder, 0o700);
  for (const entry of await readdir(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (left.has(entry.name) || entry.isSymbolicLink()) continue;
    // What goes meanwhile needs no mode.
    if (entry.isDirectory()) await makePrivate(path).catch(() => {});
    else await chmod(path, 0o600).catch(() => {});
  }
}
