import { describe, expect, it, vi } from 'vitest';
import { figuresOf, foundBy, type SearchAnswer } from '$core/measure';
import { emptyPersona } from '$core/persona';
import { Judging, verdictOf } from './judging.svelte';
import type { KeptVerdict } from './kept-verdicts.svelte';

type Loaded = ReturnType<ConstructorParameters<typeof Judging>[0]>;
const said = (verdict: KeptVerdict['verdict'], revision = 1): KeptVerdict => ({
  verdict,
  reason: '',
  by: 'person',
  revision
});
const drawn = (id: string, more: object = {}) => ({
  rank: Number(id),
  person: { id, name: `Person ${id}`, country: 'DK' },
  unlisted: [],
  verdict: null,
  counts: null,
  number: Number(id),
  ...more
});

/** Judging of some who were drawn, with a server that takes every verdict. */
function desk(sample: object[], { certainOnly = false, persona = emptyPersona, answers = [] as SearchAnswer[] } = {}) {
  const loaded = {
    brief: { id: 'brief' },
    trial: { id: 'trial', sourceId: 'source', people: 100, certain: 60, sample, found: foundBy(answers, false) },
    as: null,
    persona: { body: persona },
    wording: { body: [] }
  } as unknown as Loaded;
  const judged = vi.fn();
  const write = vi.fn(async (_: string, { verdict, reason }: { verdict: unknown; reason: string }, revision: number) =>
    verdict === null ? null : ({ verdict, reason, by: 'person', revision: revision + 1 } as KeptVerdict)
  );
  const judging = new Judging(
    () => loaded,
    () => certainOnly,
    judged,
    write as never
  );
  return { judging, judged, write };
}

describe('judging a sample', () => {
  it('of a part of a result that was read by hand says of the whole what the figures of the trial say', () => {
    const interval = { low: 200, middle: 260, high: 400 };
    const verdicts = ['fit', 'miss', 'fit', 'fit', 'unsure', 'miss'] as const;
    for (const pages of [
      [1, 2],
      [1, 4, 9]
    ]) {
      const answers = [{ said: 260, interval, shown: 6, certain: 6, possible: 6, complete: false, pages }];
      const pageOf = (i: number) => pages[i % pages.length]!;
      const { judging } = desk(
        verdicts.map((verdict, i) => drawn(String(i + 1), { verdict: said(verdict), page: pageOf(i) })),
        { answers }
      );
      const sample = verdicts.map((verdict, i) => ({ verdict, certain: true, page: pageOf(i) }));
      const { precision } = figuresOf(answers, false, sample, { certain: 100, possible: 100 });
      expect(judging.precision).toEqual(precision.possible);
      expect(judging.precision!.interval.high - judging.precision!.interval.low).toBeGreaterThan(0.2);
      expect(judging.speaksOf).toBeGreaterThan(judging.trial!.people);
    }
  });

  it('shows a verdict at once, counts it, and takes it back', async () => {
    const { judging, judged, write } = desk([drawn('1'), drawn('2', { verdict: said('miss') })]);
    const [first] = judging.trial!.sample;
    const given = judging.judge(first, 'fit', 'title');
    expect(judging.trial!.sample[0]!.verdict).toMatchObject({ verdict: 'fit', reason: 'title' });
    await given;
    expect(judged).toHaveBeenCalledTimes(1);
    expect(write.mock.calls[0]!.slice(1)).toEqual([{ verdict: 'fit', reason: 'title' }, 0]);
    expect(judging.precision).toMatchObject({ fits: 1, misses: 1, share: 0.5 });
    expect(judging.judgedAs('fit').map(({ id }) => id)).toEqual(['1']);
    expect(judging.undo()).toBe(0);
    expect(judging.canUndo).toBe(false);
    expect(judging.trial!.sample[0]!.verdict).toBeNull();
    expect(judging.undo()).toBe(-1);
  });

  it('shows the certain alone where only they count, and precision of the top', () => {
    const sample = [
      drawn('1', { verdict: said('fit') }),
      drawn('50', { verdict: said('miss'), unlisted: ['country:DK'] })
    ];
    expect(desk(sample).judging.trial).toMatchObject({ people: 100 });
    const { judging } = desk(sample, { certainOnly: true });
    expect(judging.trial!.people).toBe(60);
    expect(judging.trial!.sample.map(({ person }) => person.id)).toEqual(['1']);
    expect(desk(sample).judging.top).toMatchObject({ fits: 1, misses: 0 });
  });

  it('counts a person once, by the verdict just given', async () => {
    const other = { verdict: 'miss', conflict: false, records: [{ ...said('miss'), sourceId: 'x', personId: 'y' }] };
    const { judging } = desk([drawn('1', { counts: other }), drawn('2', { number: 1, counts: other })]);
    expect(judging.precision).toMatchObject({ fits: 0, misses: 1 });
    await judging.judge(judging.trial!.sample[1], 'fit', '');
    expect(judging.precision).toMatchObject({ fits: 1, misses: 0 });
    expect(verdictOf(judging.trial!.sample[0]!)).toBe('miss');
  });

  it('counts the unjudged people that facts alone rule out', () => {
    const persona = { ...emptyPersona, countries: ['SE'] };
    const counts = { verdict: 'fit', conflict: false, records: [] };
    const { judging } = desk([drawn('1'), drawn('2', { verdict: said('fit') }), drawn('3', { counts })], { persona });
    expect(judging.ruled).toBe(1);
  });
});
