import { SvelteMap } from 'svelte/reactivity';
import { ApiProblem } from '$lib/api/call';
import type { Verdict } from '$core/measure';

export interface KeptVerdict {
  verdict: Verdict;
  reason: string;
  by: 'person' | 'rule';
  revision: number;
}
export interface PendingVerdict {
  verdict: Verdict | null;
  reason: string;
  by?: 'person' | 'rule';
}
type Write = (personId: string, given: PendingVerdict, revision: number) => Promise<KeptVerdict | null>;

/**
 * The verdicts of one trial as this page shows them. A verdict is shown at once and written in the order given: the writes
 * on one person wait for each other, so that each follows the revision the one before it left, however slow the server.
 */
export class KeptVerdicts {
  /** The last refusal or failure, until the next verdict. */
  problem: unknown = $state(null);
  private readonly pending = new SvelteMap<string, PendingVerdict>();
  private readonly kept = new SvelteMap<string, KeptVerdict | null>();
  private readonly failed = new SvelteMap<string, PendingVerdict>();
  private readonly writing = new Map<string, Promise<void>>();
  private readonly write: Write;

  constructor(write: Write) {
    this.write = write;
  }

  /** What to show of a person, `loaded` being what the page was loaded with. */
  of(personId: string, loaded: KeptVerdict | null): KeptVerdict | null {
    const given = this.pending.get(personId) ?? this.failed.get(personId);
    const kept = this.keptOf(personId, loaded);
    if (!given) return kept;
    return (
      given.verdict && {
        verdict: given.verdict,
        reason: given.reason,
        by: given.by ?? 'person',
        revision: kept?.revision ?? 0
      }
    );
  }

  /** How many verdicts the server hasn't accepted. */
  get waiting(): number {
    return this.failed.size;
  }

  /** Gives a verdict (or removes it, with null). Resolves when the server has answered. */
  give(personId: string, loaded: KeptVerdict | null, given: PendingVerdict): Promise<void> {
    this.problem = null;
    this.pending.set(personId, given);
    this.failed.delete(personId);
    const turn = (this.writing.get(personId) ?? Promise.resolve()).then(async () => {
      // A later verdict on the same person replaces this one.
      if (this.pending.get(personId) !== given) return;
      try {
        this.kept.set(personId, await this.write(personId, given, this.keptOf(personId, loaded)?.revision ?? 0));
      } catch (problem) {
        this.problem = problem;
        // Someone judged meanwhile: theirs stands, and judging again would follow it.
        if (problem instanceof ApiProblem && problem.status === 409)
          this.kept.set(personId, problem.body.current as KeptVerdict | null);
        else if (this.pending.get(personId) === given) this.failed.set(personId, given);
      }
      if (this.pending.get(personId) === given) this.pending.delete(personId);
    });
    this.writing.set(personId, turn);
    return turn;
  }

  /** Writes again what the server did not take. */
  async tryAgain(): Promise<void> {
    for (const [personId, given] of [...this.failed]) await this.give(personId, this.kept.get(personId) ?? null, given);
  }

  /** Records a verdict that came from the server. */
  note(personId: string, verdict: KeptVerdict | null): void {
    this.kept.set(personId, verdict);
  }

  /** Lets go of what this page knows of a person: it was changed otherwise. */
  forget(personId: string): void {
    this.kept.delete(personId);
  }

  private keptOf(personId: string, loaded: KeptVerdict | null): KeptVerdict | null {
    const known = this.kept.get(personId);
    if (known === undefined) return loaded;
    return loaded && loaded.revision > (known?.revision ?? Infinity) ? loaded : known;
  }
}
