import { setCheckpoint } from '$core/language';
import { cells } from '../thread-cells';
import { tooLong } from '../too-long';

/** Thrown where nobody waits for the answer any more. */
export class Dropped extends Error {}

/** Calls between two looks at the clock. */
const every = 8;

/** Does some work, broken off when its milliseconds are up, or when nobody waits for its question any more, as is noted in the cells of the thread. */
export function within<T>(limit: number, id: number, shared: Int32Array, work: () => T): T {
  const until = performance.now() + limit;
  let calls = 0;
  setCheckpoint(() => {
    if (++calls % every) return;
    if (Atomics.load(shared, cells.dropped) === id) throw new Dropped();
    if (performance.now() > until) throw tooLong();
  });
  try {
    return work();
  } finally {
    setCheckpoint(null);
  }
}
