import type { LRUCache } from 'lru-cache';

/** What was worked out under a name, or works it out; what failed is forgotten. */
export function memoize<T>(kept: LRUCache<string, Promise<T>>, key: string, work: () => Promise<T>): Promise<T> {
  let known = kept.get(key);
  if (!known) {
    kept.set(key, (known = work()));
    known.catch(() => kept.delete(key));
  }
  return known;
}
