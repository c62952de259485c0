import { Worker } from 'node:worker_threads';
import type { OwnLexicon } from '$core/titles';
import { log } from '$server/platform/log';
import { Refusal, type SerializedRefusal } from '$server/platform/refusal';
import { refuse } from '$server/platform/refusals';
import type { Asker } from './asker';
import type { SharedSource } from './shared-source';
import { cells, makeCells } from './thread-cells';
import { tooLong } from './too-long';
import { WorkClock } from './work-clock';

/** The sources that a question is about. */
function sourcesOf({ ask }: Question): string[] {
  const { sourceId, at, sources, records, sheet } = (ask ?? {}) as {
    sourceId?: string;
    at?: string;
    sources?: { sourceId: string }[];
    records?: { sourceId: string }[];
    sheet?: { id: string };
  };
  const named = [sourceId, at, sheet?.id, ...[...(sources ?? []), ...(records ?? [])].map((one) => one.sourceId)];
  return named.filter((id) => id !== undefined);
}

/** What a thread has available once it was asked: what it worked out of a source, or what questions of a kind are made of. */
const aboutOf = (question: Question): string => sourcesOf(question)[0] ?? question.kind;

/**
 * Whether a thread has more available for a question than another: the one that was asked of such things most keeps them, also
 * when it was busy once. What none was asked yet goes to the one with the least to do.
 */
function isNearer(one: Thread, other: Thread, about: string): boolean {
  const [mine, others] = [one, other].map(({ asked }) => asked.get(about) ?? 0) as [number, number];
  return mine === others ? one.askedInAll < other.askedInAll : mine > others;
}

const nearestOf = (threads: readonly Thread[], about: string): Thread =>
  threads.reduce((best, one) => (isNearer(one, best, about) ? one : best));

/** Messages to and from a thread. */
export type ToThread =
  | { attach: SharedSource[] }
  | { detach: string }
  | { lexicon: OwnLexicon }
  | { id: number; kind: string; ask: unknown; json: boolean; limit: number };
export type FromThread =
  | { attached: string[] }
  | { id: number; answer: unknown }
  | { id: number; error: string }
  | { id: number; refusal: SerializedRefusal };

interface Question {
  id: number;
  /** When it was asked. */
  since: number;
  kind: string;
  ask: unknown;
  asker: Asker | undefined;
  long: boolean;
  limit: number;
  json: boolean;
  resolve: (answer: unknown) => void;
  reject: (error: Error) => void;
  left: () => void;
}

interface Thread {
  worker: Worker;
  running: Question | null;
  /** When that was started, and how long it has been worked on. */
  began: number;
  clock: WorkClock | null;
  /** Seen at work on a question that others wait behind, and its work since then. */
  seen: { question: Question; clock: WorkClock } | null;
  /** It is opening sources, and cannot be asked meanwhile. */
  attaching: boolean;
  /** The sources that it has, and those that it is to open. */
  has: Set<string>;
  todo: Set<string>;
  /** Memory shared with the thread: see `cells`. */
  shared: Int32Array;
  timer: NodeJS.Timeout | undefined;
  idleSince: number;
  /** How often it was asked about each thing, and in all: what it worked out of those is available there. */
  asked: Map<string, number>;
  askedInAll: number;
}

export interface PoolOptions {
  file: string;
  threads: number;
  /** Most threads while all are busy. */
  most: number;
  /** How many times its usual time every question has. */
  slowness?: number;
}

/** Milliseconds that all threads are at work on one question each, twice, before another thread is started for those that wait. */
const patience = 75;
/** Milliseconds after which a long question no longer gives way: a stream of short ones would delay it forever. */
const age = 200;
/** Milliseconds after which a thread beyond the usual number is stopped when nothing is asked of it. */
const idleFor = 30_000;

const gone = () => refuse('page-closed');
/** Milliseconds that a thread has to come to a place where it can break off; then it is stopped and another started. */
const grace = 300;

/**
 * Threads that answer questions over sources in shared memory. Short questions go before long ones and one thread is
 * always left to them; askers take turns; a question is broken off when its time is up or nobody waits for it any more.
 */
export class Pool {
  private readonly threads = new Set<Thread>();
  private readonly sources = new Map<string, SharedSource>();
  private readonly waiting: Question[] = [];
  private readonly awaited = new Map<string, { resolve: () => void; reject: (error: Error) => void }[]>();
  /** When each asker was last served. */
  private readonly served = new Map<string, number>();
  private lastId = 0;
  private turn = 0;
  private watch: NodeJS.Timeout | undefined;
  private closed = false;

  constructor(private readonly options: PoolOptions) {
    for (let i = 0; i < options.threads; i++) this.start();
  }

  /** Lets all threads, and those started later, search a source; resolves when the first of them can, and fails where the pool is closed. */
  attach(source: SharedSource): Promise<void> {
    if (this.closed) return Promise.reject(gone());
    this.sources.set(source.id, source);
    for (const thread of this.threads) {
      // Those before it under that name are not asked any more.
      thread.has.delete(source.id);
      thread.todo.add(source.id);
    }
    return new Promise((resolve, reject) => {
      this.awaited.set(source.id, [...(this.awaited.get(source.id) ?? []), { resolve, reject }]);
      this.serve();
    });
  }

  detach(id: string): void {
    if (!this.sources.delete(id)) return;
    for (const { worker, has, todo, asked } of this.threads) {
      has.delete(id);
      todo.delete(id);
      asked.delete(id);
      worker.postMessage({ detach: id } satisfies ToThread);
    }
  }

  /** Lets the threads that run take up what the users added to the lexicon; those started later find it themselves. */
  takeUp(lexicon: OwnLexicon): void {
    for (const { worker } of this.threads) worker.postMessage({ lexicon } satisfies ToThread);
  }

  ask(
    kind: string,
    ask: unknown,
    how: { long: boolean; limit: number; json: boolean; asker: Asker | undefined }
  ): Promise<unknown> {
    const { asker } = how;
    if (asker?.signal.aborted) return Promise.reject(gone());
    return new Promise((resolve, reject) => {
      const drop = () => this.drop(question);
      const question: Question = {
        id: ++this.lastId,
        since: performance.now(),
        kind,
        ask,
        ...how,
        resolve,
        reject,
        left: () => asker?.signal.removeEventListener('abort', drop)
      };
      asker?.signal.addEventListener('abort', drop, { once: true });
      this.waiting.push(question);
      this.serve();
    });
  }

  /** Ends all threads; waiting questions are refused. */
  async close(): Promise<void> {
    this.closed = true;
    clearTimeout(this.watch);
    const running = [...this.threads].flatMap((thread) => thread.running ?? []);
    const asked = [...this.waiting.splice(0), ...running];
    for (const question of asked) this.end(question, () => question.reject(gone()));
    for (const { reject } of [...this.awaited.values()].flat()) reject(gone());
    this.awaited.clear();
    await Promise.all([...this.threads].map((thread) => this.stop(thread)));
  }

  /** How busy it is. */
  state(): { threads: number; running: number; waiting: number } {
    const all = [...this.threads];
    return { threads: all.length, running: all.filter(({ running }) => running).length, waiting: this.waiting.length };
  }

  private drop(question: Question): void {
    const at = this.waiting.indexOf(question);
    if (at >= 0) this.waiting.splice(at, 1);
    else {
      const thread = [...this.threads].find(({ running }) => running === question);
      if (!thread) return;
      // It breaks off at its next checkpoint, or else is stopped when its time is up.
      Atomics.store(thread.shared, cells.dropped, question.id);
    }
    this.end(question, () => question.reject(gone()));
    this.serve();
  }

  private end(question: Question, tell: () => void): void {
    question.left();
    tell();
  }

  private start(): void {
    const shared = makeCells();
    const worker = new Worker(this.options.file, {
      workerData: { shared },
      resourceLimits: { maxOldGenerationSizeMb: 3072, maxYoungGenerationSizeMb: 128 }
    });
    worker.unref();
    const thread: Thread = {
      worker,
      running: null,
      began: 0,
      clock: null,
      seen: null,
      attaching: false,
      shared,
      has: new Set(),
      todo: new Set(this.sources.keys()),
      timer: undefined,
      idleSince: performance.now(),
      asked: new Map(),
      askedInAll: 0
    };
    this.threads.add(thread);
    worker.on('message', (reply: FromThread) => this.received(thread, reply));
    worker.on('error', (error) => {
      log().error({ err: error, kind: thread.running?.kind }, 'a worker thread stopped');
      const { running } = thread;
      this.restart(thread);
      if (running) this.end(running, () => running.reject(refuse('thread-died')));
    });
    this.serve();
  }

  /** Has one thread after the other open what it does not have yet: the others answer meanwhile. */
  private attachNext(): void {
    const all = [...this.threads];
    // At first none has anything: then they need not wait for one another.
    const most = all.some(({ has }) => has.size) ? 1 : all.length;
    for (const thread of all) {
      if (all.filter(({ attaching }) => attaching).length >= most) return;
      if (thread.attaching || thread.running || !thread.todo.size) continue;
      thread.attaching = true;
      const attach = [...thread.todo].flatMap((id) => this.sources.get(id) ?? []);
      thread.todo.clear();
      thread.worker.postMessage({ attach } satisfies ToThread);
    }
  }

  private received(thread: Thread, reply: FromThread): void {
    if (!this.threads.has(thread)) return;
    if ('attached' in reply) {
      thread.attaching = false;
      for (const id of reply.attached) {
        // Another may have taken its place meanwhile.
        if (!thread.todo.has(id) && this.sources.has(id)) thread.has.add(id);
        for (const { resolve } of this.awaited.get(id) ?? []) resolve();
        this.awaited.delete(id);
      }
    } else if (thread.running?.id === reply.id) {
      const { running: question } = thread;
      clearTimeout(thread.timer);
      this.count(thread);
      thread.running = null;
      thread.idleSince = performance.now();
      this.end(question, () => {
        if ('answer' in reply) question.resolve(reply.answer);
        else if ('error' in reply) question.reject(new Error(reply.error));
        else question.reject(Refusal.of(reply.refusal));
      });
    }
    this.serve();
  }

  private serve(): void {
    if (this.closed) return;
    this.attachNext();
    for (;;) {
      const idle = [...this.threads].filter(({ attaching, running }) => !attaching && !running);
      const question = idle.length ? this.next(idle) : undefined;
      if (!question) break;
      const about = aboutOf(question);
      const able = idle.filter((thread) => this.canAnswer(thread, question));
      this.give(nearestOf(able, about), question, about);
    }
    clearTimeout(this.watch);
    const most = this.waiting.length ? this.options.most : this.options.threads;
    if (this.waiting.length || this.threads.size > most)
      this.watch = setTimeout(() => this.adjust(), this.waiting.length ? patience : idleFor).unref();
  }

  /** Another thread while questions wait, and those that idle are stopped again. */
  private adjust(): void {
    const now = performance.now();
    const isStarting = [...this.threads].some(({ attaching, todo }) => attaching || todo.size);
    // Many short questions are soon done, and processors that are all at work do no more for another thread.
    const isHeldUp = [...this.threads].map((thread) => this.hasWorked(thread, patience)).every(Boolean);
    if (this.waiting.length && isHeldUp && !isStarting && this.threads.size < this.options.most) this.start();
    if (!this.waiting.length)
      for (const thread of [...this.threads].slice(this.options.threads))
        if (!thread.running && now - thread.idleSince > idleFor) void this.stop(thread);
    this.serve();
  }

  /** The question to answer next: a short one before a long one, and of each the asker's who was served longest ago. */
  private next(idle: readonly Thread[]): Question | undefined {
    const longs = [...this.threads].filter(({ running }) => running?.long).length;
    const roomForLong = longs < this.threads.size - 1;
    const hasEnough = this.askersWithEnough();
    let best: Question | undefined;
    for (const one of this.waiting) {
      if (!idle.some((thread) => this.canAnswer(thread, one))) continue;
      if (one.long && !roomForLong) continue;
      if (one.asker && hasEnough.has(one.asker.id)) continue;
      if (!best || this.isBefore(one, best)) best = one;
    }
    if (best) this.waiting.splice(this.waiting.indexOf(best), 1);
    return best;
  }

  /** Askers for whom all threads but one are working. */
  private askersWithEnough(): ReadonlySet<string> {
    const perAsker = Math.max(1, this.threads.size - 1);
    const busy = new Map<string, number>();
    for (const { running } of this.threads)
      if (running?.asker) busy.set(running.asker.id, (busy.get(running.asker.id) ?? 0) + 1);
    return new Set([...busy].flatMap(([id, many]) => (many >= perAsker ? [id] : [])));
  }

  /** Whether a thread has the sources that a question is about, as far as there are such. */
  private canAnswer({ has }: Thread, question: Question): boolean {
    return sourcesOf(question).every((id) => has.has(id) || !this.sources.has(id));
  }

  private isBefore(one: Question, other: Question): boolean {
    const longed = performance.now() - age;
    const givesWay = ({ long, since }: Question) => long && since > longed;
    if (givesWay(one) !== givesWay(other)) return givesWay(other);
    const turn = ({ asker }: Question) => this.served.get(asker?.id ?? '') ?? 0;
    return turn(one) < turn(other);
  }

  private give(thread: Thread, question: Question, about: string): void {
    const { id, kind, ask, asker, json } = question;
    thread.asked.set(about, (thread.asked.get(about) ?? 0) + 1);
    thread.askedInAll += 1;
    this.served.delete(asker?.id ?? '');
    this.served.set(asker?.id ?? '', ++this.turn);
    if (this.served.size > 1000) this.served.delete(this.served.keys().next().value!);
    thread.worker.postMessage({ id, kind, ask, json, limit: this.limitOf(question) } satisfies ToThread);
    thread.running = question;
    thread.began = performance.now();
    const clock = (thread.clock = new WorkClock(thread.shared[cells.thread]!));
    const limit = this.limitOf(question);
    const stopAfter = (left: number): void => {
      thread.timer = setTimeout(() => {
        const more = limit - clock.worked();
        // It was ready to run and had no processor.
        if (more > 0) return stopAfter(more);
        log().warn({ kind: question.kind, limit }, 'a question took too long');
        this.restart(thread);
        this.end(question, () => question.reject(tooLong()));
        this.serve();
      }, left + grace).unref();
    };
    stopAfter(limit);
  }

  /** Milliseconds of work left to a question: its own limit, or what its request has left. */
  private limitOf({ asker, limit }: Question): number {
    const { slowness = 1 } = this.options;
    const left = asker?.within === undefined ? Infinity : asker.within * slowness - (asker.worked ?? 0);
    return Math.max(20, Math.min(limit * slowness, left));
  }

  /** Adds the work on a thread's question to that of its request; what threads do side by side counts once. */
  private count({ running, clock }: Thread): void {
    if (running?.asker?.within === undefined) return;
    running.asker.worked = (running.asker.worked ?? 0) + clock!.worked() / this.options.threads;
  }

  /** Whether a thread has worked so many milliseconds since it was seen at the same question, without those in which it had no processor. */
  private hasWorked(thread: Thread, milliseconds: number): boolean {
    const { running: question, seen, shared } = thread;
    if (!question) return false;
    // A timer may come a little early.
    if (seen?.question === question) return seen.clock.worked() >= milliseconds * 0.9;
    thread.seen = { question, clock: new WorkClock(shared[cells.thread]!) };
    return false;
  }

  private restart(thread: Thread): void {
    void this.stop(thread);
    if (!this.closed) this.start();
  }

  private async stop(thread: Thread): Promise<void> {
    this.threads.delete(thread);
    clearTimeout(thread.timer);
    thread.worker.removeAllListeners();
    // What it says while it ends is nobody's concern.
    thread.worker.on('error', () => {});
    await thread.worker.terminate();
  }
}
