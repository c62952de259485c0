import { askingFor, SharedAsker, type Asker } from '$server/workers/asker';
import type { Turns } from './turns';

/**
 * Long work that waits for its turn is done once for all who want the same meanwhile. It begins after each of them asked:
 * what they get is as new as if it were done for each.
 */
export class SharedTurns<T> {
  readonly #waiting = new Map<string, { asker: SharedAsker; answer: Promise<T> }>();

  constructor(private readonly turns: Turns) {}

  /** `name` is the same for those alone who want the same. */
  take(name: string, asker: Asker, work: () => Promise<T>): Promise<T> {
    const waiting = this.#waiting.get(name);
    if (waiting) {
      waiting.asker.join(asker);
      return waiting.answer;
    }
    const shared = new SharedAsker(asker);
    let begun = false;
    const answer = this.turns.take(true, () => {
      begun = true;
      this.#waiting.delete(name);
      return askingFor(shared, work);
    });
    if (!begun) this.#waiting.set(name, { asker: shared, answer });
    return answer;
  }
}
