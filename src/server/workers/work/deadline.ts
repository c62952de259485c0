import { setCheckpoint } from '$core/language';
import { cells } from '../thread-cells';
import { tooLong } from '../too-long';
import { WorkClock } from '../work-clock';

/** Thrown when nobody waits for the answer. */
export class Dropped extends Error {}

/** Checkpoints between two looks at the clock. */
const every = 8;

/**
 * Does some work and stops it after `limit` milliseconds of processor time, so that a busy machine doesn't fail it, or as soon as
 * nobody waits for its answer.
 * @param id the question's number, as the cells of the thread name it
 * @throws the refusal of `tooLong`, or `Dropped`
 */
export function within<T>(limit: number, id: number, shared: Int32Array, work: () => T): T {
  const clock = new WorkClock(shared[cells.thread]!);
  let until = performance.now() + limit;
  let calls = 0;
  setCheckpoint(() => {
    if (++calls % every) return;
    if (Atomics.load(shared, cells.dropped) === id) throw new Dropped();
    if (performance.now() < until) return;
    const left = limit - clock.worked();
    if (left <= 0) throw tooLong();
    until = performance.now() + Math.max(1, left);
  });
  try {
    return work();
  } finally {
    setCheckpoint(null);
  }
}
