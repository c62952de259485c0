import { call } from '$lib/api/call';
import { Attempts } from '$lib/kept/attempts.svelte';
import { keepOnShortlist } from '$lib/shortlist/keep';
import type { Answer } from '$api';
import type { Verdict } from '$core/measure';

export type News = Answer<'listNews'>['news'][number];
type Watch = Answer<'listWatches'>[number];

/** What watches have found, gone through by keys: judged, kept, read. */
export class Inbox extends Attempts {
  news: News[] = $state.raw([]);
  last = $state(true);
  /** The watch whose news is shown; empty for all. */
  watch = $state('');
  unread = $state(true);
  /** Those who are known already are left out. */
  onlyUnknown = $state(false);
  at: number | null = $state(null);
  readonly #watches: () => readonly Watch[];
  #asked = 0;

  constructor(watches: () => readonly Watch[]) {
    super();
    this.#watches = watches;
  }

  shown = $derived.by(() =>
    this.onlyUnknown ? this.news.filter(({ known, verdict }) => !known.length && verdict === null) : this.news
  );

  list = (before?: number) =>
    this.attempt(async () => {
      const asked = ++this.#asked;
      const answer = await call('listNews', {
        query: {
          unread: String(this.unread),
          ...(this.watch && { watch: this.watch }),
          ...(before !== undefined && { before })
        }
      });
      if (asked !== this.#asked) return;
      this.news = before === undefined ? answer.news : [...this.news, ...answer.news];
      this.last = answer.last;
      if (!this.news.some(({ id }) => id === this.at)) this.at = this.news[0]?.id ?? null;
    });
  more = () => this.list(this.news.at(-1)?.id);

  get current(): News | undefined {
    return this.shown.find(({ id }) => id === this.at);
  }
  go(by: -1 | 1): void {
    const now = this.shown.findIndex(({ id }) => id === this.at);
    const next = this.shown[now < 0 ? 0 : now + by];
    if (next) this.at = next.id;
  }
  #change(id: number, change: Partial<News>): void {
    this.news = this.news.map((one) => (one.id === id ? { ...one, ...change } : one));
  }
  briefOf = (one: News): string => this.#watches().find(({ id }) => id === one.watchId)?.briefId ?? '';

  give = (verdict: Verdict) =>
    this.attempt(async () => {
      const one = this.current;
      if (!one?.on.personId) return;
      const answer = await call('giveVerdict', {
        params: { id: this.briefOf(one) },
        body: { ...one.on, verdict, reason: '' }
      });
      this.#change(one.id, { verdict, on: { ...one.on, revision: answer?.revision ?? 0 } });
      await this.read(true, one);
      this.go(1);
    });
  keep = () =>
    this.attempt(async () => {
      const one = this.current;
      if (!one?.on.personId) return;
      const watch = this.#watches().find(({ id }) => id === one.watchId);
      await keepOnShortlist(this.briefOf(one), { kind: 'news', ids: [one.id] }, `new in ${watch?.name ?? 'a watch'}`);
      this.#change(one.id, { known: [...new Set([...one.known, 'on a shortlist' as const])] });
      await this.read(true, one);
    });
  read = (read: boolean, one = this.current) =>
    this.attempt(async () => {
      if (!one) return;
      await call('readNews', { body: { ids: [one.id], read } });
      this.#change(one.id, { read });
    });
  readAll = (watch: string) =>
    this.attempt(async () => {
      await call('readNews', { body: { watch } });
      await this.list();
    });
}
