import { beforeAll, describe, expect, it } from 'vitest';
import { readResultPage } from '$core/formats';
import { harrowGuild } from '$core/dialect';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { recordByHand } from './record-by-hand';
import { createByHand, openSources } from '$server/features/sources/sources';
import { drawMore, listTrials } from '$server/features/trials/trials';

useFreshDatabase();
beforeAll(openSources);

const text = 'title:(QA OR "quality manager") NOT intern';
const page = readResultPage(
  'Anna Ström\nQA Manager\nNordkyl AB\nMalmö, Sweden\n\nBo Lindgren\nQA Intern\nNordkyl AB\n\nAnna Ström\nQA Manager\nNordkyl AB\nMalmö, Sweden\n'
);

describe('what came back from a place run by hand', () => {
  it('is kept as a trial: the count as it was understood, and the people, each once', async () => {
    const { id } = await createBrief('By hand');
    const source = await createByHand({ ...harrowGuild, name: 'Over There' });
    const answer = { said: 3000, interval: { low: 2500, high: 3499 }, rows: page };
    const trial = await recordByHand(id, text, null, source.id, [answer]);
    expect(trial).toMatchObject({ state: 'done', version: 1, sourceName: 'Over There', people: 2 });
    const { reported, shown, estimated } = trial.found;
    expect(reported).toEqual({ low: 2500, middle: 2999.5, high: 3499 });
    expect(shown).toBe(3);
    // Two of three rows stay: somebody came twice.
    expect(estimated.possible.low).toBeGreaterThanOrEqual(2);
    expect(estimated.possible.high).toBeLessThanOrEqual(3499);
    expect(estimated.possible.high - estimated.possible.low).toBeGreaterThan(500);
    expect(trial.answers[0]!.interval).toEqual({ low: 2500, high: 3499 });
    expect(trial.sample.map(({ person }) => person.name)).toEqual(['Anna Ström', 'Bo Lindgren']);
    const again = await recordByHand(id, text, 1, source.id, [
      { said: 1, interval: { low: 1, high: 1 }, rows: page.slice(0, 1) }
    ]);
    expect(again.version).toBe(1);
    expect(again.sample[0]!.person.id).toBe(trial.sample[0]!.person.id);
    expect((await drawMore(id, again.id, 10)).sample).toHaveLength(2);
    expect(await listTrials(id)).toHaveLength(1);
  });

  it('is refused when the string makes other searches, or the place is none run by hand', async () => {
    const { id } = await createBrief('Refused');
    const source = await createByHand({ ...harrowGuild, name: 'Over There' });
    const answer = { said: 0, interval: { low: 0, high: 0 }, rows: [] };
    await expect(recordByHand(id, text, null, source.id, [answer, answer])).rejects.toThrow('Copy the searches again');
    await expect(recordByHand(id, text, null, 'harrow-guild', [answer])).rejects.toThrow('searched by Eave');
  });
});
