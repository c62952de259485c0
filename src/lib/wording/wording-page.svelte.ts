import { reload } from '$lib/kept/reload';
import { ApiProblem, call } from '$lib/api/call';
import { reading } from '$lib/frame/certain-only';
import { KeptDocument } from '$lib/kept/kept-document.svelte';
import type { Answer } from '$api';
import { quoted, tokenKeys } from '$core/language';
import type { Estimate } from '$core/measure';
import { wordingTable, wordSetsSchema, type Wording, type WordSet } from '$core/persona';
import { languages, meanings, type Language } from '$core/titles';
import { addTyped, putInto, refuseIn, takeOutOf } from './word-set-edits';
import { wordingPage as say } from './words';

interface Loaded {
  brief: { id: string };
  wording: Answer<'readWording'>;
  sources: Answer<'listSources'>;
}

/** The Wording page: the word sets, proposals for the open one, and how often each wording is in a current title. */
export class WordingPage {
  readonly #loaded: () => Loaded;
  readonly #openId: () => string | null;
  readonly sets: KeptDocument<WordSet[]>;
  refused: unknown = $state(null);
  typed = $state('');
  status = $state('');
  /** Languages that wordings are proposed in. */
  spoken: readonly Language[] = $state.raw(languages);
  /** What is added or rejected here is remembered for all briefs. */
  houseRemembers = $state(false);
  /** What other briefs took (true) or refused of this title. */
  house: ReadonlyMap<string, boolean> = $state.raw(new Map());
  #answers: Record<string, Map<string, Record<'certain' | 'possible', Estimate> | null>> = $state({});
  readonly #asked = new Set<string>();

  constructor(loaded: () => Loaded, openId: () => string | null) {
    this.#loaded = loaded;
    this.#openId = openId;
    this.sets = new KeptDocument<WordSet[]>(loaded().wording, wordSetsSchema, async (body) => {
      const kept = await call('writeWording', { params: { id: loaded().brief.id }, body });
      await reload('eave:brief');
      return kept;
    });
  }

  open = $derived.by(() => this.sets.value.find(({ id }) => id === this.#openId()) ?? this.sets.value[0]);
  rows = $derived.by(() => (this.open ? wordingTable(this.open, { languages: this.spoken }) : []));
  counts = $derived.by(() =>
    Object.fromEntries(
      Object.entries(this.#answers).map(([id, notice]) => [
        id,
        new Map([...notice].map(([text, count]) => [text, count && count[reading()]]))
      ])
    )
  );
  /** Words in use that mean several things by themselves. */
  ambiguous = $derived.by(() => {
    const inUse = this.open?.wordings.filter((one) => one.inUse) ?? [];
    const single = inUse.map(({ text }) => tokenKeys(text)).filter((keys) => keys.length === 1);
    return [...new Set(single.flat())]
      .map((word) => ({ word, senses: meanings(word) }))
      .filter(({ senses }) => senses.length);
  });

  /** Counts what was not counted yet of the table, at every source that is there. */
  countRows(): void {
    const texts = this.rows.map(({ text }) => text);
    for (const { id, readiness } of this.#loaded().sources) {
      if ('reason' in readiness) continue;
      const known = this.#answers[id];
      const missing = texts.filter((text) => !known?.has(text));
      if (missing.length) void this.#count(id, missing);
    }
  }
  async #count(sourceId: string, texts: string[]): Promise<void> {
    const fresh = texts.filter((text) => !this.#asked.has(`${sourceId} ${text}`)).slice(0, 1000);
    if (!fresh.length) return;
    for (const text of fresh) this.#asked.add(`${sourceId} ${text}`);
    const answer = await call('count', {
      body: { sourceId, texts: fresh.map((text) => `title:${quoted(text)}`) }
    }).catch(() => null);
    if (!answer) return;
    const next = new Map(this.#answers[sourceId]);
    fresh.forEach((text, i) => next.set(text, answer.counts[i] ?? null));
    this.#answers[sourceId] = next;
  }

  /** Asks what other briefs decided of the open title's wordings. */
  askHouse(): void {
    const title = this.open?.name;
    if (title)
      call('houseWordings', { query: { title } }).then(
        (known) => (this.house = new Map(known.map(({ wording, taken }) => [wording, taken]))),
        () => {}
      );
  }
  async #remember(wordings: string[], taken: boolean): Promise<void> {
    const { open } = this;
    if (!this.houseRemembers || !open) return;
    try {
      const known = await call('rememberWordings', { body: { title: open.name, wordings, taken } });
      this.house = new Map(known.map((one) => [one.wording, one.taken]));
    } catch (problem) {
      this.refused = problem;
    }
  }

  #change(edit: (set: WordSet) => WordSet): void {
    const id = this.open?.id;
    this.sets.change(this.sets.value.map((set) => (set.id === id ? edit(set) : set)));
  }
  /** The origin of a wording that is taken out of the table. */
  #originOf(text: string): Wording['origin'] {
    const row = this.rows.find((one) => one.text === text);
    return row?.nearness === 'translated' ? 'translated' : row && row.nearness !== 'own' ? 'lexicon' : 'typed';
  }

  use = (texts: string[], inUse: boolean): void => {
    const given = texts.map((text) => ({ text, origin: this.#originOf(text), inUse }));
    this.#change((set) => putInto(set, given));
    if (inUse) void this.#remember(texts, true);
  };
  refuse = (texts: string[]): void => {
    this.#change((set) => refuseIn(set, texts));
    void this.#remember(texts, false);
  };
  remove = (texts: string[]): void => this.#change((set) => takeOutOf(set, texts));
  /** Takes a title that was found in results. */
  takeFound = (title: string): void =>
    this.#change((set) => putInto(set, [{ text: title.slice(0, 200), origin: 'found', inUse: true }]));

  /** Adds what was typed or pasted. */
  add = (): void => {
    if (!this.open) return;
    const { set, added, known } = addTyped(this.open, this.typed);
    if (!added && !known) return;
    const before = new Set(this.open.wordings.map(({ text }) => text));
    const fresh = set.wordings.flatMap(({ text }) => (before.has(text) ? [] : [text]));
    this.#change(() => set);
    if (fresh.length) void this.#remember(fresh, true);
    this.status = `${say.manyAdded(added)}${known ? say.alreadyThere(known) : ''}.`;
    this.typed = '';
  };

  /** All wordings as CSV, by title. */
  written = async (): Promise<string> => (await import('./wording-files')).writeWordingsCsv(this.sets.value);

  /** Takes in the wordings of a CSV by title. */
  take = async (file: File): Promise<void> => {
    this.refused = null;
    try {
      const { readWordingsCsv } = await import('./wording-files');
      const found = readWordingsCsv(await file.text());
      const byName = new Map([...found].map(([title, list]) => [title.toLowerCase(), list]));
      const known = this.sets.value.filter(({ name }) => byName.has(name.toLowerCase()));
      this.sets.change(this.sets.value.map((set) => putInto(set, byName.get(set.name.toLowerCase()) ?? [])));
      const strange = found.size - known.length;
      this.status = say.wordingsImported(file.name, known.length, strange);
    } catch (problem) {
      this.refused = new ApiProblem(0, say.notImported, say.nothingChanged(file.name, (problem as Error).message));
    }
  };
}
