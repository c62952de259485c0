import { beforeAll, describe, expect, it } from 'vitest';
import { models } from '$server/platform/database/models';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { askPeople } from '$server/workers/people';
import { boardFor } from '$server/features/comparing/board';
import { readingOf } from '$server/features/harvest/harvest-people';
import { openSources } from '$server/features/sources/sources';
import { agreementWith, listJudges } from '$server/features/trials/judges';
import { createBrief, readDocument } from '$server/features/briefs/briefs';
import { listBriefs, readBrief } from '$server/features/trials/brief-overview';
import { beginDemoJob, loadDemo, resetDemo } from './demo';
import { finishDemo } from './demo-job';

useFreshDatabase();
beforeAll(openSources);

const never = new AbortController().signal;
const demo = async () =>
  (await models().Brief.findOne({ where: { demo: true, name: 'Cold-chain quality, north-west Europe' } }))!.id;

describe('the demo’s job', () => {
  it('is done once, and goes on where it was left', async () => {
    await Promise.all([loadDemo(), loadDemo()]);
    await loadDemo();
    expect((await listBriefs()).map(({ demo: isDemo }) => isDemo)).toEqual([true, true]);
    const id = await demo();
    const broken = AbortSignal.timeout(400);
    await finishDemo(id, broken).catch(() => {});
    await finishDemo(id, never);
    const { judged, versions } = await readBrief(id);
    await finishDemo(id, never);
    expect(await readBrief(id)).toMatchObject({ judged, versions });
  }, 120_000);

  it('holds five versions, each run at every stand-in, and a few hundred verdicts with mistakes in them', async () => {
    const id = await demo();
    const board = await boardFor(id);
    expect(board.versions.map(({ number }) => number)).toEqual([5, 4, 3, 2, 1]);
    expect(board.cells).toHaveLength(20);
    expect((await readBrief(id)).judged).toBeGreaterThan(150);
    const { personaId } = (await models().Brief.findByPk(id))!;
    const given = await models().Verdict.findAll({ where: { personaId, sourceId: 'harrow-guild' } });
    const truth = await askPeople('true-verdicts', {
      sourceId: 'harrow-guild',
      ids: given.map(({ personId }) => personId)
    });
    const wrong = given.filter(
      ({ verdict }, i) => verdict !== 'unsure' && (verdict === 'fit') !== (truth[i] === null)
    ).length;
    expect(wrong / given.length).toBeLessThan(0.12);
    expect(new Set(given.map(({ verdict }) => verdict))).toEqual(new Set(['fit', 'miss', 'unsure']));
  });

  it('rises in true precision by 25 points or more from the first version to the last, and the board says so', async () => {
    const id = await demo();
    const trials = await models().Trial.findAll({ where: { sourceId: 'harrow-guild', state: 'done' } });
    const versions = await models().Version.findAll({ where: { briefId: id } });
    const precisionOf = async (number: number) => {
      const version = versions.find((one) => one.number === number)!;
      const { found } = trials.find(({ versionId }) => versionId === version.id)!;
      const truth = await askPeople('true-verdicts', { sourceId: 'harrow-guild', ids: found });
      return truth.filter((why) => why === null).length / found.length;
    };
    expect((await precisionOf(5)) - (await precisionOf(1))).toBeGreaterThan(0.25);
    const { cells } = await boardFor(id);
    const at = (version: number) => cells.find((one) => one.version === version && one.sourceId === 'harrow-guild')!;
    expect(at(1).standing.is).toBe('beaten');
    const [first, last] = [at(1), at(5)].map(({ figures }) => figures.precision.possible.share!);
    expect(last! - first!).toBeGreaterThan(0.25);
  });

  it('has a second judge, customers, a proposal taken, a version chosen at each place, and a draft that goes on', async () => {
    const id = await demo();
    const [judge] = await listJudges(id);
    const { table, differences } = await agreementWith(id, judge!.judge);
    const both = table.flat().reduce((sum, count) => sum + count, 0);
    expect(both).toBeGreaterThan(15);
    expect(differences.length).toBeGreaterThan(0);
    expect((await readDocument(id, 'known')).body.length).toBeGreaterThanOrEqual(5);
    const { body: choice } = await readDocument(id, 'choice');
    expect(choice.baseline).toBe(1);
    expect(choice.winners.map(({ version }) => version)).toEqual([5, 5, 5, 5]);
    const newest = await models().Version.findOne({ where: { briefId: id, number: 5 } });
    expect(newest!.note).toContain('Applied: ');
    expect((await readDocument(id, 'draft')).body).toEqual({ text: newest!.text, from: 5 });
    const empty = (await listBriefs()).find(({ name }) => name === 'Start here')!;
    expect(empty).toMatchObject({ versions: 0, verdicts: 0, demo: true });
  });

  it('judges people drawn at random from its harvest, so that all fits there are can be estimated', async () => {
    const id = await demo();
    const [harvest] = await models().Harvest.findAll({ where: { briefId: id } });
    const reading = () => readingOf(id, harvest!.id);
    await expect.poll(async () => (await reading()).sampled, { timeout: 80_000, interval: 500 }).toBeGreaterThan(20);
    const { there, people } = await reading();
    expect(there!.low).toBeGreaterThan(0);
    expect(there!.high).toBeLessThan(people);
  }, 90_000);

  it('is put back without touching what is one’s own', async () => {
    const own = await createBrief('My own');
    const before = await demo();
    const { id } = await resetDemo();
    expect(id).not.toBe(before);
    const names = (await listBriefs()).map(({ name }) => name).sort();
    expect(names).toEqual(['Cold-chain quality, north-west Europe', 'My own', 'Start here']);
    expect((await readBrief(own.id)).demo).toBe(false);
    await beginDemoJob();
    await expect.poll(async () => (await readBrief(id)).chosen.length, { timeout: 60_000, interval: 300 }).toBe(4);
  }, 90_000);
});
