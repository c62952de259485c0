import { expectedSpend, type Interval } from '$core/measure';
import { hasPeopleHere } from '$api/source-kinds';
import { reload } from '$lib/kept/reload';
import { goto } from '$app/navigation';
import { ApiProblem, call } from '$lib/api/call';
import { reading as certainOrPossible } from '$lib/frame/certain-only';
import { brief as briefPath } from '$lib/frame/paths';
import { KeptDocument } from '$lib/kept/kept-document.svelte';
import { about } from '$lib/marks/format';
import type { Answer } from '$api';
import { draftSchema } from '$api/draft';
import {
  isOwnScope,
  outlineOf,
  parse,
  print,
  printOutline,
  setNamesIn,
  setQueries,
  type Query,
  type Scope
} from '$core/language';
import { originsOf } from '$core/persona';
import { partsOf } from '$core/semantics';
import { ambiguousIn } from '$core/titles';
import { Ledgers } from '../ledger/ledgers.svelte';
import { BestChanges } from '../proposals/proposals.svelte';
import { StringReading } from '../editor/reading.svelte';
import { stringPage as say } from '../words';

/** What the String page is loaded with. */
export interface StringPageData {
  brief: Answer<'readBrief'>;
  draft: Answer<'readDraft'>;
  persona: Parameters<typeof originsOf>[0];
  wording: Answer<'readWording'>;
  versions: Answer<'listVersions'>;
  wordSets: Answer<'listWordSets'>;
  sources: Answer<'listSources'>;
}

/** The String page: the string that is written, what is known of it, and what can be done with it. */
export class StringPage {
  readonly #data: () => StringPageData;
  readonly draft: KeptDocument<{ text: string; from: number | null }>;
  /** A worker reads the string in full and translates it for every chosen source. */
  readonly reading = new StringReading();
  readonly ledgers = new Ledgers(() => this.#data().brief.id);
  readonly best = new BestChanges(() => this.#data().brief.id);
  leftOut: string[] = $state([]);
  /** The order in which the count is narrowed, where another than the string's was chosen. */
  narrowed: number[] | null = $state(null);
  /** Counts up when verdicts were given on this page. */
  judgedHere = $state(0);
  refused: unknown = $state(null);
  running = $state(false);
  /** What the persona would make of the string, while it is not taken. */
  proposed: string | null = $state(null);

  constructor(data: () => StringPageData) {
    this.#data = data;
    this.leftOut = [...data().brief.leftOut];
    this.draft = new KeptDocument<{ text: string; from: number | null }>(data().draft, draftSchema, (body) =>
      call('writeDraft', { params: { id: this.briefId }, body })
    );
  }

  get briefId(): string {
    return this.#data().brief.id;
  }
  text = $derived.by(() => this.draft.value.text);
  sets = $derived.by(() => setQueries(this.#data().wordSets));
  parsed = $derived.by(() => parse(this.text, this.sets));
  parts = $derived.by(() => (this.parsed.query ? partsOf(this.parsed.query) : []));
  ambiguous = $derived.by(() => (this.parsed.query ? ambiguousIn(this.parsed.query) : []));
  origins = $derived.by(() => originsOf(this.#data().persona, this.#data().wording.body));
  hasError = $derived.by(() => this.parsed.problems.some(({ severity }) => severity === 'error'));
  blocked = $derived.by(() => !this.parsed.query || this.hasError);
  isRead = $derived.by(() => this.reading.text === this.text);
  problems = $derived.by(() => (this.isRead ? this.reading.problems : this.parsed.problems));
  outline = $derived.by(() => outlineOf(this.text, this.sets, this.parsed));
  /** The version that the text is, where it is one. */
  same = $derived.by(() => this.#data().versions.find((version) => version.text === this.text));
  titles = $derived.by(() => [
    ...new Set(
      this.#data().wording.body.flatMap((set) => set.wordings.filter((one) => one.inUse).map((one) => one.text))
    )
  ]);
  chosen = $derived.by(() => this.#data().sources.filter(({ id }) => !this.leftOut.includes(id)));
  /** Those of the chosen whose people are here, and so counted while one types. */
  counted = $derived.by(() => this.chosen.filter(({ kind }) => hasPeopleHere(kind)));
  /** Those that a run goes to. */
  runAt = $derived.by(() => this.chosen.filter(({ kind }) => kind !== 'by-hand'));
  /** What a run costs at the sources that charge, as far as their counts are known: by unit, and the sources whose price is open. */
  runCost = $derived.by(() => {
    const units = new Map<string, Interval>();
    const open: string[] = [];
    for (const { id, name, sheet } of this.runAt) {
      if (!sheet.price) continue;
      const answer = this.answers[id];
      const cost = answer && expectedSpend(sheet, answer.rendering.searches.length, answer.found.reported);
      if (!cost) {
        open.push(name);
        continue;
      }
      const before = units.get(cost.unit) ?? { low: 0, high: 0 };
      units.set(cost.unit, { low: before.low + cost.low, high: before.high + cost.high });
    }
    return { units: [...units], open };
  });
  answers = $derived.by(() => Object.fromEntries(this.counted.map(({ id }) => [id, this.ledgers.states[id]?.answer])));
  order = $derived.by(() => {
    const { narrowed, parts } = this;
    return narrowed?.length === parts.length && narrowed.every((part) => part < parts.length)
      ? narrowed
      : parts.map((_, i) => i);
  });

  /** The own fields that the chosen sources' people have. */
  ownFields = $derived.by(() =>
    [...new Set(this.chosen.flatMap(({ sheet }) => sheet.lists.filter(isOwnScope)))].sort()
  );

  /** Values of a scope that most people of the chosen sources have, as far as their people are here. */
  valuesOf = async (scope: Scope, begins: string) => {
    const lists = await Promise.all(
      this.counted.map(({ id }) =>
        call('readValues', { params: { source: id }, query: { scope, begins } }).catch(() => [])
      )
    );
    const sums = new Map<string, { text: string; people: number }>();
    for (const { text, people } of lists.flat()) {
      const key = text.toLowerCase();
      sums.set(key, { text: sums.get(key)?.text ?? text, people: people + (sums.get(key)?.people ?? 0) });
    }
    return [...sums.values()].sort((a, b) => b.people - a.people);
  };

  write = (next: string, place = '', from = this.draft.value.from) => this.draft.change({ text: next, from }, place);

  /** Has the string read and translated; to be called when it, a set or a sheet has changed. */
  readString(): void {
    const named = new Set(setNamesIn(this.text));
    this.reading.ask({
      text: this.text,
      sets: $state
        .snapshot(this.#data().wordSets)
        .filter(({ name }) => named.has(name))
        .map(({ name, wordings }) => ({ name, wordings })),
      sheets: $state.snapshot(this.chosen).map(({ sheet }) => sheet)
    });
  }

  /** Which sources are left out is kept with the brief. */
  async chooseSource(id: string, use: boolean): Promise<void> {
    const before = this.leftOut;
    this.leftOut = use ? before.filter((other) => other !== id) : [...before, id];
    const { leftOut } = this;
    const kept = await this.#attempt(() =>
      call('leaveOutSources', { params: { id: this.briefId }, body: { leftOut: [...leftOut] } })
    );
    if (!kept) this.leftOut = before;
  }

  layOut = () => this.write(printOutline(this.outline));
  onOneLine = () =>
    this.write(
      printOutline(this.outline, Infinity)
        .split('\n')
        .map((line) => line.trim())
        .join(' ')
    );

  /** How many people a part finds alone, source by source. */
  async countAlone(query: Query): Promise<string[]> {
    const texts = [print(query)];
    return Promise.all(
      this.counted.map(async ({ id, name }) => {
        const answer = await call('count', { body: { texts, sourceId: id } }).catch(() => null);
        const found = answer?.counts[0];
        return `${name}: ${found ? about(found[certainOrPossible()]) : '–'}`;
      })
    );
  }

  async #attempt(work: () => Promise<unknown>): Promise<boolean> {
    this.refused = null;
    try {
      await work();
      return true;
    } catch (problem) {
      this.refused = problem;
      return false;
    }
  }

  /** A proposal taken is a new version, made from what the string was. */
  takeProposal = (next: string, says: string) =>
    this.#attempt(async () => {
      const { version } = await call('takeChanges', {
        params: { id: this.briefId },
        body: { text: this.text, changed: next, parent: this.draft.value.from, note: says.slice(0, 500) }
      });
      this.write(next, '', version.number);
      await reload('eave:brief', 'eave:versions');
    });

  /** Why the string cannot be run as it stands; null where it can. */
  #whyNot(): string | null {
    if (this.blocked) {
      const first = this.parsed.problems.find(({ severity }) => severity === 'error');
      return first?.message ?? say.writeFirst;
    }
    if (this.runAt.length) return null;
    return this.chosen.length ? say.onlyManual : say.noneSelected;
  }

  run = async () => {
    if (this.running) return;
    const why = this.#whyNot();
    if (why !== null) {
      this.refused = new ApiProblem(0, say.couldntRun, why);
      return;
    }
    this.running = true;
    const { text } = this;
    await this.#attempt(async () => {
      await this.draft.flush();
      const { version, trials } = await call('runAtSources', {
        params: { id: this.briefId },
        body: { text, parent: this.draft.value.from, sourceIds: this.runAt.map(({ id }) => id) }
      });
      if (this.draft.value.from !== version.number) this.write(text, 'from', version.number);
      await reload('eave:brief', 'eave:versions');
      await goto(briefPath(this.briefId, 'trial', { trial: trials[0]!.id }));
    });
    this.running = false;
  };

  /** Keeps the string as a version, and opens its diary at a place run by hand. */
  runByHand = (source: string) =>
    this.#attempt(async () => {
      await this.draft.flush();
      const { text } = this;
      const version = await call('keepVersion', {
        params: { id: this.briefId },
        body: { text, parent: this.draft.value.from }
      });
      if (this.draft.value.from !== version.number) this.write(text, 'from', version.number);
      await reload('eave:brief', 'eave:versions');
      await goto(briefPath(this.briefId, 'by-hand', { version: version.number, source }));
    });

  build = () =>
    this.#attempt(async () => {
      const built = await call('buildString', { params: { id: this.briefId } });
      if (!built.text) throw new ApiProblem(0, say.couldntBuild, say.personaEmpty);
      // An edited string is never overwritten unasked.
      if (this.text.trim()) this.proposed = built.text;
      else this.write(built.text);
    });

  pull = (name: string, unwanted: boolean, wordings: string[]) =>
    this.#attempt(async () => {
      await call('createWordSet', {
        body: { name: name.replace(/^@/, ''), kind: unwanted ? 'unwanted' : 'wanted', wordings, note: '' }
      });
      await reload('eave:word-sets');
    });

  nameVersion = async (number: number, change: { name?: string; note?: string }) => {
    await call('nameVersion', { params: { id: this.briefId, number }, body: change });
    await reload('eave:versions');
  };

  stop(): void {
    this.reading.stop();
    this.ledgers.stop();
    this.best.stop();
  }
}
