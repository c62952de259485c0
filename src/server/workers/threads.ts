import { join } from 'node:path';
import { Worker, type TransferListItem } from 'node:worker_threads';
import { ownLexicon, type OwnLexicon } from '$core/titles';
import { environment } from '$server/platform/environment';
import { NotNow } from '$server/platform/jobs/not-now';
import { Refusal, type SerializedRefusal } from '$server/platform/refusal';

/** What a thread that does one thing reports: how far it is, and then how it ended. */
export type ThreadMessage<Answer, Progress> =
  { progress: Progress } | { answer: Answer } | { error: string; away?: boolean } | { refusal: SerializedRefusal };

interface How<Progress> {
  /** Breaks it off. */
  signal?: AbortSignal;
  transferList?: TransferListItem[];
  /** Megabytes of memory at most, what is shared left out. */
  memory?: number;
  progressed?: (progress: Progress) => void;
}

const startThread = (file: string, workerData: unknown, { transferList = [], memory = 4096 }: How<never>): Worker => {
  const thread = new Worker(join(environment().workers, file), {
    workerData,
    transferList,
    resourceLimits: { maxOldGenerationSizeMb: memory, maxYoungGenerationSizeMb: 256 }
  });
  thread.unref();
  return thread;
};

/** The answer of a thread that was given one thing to do. Throws NotNow where it was broken off, which ends the thread, or the database is away. */
function answerOf<Answer, Progress>(
  thread: Worker,
  { signal, progressed }: Pick<How<Progress>, 'signal' | 'progressed'>
): Promise<Answer> {
  return new Promise<Answer>((resolve, reject) => {
    const stop = () => {
      void thread.terminate();
      reject(new NotNow('Broken off.'));
    };
    const onMessage = (reply: ThreadMessage<Answer, Progress>) => {
      if ('progress' in reply) return progressed?.(reply.progress);
      if ('answer' in reply) resolve(reply.answer);
      else if ('refusal' in reply) reject(Refusal.of(reply.refusal));
      else reject(reply.away ? new NotNow('The database is away.') : new Error(reply.error));
      release();
    };
    const ended = () => {
      release();
      reject(new Error('The thread ended without an answer.'));
    };
    const release = () => {
      signal?.removeEventListener('abort', stop);
      thread.off('message', onMessage).off('error', reject).off('exit', ended);
    };
    signal?.addEventListener('abort', stop, { once: true });
    thread.on('message', onMessage).on('error', reject).on('exit', ended);
  });
}

/** Does one thing in its own thread and gives its answer. Throws NotNow where it was broken off or the database is away. */
export async function runThread<Answer, Progress = never>(
  file: string,
  workerData: unknown,
  how: How<Progress> = {}
): Promise<Answer> {
  if (how.signal?.aborted) throw new NotNow('Broken off before it began.');
  const { transferList = [], memory = 4096 } = how;
  return answerOf<Answer, Progress>(startThread(file, workerData, { transferList, memory }), how);
}

/** Threads that do one thing after the other, so that a short one need not wait until a thread has started. */
export class KeptThreads<Task, Answer> {
  readonly #file: string;
  readonly #idleFor: number;
  readonly #idle = new Map<Worker, NodeJS.Timeout>();
  /** Those that run, with what users had added to the lexicon when they were started: they know of nothing that came later. */
  readonly #startedWith = new WeakMap<Worker, OwnLexicon>();

  /** `idleFor` are the milliseconds after which one that has nothing to do is ended. */
  constructor(file: string, idleFor: number) {
    this.#file = file;
    this.#idleFor = idleFor;
  }

  /** Does one thing and gives its answer; throws as `runThread` does. */
  async run(task: Task, { signal, transferList = [] }: How<never> = {}): Promise<Answer> {
    if (signal?.aborted) throw new NotNow('Broken off before it began.');
    const thread = this.#take();
    const answer = answerOf<Answer, never>(thread, { ...(signal && { signal }) });
    thread.postMessage(task, transferList);
    try {
      return await answer;
    } finally {
      // One that was broken off has ended or is about to.
      if (!signal?.aborted && this.#startedWith.has(thread)) this.#rest(thread);
    }
  }

  #take(): Worker {
    const rested = [...this.#idle].find(([thread]) => this.#startedWith.get(thread) === ownLexicon());
    const thread = rested?.[0] ?? startThread(this.#file, null, {});
    if (!rested) {
      this.#startedWith.set(thread, ownLexicon());
      const end = () => {
        this.#startedWith.delete(thread);
        this.#wake(thread);
      };
      thread.once('error', end).once('exit', end);
    }
    this.#wake(thread);
    return thread;
  }

  /** It rests no more: it was taken, or has ended. */
  #wake(thread: Worker): void {
    clearTimeout(this.#idle.get(thread));
    this.#idle.delete(thread);
  }

  #rest(thread: Worker): void {
    this.#idle.set(thread, setTimeout(() => void thread.terminate(), this.#idleFor).unref());
  }
}
