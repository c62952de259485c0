import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import { afterEach, describe, expect, it } from 'vitest';
import { threadNumber } from './processor-wait';
import { WorkClock } from './work-clock';

const busy: Worker[] = [];
afterEach(async () => void (await Promise.all(busy.splice(0).map((worker) => worker.terminate()))));

/** Keeps the thread busy until a time is up, and returns the share of it that was work. */
function shareOfWork(clock: WorkClock, milliseconds: number): number {
  const began = performance.now();
  while (performance.now() < began + milliseconds);
  return clock.worked() / (performance.now() - began);
}

describe('the clock of a thread’s work', () => {
  it.runIf(threadNumber() > 0)('stands still while other programs have the processors', async () => {
    for (let i = 0; i < 4 * availableParallelism(); i++)
      busy.push(new Worker('require("worker_threads").parentPort.postMessage(1); for (;;);', { eval: true }));
    await Promise.all(busy.map((worker) => new Promise((resolve) => worker.once('message', resolve))));
    expect(shareOfWork(new WorkClock(threadNumber()), 500)).toBeLessThan(0.8);
  });

  it('counts all time where the kernel does not say', () => {
    expect(shareOfWork(new WorkClock(0), 200)).toBeGreaterThan(0.9);
  });
});
