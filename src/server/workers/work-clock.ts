import { processorWait } from './processor-wait';

/** Measures how long a thread works on something: the time since it began, without the time it waited for a processor. */
export class WorkClock {
  readonly #began = performance.now();
  readonly #waited: number;

  /** @param thread the kernel's number of the thread; with 0 all time counts as work */
  constructor(private readonly thread: number) {
    this.#waited = processorWait(thread);
  }

  /** Milliseconds of work since it began. */
  worked(): number {
    return performance.now() - this.#began - (processorWait(this.thread) - this.#waited);
  }
}
