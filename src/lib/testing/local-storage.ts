import { vi } from 'vitest';

/** Puts a store in memory in the place of the browser's, and gives what it holds. */
export function stubLocalStorage(): Map<string, string> {
  const stored = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => stored.get(key) ?? null,
    setItem: (key: string, value: string) => stored.set(key, value),
    removeItem: (key: string) => stored.delete(key)
  });
  return stored;
}
