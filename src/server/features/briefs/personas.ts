import { LRUCache } from 'lru-cache';

/** The persona of each brief that was read, which never changes. */
export const personas = new LRUCache<string, string>({ max: 2000 });
