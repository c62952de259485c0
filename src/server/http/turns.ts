/**
 * Lets what somebody types or judges go before whole screens while many ask: short work begins at once, long work once little
 * else is in progress, in the order in which it came.
 */
export class Turns {
  #underWay = 0;
  readonly #waiting: (() => void)[] = [];

  /**
   * `most`: pieces of work in progress with which long work still begins. `patience`: milliseconds after which it begins
   * whatever is in progress. `counts`: milliseconds after which work counts no more, since it waits for something itself.
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

  /** Resolves when it is long work's turn, which then counts as in progress. */
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
