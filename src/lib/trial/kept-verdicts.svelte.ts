import { SvelteMap } from 'svelte/reactivity';
import { ApiProblem } from '$lib/api/call';
import type { Verdict } from '$core/measure';

export interface KeptVerdict {
  verdict: Verdict;
  reason: string;
  by: 'person' | 'rule';
  revision: number;
}
export interface Wish {
  verdict: Verdict | null;
  reason: string;
  by?: 'person' | 'rule';
}
type Write = (personId: string, wish: Wish, revision: number) => Promise<KeptVerdict | null>;

/**
 * The verdicts of one trial as this page shows them. A wish is shown at once and written in the order given: the writes
 * on one person wait for each other, so that each follows the revision the one before it left, however slow the server.
 */
export class KeptVerdicts {
  /** The last refusal or failure, until the next wish. */
  problem: unknown = $state(null);
  private readonly wished = new SvelteMap<string, Wish>();
  private readonly kept = new SvelteMap<string, KeptVerdict | null>();
  private readonly failed = new SvelteMap<string, Wish>();
  private readonly writing = new Map<string, Promise<void>>();
  private readonly write: Write;

  constructor(write: Write) {
    this.write = write;
  }

  /** What to show of a person, `loaded` being what the page was loaded with. */
  of(personId: string, loaded: KeptVerdict | null): KeptVerdict | null {
    const wish = this.wished.get(personId) ?? this.failed.get(personId);
    const kept = this.keptOf(personId, loaded);
    if (!wish) return kept;
    return (
      wish.verdict && {
        verdict: wish.verdict,
        reason: wish.reason,
        by: wish.by ?? 'person',
        revision: kept?.revision ?? 0
      }
    );
  }

  /** How many wishes the server has not taken. */
  get waiting(): number {
    return this.failed.size;
  }

  /** Wishes a verdict (or none, with null). Resolves when the server has answered. */
  give(personId: string, loaded: KeptVerdict | null, wish: Wish): Promise<void> {
    this.problem = null;
    this.wished.set(personId, wish);
    this.failed.delete(personId);
    const turn = (this.writing.get(personId) ?? Promise.resolve()).then(async () => {
      // A later wish on the same person stands for this one.
      if (this.wished.get(personId) !== wish) return;
      try {
        this.kept.set(personId, await this.write(personId, wish, this.keptOf(personId, loaded)?.revision ?? 0));
      } catch (problem) {
        this.problem = problem;
        // Someone judged meanwhile: theirs stands, and judging again would follow it.
        if (problem instanceof ApiProblem && problem.status === 409)
          this.kept.set(personId, problem.body.current as KeptVerdict | null);
        else if (this.wished.get(personId) === wish) this.failed.set(personId, wish);
      }
      if (this.wished.get(personId) === wish) this.wished.delete(personId);
    });
    this.writing.set(personId, turn);
    return turn;
  }

  /** Writes again what the server did not take. */
  async tryAgain(): Promise<void> {
    for (const [personId, wish] of [...this.failed]) await this.give(personId, this.kept.get(personId) ?? null, wish);
  }

  /** Notes a verdict that the server gave otherwise than by a wish. */
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
