import type * as z from 'zod';
import { ApiProblem } from '$lib/api/call';
import { keptNotice as say } from './words';

interface Kept<T> {
  body: T;
  revision: number;
}
type State = 'kept' | 'typing' | 'keeping' | 'waiting' | 'invalid' | 'conflict' | 'refused';

const pause = 400;
const retryAfter = 3000;
const maxSteps = 200;

/**
 * A document edited on this page and kept on the server: every change can be undone, is kept after a short pause, waits
 * while the server is away, and never overwrites what another tab has kept meanwhile.
 */
export class KeptDocument<T> {
  value: T = $state() as T;
  state: State = $state('kept');
  message: string = $state('');
  issues: { path: string; message: string }[] = $state([]);
  theirs: Kept<T> | null = $state(null);
  private past: string[] = $state([]);
  private future: string[] = $state([]);
  private revision: number;
  private readonly schema: z.ZodType;
  private readonly write: (kept: Kept<T>) => Promise<{ revision: number }>;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private lastPlace = '';
  private lastChange = 0;
  private writing: Promise<void> | null = null;

  constructor(kept: Kept<T>, schema: z.ZodType, write: (kept: Kept<T>) => Promise<{ revision: number }>) {
    this.value = kept.body;
    this.revision = kept.revision;
    this.schema = schema;
    this.write = write;
  }

  get canUndo(): boolean {
    return this.past.length > 0;
  }
  get canRedo(): boolean {
    return this.future.length > 0;
  }
  /** Whether something typed is not on the server yet. */
  get unsaved(): boolean {
    return this.state !== 'kept';
  }

  /** Takes a new value. Changes at the same `place` in quick succession are one step of undo. */
  change(next: T, place = ''): void {
    const now = Date.now();
    if (!place || place !== this.lastPlace || now - this.lastChange > 1500)
      this.past = [...this.past.slice(-maxSteps), JSON.stringify(this.value)];
    this.lastPlace = place;
    this.lastChange = now;
    this.future = [];
    this.take(next);
  }

  undo(): void {
    const before = this.past.at(-1);
    if (before === undefined) return;
    this.past = this.past.slice(0, -1);
    this.future = [...this.future, JSON.stringify(this.value)];
    this.lastPlace = '';
    this.take(JSON.parse(before) as T);
  }

  redo(): void {
    const after = this.future.at(-1);
    if (after === undefined) return;
    this.future = this.future.slice(0, -1);
    this.past = [...this.past, JSON.stringify(this.value)];
    this.lastPlace = '';
    this.take(JSON.parse(after) as T);
  }

  private take(next: T): void {
    this.value = next;
    const read = this.schema.safeParse(next);
    this.issues = read.success ? [] : read.error.issues.map(({ path, message }) => ({ path: path.join('.'), message }));
    clearTimeout(this.timer);
    if (this.state === 'conflict') return;
    if (!read.success) {
      this.state = 'invalid';
      this.message = say.fixErrors;
      return;
    }
    this.state = 'typing';
    this.timer = setTimeout(() => void this.keep(), pause);
  }

  /** Keeps what is typed now, without waiting. */
  async flush(): Promise<void> {
    clearTimeout(this.timer);
    while (this.writing) await this.writing;
    if (this.state === 'typing' || this.state === 'waiting') await this.keep();
  }

  private keep(): Promise<void> {
    const writing = (this.writing ?? Promise.resolve()).then(() => this.keepNow());
    this.writing = writing;
    // Another may wait behind this one by the time it ends.
    return writing.finally(() => {
      if (this.writing === writing) this.writing = null;
    });
  }

  private async keepNow(): Promise<void> {
    const body = $state.snapshot(this.value) as T;
    this.state = 'keeping';
    try {
      const { revision } = await this.write({ body, revision: this.revision });
      this.revision = revision;
      // More was typed during this save, so the next one is already scheduled.
      if (this.state === 'keeping') this.state = 'kept';
      this.message = '';
    } catch (problem) {
      this.fail(problem);
    }
  }

  private fail(problem: unknown): void {
    if (!(problem instanceof ApiProblem)) throw problem;
    this.message = problem.message;
    if (problem.status === 409) {
      this.state = 'conflict';
      this.theirs = problem.body.current as Kept<T>;
    } else if (problem.status === 0 || problem.status >= 500) {
      this.state = 'waiting';
      this.timer = setTimeout(() => void this.keep(), retryAfter);
    } else this.state = 'refused';
  }

  /** Ends a conflict by keeping what is on this page. */
  keepMine(): void {
    if (!this.theirs) return;
    this.revision = this.theirs.revision;
    this.theirs = null;
    this.state = 'typing';
    void this.keep();
  }

  /** Ends a conflict by taking what was kept elsewhere; undo brings this page's text back. */
  takeTheirs(): void {
    const { theirs } = this;
    if (!theirs) return;
    this.past = [...this.past, JSON.stringify(this.value)];
    this.value = theirs.body;
    this.revision = theirs.revision;
    this.theirs = null;
    this.state = 'kept';
    this.message = '';
  }
}
