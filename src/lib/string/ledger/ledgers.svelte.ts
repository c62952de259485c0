import { ApiProblem, call } from '$lib/api/call';
import type { Answer } from '$api';

/** What a source says of a string, or said of the one before it. */
export interface LedgerState {
  state: 'asking' | 'ready' | 'refused';
  answer?: Answer<'ledger'> | undefined;
  message?: string;
  /** It took too long: it can be asked again with more time. */
  isSlow?: boolean;
}

type Order = readonly number[] | null;
type Ask = (
  sourceId: string,
  text: string,
  order: Order,
  signal: AbortSignal,
  atLength: boolean
) => Promise<Answer<'ledger'>>;

const askAt =
  (briefId: () => string): Ask =>
  (sourceId, text, order, signal, atLength) =>
    call(atLength ? 'ledgerAtLength' : 'ledger', {
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
  #asked: { text: string; order: Order } = { text: '', order: null };

  constructor(briefId: () => string, ask = askAt(briefId)) {
    this.#ask = ask;
  }

  /** Asks each source again; what it said before stays until it answers. `order` is that of the parts, for narrowing. */
  ask(text: string, sourceIds: readonly string[], order: Order): void {
    this.stop();
    this.#asking = new AbortController();
    this.#asked = { text, order };
    for (const id of sourceIds) this.#askOne(id, this.#asking.signal, false);
  }

  /** Asks a source again with more time. */
  goOn(sourceId: string): void {
    if (this.#asking) this.#askOne(sourceId, this.#asking.signal, true);
  }

  #askOne(id: string, signal: AbortSignal, atLength: boolean): void {
    const { text, order } = this.#asked;
    this.states[id] = { state: 'asking', answer: this.states[id]?.answer };
    this.#ask(id, text, order, signal, atLength).then(
      (answer) => {
        if (signal.aborted) return;
        this.states[id] = { state: 'ready', answer, isSlow: answer.unfinished };
        this.text = text;
      },
      (problem: Error) => {
        if (signal.aborted) return;
        const isSlow = problem instanceof ApiProblem && String(problem.body.type).endsWith('/takes-too-long');
        this.states[id] = { state: 'refused', message: problem.message, isSlow };
      }
    );
  }

  stop(): void {
    this.#asking?.abort();
  }
}
