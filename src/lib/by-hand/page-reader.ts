import { ownLexicon, type OwnLexicon } from '$core/titles';
import { inventedPages } from './invented-page';
import type { PageRead } from './read-page';
import { manualPage as say } from './words';

export interface PageQuestion {
  id: number;
  text: string;
  /** What the users added to the lexicon, with the first question. */
  lexicon: OwnLexicon | null;
}

/** Times that each invented page is read: after so many a browser's code is about as fast as it gets. */
const warmings = 3;

/** Reads pages in a worker, so that the screen answers meanwhile; where there are no workers, in place. */
export class PageReader {
  #worker: Worker | undefined;
  #id = 0;
  readonly #waiting = new Map<number, { resolve: (read: PageRead) => void; reject: (problem: Error) => void }>();

  /**
   * Begins, where nothing was read yet, with invented pages, and again while nothing is pasted, so that the first one pasted
   * is read by code that the browser has made fast.
   */
  async warm(): Promise<void> {
    if (typeof Worker === 'undefined' || this.#worker) return;
    const pages = Array.from({ length: warmings }, inventedPages).flat();
    for (const [at, page] of pages.entries()) {
      // Something was pasted meanwhile.
      if (this.#id > at) return;
      if (!(await this.read(page).catch(() => null))) return;
    }
  }

  async read(text: string): Promise<PageRead> {
    if (typeof Worker === 'undefined') return (await import('./read-page')).readPage(text);
    const lexicon = this.#worker ? null : ownLexicon();
    const worker = (this.#worker ??= this.#start());
    const id = ++this.#id;
    return new Promise((resolve, reject) => {
      this.#waiting.set(id, { resolve, reject });
      worker.postMessage({ id, text, lexicon } satisfies PageQuestion);
    });
  }

  stop(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    for (const { reject } of this.#waiting.values()) reject(new Error(say.pageNotReadCompletely));
    this.#waiting.clear();
  }

  #start(): Worker {
    const worker = new Worker(new URL('./page-reader.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data: { id, ...read } }: MessageEvent<PageRead & { id: number }>) => {
      this.#waiting.get(id)?.resolve(read);
      this.#waiting.delete(id);
    };
    worker.onerror = () => this.stop();
    return worker;
  }
}
