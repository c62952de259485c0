import { beforeAll, describe, expect, it } from 'vitest';
import { QueryTypes } from 'sequelize';
import ICAL from 'ical.js';
import type { Person } from '$core/people';
import { database } from '$server/platform/database/connection';
import { startJobs } from '$server/app/jobs';
import { stopQueue } from '$server/platform/jobs/queue';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { budget, fileSource, over, person, rhythm, setPeople, received } from '$server/testing/watched';
import { createBrief, readDocument, writeDocument } from '$server/features/briefs/briefs';
import { listHarvests } from '$server/features/harvest/harvests';
import { openSources } from '$server/features/sources/sources';
import { keepVersion } from '$server/features/trials/versions';
import { objectTo } from '$server/records/objections/erase';
import { addCustomers } from '$server/features/shortlist/customers';
import { keepPeople } from '$server/features/shortlist/keep';
import { listKept } from '$server/features/shortlist/list-kept';
import { createShortlist } from '$server/features/shortlist/shortlists';
import { giveVerdict } from '$server/features/trials/verdicts';
import { feedOf } from './feed';
import { listNews, readNews } from './news';
import { lookAtWatches, nextOf } from './watch-run';
import {
  changeWatch,
  createWatch,
  deleteWatch,
  findWatch,
  listWatches,
  runsOfWatch,
  runWatch,
  watchNameFor
} from './watches';

useFreshDatabase();
beforeAll(openSources);

async function watched(name: string, sources: Record<string, readonly Person[]>, string = 'title:(quality OR QA)') {
  const { id: briefId } = await createBrief(name);
  const { number } = await keepVersion(briefId, string);
  for (const [id, people] of Object.entries(sources)) await fileSource(id, people);
  const { id } = await createWatch(briefId, {
    name,
    rhythm,
    budget,
    from: Object.keys(sources).map((sourceId) => ({ sourceId, version: number }))
  });
  await over(id);
  return { briefId, id };
}
describe('a watch', () => {
  it('tells who is new, has changed, has left and is back again, and nothing at its first run', async () => {
    const first = [person(0, 'Quality Manager', 'A'), person(1, 'QA', 'B'), person(2, 'Sales', 'C')];
    const { id, briefId } = await watched('Reports', { 'file-told': first });
    expect(await received(id)).toEqual([]);
    expect((await runsOfWatch(id))[0]).toMatchObject({ state: 'done', people: 2, counts: {} });

    await setPeople('file-told', [person(0, 'Quality Director', 'A'), person(2, 'Sales', 'C'), person(3, 'QA', 'D')]);
    await runWatch(id);
    await over(id, 2);
    expect(await received(id)).toEqual([
      {
        kind: 'changed',
        name: 'a',
        why: '',
        changes: [{ field: 'title', before: 'Quality Manager', now: 'Quality Director' }]
      },
      { kind: 'new', name: 'd', why: 'not seen before', changes: [] },
      { kind: 'left', name: 'b', why: 'the source has them no more', changes: [] }
    ]);
    await setPeople('file-told', [person(0, 'Quality Director', 'A'), person(1, 'QA', 'B'), person(3, 'QA', 'D')]);
    await runWatch(id);
    expect(await over(id, 3)).toMatchObject({ counts: { back: 1 }, breaks: [] });
    expect((await received(id)).at(-1)).toMatchObject({ kind: 'back', name: 'b' });
    // Who is there still, and found no more, is told with what has become of them.
    await setPeople('file-told', [person(0, 'Quality Director', 'A'), person(1, 'Sales', 'B'), person(3, 'QA', 'D')]);
    await runWatch(id);
    await over(id, 4);
    expect((await received(id)).at(-1)).toMatchObject({ kind: 'left', name: 'b', why: 'is now Sales' });
    await setPeople('file-told', [person(0, 'Quality Director', 'A'), person(1, 'QA', 'B'), person(3, 'QA', 'D')]);
    await runWatch(id);
    await over(id, 5);
    // Nothing new, and the rows that were gathered are gone: only differences stay.
    await runWatch(id);
    expect(await over(id, 6)).toMatchObject({ state: 'done', people: 3, counts: {} });
    expect(await listHarvests(briefId)).toEqual([]);
    const [rows] = await database().query<{ rows: number }>('SELECT count(*)::int AS rows FROM harvest_rows', {
      type: QueryTypes.SELECT
    });
    expect(rows!.rows).toBe(0);
  }, 60_000);

  it('knows a person from another source, and says so where the string or a sheet was changed between', async () => {
    const anna = person(0, 'Quality Manager', 'Acme A/S', { contact: ['anna@acme.example'] });
    const { id } = await watched('Two places', { 'file-one': [anna], 'file-two': [] });
    await setPeople('file-two', [{ ...anna, id: 'other', jobs: [{ title: 'Quality Manager', company: 'ACME' }] }]);
    await database().query(`UPDATE sources SET sheet = jsonb_set(sheet, '{note}', '"changed"') WHERE id = 'file-two'`);
    await runWatch(id);
    const run = await over(id, 2);
    expect(await received(id)).toEqual([]);
    expect(run.breaks).toEqual(['the sheet of file-two was changed']);
  }, 60_000);

  it('fails aloud where it cannot be read to its end, and tells nothing then', async () => {
    const { id } = await watched('Broken', { 'file-broken': [person(0, 'QA', 'A')] });
    await database().query(
      `UPDATE watches SET budget = '{"requestsPerDay":null,"records":0,"spend":null}' WHERE id = $id`,
      { bind: { id } }
    );
    await setPeople('file-broken', []);
    await runWatch(id);
    expect(await over(id, 2)).toMatchObject({
      state: 'failed',
      problem: expect.stringMatching(/not read to its end/) as string
    });
    expect(await received(id)).toEqual([]);
    await database().query(
      `UPDATE watches SET budget = '{"requestsPerDay":null,"records":null,"spend":null}' WHERE id = $id`,
      { bind: { id } }
    );
    await runWatch(id);
    await over(id, 3);
    expect(await received(id)).toMatchObject([{ kind: 'left' }]);
  }, 60_000);

  it('comes when it is due, once, whatever the clock and however many look', async () => {
    const { id } = await watched('Due', { 'file-due': [person(0, 'QA', 'A')] });
    await database().query(`UPDATE watches SET next_at = now() - interval '3 days' WHERE id = $id`, { bind: { id } });
    await Promise.all([lookAtWatches(), lookAtWatches(), lookAtWatches()]);
    await over(id, 2);
    expect(await runsOfWatch(id)).toHaveLength(2);
    const watch = await findWatch(id);
    expect(watch.nextAt!.getTime()).toBeGreaterThan(Date.now());
    // The clock is set back by a year: what is due then was due before, and comes no more.
    await lookAtWatches(new Date(Date.now() - 365 * 86_400_000));
    expect(await runsOfWatch(id)).toHaveLength(2);
    await stopQueue();
    await runWatch(id);
    await expect(runWatch(id)).rejects.toThrow('already running');
    await startJobs();
    await over(id, 3);
    await changeWatch(id, { active: false });
    await database().query(`UPDATE watches SET next_at = now() - interval '3 days' WHERE id = $id`, { bind: { id } });
    await lookAtWatches();
    expect(await runsOfWatch(id)).toHaveLength(3);
    expect(nextOf(watch, new Date('2026-06-01T00:00:00Z'))!.toISOString()).toBe('2026-06-01T04:00:00.000Z');
  }, 60_000);

  it('leaves out people at firms that the brief excludes, customers of its shortlists among them', async () => {
    const { id, briefId } = await watched('Excluding', { 'file-excluding': [person(0, 'QA', 'A')] });
    const { revision, body } = await readDocument(briefId, 'persona');
    await writeDocument(briefId, 'persona', { body: { ...body, notFirms: ['Polar Foods'] }, revision });
    await database().transaction((transaction) => addCustomers(briefId, ['Kelpline ApS'], transaction));
    await setPeople('file-excluding', [
      person(0, 'QA', 'A'),
      person(1, 'QA', 'Polar Foods A/S'),
      person(2, 'QA', 'Kelpline'),
      person(3, 'QA', 'Neighbour')
    ]);
    await runWatch(id);
    await over(id, 2);
    const { news } = await listNews({ watch: id });
    expect(news.map(({ facts }) => facts.company)).toEqual(['Neighbour']);
    // A list that is made later leaves them out too.
    const { id: list } = await createShortlist(briefId, { name: 'Later', purpose: '' });
    const people = [person(1, 'QA', 'Polar Foods A/S'), person(2, 'QA', 'Kelpline'), person(3, 'QA', 'Neighbour')];
    await keepPeople({ briefId, id: list, why: '', from: { kind: 'people', people } });
    const { people: rows } = await listKept(briefId, list, {});
    const reasons = rows.map(({ company, leftOut }) => [company, leftOut.filter((one) => one !== 'no address')]);
    expect(reasons.sort()).toEqual([
      ['Kelpline', ['customer']],
      ['Neighbour', []],
      ['Polar Foods A/S', ['excluded firm']]
    ]);
  }, 60_000);

  it('is kept with its first run, and made due with its next, or not at all', async () => {
    const { id, briefId } = await watched('Whole', { 'file-whole': [person(0, 'QA', 'A')] });
    await database().query(
      `CREATE FUNCTION refuse_run() RETURNS trigger LANGUAGE plpgsql AS $body$ BEGIN RAISE EXCEPTION 'killed here'; END $body$;
       CREATE TRIGGER refuse_run BEFORE INSERT ON watch_runs FOR EACH ROW EXECUTE FUNCTION refuse_run();`
    );
    await database().query(`UPDATE watches SET next_at = now() - interval '1 day' WHERE id = $id`, { bind: { id } });
    try {
      const before = await findWatch(id);
      const { name, rhythm, budget } = (await listWatches()).find((one) => one.id === id)!;
      const from = [{ sourceId: 'file-whole', version: 1 }];
      await expect(createWatch(briefId, { name: `${name} 2`, rhythm, budget, from })).rejects.toThrow('killed here');
      await expect(lookAtWatches()).rejects.toThrow('killed here');
      expect((await listWatches()).filter((one) => one.briefId === briefId)).toHaveLength(1);
      expect((await findWatch(id)).nextAt).toEqual(before.nextAt);
    } finally {
      await database().query('DROP FUNCTION refuse_run CASCADE');
    }
    await lookAtWatches();
    await over(id, 2);
  }, 60_000);

  it('is read: unread and read, judged, and by feeds of a secret address that can be renewed', async () => {
    const { id, briefId } = await watched('Read <b>&', { 'file-read': [person(0, 'QA', 'A')] });
    await setPeople('file-read', [
      person(0, 'QA', 'A'),
      person(1, 'QA', '<script>&', { place: 'Delft' }),
      person(2, 'QA', 'C')
    ]);
    await runWatch(id);
    await over(id, 2);
    const { news } = await listNews({ watch: id });
    expect(news).toHaveLength(2);
    await giveVerdict(briefId, { ...news[0]!.on, verdict: 'fit', reason: '' });
    expect((await listNews({ watch: id })).news[0]!.verdict).toBe('fit');
    await readNews({ ids: [news[0]!.id], read: true });
    expect((await listWatches()).find((one) => one.id === id)).toMatchObject({
      unread: 1,
      lastRun: { counts: { new: 2 } }
    });
    await readNews({ watch: id });
    expect((await listNews({ watch: id })).news).toEqual([]);
    // Kept out of the news, though what was gathered is gone; and erased from it where they object.
    const { id: list } = await createShortlist(briefId, { name: 'Kept', purpose: '' });
    expect(await keepPeople({ briefId, id: list, why: '', from: { kind: 'news', ids: [news[0]!.id] } })).toMatchObject({
      kept: 1
    });
    expect((await listNews({ watch: id, unread: 'false' })).news[0]!.known).toEqual(['on a shortlist']);
    await objectTo({ sourceId: news[0]!.on.sourceId, personId: news[0]!.on.personId });
    expect((await listNews({ watch: id, unread: 'false' })).news.map((one) => one.id)).toEqual([news[1]!.id]);

    const { feed } = await findWatch(id);
    const atom = await feedOf(feed, 'atom', 'http://127.0.0.1:4310');
    expect(atom.type).toContain('application/atom+xml');
    expect(atom.text).toContain('<feed xmlns="http://www.w3.org/2005/Atom">');
    expect(atom.text).not.toContain('<script>');
    expect(atom.text).toContain('QA at &#60;script&#62;&#38;, Delft');
    const json = JSON.parse((await feedOf(feed, 'json', 'http://127.0.0.1:4310')).text) as {
      version: string;
      items: { id: string }[];
    };
    expect(json.version).toContain('jsonfeed.org/version/1');
    expect(json.items).toHaveLength(1);
    const calendar = new ICAL.Component(
      ICAL.parse((await feedOf(feed, 'ics', 'http://127.0.0.1:4310')).text) as [string, unknown[], unknown[]]
    );
    expect(calendar.getAllSubcomponents('vevent').length).toBeGreaterThan(20);
    await changeWatch(id, { renewFeed: true });
    await expect(feedOf(feed, 'atom', 'http://127.0.0.1:4310')).rejects.toMatchObject({ status: 404 });
    await deleteWatch(id);
    await expect(runsOfWatch(id)).rejects.toMatchObject({ status: 404 });
  }, 60_000);

  it('refuses what cannot be', async () => {
    const { id: briefId } = await createBrief('Refused');
    await keepVersion(briefId, 'QA');
    const from = [{ sourceId: 'marlow-register', version: 1 }];
    const wanted = { name: 'x', rhythm, budget, from };
    await expect(createWatch(briefId, { ...wanted, rhythm: { ...rhythm, rule: 'weekly' } })).rejects.toThrow(
      'RFC 5545'
    );
    await expect(createWatch(briefId, { ...wanted, from: [...from, ...from] })).rejects.toThrow('watched once');
    await expect(
      createWatch(briefId, { ...wanted, from: [{ sourceId: 'nowhere', version: 1 }] })
    ).rejects.toMatchObject({ status: 404 });
    expect((await watchNameFor(briefId)).name).toBe('Everybody found');
  });
});
