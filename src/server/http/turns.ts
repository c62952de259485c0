/**
 * Lets typing and judging go before whole screens under load: short work starts at once; long work starts in order of arrival,
 * once little else is in progress.
 */
export class Turns {
  #underWay = 0;
  readonly #waiting: (() => void)[] = [];

  /**
   * `most`: long work waits while this many pieces of work are in progress. `patience`: milliseconds after which it starts
   * anyway. `counts`: milliseconds after which work no longer counts as in progress, since it is waiting for something itself.
   */
  constructor(private readonly limits: { most: number; patience: number; counts: number }) {}

  async take<T>(isLong: boolean, work: () => Promise<T>): Promise<T> {
    if (isLong && this.#underWay >= this.limits.most) await this.#turn();
    else this.#underWay += 1;
    let counted = true;
    const end = () => {
      if (!counted) return;
      counted = false;
      this.#underWay -= 1;
      this.#next();
    };
    const timer = setTimeout(end, this.limits.counts).unref();
    try {
      return await work();
    } finally {
      clearTimeout(timer);
      end();
    }
  }

  /** Resolves when it is the turn of this long work, which then counts as in progress. */
  #turn(): Promise<void> {
    return new Promise((resolve) => {
      const begin = () => {
        clearTimeout(timer);
        const at = this.#waiting.indexOf(begin);
        if (at >= 0) this.#waiting.splice(at, 1);
        this.#underWay += 1;
        resolve();
      };
      const timer = setTimeout(begin, this.limits.patience).unref();
      this.#waiting.push(begin);
    });
  }

  #next(): void {
    while (this.#waiting.length && this.#underWay < this.limits.most) this.#waiting[0]!();
  }
}
