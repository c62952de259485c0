import { setCheckpoint } from '$core/language';
import { tooLong } from '../too-long';

/** Thrown where nobody waits for the answer any more. */
export class Dropped extends Error {}

/** Calls between two looks at the clock. */
const every = 8;

/** Does some work, broken off when its milliseconds are up, or when the number in `dropped` becomes that of its question. */
export function within<T>(limit: number, id: number, dropped: Int32Array, work: () => T): T {
  const until = performance.now() + limit;
  let calls = 0;
  setCheckpoint(() => {
    if (++calls % every) return;
    if (Atomics.load(dropped, 0) === id) throw new Dropped();
    if (performance.now() > until) throw tooLong();
  });
  try {
    return work();
  } finally {
    setCheckpoint(null);
  }
}
