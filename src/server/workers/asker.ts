import { AsyncLocalStorage } from 'node:async_hooks';

/** Who a question is asked for: a page, or a program that names none. */
export interface Asker {
  id: string;
  /** Aborted when they have gone, or let go of it to ask again: nobody waits for the answer any more. */
  signal: AbortSignal;
  /** Milliseconds of work that all questions of the request may take together, and how many they have taken. */
  within?: number;
  worked?: number;
}

/** Several who wait for the same answer, as one: gone when all of them are. */
export class SharedAsker implements Asker {
  readonly id: string;
  readonly within?: number;
  worked?: number;
  #there = 0;
  readonly #gone = new AbortController();

  constructor(first: Asker) {
    this.id = first.id;
    if (first.within !== undefined) this.within = first.within;
    this.join(first);
  }

  get signal(): AbortSignal {
    return this.#gone.signal;
  }

  join({ signal }: Asker): void {
    this.#there += 1;
    const leave = () => {
      this.#there -= 1;
      if (!this.#there) this.#gone.abort();
    };
    if (signal.aborted) leave();
    else signal.addEventListener('abort', leave, { once: true });
  }
}

const store = new AsyncLocalStorage<Asker>();

/** Does some work for an asker: questions to the worker threads belong to them, without being handed on by every function. */
export const askingFor = <T>(asker: Asker, work: () => Promise<T>): Promise<T> => store.run(asker, work);

/** The asker that the current work is for; undefined for a background job. */
export const currentAsker = (): Asker | undefined => store.getStore();
