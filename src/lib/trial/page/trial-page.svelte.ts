import { goto, replaceState } from '$app/navigation';
import { page } from '$app/state';
import { call } from '$lib/api/call';
import { certainOnly } from '$lib/frame/certain-only';
import { brief as briefPath } from '$lib/frame/paths';
import { reload } from '$lib/kept/reload';
import type { Answer } from '$api';
import type { Verdict } from '$core/measure';
import { checkFacts } from '$core/persona';
import { Judging, type Drawn, type Loaded } from '../judging/judging.svelte';
import { Onward } from '../judging/onward.svelte';

/** What the Trial page is loaded with. */
export interface TrialPageData extends Loaded {
  trials: Answer<'listTrials'>;
  judges: Answer<'listJudges'>;
  sources: Answer<'listSources'>;
}

/** The Trial page: who is looked at, what is said of them, and what can be done with the trial. */
export class TrialPage {
  readonly #data: () => TrialPageData;
  readonly judging: Judging;
  readonly onward = new Onward();
  refused: unknown = $state(null);
  /** Moves at once and not when the page has loaded: the next key is meant for the next person. */
  #wanted = $state(0);
  #followed = '';
  #started: string | undefined;

  constructor(data: () => TrialPageData) {
    this.#data = data;
    this.judging = new Judging(data, certainOnly, () => void reload('eave:brief'));
  }

  /** Starts over where another trial, or another judge, is there; to be called before the page is drawn. */
  follow(): void {
    const { trial, as } = this.#data();
    const now = `${trial?.id} ${as}`;
    if (now === this.#started) return;
    this.#started = now;
    this.judging.start();
  }
  /** Goes to the person that the address names, where it names another than before. */
  followPlace(): void {
    const place = page.url.searchParams.get('at') ?? '0';
    const now = `${this.#data().trial?.id} ${place}`;
    if (now === this.#followed) return;
    this.#followed = now;
    this.#wanted = Number(place) || 0;
  }

  get #briefId(): string {
    return this.#data().brief.id;
  }
  trial = $derived.by(() => this.judging.trial);
  at = $derived.by(() => (this.trial ? Math.min(this.trial.sample.length - 1, Math.max(0, this.#wanted)) : 0));
  current = $derived.by((): Drawn | null => this.trial?.sample[this.at] ?? null);
  checks = $derived.by(() => {
    const { persona, wording } = this.#data();
    return this.current ? checkFacts(persona.body, wording.body, this.current.person) : [];
  });
  nextUnjudged = $derived.by(() => this.trial?.sample.findIndex(({ verdict }, i) => !verdict && i !== this.at) ?? -1);
  versionNumbers = $derived.by(() => [...new Set(this.#data().trials.map(({ version }) => version))]);
  judgeNames = $derived.by(() => {
    const { judges, as } = this.#data();
    return [...new Set([...judges.map(({ judge }) => judge), ...(as ? [as] : [])])];
  });
  source = $derived.by(() => this.#data().sources.find(({ id }) => id === this.#data().trial?.sourceId));
  /** Who judges, as the address says it. */
  as = $derived.by((): Record<string, string> => {
    const { as } = this.#data();
    return as ? { as } : {};
  });

  sourceName = (id: string) => this.#data().sources.find((source) => source.id === id)?.name ?? id;
  /** Said of the same person on another record, and nothing on this one. */
  otherRecord = ({ verdict, counts }: Drawn) =>
    verdict || !counts ? null : { verdict: counts.verdict, at: this.sourceName(counts.records[0]!.sourceId) };
  /** Records of a person that were judged differently, newest first. */
  conflictOf = ({ person, counts }: Drawn) =>
    this.#data().as || !counts?.conflict
      ? []
      : counts.records.map(({ verdict, sourceId, personId }) => ({
          verdict,
          at: personId === person.id ? `${this.sourceName(sourceId)} (here)` : this.sourceName(sourceId)
        }));

  openTrial = (id: string) => goto(briefPath(this.#briefId, 'trial', { trial: id, ...this.as }));
  /** Nobody's name is the first judge, whose verdicts the brief goes by. */
  judgeAs = (name: string) =>
    goto(briefPath(this.#briefId, 'trial', { ...(this.trial && { trial: this.trial.id }), ...(name && { as: name }) }));
  go = (index: number): void => {
    if (!this.trial || index < 0 || index >= this.trial.sample.length) return;
    this.#wanted = index;
    replaceState(briefPath(this.#briefId, 'trial', { trial: this.trial.id, at: index, ...this.as }), page.state);
  };

  /** After a fit, or the reason for a miss, moves to the next person if the user chose that. */
  give = (verdict: Verdict): void => {
    const { current } = this;
    const same = verdict === current?.verdict?.verdict;
    void this.judging.judge(current ?? undefined, verdict, same ? (current?.verdict?.reason ?? '') : '');
    if (this.onward.after(verdict)) this.go(this.at + 1);
  };
  because = (reason: string): void => {
    const { current } = this;
    if (!current?.verdict) return;
    void this.judging.judge(current, current.verdict.verdict, reason);
    if (reason && this.onward.afterReason()) this.go(this.at + 1);
  };
  takeBack = (): void => {
    if (this.current?.verdict) void this.judging.judge(this.current, null, '');
  };
  undo = (): void => this.go(this.judging.undo());

  /** Calls the server, shows a refusal, and reloads what may have changed. */
  async doing(work: () => Promise<unknown>, ...names: string[]): Promise<void> {
    this.refused = null;
    try {
      await work();
    } catch (problem) {
      this.refused = problem;
    }
    await reload(...names);
  }
  settle = (verdict: Verdict): void => {
    const { current } = this;
    if (current) void this.doing(() => this.judging.settle(current, verdict), 'eave:trials', 'eave:brief');
  };
  act = (operation: 'stopTrial' | 'resumeTrial', id: string) =>
    this.doing(() => call(operation, { params: { id: this.#briefId, trial: id } }), 'eave:trials');
  drawMore = (more: number): void => {
    const { trial } = this.#data();
    if (!trial || !this.trial) return;
    // Those who are possible only are drawn with the certain, in their share.
    const size = trial.sample.length + Math.ceil((more * trial.people) / Math.max(1, this.trial.people));
    const params = { id: this.#briefId, trial: trial.id };
    void this.doing(() => call('drawMore', { params, body: { size: Math.min(2000, size) } }), 'eave:trials');
  };
}
