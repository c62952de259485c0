import { call } from '$lib/api/call';
import type { Answer } from '$api';

export type Proposal = Answer<'proposals'>[number];

type Ask = (text: string, sourceIds: readonly string[], signal: AbortSignal) => Promise<Proposal[]>;
const askAt =
  (briefId: () => string): Ask =>
  (text, sourceIds, signal) =>
    call('proposals', { params: { id: briefId() }, body: { text, sourceIds: [...sourceIds] }, signal });

/** The changes that verdicts speak for, asked once for all who show them; those of an earlier text stay until there are newer ones. */
export class BestChanges {
  /** Null until they are known. */
  list: Proposal[] | null = $state.raw(null);
  /** The text that they change. */
  readFor = $state('');
  fault = $state('');
  readonly #ask: Ask;
  #asking: AbortController | undefined;

  constructor(briefId: () => string, ask = askAt(briefId)) {
    this.#ask = ask;
  }

  ask(text: string, sourceIds: readonly string[]): void {
    this.stop();
    const { signal } = (this.#asking = new AbortController());
    this.#ask(text, sourceIds, signal).then(
      (list) => {
        if (signal.aborted) return;
        this.list = list;
        this.readFor = text;
        this.fault = '';
      },
      (problem: Error) => {
        if (!signal.aborted) this.fault = problem.message;
      }
    );
  }

  stop(): void {
    this.#asking?.abort();
  }
}
