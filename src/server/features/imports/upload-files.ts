import { createWriteStream } from 'node:fs';
import { mkdir, readdir, rename, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ReadableStream as WebStream } from 'node:stream/web';
import { environment } from '$server/platform/environment';
import { refuse } from '$server/platform/refusals';

/** Bytes of a file of people at most. */
export const maxBytes = 512 * 1024 * 1024;

/** Where an uploaded file lies until it is imported. */
export const pathOf = (id: string) => join(environment().uploads, id);

const tooLarge = () => refuse('file-too-large');

/** Keeps a file as it comes, for its owner alone, and says where. It belongs to `server` until `handOver` makes it the import's own: whatever breaks off before leaves nothing. One that says it is larger than is taken is refused before it is read. */
export async function keepUpload(
  id: string,
  body: WebStream | null,
  saysBytes: number,
  server: string
): Promise<string> {
  if (saysBytes > maxBytes) throw tooLarge();
  await mkdir(environment().uploads, { recursive: true, mode: 0o700 });
  const path = pathOf(`${id}.${server}`);
  let bytes = 0;
  const limit = new Transform({
    transform(chunk: Buffer, _, next) {
      bytes += chunk.length;
      next(bytes > maxBytes ? tooLarge() : null, chunk);
    }
  });
  const from = body ? Readable.fromWeb(body) : Readable.from([]);
  await pipeline(from, limit, createWriteStream(path, { mode: 0o600 }));
  return path;
}

/** Makes a kept file the import's own. Its row is there already, so that no clearing takes the file for nobody's. */
export const handOver = (id: string, server: string): Promise<void> => rename(pathOf(`${id}.${server}`), pathOf(id));

/** Removes an import's file, or what has come of it at `server`. */
export const removeUpload = (id: string, server?: string): Promise<void> =>
  rm(pathOf(server === undefined ? id : `${id}.${server}`), { force: true });

/** Removes files that belong to no import any more: `wanted` gives the imports that want theirs, `isDead` says so of the server a file was on its way to. */
export async function clearUploads(
  wanted: () => Promise<ReadonlySet<string>>,
  isDead: (server: string) => Promise<boolean>
): Promise<void> {
  // The files first: an import has its row before its file, so each of these is among the wanted or is nobody's.
  const files = await readdir(environment().uploads).catch(() => [] as string[]);
  const ids = await wanted();
  for (const file of files) {
    const [id, server] = file.split('.', 2) as [string, string?];
    if (server === undefined ? !ids.has(id) : await isDead(server)) await rm(pathOf(file), { force: true });
  }
}
