interface Wish<Item, Done> {
  item: Item;
  resolve: (done: Done) => void;
  reject: (error: unknown) => void;
}

/** Milliseconds after which those who wait no longer do so for what is in progress: something may hold that up alone. */
const patience = 100;

/**
 * Writes to one thing that are wanted while one is in progress are one write together, after it. Where that fails, each is
 * written on its own, so that nobody is refused for what another wanted.
 */
export class JoinedWrites<Item, Done> {
  /** Of what is being written to, who waits. */
  readonly #waiting = new Map<string, Wish<Item, Done>[]>();

  /**
   * `write` gives what became of each item, in their order. Of items of one name never two are written together. `most` is how
   * many are.
   */
  constructor(
    private readonly write: (key: string, items: Item[]) => Promise<Done[]>,
    private readonly nameOf: (item: Item) => string,
    private readonly most = 200
  ) {}

  of(key: string, item: Item): Promise<Done> {
    return new Promise((resolve, reject) => {
      const wish = { item, resolve, reject };
      const waiting = this.#waiting.get(key);
      if (waiting) waiting.push(wish);
      else {
        this.#waiting.set(key, []);
        void this.#work(key, [wish]);
      }
    });
  }

  async #work(key: string, first: Wish<Item, Done>[]): Promise<void> {
    for (let together = first; together.length; together = this.#next(key)) {
      const written = this.#writeAll(key, together);
      await Promise.race([written, new Promise((done) => setTimeout(done, patience).unref())]);
    }
    this.#waiting.delete(key);
  }

  #next(key: string): Wish<Item, Done>[] {
    const names = new Set<string>();
    const [together, later]: [Wish<Item, Done>[], Wish<Item, Done>[]] = [[], []];
    for (const wish of this.#waiting.get(key)!) {
      const name = this.nameOf(wish.item);
      (names.has(name) || together.length === this.most ? later : together).push(wish);
      names.add(name);
    }
    this.#waiting.set(key, later);
    return together;
  }

  async #writeAll(key: string, wishes: readonly Wish<Item, Done>[]): Promise<void> {
    try {
      const done = await this.write(
        key,
        wishes.map(({ item }) => item)
      );
      wishes.forEach(({ resolve }, i) => resolve(done[i]!));
    } catch (error) {
      if (wishes.length === 1) wishes[0]!.reject(error);
      else for (const wish of wishes) await this.#writeAll(key, [wish]);
    }
  }
}
