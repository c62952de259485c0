import { beforeAll, describe, expect, it } from 'vitest';
import { sampleSizeFor } from '$core/measure';
import { usualFaults } from '$sources/faults';
import { startJobs } from '$server/app/jobs';
import { stopQueue } from '$server/platform/jobs/queue';
import { models } from '$server/platform/database/models';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { openSources, switchFaults } from '$server/features/sources/sources';
import { drawMore, listTrials, readTrial, resumeTrial, runTrial, startTrial, stopTrial } from './trials';
import { giveVerdict } from './verdicts';
import { keepVersion } from './versions';

useFreshDatabase();
beforeAll(openSources);

const text = 'title:(quality OR manager OR qa) AND (pharma OR chilled OR cold OR food OR market)';
const all = { ...usualFaults, drift: true };
const until = async (holds: () => Promise<boolean>) => {
  const end = Date.now() + 30_000;
  while (!(await holds())) {
    if (Date.now() > end) throw new Error('it never happened');
    await new Promise((done) => setTimeout(done, 20));
  }
};

describe('a trial at places with faults', () => {
  it('ends with the same people as at places without, each once, and says what it did', async () => {
    const { id } = await createBrief('Faults');
    const { number } = await keepVersion(id, text);
    let askedAgain = 0;
    for (const sourceId of ['harrow-guild', 'lanternfield', 'quillbank']) {
      const calm = await runTrial(id, number, sourceId, 40);
      expect(calm).toMatchObject({ state: 'done', events: [] });
      await switchFaults(sourceId, all);
      const rough = await runTrial(id, number, sourceId, 40);
      expect(rough.state).toBe('done');
      expect(rough.people).toBe(calm.people);
      const found = async (trialId: string) => (await models().Trial.findByPk(trialId))!.found;
      expect(await found(rough.id)).toEqual(await found(calm.id));
      expect(new Set(await found(rough.id)).size).toBe(rough.people);
      expect(rough.sample.map(({ rank }) => rank)).toEqual(calm.sample.map(({ rank }) => rank));
      expect(rough.requests).toBeGreaterThanOrEqual(rough.progress.pages);
      if (sourceId === 'quillbank') {
        expect(rough.spent!.unit).toBe('credit');
        expect(rough.spent!.amount).toBeCloseTo(rough.progress.rows * 0.12);
      }
      if (rough.requests === rough.progress.pages) continue;
      askedAgain++;
      expect(rough.events).not.toEqual([]);
    }
    expect(askedAgain).toBeGreaterThanOrEqual(2);
  }, 90_000);

  it('waits when it is refused', async () => {
    const { id } = await createBrief('Refused');
    const { number } = await keepVersion(id, 'manager');
    await switchFaults('lanternfield', { ...all, timeOuts: false, repeats: false, slow: false });
    const trial = await runTrial(id, number, 'lanternfield', 40);
    expect(trial.state).toBe('done');
    expect(trial.events.some(({ what }) => /too many requests, wait .* asked again/.test(what))).toBe(true);
  }, 60_000);
});

describe('a trial that does not come to its end at once', () => {
  it('is stopped, keeps what came, and goes on from there', async () => {
    const { id } = await createBrief('Stopped');
    const { number } = await keepVersion(id, 'manager OR quality');
    await switchFaults('harrow-guild', { ...all, slow: true, refusals: false });
    const trialId = await startTrial(id, number, 'harrow-guild', 40);
    await until(async () => (await readTrial(id, trialId)).progress.pages >= 3);
    const stopped = await stopTrial(id, trialId);
    expect(stopped.state).toBe('stopped');
    await new Promise((done) => setTimeout(done, 300));
    const { pages } = (await readTrial(id, trialId)).progress;
    expect(pages).toBeLessThan(20);
    await expect(drawMore(id, trialId, 50)).rejects.toThrow('when the trial is done');
    await resumeTrial(id, trialId);
    await until(async () => (await readTrial(id, trialId)).state === 'done');
    const done = await readTrial(id, trialId);
    expect(done.progress.pages).toBeGreaterThan(pages);
    expect(done.people).toBe(1200);
    expect((await listTrials(id)).map(({ state }) => state)).toEqual(['done']);
  }, 60_000);

  it('goes on after the queue was gone, with no page asked twice', async () => {
    const { id } = await createBrief('Restart');
    const { number } = await keepVersion(id, 'manager OR sales');
    await switchFaults('harrow-guild', { ...usualFaults, timeOuts: false, repeats: false, refusals: false });
    const trialId = await startTrial(id, number, 'harrow-guild', 40);
    await until(async () => (await readTrial(id, trialId)).progress.pages >= 3);
    await stopQueue();
    await models().Trial.update({ state: 'running' }, { where: { id: trialId } });
    await startJobs();
    await until(async () => (await readTrial(id, trialId)).state === 'done');
    const done = await readTrial(id, trialId);
    expect(done.people).toBe(1200);
    expect(done.progress.pages).toBe(40);
  }, 60_000);
});

describe('a sample', () => {
  it('grows to the half-width wanted, and keeps who was drawn before', async () => {
    const { id } = await createBrief('Grows');
    const { number } = await keepVersion(id, 'title:manager');
    const first = await runTrial(id, number, 'quillbank', 20);
    const size = sampleSizeFor(0.1, first.people);
    expect(size).toBeGreaterThan(60);
    const more = await drawMore(id, first.id, size);
    expect(more.sample).toHaveLength(size);
    const drawn = new Set(more.sample.map(({ person }) => person.id));
    expect(drawn.size).toBe(size);
    expect(first.sample.every(({ person }) => drawn.has(person.id))).toBe(true);
    expect((await drawMore(id, first.id, 10)).sample).toHaveLength(size);
  });
});

describe('a rule’s verdict', () => {
  it('is marked, and never overwrites a person’s', async () => {
    const { id } = await createBrief('Rule');
    const on = { sourceId: 'quillbank', personId: 'qb-1', reason: 'firm size: 3' };
    expect(await giveVerdict(id, { ...on, verdict: 'miss', revision: 0, by: 'rule' })).toMatchObject({ by: 'rule' });
    expect(await giveVerdict(id, { ...on, verdict: 'fit', revision: 1 })).toMatchObject({ by: 'person', revision: 2 });
    await expect(giveVerdict(id, { ...on, verdict: 'miss', revision: 2, by: 'rule' })).rejects.toThrow();
  });
});
