import { readFileSync, readlinkSync } from 'node:fs';

/** The kernel's number of the thread that asks; 0 where there is no /proc. */
export function threadNumber(): number {
  try {
    return Number(readlinkSync('/proc/thread-self').split('/').at(-1));
  } catch {
    return 0;
  }
}

/**
 * Milliseconds that a thread of this process has been ready to run and had no processor: a crowded machine is no fault of a
 * question. Always 0 where the kernel does not tell.
 * @see https://docs.kernel.org/scheduler/sched-stats.html (/proc/<pid>/schedstat, second field, nanoseconds)
 */
export function processorWait(thread: number): number {
  if (!thread) return 0;
  try {
    return Number(readFileSync(`/proc/self/task/${thread}/schedstat`, 'latin1').split(' ')[1]) / 1e6 || 0;
  } catch {
    return 0;
  }
}
