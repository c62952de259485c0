import { beforeAll, describe, expect, it } from 'vitest';
import { QueryTypes } from 'sequelize';
import { usualFaults } from '$sources/faults';
import { makeStandIns } from '$sources/stand-ins/stand-ins';
import { makeWorld } from '$sources/world/world';
import { readXlsxOf } from '$server/testing/read-workbook';
import { database } from '$server/platform/database/connection';
import { startJobs } from '$server/app/jobs';
import { stopQueue } from '$server/platform/jobs/queue';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { openSources, switchFaults } from '$server/features/sources/sources';
import { keepVersion } from '$server/features/trials/versions';
import { giveVerdict } from '$server/features/trials/verdicts';
import { writeHarvestFile } from './harvest-file';
import { harvestFacets, listHarvestPeople, orderAnew, readHarvestPerson, readingOf } from './harvest-people';
import { changeSlice, cutsAt, wordsAt } from './change-plan';
import { deleteHarvest, goOn, listHarvests, readHarvest, startHarvest, stopHarvest } from './harvests';

useFreshDatabase();
beforeAll(openSources);

const noLimit = { requestsPerDay: null, records: null, spend: null };
const text = 'title:(manager OR quality OR director OR head OR qa OR lead)';
const until = async (holds: () => Promise<boolean>, within = 60_000) => {
  const end = Date.now() + within;
  while (!(await holds())) {
    if (Date.now() > end) throw new Error('it never happened');
    await new Promise((done) => setTimeout(done, 30));
  }
};
const isOver = (briefId: string, id: string) => async () => {
  const { state } = await readHarvest(briefId, id);
  return state === 'done' || state === 'failed' || state === 'paused';
};
const rowsAt = async (id: string, sourceId: string) =>
  await database().query<{ id: string; reading: string; slices: number }>(
    'SELECT person_id AS id, reading, cardinality(slices) AS slices FROM harvest_rows WHERE harvest_id = $id AND source_id = $sourceId',
    { bind: { id, sourceId }, type: QueryTypes.SELECT }
  );

async function briefWith(name: string, string = text) {
  const { id } = await createBrief(name);
  const { number } = await keepVersion(id, string);
  return { id, number };
}

/** Whom a stand-in's searches find in all, shown or not. */
const world = makeStandIns(makeWorld(6000));
function allFound(sourceId: string, searches: Parameters<(typeof world)[number]['count']>[0][]): Set<string> {
  const source = world.find(({ sheet }) => sheet.id === sourceId)!;
  const ids = new Set<string>();
  for (const search of searches) {
    const { found } = source.count(search);
    for (let row = 0; row < source.index.size; row++)
      if ((found[row >> 5]! >>> (row & 31)) & 1) ids.add(source.index.ids[row]!);
  }
  return ids;
}

describe('a harvest', () => {
  it('brings home exactly whom the searches find, far beyond what a source shows, through faults and a restart', async () => {
    const { id, number } = await briefWith('All of it');
    for (const source of ['harrow-guild', 'quillbank', 'marlow-register'])
      await switchFaults(source, { ...usualFaults, slow: false, refusals: false });
    const from = ['harrow-guild', 'quillbank', 'marlow-register'].map((sourceId) => ({ sourceId, version: number }));
    const { id: harvest } = await startHarvest(id, { name: 'All', from, budget: noLimit });
    await until(async () => (await readHarvest(id, harvest)).sources[0]!.gathered.rows > 200);
    await stopQueue();
    await startJobs();
    await until(isOver(id, harvest), 120_000);
    const done = await readHarvest(id, harvest);
    expect(done).toMatchObject({ state: 'done', problem: '' });
    for (const source of done.sources) {
      const whole = source.slices.filter(({ parent }) => parent === null).map(({ search }) => search);
      const rows = await rowsAt(harvest, source.sourceId);
      const wanted = allFound(source.sourceId, whole);
      expect(new Set(rows.map((row) => row.id))).toEqual(wanted);
      expect(source.missing).toEqual({ low: 0, high: 0 });
      expect(source.gathered.rows).toBe(wanted.size);
      expect(source.slices.every(({ state }) => state === 'read' || state === 'cut')).toBe(true);
    }
    const [harrow] = done.sources;
    expect(harrow!.gathered.rows).toBeGreaterThan(1000);
    expect(harrow!.slices.length).toBeGreaterThan(1);
    // As few searches as the cap allows, more or less: nothing is asked over and over.
    const leaves = harrow!.slices.filter(({ state }) => state === 'read').length;
    expect(leaves).toBeLessThanOrEqual(3 * Math.ceil(harrow!.gathered.rows / 1000) + 2);
    expect(done.people).toBeGreaterThan(1000);
    expect(done.people).toBeLessThan(done.sources.reduce((sum, { gathered }) => sum + gathered.possible, 0));
    expect(done.atSeveral).toBeGreaterThan(100);
    expect(await listHarvests(id)).toMatchObject([{ id: harvest, people: done.people }]);
  }, 180_000);

  it('reaches beyond the cap of an index without facts by words that nobody cares about', async () => {
    const { id, number } = await briefWith('Words', 'quality OR manager');
    await switchFaults('lanternfield', { ...usualFaults, slow: false, refusals: false, timeOuts: false });
    const { id: harvest } = await startHarvest(id, {
      name: 'Words',
      from: [{ sourceId: 'lanternfield', version: number }],
      budget: noLimit
    });
    await until(isOver(id, harvest), 120_000);
    const done = await readHarvest(id, harvest);
    const [source] = done.sources;
    const wanted = allFound(
      'lanternfield',
      source!.slices.filter(({ parent }) => parent === null).map(({ search }) => search)
    );
    const rows = await rowsAt(harvest, 'lanternfield');
    expect(wanted.size).toBeGreaterThan(600);
    for (const row of rows) expect(wanted.has(row.id)).toBe(true);
    expect(rows.length / wanted.size).toBeGreaterThan(0.9);
    expect(source!.slices.some(({ cutBy }) => cutBy?.kind === 'word' || cutBy?.kind === 'alternatives')).toBe(true);
    // What is missing is said, with what the source's guesses leave open.
    expect(source!.missing.high).toBeGreaterThanOrEqual(wanted.size - rows.length);
  }, 180_000);

  it('asks again with neutral words until few are new, chosen by it or by hand', async () => {
    const { id, number } = await briefWith('Neutral', 'quality OR manager');
    await switchFaults('lanternfield', { ...usualFaults, slow: false, refusals: false, timeOuts: false });
    const from = [{ sourceId: 'lanternfield', version: number }];
    const { id: harvest } = await startHarvest(id, { name: 'Neutral', from, budget: { ...noLimit, records: 1 } });
    await until(isOver(id, harvest));
    const [cut] = (await readHarvest(id, harvest)).sources[0]!.slices;
    if (cut!.state === 'cut') await changeSlice(id, harvest, cut!.id, { do: 'join' });

    const offered = await wordsAt(id, harvest, cut!.id);
    expect(offered.length).toBeGreaterThan(3);
    for (const { fresh, expected } of offered) expect(fresh).toBeLessThanOrEqual(expected);
    await changeSlice(id, harvest, cut!.id, { do: 'ask with', word: 'Copenhagen' });
    await expect(changeSlice(id, harvest, cut!.id, { do: 'ask with', word: 'copenhagen' })).rejects.toThrow(
      'or it was used already. Choose another word.'
    );

    // Four in ten new is worth it, for this test.
    await goOn(id, harvest, { ...noLimit, newShare: 0.4 });
    await until(isOver(id, harvest), 120_000);
    const [source] = (await readHarvest(id, harvest)).sources;
    const [whole, ...words] = source!.slices;
    expect(whole).toMatchObject({ state: 'cut', cutBy: { kind: 'neutral' }, words: { end: 'few are new' } });
    expect(words[0]!.what).toBe('with “Copenhagen”');
    expect(words.length).toBeGreaterThan(2);
    expect(words.every(({ state, parent }) => state === 'read' && parent === whole!.id)).toBe(true);
    expect(whole!.words!.share).toBeLessThan(0.4);
    const rows = await rowsAt(harvest, 'lanternfield');
    expect(whole!.words).toMatchObject({
      people: rows.length,
      rows: rows.reduce((sum, { slices }) => sum + slices, 0)
    });
    expect(rows.length).toBe([whole!, ...words].reduce((sum, { fresh }) => sum + fresh, 0));
    // Nobody comes whom the search itself does not find.
    const wanted = allFound('lanternfield', [whole!.search]);
    for (const row of rows) expect(wanted.has(row.id)).toBe(true);
    expect(source!.missing.high).toBeGreaterThanOrEqual(wanted.size - rows.length);

    // It goes on where fewer new ones are worth it.
    await goOn(id, harvest, { ...noLimit, newShare: 0.25 });
    await until(isOver(id, harvest), 120_000);
    const [more] = (await readHarvest(id, harvest)).sources;
    expect(more!.slices.length).toBeGreaterThan(source!.slices.length);
    expect(more!.gathered.rows).toBeGreaterThan(source!.gathered.rows);
  }, 240_000);

  it('keeps to its budget: of requests until tomorrow, of records and money until there is more', async () => {
    const { id, number } = await briefWith('Budget');
    const from = [{ sourceId: 'quillbank', version: number }];
    const few = await startHarvest(id, { name: 'Few', from, budget: { ...noLimit, requestsPerDay: 3 } });
    await until(async () => (await readHarvest(id, few.id)).goesOnAt !== null);
    const waits = await readHarvest(id, few.id);
    expect(waits).toMatchObject({ state: 'waiting', sources: [{ requestsToday: 3 }] });
    expect(waits.problem).toMatch(/3 requests for today at Quillbank are used up; it resumes tomorrow/);
    expect(Date.parse(waits.goesOnAt!)).toBeGreaterThan(Date.now());

    const paid = await startHarvest(id, { name: 'Paid', from, budget: { ...noLimit, spend: 6 } });
    await until(isOver(id, paid.id));
    const paused = await readHarvest(id, paid.id);
    expect(paused).toMatchObject({
      state: 'paused',
      problem: expect.stringContaining('6 credits in its budget are spent')
    });
    expect(paused.sources[0]!.spent!.amount).toBeGreaterThanOrEqual(6);
    expect(paused.sources[0]!.spent!.amount).toBeLessThan(6 + 40 * 0.12);
    expect(paused.people).toBeGreaterThan(40);
    const { missing, restCost } = paused.sources[0]!;
    expect(restCost!.high).toBeCloseTo(missing.high * 0.12);
    expect(missing.low).toBeGreaterThan(0);
    const more = await goOn(id, paid.id, { ...noLimit, records: 100 });
    // It may have been taken up already.
    expect(['waiting', 'running']).toContain(more.state);
    await until(isOver(id, paid.id));
    expect((await readHarvest(id, paid.id)).sources[0]!.gathered.rows).toBe(120);
    await goOn(id, paid.id, noLimit);
    await until(isOver(id, paid.id), 90_000);
    expect(await readHarvest(id, paid.id)).toMatchObject({
      state: 'done',
      sources: [{ missing: { low: 0, high: 0 } }]
    });
  }, 180_000);

  it('has a plan that is changed by hand: cut otherwise, joined, left out and taken in', async () => {
    const { id, number } = await briefWith('By hand');
    const { id: harvest } = await startHarvest(id, {
      name: 'Plan',
      from: [{ sourceId: 'harrow-guild', version: number }],
      budget: { ...noLimit, records: 25 }
    });
    await until(isOver(id, harvest));
    let received = await readHarvest(id, harvest);
    const whole = received.sources[0]!.slices.find(({ parent }) => parent === null)!;
    if (whole.state === 'cut') await changeSlice(id, harvest, whole.id, { do: 'join' });
    const cuts = await cutsAt(id, harvest, whole.id);
    const byCountry = cuts.find(({ by }) => by.kind === 'values' && by.scope === 'country')!;
    expect(byCountry.parts.at(-1)).toMatchObject({ what: 'any other or not listed', rest: true });
    received = await changeSlice(id, harvest, whole.id, { do: 'cut', by: byCountry.by });
    const parts = received.sources[0]!.slices.filter(({ parent }) => parent === whole.id);
    expect(parts.length).toBe(byCountry.parts.length);
    await changeSlice(id, harvest, parts[0]!.id, { do: 'leave out' });
    await expect(changeSlice(id, harvest, parts[0]!.id, { do: 'leave out' })).rejects.toThrow('Only a waiting slice');
    await goOn(id, harvest, noLimit);
    await until(isOver(id, harvest), 90_000);
    const without = await readHarvest(id, harvest);
    expect(without.state).toBe('done');
    expect(without.sources[0]!.missing.high).toBeGreaterThan(0);
    await changeSlice(id, harvest, parts[0]!.id, { do: 'take in' });
    await goOn(id, harvest);
    await until(isOver(id, harvest), 90_000);
    const all = await readHarvest(id, harvest);
    expect(all.sources[0]!.missing).toEqual({ low: 0, high: 0 });
    expect(all.sources[0]!.gathered.rows).toBe(allFound('harrow-guild', [whole.search]).size);
  }, 180_000);

  it('puts the likely ones first, by the verdicts there are, and is listed, filtered and exported', async () => {
    const { id, number } = await briefWith(
      'Likely',
      'title:(quality OR sales) AND country:(Denmark OR Sweden OR Germany)'
    );
    const { id: harvest } = await startHarvest(id, {
      name: 'Likely',
      from: [{ sourceId: 'harrow-guild', version: number }],
      budget: noLimit
    });
    await until(isOver(id, harvest), 90_000);
    const first = await listHarvestPeople(id, harvest, {}, null);
    expect(first.of).toBeGreaterThan(100);
    expect(first.people.every(({ score }) => score === null)).toBe(true);
    for (const person of first.people.slice(0, 60)) {
      const { records } = await readHarvestPerson(id, harvest, person.number);
      const fit = /quality/i.test(person.title);
      await giveVerdict(id, {
        sourceId: records[0]!.sourceId,
        personId: records[0]!.person.id,
        verdict: fit ? 'fit' : 'miss',
        reason: '',
        revision: 0
      });
    }
    await orderAnew(id, harvest);
    const { learnt } = await readHarvest(id, harvest);
    expect(learnt).toMatchObject({ judged: 60 });
    expect(learnt!.area).toBeGreaterThan(0.8);
    const { curve, ...so } = await readingOf(id, harvest);
    expect(curve.at(-1)).toEqual({ verdicts: so.judged, fits: so.fits, asTheyCame: so.fits });
    // All of it, a page after the other: nobody twice, in order, the likely ones first.
    const all: Awaited<ReturnType<typeof listHarvestPeople>>['people'] = [];
    for (let page = await listHarvestPeople(id, harvest, {}, null, 37); ;) {
      all.push(...page.people);
      if (page.last) break;
      const { score, number: at } = page.people.at(-1)!;
      page = await listHarvestPeople(id, harvest, {}, { score, number: at }, 37);
    }
    expect(new Set(all.map(({ number: at }) => at)).size).toBe(first.of);
    const scores = all.map(({ score }) => score!);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
    const top = all.slice(0, Math.floor(all.length / 3)).filter(({ title }) => /quality/i.test(title)).length;
    expect(top / Math.floor(all.length / 3)).toBeGreaterThan(0.9);

    const facets = await harvestFacets(id, harvest);
    expect(facets.countries.reduce((sum, { people }) => sum + people, 0)).toBe(first.of);
    expect(facets.verdicts.find(({ value }) => value === 'fit')!.people).toBe(learnt!.fits);
    const fits = await listHarvestPeople(id, harvest, { verdict: 'fit', country: 'DK', words: 'QUAL' }, null);
    expect(fits.people.every((one) => one.verdict === 'fit' && one.country === 'DK')).toBe(true);
    expect((await listHarvestPeople(id, harvest, { words: '%' }, null)).of).toBe(0);

    const csv = Buffer.from(await writeHarvestFile(id, harvest, {}, 'csv')).toString();
    expect(csv.trim().split('\r\n')).toHaveLength(first.of! + 1);
    const rows = await readXlsxOf(await writeHarvestFile(id, harvest, { verdict: 'fit' }, 'xlsx'));
    expect(rows).toHaveLength(learnt!.fits + 1);
    expect(rows[0]![0]).toBe('Name');
    const trec = Buffer.from(await writeHarvestFile(id, harvest, {}, 'trec')).toString();
    expect(trec.split('\n')[0]).toMatch(/^1 Q0 person-\d+ 1 0\.\d{6} harvest$/);
    // What one string brings over another.
    const { number: narrow } = await keepVersion(id, 'title:quality AND country:(Denmark OR Sweden OR Germany)');
    const second = await startHarvest(id, {
      name: 'Narrow',
      from: [{ sourceId: 'harrow-guild', version: narrow }],
      budget: noLimit
    });
    await until(isOver(id, second.id));
    const inBoth = (await readHarvest(id, second.id)).people;
    const over = await listHarvestPeople(id, harvest, { notIn: second.id }, null);
    expect(over.of).toBe(first.of! - inBoth);
    expect(over.people.some(({ title }) => /\bsales\b/i.test(title))).toBe(true);
    expect((await listHarvestPeople(id, second.id, { notIn: harvest }, null)).of).toBe(0);
    await deleteHarvest(id, harvest);
    await expect(readHarvest(id, harvest)).rejects.toThrow(/doesn’t exist|no longer exists/);
  }, 180_000);

  it('is stopped where it is, and what came can be looked at', async () => {
    const { id, number } = await briefWith('Stopped');
    await switchFaults('harrow-guild', { ...usualFaults, slow: true });
    const { id: harvest } = await startHarvest(id, {
      name: 'Stopped',
      from: [{ sourceId: 'harrow-guild', version: number }],
      budget: noLimit
    });
    await until(async () => (await readHarvest(id, harvest)).sources[0]!.gathered.rows > 0);
    const stopped = await stopHarvest(id, harvest);
    expect(stopped.state).toBe('paused');
    expect(stopped.people).toBeGreaterThan(0);
  }, 60_000);
});
