import { setPriority } from 'node:os';

/** How much less a worker thread is favoured than the thread that answers, in steps of nice(1). */
const niceness = 5;

/** Lets the thread that answers go first where there are fewer cores than threads at work. Linux alone has a priority for each thread (setpriority(2), "C library/kernel differences"); elsewhere it would hold for the whole process. */
export function giveWay(): void {
  if (process.platform !== 'linux') return;
  try {
    setPriority(0, niceness);
  } catch {
    // Not allowed here: then all threads are alike.
  }
}
