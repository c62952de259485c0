import { call } from '$lib/api/call';
import type { Answer } from '$api';

/** What a source says of a string, or said of the one before it. */
export interface LedgerState {
  state: 'asking' | 'ready' | 'refused';
  answer?: Answer<'ledger'> | undefined;
  message?: string;
}

type Ask = (sourceId: string, text: string, order: number[] | null, signal: AbortSignal) => Promise<Answer<'ledger'>>;

const askAt =
  (briefId: () => string): Ask =>
  (sourceId, text, order, signal) =>
    call('ledger', {
      params: { id: briefId() },
      body: { text, sourceId, ...(order && { order: [...order] }) },
      signal
    });

/** The ledgers of a string at its sources: figures follow the typing, and answers to earlier texts are dropped. */
export class Ledgers {
  readonly states: Record<string, LedgerState> = $state({});
  /** The text that the newest answer is to. */
  text = $state('');
  readonly #ask: Ask;
  #asking: AbortController | undefined;

  constructor(briefId: () => string, ask = askAt(briefId)) {
    this.#ask = ask;
  }

  /** Asks each source again; what it said before stays until it answers. `order` is that of the parts, for narrowing. */
  ask(text: string, sourceIds: readonly string[], order: number[] | null): void {
    this.stop();
    const { signal } = (this.#asking = new AbortController());
    for (const id of sourceIds) {
      this.states[id] = { state: 'asking', answer: this.states[id]?.answer };
      this.#ask(id, text, order, signal).then(
        (answer) => {
          if (signal.aborted) return;
          this.states[id] = { state: 'ready', answer };
          this.text = text;
        },
        (problem: Error) => {
          if (!signal.aborted) this.states[id] = { state: 'refused', message: problem.message };
        }
      );
    }
  }

  stop(): void {
    this.#asking?.abort();
  }
}
