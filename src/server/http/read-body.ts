import { readJson } from '$server/platform/read-json';
import { refuse } from '$server/platform/refusals';

/** Bytes of a body at most, where an operation takes no files. */
const usualLimit = 1024 * 1024;

/** Reads a body that is not longer than `limit` bytes. One that says it is longer is refused before it is read. */
export async function readBody(request: Request, limit = usualLimit): Promise<Uint8Array> {
  const tooLarge = () => refuse('body-too-large', Math.round(limit / 1024));
  if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
  const chunks: Uint8Array[] = [];
  let bytes = 0;
  const body = request.body as unknown as AsyncIterable<Uint8Array> | null;
  for await (const chunk of body ?? []) {
    bytes += chunk.length;
    if (bytes > limit) throw tooLarge();
    chunks.push(chunk);
  }
  // Copied, so that it can be transferred to a thread: small buffers share their memory.
  return new Uint8Array(Buffer.concat(chunks));
}

export const readJsonBody = async (request: Request, limit: number | undefined): Promise<unknown> =>
  readJson(new TextDecoder().decode(await readBody(request, limit)));
