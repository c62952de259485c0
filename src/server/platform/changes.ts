import { subscribe } from './jobs/this-server';

// What changes at the database is told by it to every server (migration 0011), so that pages need not ask again and again.

/** What has changed: something of a brief, an import, the list of sources, or who is the same person. */
export type Change =
  | { of: 'brief'; id: string; what: string }
  | { of: 'import'; id: string }
  | { of: 'sources' }
  | { of: 'people' }
  /** What the users added to the lexicon. */
  | { of: 'lexicon' }
  /** Some may have been missed: the line to the database was cut. */
  | { of: 'anything' };

type Listener = (change: Change) => void;
const listeners = new Set<Listener>();

/** Calls back at every change until what it returns is called. */
export function onChange(listener: Listener): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Tells those who listen at this server; what is written to the database is told without. */
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
