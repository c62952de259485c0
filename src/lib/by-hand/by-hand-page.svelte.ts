import { call } from '$lib/api/call';
import { reload } from '$lib/kept/reload';
import type { Answer } from '$api';
import { readCount, type PageField, type PageRow } from '$core/formats';
import { PageReader } from './page-reader';
import { manualPage as say } from './words';

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
  /** The slice of a harvest in place of the search; null: whichever is next. */
  slice: string | null;
  page: string;
  said: string;
  rows: PageRow[];
}
const nothing: Unkept = { search: 0, slice: null, page: '', said: '', rows: [] };

/** Most text of a page read at once; the rest has to be pasted separately. */
export const maxText = 400_000;

/** Pages that are offered to be opened next, of so many at most. */
const nextPages = 5;
const maxPages = 1000;

/** The screen of a place run by hand: what is kept of it, and what is typed, pasted and corrected before it is kept. */
export class ByHandPage {
  readonly #loaded: () => Loaded;
  #diary: Diary | null = $state.raw(null);
  unkept: Unkept = $state(structuredClone(nothing));
  /** An entry that is being corrected. */
  correcting: Entry | null = $state(null);
  refused: unknown = $state(null);
  status = $state('');
  keeping = $state(false);
  /** A page is being read. */
  reading = $state(false);
  readonly #reader = new PageReader();

  constructor(loaded: () => Loaded) {
    this.#loaded = loaded;
  }

  diary = $derived.by(() => this.#diary ?? this.#loaded().diary);
  /** Of a harvest, the slice that was picked, or the next that waits. */
  search = $derived.by(() => {
    const { searches, harvest } = this.diary;
    if (!harvest) return Math.min(this.unkept.search, Math.max(0, searches.length - 1));
    const picked = searches.findIndex(({ slice }) => slice?.id === this.unkept.slice);
    return picked >= 0 ? picked : Math.max(0, this.next);
  });
  /** The first slice that waits; -1 where none does. */
  next = $derived.by(() => this.diary.searches.findIndex(({ slice }) => slice?.state === 'waiting'));
  here = $derived.by(() => this.diary.searches[this.search]);
  /** Pages to open that nobody has read yet. */
  toOpen = $derived.by(() =>
    this.here ? this.pagesOf(this.here).filter((page) => !this.here!.pagesRead.includes(page)) : []
  );
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

  /** Pages to open: those drawn, or of a slice the next few, since all of it is wanted. */
  pagesOf({ slice, drawn, pages, pagesRead }: Diary['searches'][number]): number[] {
    if (!slice) return drawn;
    const all = Array.from({ length: Math.min(pages ?? 0, maxPages) }, (_, i) => i + 1);
    return all.filter((page) => !pagesRead.includes(page)).slice(0, nextPages);
  }
  pick(to: number): void {
    const slice = this.diary.searches[to]?.slice;
    if (slice) this.unkept.slice = slice.id;
    else this.unkept.search = to;
  }

  get #key(): string {
    const { diary } = this;
    return `eave-by-hand ${this.#loaded().brief.id} ${diary.version.number} ${diary.sourceId}${diary.harvest ? ` ${diary.harvest.id}` : ''}`;
  }
  /** What the server is to tell in return. */
  get #harvest() {
    const { harvest } = this.diary;
    return harvest && { harvest: harvest.id };
  }
  /** Takes up what was left unkept here; to be called in the browser. */
  recall(): void {
    try {
      const left = localStorage.getItem(this.#key);
      if (left) this.unkept = { ...structuredClone(nothing), ...(JSON.parse(left) as Partial<Unkept>) };
    } catch {
      // Without storage in the browser it starts over.
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

  /** Reads the people out of a page, and offers its count where none was typed. Gives how many came. */
  async read(text: string): Promise<number> {
    this.reading = true;
    const { rows: read, counted } = await this.#reader
      .read(text.slice(0, maxText))
      .finally(() => (this.reading = false));
    const had = new Set(this.unkept.rows.map(({ values }) => `${values.name}|${values.company ?? ''}`));
    const rows = read.filter(({ values }) => !had.has(`${values.name}|${values.company ?? ''}`));
    this.unkept.rows.push(...rows);
    if (counted && !this.unkept.said.trim()) this.unkept.said = counted.line;
    this.status = rows.length
      ? `${say.peopleRead(rows.length)}${counted ? say.countOnPage(counted.line) : ''}.`
      : say.noPeopleRead;
    return rows.length;
  }
  /** Makes the reading of pages ready; to be called in the browser. */
  warm = (): void => void this.#reader.warm();
  stop(): void {
    this.#reader.stop();
  }
  correct(row: PageRow, field: PageField, value: string): void {
    row.values[field] = value;
    row.doubtful = row.doubtful.filter((other) => other !== field);
  }

  /** Calls the server; `done` runs as soon as it has answered, before the page reloads. */
  async #attempt(work: () => Promise<Diary | null>, done: () => void = () => {}): Promise<boolean> {
    this.refused = null;
    this.keeping = true;
    try {
      this.#diary = await work();
      done();
      await reload('eave:diary', 'eave:brief', 'eave:harvests');
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
    const slice = this.here?.slice;
    await this.#attempt(
      () =>
        call('addEntry', {
          params: { id: this.#loaded().brief.id, number: String(version.number), source: sourceId },
          body: { search, said, page: rows.length ? page : null, rows, ...(slice && { slice: slice.id }) }
        }),
      () => {
        // What was typed or pasted meanwhile stays.
        this.unkept.rows.splice(0, rows.length);
        if (this.unkept.said === said) this.unkept.said = '';
        this.unkept.page = '';
        this.status = say.saved;
        // Moves on to the next slice once this one is read.
        const after = this.diary.searches.find((one) => one.slice && one.slice.id === slice?.id);
        if (after && after.slice!.state !== 'waiting') this.unkept.slice = null;
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
        body: { said, page, rows, takenBack, revision, ...this.#harvest }
      })
    );
  };
  /** Says of the slice that is looked at that all which its place shows was read, or that it was not. */
  end = async (ended: boolean): Promise<void> => {
    const { harvest } = this.diary;
    const slice = this.here?.slice;
    if (!harvest || !slice) return;
    const done = await this.#attempt(async () => {
      await call('changeSlice', {
        params: { id: this.#loaded().brief.id, harvest: harvest.id, slice: slice.id },
        body: { do: ended ? 'end' : 'reopen' }
      });
      return null;
    });
    if (done && ended) this.unkept.slice = null;
  };
}
