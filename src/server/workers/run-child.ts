import { fork } from 'node:child_process';
import { join } from 'node:path';
import { environment } from '$server/platform/environment';
import { Refusal, type SerializedRefusal } from '$server/platform/refusal';

/** What a child process says of the one task it was given. */
export type ChildSays<Answer> = { answer: Answer } | { refusal: SerializedRefusal } | { error: string };

/** Why a child process ended without an answer. */
export class ChildDied extends Error {
  /** Whether it was stopped because its time was up. */
  readonly timedOut: boolean;
  constructor(why: string, timedOut: boolean) {
    super(why);
    this.timedOut = timedOut;
  }
}

interface Limits {
  /** Megabytes of JavaScript heap; a process that needs more is ended by V8. */
  memory: number;
  /** Milliseconds until it is killed. */
  time: number;
}

/**
 * Runs one task in its own process and returns its answer. Used for input that may exhaust memory: V8 aborts the whole
 * process then, worker threads included, so a thread cannot contain it.
 * @throws Refusal as the child refused, ChildDied where it ended without an answer
 */
export function runChild<Answer>(file: string, task: unknown, { memory, time }: Limits): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const child = fork(join(environment().workers, file), [], {
      execArgv: [`--max-old-space-size=${memory}`],
      // What V8 prints of its last moments helps nobody; the exit says enough.
      stdio: ['ignore', 'ignore', 'ignore', 'ipc']
    });
    let timedOut = false;
    const timer = setTimeout(() => {
      timedOut = true;
      child.kill('SIGKILL');
    }, time);
    let said: ChildSays<Answer> | null = null;
    child.on('message', (message) => (said = message as ChildSays<Answer>));
    child.once('error', reject);
    child.once('exit', (code, signal) => {
      clearTimeout(timer);
      if (!said) return reject(new ChildDied(`the process ended with ${signal ?? `code ${code}`}`, timedOut));
      if ('answer' in said) resolve(said.answer);
      else reject('refusal' in said ? Refusal.of(said.refusal) : new Error(said.error));
    });
    child.send(task as object);
  });
}

/** In a child process: does the one task that its parent sends, says how it ended, and exits. */
export function doTaskOfParent<Task>(work: (task: Task) => Promise<unknown>): void {
  // A parent that died reads no answer.
  process.once('disconnect', () => process.exit(1));
  process.once('message', async (task: Task) => {
    const says = await work(task).then(
      (answer): ChildSays<unknown> => ({ answer: answer ?? null }),
      (error: unknown): ChildSays<unknown> =>
        error instanceof Refusal
          ? { refusal: error.serialize() }
          : { error: error instanceof Error ? error.message : String(error) }
    );
    process.send?.(says, () => process.exit(0));
  });
}
