import { call } from '$lib/api/call';
import { precisionOf, samplePrecision, spokenOf, type Verdict } from '$core/measure';
import { checkFacts, ruledOut } from '$core/persona';
import type { Answer } from '$api';
import { KeptVerdicts, type KeptVerdict } from './kept-verdicts.svelte';

type Trial = Answer<'readTrial'>;

/** What judging goes by, as the page was loaded with it. */
export interface Loaded {
  brief: { id: string };
  trial: Trial | null;
  /** The second judge who judges; null for the first, whose verdicts the brief goes by. */
  as: string | null;
  persona: Pick<Answer<'readPersona'>, 'body'>;
  wording: Pick<Answer<'readWording'>, 'body'>;
}

const writeVerdict =
  (briefId: string) =>
  (key: string, given: { verdict: Verdict | null; reason: string; by?: 'person' | 'rule' }, revision: number) => {
    const [sourceId, personId, judge] = JSON.parse(key) as [string, string, string | null];
    const { verdict, reason, by = 'person' } = given;
    const body = { sourceId, personId, verdict, reason, revision };
    const written = judge
      ? call('giveJudgement', { params: { id: briefId, judge }, body })
      : call('giveVerdict', { params: { id: briefId }, body: { ...body, by } });
    return written as Promise<KeptVerdict | null>;
  };

/** Judging the sample of a trial: who is drawn with the verdict that is shown, who counts, and how to take back. */
export class Judging {
  readonly kept: KeptVerdicts;
  readonly #loaded: () => Loaded;
  readonly #certainOnly: () => boolean;
  readonly #judged: () => void;
  #undone: { personId: string; verdict: Verdict | null; reason: string }[] = $state([]);

  /** `judged` is called when the server has taken a verdict. */
  constructor(
    loaded: () => Loaded,
    certainOnly: () => boolean,
    judged: () => void,
    write = writeVerdict(loaded().brief.id)
  ) {
    this.#loaded = loaded;
    this.#certainOnly = certainOnly;
    this.#judged = judged;
    this.kept = new KeptVerdicts(write);
  }

  #keyOf = (personId: string) => JSON.stringify([this.#loaded().trial?.sourceId, personId, this.#loaded().as]);

  /** The trial as it is shown: without those who are possible only, where only the certain count. */
  readonly trial = $derived.by(() => {
    const { trial } = this.#loaded();
    return (
      trial && {
        ...trial,
        people: this.#certainOnly() ? trial.certain : trial.people,
        sample: trial.sample
          .filter(({ unlisted }) => !(this.#certainOnly() && unlisted.length))
          .map((one) => ({
            ...one,
            loaded: one.verdict,
            verdict: this.kept.of(this.#keyOf(one.person.id), one.verdict)
          }))
      }
    );
  });

  /** The people judged, each once however many records of theirs were drawn. */
  readonly people = $derived.by(() => {
    const people = new Map<number | string, { one: Drawn; verdict: Verdict }>();
    for (const one of this.trial?.sample ?? []) {
      const verdict = verdictOf(one);
      const key = one.number ?? one.person.id;
      // A verdict just given on one record stands above what was said before on the other.
      if (verdict && (!people.has(key) || one.verdict?.verdict !== one.loaded?.verdict))
        people.set(key, { one, verdict });
    }
    return [...people.values()];
  });

  readonly #stay = $derived.by(() => (this.#certainOnly() ? 'certain' : 'possible'));

  /** How many people the sample speaks of. */
  readonly speaksOf = $derived.by(() => (this.trial ? spokenOf(this.trial.found, this.#stay, this.trial.people) : 0));

  readonly precision = $derived.by(
    () =>
      this.trial &&
      samplePrecision(
        this.trial.found,
        this.#stay,
        this.people.map(({ one, verdict }) => ({ verdict, page: one.page ?? undefined })),
        this.trial.people
      )
  );

  /** The same of the first tenth of the list alone. */
  readonly top = $derived.by(() =>
    precisionOf(
      this.people.flatMap(({ one, verdict }) => (this.trial && one.rank <= this.trial.people / 10 ? [verdict] : []))
    )
  );

  /** How many of those not judged yet, on any record of theirs, facts alone make a miss. */
  readonly ruled = $derived.by(() => {
    const { persona, wording } = this.#loaded();
    const isRuledOut = ({ person, verdict, counts }: Drawn) =>
      !verdict && !counts && ruledOut(checkFacts(persona.body, wording.body, person)) !== null;
    return this.trial?.sample.filter(isRuledOut).length ?? 0;
  });

  get canUndo(): boolean {
    return this.#undone.length > 0;
  }

  judgedAs = (wanted: Verdict) => this.people.filter(({ verdict }) => verdict === wanted).map(({ one }) => one.person);

  /** Gives, changes or (with null) takes back the verdict on one who was drawn. */
  async judge(one: Drawn | undefined, verdict: Verdict | null, reason: string, remember = true): Promise<void> {
    if (!one) return;
    if (remember)
      this.#undone.push({
        personId: one.person.id,
        verdict: one.verdict?.verdict ?? null,
        reason: one.verdict?.reason ?? ''
      });
    await this.kept.give(this.#keyOf(one.person.id), one.loaded, { verdict, reason });
    if (!this.kept.problem) this.#judged();
  }

  /** Takes the last verdict back as it was, and says whose it was by their place among those shown; -1 where there is none. */
  undo(): number {
    const last = this.#undone.pop();
    if (!last) return -1;
    const at = this.trial?.sample.findIndex(({ person }) => person.id === last.personId) ?? -1;
    void this.judge(this.trial?.sample[at], last.verdict, last.reason, false);
    return at;
  }

  /** Judges by rule the people whose facts alone make them misses. */
  async judgeByRule(): Promise<void> {
    const { brief, trial } = this.#loaded();
    if (!trial) return;
    const given = await call('judgeByRule', { params: { id: brief.id, trial: trial.id } });
    for (const { personId, ...verdict } of given) this.kept.note(this.#keyOf(personId), verdict);
    this.#judged();
  }

  /** How many of the sample only a rule has judged. */
  readonly byRule = $derived.by(() => this.trial?.sample.filter(({ verdict }) => verdict?.by === 'rule').length ?? 0);

  /** Takes back at once all that a rule has said of the sample. */
  async takeBackRules(): Promise<void> {
    const { brief, trial } = this.#loaded();
    if (!trial) return;
    const { taken } = await call('takeBackRules', { params: { id: brief.id, trial: trial.id } });
    for (const personId of taken) this.kept.note(this.#keyOf(personId), null);
    this.#judged();
  }

  /** Gives every record of a person the same verdict. */
  async settle({ person, verdict: said }: Drawn, verdict: Verdict): Promise<void> {
    const { brief, trial } = this.#loaded();
    if (!trial) return;
    try {
      await call('settleConflict', {
        params: { id: brief.id },
        body: { sourceId: trial.sourceId, personId: person.id, verdict, reason: said?.reason ?? '' }
      });
    } finally {
      this.kept.forget(this.#keyOf(person.id));
    }
  }

  /** Starts over: another trial, or another judge. */
  start(): void {
    this.#undone = [];
    this.kept.problem = null;
  }
}

export type Drawn = NonNullable<Judging['trial']>['sample'][number];

/** What counts for a person: the verdict just given here, or what is said of them by the rule for several records. */
export function verdictOf({ person, verdict, loaded, counts }: Drawn): Verdict | null {
  if (verdict && verdict.verdict !== loaded?.verdict) return verdict.verdict;
  if (verdict === null && loaded)
    return counts?.records.find(({ personId }) => personId !== person.id)?.verdict ?? null;
  return counts?.verdict ?? verdict?.verdict ?? null;
}
