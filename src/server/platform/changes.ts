import { subscribe } from './jobs/this-server';

// PostgreSQL notifies every server of each change (migration 0011), so that pages don't have to poll.

/** What has changed: something of a brief, an import, the list of sources, or who is the same person. */
export type Change =
  | { of: 'brief'; id: string; what: string }
  | { of: 'import'; id: string }
  | { of: 'sources' }
  | { of: 'people' }
  /** What the users added to the lexicon. */
  | { of: 'lexicon' }
  /** Some changes may have been missed, because the connection to the database was cut. */
  | { of: 'anything' };

type Listener = (change: Change) => void;
const listeners = new Set<Listener>();

/** Calls `listener` at every change; returns a function that stops it. */
export function onChange(listener: Listener): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Notifies listeners at this server only; writes to the database notify by themselves. */
export const tellChange = (change: Change): void => listeners.forEach((listener) => listener(change));

function read(notification: string): Change | null {
  const [of, id = '', what = ''] = notification.split(' ');
  if (of === 'brief') return { of, id, what };
  if (of === 'import') return { of, id };
  return of === 'sources' || of === 'people' || of === 'lexicon' ? { of } : null;
}

subscribe((notification) => {
  const change = notification === null ? ({ of: 'anything' } as const) : read(notification);
  if (change) tellChange(change);
});
