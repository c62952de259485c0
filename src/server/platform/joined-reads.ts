/**
 * Reads of one thing that are wanted at once are one read. One in progress may be older than who wants it next, so those
 * who come meanwhile share the one after it: anybody who wants gets what was so at that moment, or later.
 */
export class JoinedReads<T> {
  readonly #underWay = new Map<string, Promise<T>>();
  readonly #next = new Map<string, Promise<T>>();

  constructor(private readonly read: (key: string) => Promise<T>) {}

  of(key: string): Promise<T> {
    const underWay = this.#underWay.get(key);
    if (!underWay) return this.#begin(key);
    let next = this.#next.get(key);
    if (!next) {
      const begin = () => {
        this.#next.delete(key);
        return this.#begin(key);
      };
      this.#next.set(key, (next = underWay.then(begin, begin)));
    }
    return next;
  }

  #begin(key: string): Promise<T> {
    const reading = this.read(key).finally(() => {
      if (this.#underWay.get(key) === reading) this.#underWay.delete(key);
    });
    this.#underWay.set(key, reading);
    return reading;
  }
}
