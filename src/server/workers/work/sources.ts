import type { IndexedSource } from '$sources/indexed-source';
import { openShared, type SharedSource } from '../shared-source';

const sources = new Map<string, IndexedSource>();

/** Opens a source that lies in shared memory, and does what its first question would wait for. */
export function attach(shared: SharedSource): void {
  const source = openShared(shared);
  source.index.prepare();
  sources.set(shared.id, source);
}

export const detach = (id: string): void => void sources.delete(id);

export function sourceOf(id: string): IndexedSource {
  const source = sources.get(id);
  if (!source) throw new Error(`The people of “${id}” are not loaded.`);
  return source;
}
