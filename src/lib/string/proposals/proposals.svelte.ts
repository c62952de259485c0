import { call } from '$lib/api/call';
import { bestFirst, maxProposals } from '$core/suggest';
import type { Answer } from '$api';

export type Proposal = Answer<'proposals'>['proposals'][number];

type Ask = (
  text: string,
  sourceIds: readonly string[],
  from: number,
  signal: AbortSignal
) => Promise<Answer<'proposals'>>;
const askAt =
  (briefId: () => string): Ask =>
  (text, sourceIds, from, signal) =>
    call('proposals', { params: { id: briefId() }, body: { text, sourceIds: [...sourceIds], from }, signal });

/** Two answers for one text as one list, best first, as the server ranks them. */
export function joined(one: readonly Proposal[], other: readonly Proposal[]): Proposal[] {
  const byText = new Map([...one, ...other].map((proposal) => [proposal.text, proposal]));
  return [...byText.values()].sort(bestFirst).slice(0, maxProposals);
}

/** The changes that verdicts support, asked once for every panel that shows them. Those of an earlier text stay until newer ones arrive. */
export class BestChanges {
  /** Null until they are known. */
  list: Proposal[] | null = $state.raw(null);
  /** The text that they change. */
  readFor = $state('');
  /** How many possible changes were measured, and of how many. */
  measured = $state(0);
  of = $state(0);
  isMeasuring = $state(false);
  fault = $state('');
  readonly #ask: Ask;
  #asking: AbortController | undefined;
  #sourceIds: readonly string[] = [];

  constructor(briefId: () => string, ask = askAt(briefId)) {
    this.#ask = ask;
  }

  ask(text: string, sourceIds: readonly string[]): void {
    this.#sourceIds = sourceIds;
    this.#measure(text, 0);
  }

  /** Measures the changes that the last answer left out. */
  goOn(): void {
    this.#measure(this.readFor, this.measured);
  }

  stop(): void {
    this.#asking?.abort();
    this.isMeasuring = false;
  }

  #measure(text: string, from: number): void {
    this.stop();
    const { signal } = (this.#asking = new AbortController());
    this.isMeasuring = true;
    this.#ask(text, this.#sourceIds, from, signal).then(
      ({ proposals, measured, of }) => {
        if (signal.aborted) return;
        this.list = from ? joined(this.list ?? [], proposals) : proposals;
        this.readFor = text;
        this.measured = measured;
        this.of = of;
        this.fault = '';
        this.isMeasuring = false;
      },
      (problem: Error) => {
        if (signal.aborted) return;
        this.fault = problem.message;
        this.isMeasuring = false;
      }
    );
  }
}
