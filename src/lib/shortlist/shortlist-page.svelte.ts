import { SvelteMap, SvelteSet } from 'svelte/reactivity';
import { replaceState } from '$app/navigation';
import { page } from '$app/state';
import { ApiProblem, call } from '$lib/api/call';
import { Attempts } from '$lib/kept/attempts.svelte';
import { watchBrief } from '$lib/kept/changes';
import { reload } from '$lib/kept/reload';
import type { Answer, Body } from '$api';
import { readQuery, sortedBy, writeQuery, type FilterName, type ListQuery } from './list-query';

export type KeptPerson = Answer<'listKept'>['people'][number];
type Change = Body<'changeKept'>['change'];

interface Data {
  brief: { id: string };
  list: Answer<'readShortlist'> | null;
}

/** People of one stretch, as the server gives them. */
const stretch = 100;

/** The screen of a shortlist: its table of as many people as there are, of which those in sight are loaded; and what is done with them. */
export class ShortlistPage extends Attempts {
  query: ListQuery = $state(readQuery(''));
  of = $state(0);
  at: number | null = $state(null);
  card: Answer<'readKept'> | null = $state.raw(null);
  busy = $state(false);
  /** How far the list was when its people were loaded. */
  #loaded = '';
  readonly chosen = new SvelteSet<number>();
  /** Everybody the filter finds is selected, loaded or not. */
  everybody = $state(false);
  readonly #rows = new SvelteMap<number, KeptPerson>();
  readonly #data: () => Data;
  #loading = new Set<number>();
  #asked = 0;
  /** Where choosing a range began. */
  #anchor: number | null = null;

  constructor(data: () => Data) {
    super();
    this.#data = data;
  }

  get params() {
    return { id: this.#data().brief.id, list: this.#data().list?.id ?? '' };
  }
  /** The filter as the API is asked. */
  get asked(): Record<string, string> {
    return Object.fromEntries(Object.entries(this.query.filter).filter(([, value]) => value));
  }

  row = (place: number): KeptPerson | undefined => this.#rows.get(place);

  /** Reloads what is in sight; an answer to an earlier question is dropped. */
  list = (first = 0): Promise<void> => {
    this.#asked++;
    this.#loaded = this.#mark;
    this.#loading.clear();
    this.#rows.clear();
    return this.need(first, first + 1);
  };

  /** Changes whenever its people have, or what is known of their addresses. */
  get #mark(): string {
    const { list } = this.#data();
    return list ? `${list.id} ${list.updatedAt} ${list.mail.run?.checked}` : '';
  }
  /** Shows what has come further: of the list, where that is not shown yet, or (`verdicts`) of the brief. */
  follow = async (verdicts: boolean): Promise<void> => {
    await reload('eave:shortlists');
    if (verdicts || this.#mark !== this.#loaded) await this.list(Math.max(0, this.place));
  };

  /** Follows what changes of the list and its brief, soon after the first of several changes. Returns what stops it. */
  listen(): () => void {
    let soon: ReturnType<typeof setTimeout> | undefined;
    let verdicts = false;
    const again = (ofBrief: boolean) => {
      verdicts ||= ofBrief;
      soon ??= setTimeout(() => {
        soon = undefined;
        if (!this.busy) void this.follow(verdicts);
        verdicts = false;
      }, 800);
    };
    const stop = watchBrief(this.params.id, { changed: () => again(true), kept: () => again(false) });
    return () => {
      clearTimeout(soon);
      stop();
    };
  }

  /** Has the people between two places loaded. */
  need = async (from: number, to: number): Promise<void> => {
    const { list } = this.#data();
    if (!list) return;
    const asked = this.#asked;
    const wanted: number[] = [];
    for (let at = Math.floor(Math.max(0, from) / stretch); at * stretch < Math.max(to, 1); at++)
      if (!this.#loading.has(at) && (at === 0 || at * stretch < this.of)) wanted.push(at);
    await Promise.all(
      wanted.map(async (at) => {
        this.#loading.add(at);
        const page = await this.attempt(() =>
          call('listKept', {
            params: this.params,
            query: {
              ...this.asked,
              from: at * stretch,
              ...(this.query.sort.length && { sort: this.query.sort.join(',') })
            }
          })
        );
        if (asked !== this.#asked || !page) return;
        this.of = page.of;
        page.people.forEach((person, i) => this.#rows.set(at * stretch + i, person));
      })
    );
  };

  /** Looks at the list otherwise; the address follows, so that it can be handed on. */
  look(change: Partial<ListQuery>): void {
    this.query = { ...this.query, ...change };
    this.clear();
    this.#follow();
    void this.list();
  }
  filter(name: FilterName, value: string): void {
    this.look({ filter: { ...this.query.filter, [name]: value } });
  }
  sort(column: string, more: boolean): void {
    this.look({ sort: sortedBy(this.query.sort, column, more) });
  }
  view(query: string): void {
    this.look(readQuery(query));
  }
  #follow(): void {
    const address = new URL(page.url);
    const list = address.searchParams.get('list');
    address.search = writeQuery(this.query);
    if (list) address.searchParams.set('list', list);
    replaceState(address, page.state);
  }

  clear(): void {
    this.chosen.clear();
    this.everybody = false;
    this.#anchor = null;
  }
  /** Chooses somebody or not; with shift everybody between. */
  choose(place: number, on: boolean, shift: boolean): void {
    this.everybody = false;
    const [from, to] =
      shift && this.#anchor !== null ? [Math.min(place, this.#anchor), Math.max(place, this.#anchor)] : [place, place];
    for (let at = from; at <= to; at++) {
      const person = this.row(at);
      if (!person) continue;
      if (on) this.chosen.add(person.number);
      else this.chosen.delete(person.number);
    }
    this.#anchor = place;
  }
  /** How many are chosen. */
  get many(): number {
    return this.everybody ? this.of : this.chosen.size;
  }
  get which(): Body<'changeKept'>['which'] {
    return this.everybody ? { filter: this.asked as object } : { numbers: [...this.chosen] };
  }
  /** The chosen people by number; those by a filter are asked for. */
  numbers = async (): Promise<number[]> => {
    if (!this.everybody) return [...this.chosen];
    await this.need(0, Math.min(this.of, 5000));
    return Array.from({ length: Math.min(this.of, 5000) }, (_, at) => this.row(at)?.number).filter(
      (one) => one !== undefined
    );
  };

  /** The position of the selected person among those loaded. */
  get place(): number {
    for (const [place, { number }] of this.#rows) if (number === this.at) return place;
    return -1;
  }
  open = (number: number) =>
    this.attempt(async () => {
      this.at = number;
      const card = await call('readKept', { params: { ...this.params, number } });
      if (this.at === number) this.card = card;
    });
  close(): void {
    this.at = null;
    this.card = null;
  }
  go = async (by: -1 | 1): Promise<void> => {
    const next = this.place + by;
    if (next < 0 || next >= this.of) return;
    await this.need(next, next + 1);
    const person = this.row(next);
    if (person) await this.open(person.number);
  };

  /** Changes the list and shows the result. */
  doing = <T>(work: () => Promise<T>): Promise<T | undefined> =>
    this.attempt(async () => {
      this.busy = true;
      try {
        return await work();
      } finally {
        this.busy = false;
        await this.again();
      }
    });
  again = async (): Promise<void> => {
    await reload('eave:shortlists', 'eave:brief');
    await this.list(Math.max(0, this.place));
    if (this.at !== null) await this.open(this.at);
  };

  /** Changes those chosen, or others; of a single one with what stood there before (`was`), so that no other page is overwritten. */
  change = (change: Change, which = this.which, was: Body<'changeKept'>['was'] = undefined) =>
    this.doing(async () => {
      await call('changeKept', { params: this.params, body: { which, change, ...(was && { was }) } });
      if (change.drop) {
        this.clear();
        this.close();
      }
    });
  undo = () => this.doing(() => call('undoKept', { params: this.params }));
  join = () =>
    this.doing(async () => {
      await call('joinKept', { params: this.params, body: { numbers: await this.numbers() } });
      this.clear();
    });
  split = (number: number, record: number) =>
    this.doing(() => call('splitKept', { params: { ...this.params, number }, body: { record } }));
  /** Changes what the list is called and has beside its people. */
  settle = (change: Omit<Body<'changeShortlist'>, 'revision'>) =>
    this.doing(() =>
      call('changeShortlist', { params: this.params, body: { ...change, revision: this.#data().list!.revision } })
    );
  checkMail = (body: Body<'checkMail'>) => this.doing(() => call('checkMail', { params: this.params, body }));
  /** Where free text still names somebody who was erased; empty where nothing is left, or nobody was erased. */
  leftToSettle: Answer<'object'>['left'] = $state([]);
  /** Erases somebody everywhere, because they objected. */
  erase = (record: { sourceId: string; personId: string }) =>
    this.doing(async () => {
      const erased = await call('object', { body: record });
      this.leftToSettle = erased.left;
      this.close();
      this.clear();
      return erased;
    });

  /** The list as a file; the people in it count as exported, unless it goes to a spreadsheet. */
  file = async (leaving: Record<string, string | number>): Promise<Blob> => {
    const answer = await fetch(`/api/briefs/${this.params.id}/shortlists/${this.params.list}/file`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...this.asked, ...leaving })
    });
    if (answer.ok) return answer.blob();
    const problem = (await answer.json()) as { title: string; detail: string };
    throw new ApiProblem(answer.status, problem.title, problem.detail);
  };
}
