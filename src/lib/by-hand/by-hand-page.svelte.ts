import { call } from '$lib/api/call';
import { reload } from '$lib/kept/reload';
import type { Answer } from '$api';
import { countOnPage, readCount, readResultPage, type PageField, type PageRow } from '$core/formats';

type Diary = Answer<'readDiary'>;
export type Entry = Diary['entries'][number];
interface Loaded {
  brief: { id: string };
  diary: Diary;
  trial: Answer<'readTrial'> | null;
}

/** What is typed and pasted, and not kept yet: it waits in this browser, where it was. */
interface Unkept {
  search: number;
  page: string;
  said: string;
  rows: PageRow[];
}
const nothing: Unkept = { search: 0, page: '', said: '', rows: [] };

/** Text of a page read at once; what comes after is to be pasted by itself. */
export const mostText = 400_000;

/** The screen of a place run by hand: what is kept of it, and what is typed, pasted and corrected before it is kept. */
export class ByHandPage {
  readonly #loaded: () => Loaded;
  #diary: Diary | null = $state.raw(null);
  unkept: Unkept = $state(structuredClone(nothing));
  /** An entry that is being corrected. */
  correcting: Entry | null = $state(null);
  refused: unknown = $state(null);
  told = $state('');
  keeping = $state(false);

  constructor(loaded: () => Loaded) {
    this.#loaded = loaded;
  }

  diary = $derived.by(() => this.#diary ?? this.#loaded().diary);
  search = $derived.by(() => Math.min(this.unkept.search, Math.max(0, this.diary.rendering.searches.length - 1)));
  here = $derived.by(() => this.diary.searches[this.search]);
  /** Pages to open that nobody has read yet. */
  toOpen = $derived.by(() => this.here?.drawn.filter((page) => !this.here!.pagesRead.includes(page)) ?? []);
  page = $derived.by(() => {
    const typed = Number(this.unkept.page);
    if (this.unkept.page.trim()) return Number.isInteger(typed) && typed > 0 ? typed : null;
    return this.toOpen[0] ?? (this.here?.pagesRead.at(-1) ?? 0) + 1;
  });
  count = $derived.by(() => (this.unkept.said.trim() ? readCount(this.unkept.said) : null));
  doubtful = $derived.by(() => this.unkept.rows.filter(({ doubtful }) => doubtful.length).length);
  ready = $derived.by(() =>
    Boolean((!this.unkept.said.trim() || this.count) && (this.count || this.unkept.rows.length) && this.page !== null)
  );

  get #key(): string {
    const { diary } = this;
    return `eave-by-hand ${this.#loaded().brief.id} ${diary.version.number} ${diary.sourceId}`;
  }
  /** Takes up what was left unkept here; to be called in the browser. */
  recall(): void {
    try {
      const left = localStorage.getItem(this.#key);
      if (left) this.unkept = { ...structuredClone(nothing), ...(JSON.parse(left) as Partial<Unkept>) };
    } catch {
      // A browser that keeps nothing begins anew.
    }
  }
  /** Keeps what is unkept in this browser; to be called when it has changed. */
  remember(): void {
    const { said, rows, page } = this.unkept;
    try {
      if (said || rows.length || page) localStorage.setItem(this.#key, JSON.stringify($state.snapshot(this.unkept)));
      else localStorage.removeItem(this.#key);
    } catch {
      // The same.
    }
  }

  /** Reads the people out of a page, and offers its count where none was typed. */
  read(text: string): void {
    const had = new Set(this.unkept.rows.map(({ values }) => `${values.name}|${values.company ?? ''}`));
    const rows = readResultPage(text.slice(0, mostText)).filter(
      ({ values }) => !had.has(`${values.name}|${values.company ?? ''}`)
    );
    this.unkept.rows.push(...rows);
    const counted = countOnPage(text);
    if (counted && !this.unkept.said.trim()) this.unkept.said = counted.line;
    this.told = rows.length
      ? `${rows.length} people read${counted ? `; the page says “${counted.line}”` : ''}.`
      : 'Nobody can be read out of this. A name, a title and a firm on lines of their own, or a table, are understood.';
  }
  correct(row: PageRow, field: PageField, value: string): void {
    row.values[field] = value;
    row.doubtful = row.doubtful.filter((other) => other !== field);
  }

  /** Does something at the server; `done` is called as soon as it is done, before the page is loaded anew. */
  async #attempt(work: () => Promise<Diary>, done: () => void = () => {}): Promise<boolean> {
    this.refused = null;
    this.keeping = true;
    try {
      this.#diary = await work();
      done();
      await reload('eave:diary', 'eave:brief');
      this.#diary = null;
      return true;
    } catch (problem) {
      this.refused = problem;
      return false;
    } finally {
      this.keeping = false;
    }
  }

  /** Writes what is typed and pasted into the diary. */
  keep = async (): Promise<void> => {
    if (!this.ready || this.keeping) return;
    const { version, sourceId } = this.diary;
    const { said, rows } = $state.snapshot(this.unkept);
    const { search, page } = this;
    await this.#attempt(
      () =>
        call('addEntry', {
          params: { id: this.#loaded().brief.id, number: String(version.number), source: sourceId },
          body: { search, said, page: rows.length ? page : null, rows }
        }),
      () => {
        // What was typed or pasted meanwhile stays.
        this.unkept.rows.splice(0, rows.length);
        if (this.unkept.said === said) this.unkept.said = '';
        this.unkept.page = '';
        this.told = 'Kept.';
      }
    );
  };
  /** Keeps an entry as it was corrected. */
  keepCorrection = async (): Promise<void> => {
    if (this.correcting && (await this.change($state.snapshot(this.correcting)))) this.correcting = null;
  };
  change = (entry: Entry): Promise<boolean> => {
    const { id, said, page, rows, takenBack, revision } = entry;
    return this.#attempt(() =>
      call('changeEntry', {
        params: { id: this.#loaded().brief.id, entry: id },
        body: { said, page, rows, takenBack, revision }
      })
    );
  };
}
