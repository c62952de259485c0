import { setCheckpoint } from '$core/language';
import { processorWait } from '../processor-wait';
import { tooLong } from '../too-long';

/** Thrown where nobody waits for the answer any more. */
export class Dropped extends Error {}

/** Calls between two looks at the clock. */
const every = 8;

/**
 * Does some work, broken off when its milliseconds are up, or when the first number in `dropped` becomes that of its question;
 * the second is the number of this thread. What the thread waits for a processor does not count.
 */
export function within<T>(limit: number, id: number, dropped: Int32Array, work: () => T): T {
  const waited = processorWait(dropped[1]!);
  const end = performance.now() + limit;
  let until = end;
  let calls = 0;
  setCheckpoint(() => {
    if (++calls % every) return;
    if (Atomics.load(dropped, 0) === id) throw new Dropped();
    if (performance.now() < until) return;
    until = end + processorWait(dropped[1]!) - waited;
    if (performance.now() > until) throw tooLong();
  });
  try {
    return work();
  } finally {
    setCheckpoint(null);
  }
}
