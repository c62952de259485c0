import { describe, expect, it } from 'vitest';
import { api, useBrowser } from './browser';
import { judge, run, walk, type Trial } from './figures-walk';

const { open } = useBrowser();

describe('one meaning for each figure', () => {
  it('on the demo’s sources: the same on every screen and in the API, for all possible and for the certain alone', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Figures' });
    const text =
      'title:(QA OR "quality manager" OR "head of quality") AND (GDP OR pharma OR chilled) AND headcount:[51 TO 1000]';
    const all = await api<{ id: string; name: string; kind: string }[]>('GET', '/sources');
    const sources = all.filter(({ kind }) => kind === 'stand-in');
    const trials = await run(
      id,
      text,
      sources.map((source) => source.id)
    );
    // The first and the second source, so that some people are judged at both, and not always alike.
    for (const [at, trial] of trials.slice(0, 2).entries())
      for (const [i, { person }] of trial.sample.entries())
        await judge(id, trial.sourceId, person.id, (i + at) % 3 ? 'fit' : 'miss');
    const { different, places } = await walk(open, { id, text, sources }, 'possible');
    expect(different).toEqual([]);
    for (const source of sources) expect(places[`estimated ${source.id}`]).toBeGreaterThanOrEqual(7);
    expect(places['precision harrow-guild']).toBeGreaterThanOrEqual(5);
    expect(places.judged).toBeGreaterThanOrEqual(6);

    const page = await open(`/briefs/${id}/compare`);
    await page.getByText('Certain only').click();
    await expect.poll(async () => (await api<{ certainOnly: boolean }>('GET', `/briefs/${id}`)).certainOnly).toBe(true);
    await page.close();
    const certain = await walk(open, { id, text, sources }, 'certain');
    expect(certain.different).toEqual([]);
    expect(certain.places['estimated lanternfield']).toBeGreaterThanOrEqual(7);
  }, 240_000);

  it('at a place run by hand, from part of a result', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Figures by hand' });
    const sheets = await api<{ id: string; sheet: object; kind: string }[]>('GET', '/sources');
    const { sheet } = sheets.find((source) => source.id === 'harrow-guild')!;
    const source = await api<{ id: string; name: string }>('POST', '/sources', {
      sheet: { ...sheet, name: 'By hand here' }
    });
    const text = 'title:quality OR company:pharma';
    const row = (i: number) => ({
      values: { name: `Person ${i}`, title: i % 4 ? 'Quality Manager' : 'Buyer', company: `Firm ${i}` }
    });
    const answer = (said: number, low: number, high: number, from: number) => ({
      said,
      interval: { low, high },
      rows: Array.from({ length: 25 }, (_, i) => row(from + i))
    });
    const trial = await api<Trial>('POST', `/briefs/${id}/hand-results`, {
      text,
      sourceId: source.id,
      answers: [answer(3400, 3350, 3449, 0), answer(1000, 1000, 1999, 100)]
    });
    await api('PUT', `/briefs/${id}/draft`, { body: { text, from: 1 }, revision: 1 });
    expect(trial.found.reported.middle).toBeCloseTo(3399.5 + Math.sqrt(1000 * 1999), 0);
    // 25 rows of 3,400 never give a result that is known to the person.
    const { low, middle, high } = trial.found.estimated.possible;
    expect(high - low).toBeGreaterThan(100);
    expect(middle).toBeGreaterThan(2500);
    for (const [i, { person }] of trial.sample.entries()) await judge(id, source.id, person.id, i % 3 ? 'fit' : 'miss');
    const { different } = await walk(open, { id, text, sources: [source] }, 'possible');
    expect(different).toEqual([]);
    await api('DELETE', `/sources/${source.id}`);
  }, 120_000);
});
