import { call } from '$lib/api/call';
import { Attempts } from '$lib/kept/attempts.svelte';
import { reload } from '$lib/kept/reload';
import { KeptVerdicts } from '$lib/trial/judging/kept-verdicts.svelte';
import type { Answer, Body } from '$api';
import { drawEvery } from '$core/harvest';
import type { Verdict } from '$core/measure';

export type ListedPerson = Answer<'listHarvestPeople'>['people'][number];
export interface Filter {
  source: string;
  country: string;
  verdict: '' | Verdict | 'none';
  certain: boolean;
  words: string;
  notIn: string;
}
export type Format = 'csv' | 'jsonl' | 'xlsx' | 'trec';

interface Data {
  brief: { id: string };
  harvest: Answer<'readHarvest'> | null;
}

/** Verdicts after which the ranking is learned again. */
const learnEvery = 10;

const nobody: Filter = { source: '', country: '', verdict: '', certain: false, words: '', notIn: '' };

/** The screen of a harvest: its people page by page by a filter, and judging down the list. */
export class HarvestPage extends Attempts {
  filter: Filter = $state({ ...nobody });
  people: ListedPerson[] = $state.raw([]);
  of: number | null = $state(null);
  last = $state(true);
  /** The number of the person that is looked at. */
  at: number | null = $state(null);
  card: Answer<'readHarvestPerson'> | null = $state.raw(null);
  busy = $state(false);
  /** One drawn at random stands before the list. */
  drawn: ListedPerson | null = $state.raw(null);
  readonly kept: KeptVerdicts;
  readonly #data: () => Data;
  #asked = 0;
  #given = 0;

  constructor(data: () => Data) {
    super();
    this.#data = data;
    this.kept = new KeptVerdicts((name, { verdict, reason }, revision) => {
      const [sourceId, personId] = JSON.parse(name) as [string, string];
      return call('giveVerdict', {
        params: { id: data().brief.id },
        body: { sourceId, personId, verdict, reason, revision }
      });
    });
  }

  get #params() {
    return { id: this.#data().brief.id, harvest: this.#data().harvest?.id ?? '' };
  }

  get #query() {
    const { source, country, verdict, certain, words, notIn } = this.filter;
    return {
      ...(source && { source }),
      ...(country && { country }),
      ...(verdict && { verdict }),
      ...(certain && { certain: 'true' }),
      ...(words.trim() && { words: words.trim() }),
      ...(notIn && { notIn })
    };
  }

  /** Lists the first page again; an answer to an earlier question is dropped. */
  list = () =>
    this.attempt(async () => {
      if (!this.#data().harvest) return;
      const asked = ++this.#asked;
      const found = await call('listHarvestPeople', { params: this.#params, query: this.#query });
      if (asked !== this.#asked) return;
      this.people = found.people;
      this.of = found.of;
      this.last = found.last;
      if (this.at !== null && !found.people.some(({ number }) => number === this.at)) this.at = null;
    });

  /** Lists the next page behind the last one. */
  more = () =>
    this.attempt(async () => {
      const end = this.people.at(-1);
      if (!end || this.last || this.busy) return;
      const asked = this.#asked;
      this.busy = true;
      try {
        const found = await call('listHarvestPeople', {
          params: this.#params,
          query: { ...this.#query, after: end.number, ...(end.score !== null && { score: end.score }) }
        });
        if (asked !== this.#asked) return;
        this.people = [...this.people, ...found.people];
        this.last = found.last;
      } finally {
        this.busy = false;
      }
    });

  change(filter: Partial<Filter>): void {
    this.filter = { ...this.filter, ...filter };
    void this.list();
  }

  /** The people as shown: the one drawn at random first. */
  shown = $derived.by(() =>
    this.drawn ? [this.drawn, ...this.people.filter(({ number }) => number !== this.drawn!.number)] : this.people
  );

  #name = ({ on }: ListedPerson) => JSON.stringify([on.sourceId, on.personId]);
  /** What the list was loaded with of the verdict on a person. */
  #loaded = ({ verdict, on }: ListedPerson) =>
    verdict && { verdict, reason: '', by: 'person' as const, revision: on.revision };
  verdictOn = (person: ListedPerson): Verdict | null =>
    this.kept.of(this.#name(person), this.#loaded(person))?.verdict ?? null;

  open = (number: number) =>
    this.attempt(async () => {
      this.at = number;
      this.card = null;
      const card = await call('readHarvestPerson', { params: { ...this.#params, number } });
      if (this.at === number) this.card = card;
    });

  go(by: -1 | 1): void {
    const now = this.shown.findIndex(({ number }) => number === this.at);
    const next = this.shown[now < 0 ? 0 : now + by];
    if (next) void this.open(next.number);
    if (by === 1 && now >= this.shown.length - 5) void this.more();
  }

  /** Judges the selected person; after some verdicts the ranking is learned again. */
  give(verdict: Verdict): void {
    const person = this.shown.find(({ number }) => number === this.at);
    if (!person) return;
    this.#given++;
    const learnNow = this.#given % learnEvery === 0;
    void this.kept
      .give(this.#name(person), this.#loaded(person), { verdict, reason: '' })
      .then(() => (learnNow ? this.learn() : null));
    void this.next();
  }

  /** The next to judge: the likeliest who is not, and in turn one drawn at random: from them follows when enough is read. */
  next = () =>
    this.attempt(async () => {
      this.drawn = null;
      const every = drawEvery(this.#data().harvest?.people ?? 0);
      if (this.#given % every === every - 1) {
        const { next } = await call('nextDrawn', { params: this.#params });
        if (next) {
          this.drawn = next;
          return this.open(next.number);
        }
      }
      const next = this.people.find((person) => this.verdictOn(person) === null);
      if (next) await this.open(next.number);
    });

  /** Learns from the verdicts who is likely to fit, and lists the people in that order. */
  learn = () =>
    this.attempt(async () => {
      this.busy = true;
      try {
        await call('orderHarvest', { params: this.#params });
      } finally {
        this.busy = false;
      }
      await Promise.all([this.list(), reload('eave:harvests', 'eave:brief')]);
    });

  act = (name: 'stopHarvest' | 'goOnWithHarvest', budget?: Body<'startHarvest'>['budget']) =>
    this.attempt(async () => {
      await call(name, { params: this.#params, ...(name === 'goOnWithHarvest' && { body: budget ? { budget } : {} }) });
      await reload('eave:harvests');
    });

  changeSlice = (slice: string, change: Body<'changeSlice'>) =>
    this.attempt(async () => {
      await call('changeSlice', { params: { ...this.#params, slice }, body: change });
      await reload('eave:harvests');
    });

  /** The address of the filtered people as a file. */
  file(format: Format): string {
    const { id, harvest } = this.#params;
    return `/api/briefs/${id}/harvests/${harvest}/file?${new URLSearchParams({ ...this.#query, format })}`;
  }
}
