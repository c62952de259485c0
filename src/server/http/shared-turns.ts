import { askingFor, SharedAsker, type Asker } from '$server/workers/asker';
import type { Turns } from './turns';

/**
 * Does long work once for all requests that ask for the same thing while it waits for its turn. It starts after each of them
 * asked, so the answer is as fresh as if it were computed for each.
 */
export class SharedTurns<T> {
  readonly #waiting = new Map<string, { asker: SharedAsker; answer: Promise<T> }>();

  constructor(private readonly turns: Turns) {}

  /** `name` identifies the work: requests with the same name share one answer. */
  take(name: string, asker: Asker, work: () => Promise<T>): Promise<T> {
    const waiting = this.#waiting.get(name);
    if (waiting) {
      waiting.asker.join(asker);
      return waiting.answer;
    }
    const shared = new SharedAsker(asker);
    let started = false;
    const answer = this.turns.take(true, () => {
      started = true;
      this.#waiting.delete(name);
      return askingFor(shared, work);
    });
    if (!started) this.#waiting.set(name, { asker: shared, answer });
    return answer;
  }
}
