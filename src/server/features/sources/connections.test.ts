import { once } from 'node:events';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, beforeAll, describe, expect, it } from 'vitest';
import { makeStandIns } from '$sources/stand-ins/stand-ins';
import { makeWorld } from '$sources/world/world';
import { serveStandIns } from '$sources/served/serve-stand-ins';
import { database } from '$server/platform/database/connection';
import { models } from '$server/platform/database/models';
import { useFreshDatabase } from '$server/testing/fresh-database';
import { createBrief } from '$server/features/briefs/briefs';
import { boardFor } from '$server/features/comparing/board';
import { keepVersion } from '$server/features/trials/versions';
import { readTrial, resumeTrial, runTrial, startTrial } from '$server/features/trials/trials';
import { giveVerdict } from '$server/features/trials/verdicts';
import { connectService, readConnection, reconnect } from './connections';
import { listSources, openSources, readySource } from './sources';

useFreshDatabase();
beforeAll(openSources);

type Fault = (request: IncomingMessage, response: ServerResponse) => boolean;
/** What the service does instead of answering; false where it answers. */
let fault: Fault = () => false;
let served: ReturnType<typeof createServer>;
let address = '';
let port = 0;
const toClose: (() => void)[] = [];

async function open(at = 0) {
  served = createServer((request, response) => {
    if (!fault(request, response)) standIns.emit('request', request, response);
  });
  served.listen(at, '127.0.0.1');
  await once(served, 'listening');
  port = (served.address() as AddressInfo).port;
  address = `http://127.0.0.1:${port}/harrow-guild`;
}
const close = () => {
  served.closeAllConnections();
  served.close();
};
let standIns: ReturnType<typeof serveStandIns>;
beforeAll(async () => {
  standIns = serveStandIns(makeStandIns(makeWorld(6000)), { key: 'sesame-1', refuses: false });
  await open();
  return close;
});
afterEach(() => {
  fault = () => false;
  for (const one of toClose.splice(0)) one();
});

const text = 'title:(quality OR manager OR qa) AND (pharma OR chilled OR cold OR food OR market)';
const isSearch = ({ url }: IncomingMessage) => url?.endsWith('/search') ?? false;
const until = async (holds: () => Promise<boolean>) => {
  const end = Date.now() + 45_000;
  while (!(await holds())) {
    if (Date.now() > end) throw new Error('it never happened');
    await new Promise((done) => setTimeout(done, 30));
  }
};

async function connected() {
  const source = await connectService({ address, key: 'sesame-1' });
  // Its pace is of a real minute: the tests cannot wait for that.
  const row = await models().Source.findByPk(source.id);
  await row!.update({ sheet: { ...row!.sheet, limits: { ...row!.sheet.limits, perMinute: null } } });
  return source;
}

describe('a connected service', () => {
  it('finds whom the same place finds here, is judged and compared like any other, and says what it cost', async () => {
    const source = await connected();
    expect(source).toMatchObject({ kind: 'connected', name: 'Harrow Guild', people: null });
    const { id } = await createBrief('Over the net');
    const { number } = await keepVersion(id, text);
    const [here, there] = [await runTrial(id, number, 'harrow-guild', 40), await runTrial(id, number, source.id, 40)];
    expect(there).toMatchObject({ state: 'done', people: here.people, answers: here.answers });
    const found = async (trial: string) => (await models().Trial.findByPk(trial))!.found;
    expect(await found(there.id)).toEqual(await found(here.id));
    const [row] = there.sample;
    await giveVerdict(id, {
      sourceId: source.id,
      personId: row!.person.id,
      verdict: 'fit',
      reason: '',
      revision: 0
    });
    const board = await boardFor(id);
    const cellOf = (trial: string) => board.cells.find(({ trialId }) => trialId === trial)!;
    expect(cellOf(there.id).figures.reported).toEqual(cellOf(here.id).figures.reported);
    expect(cellOf(there.id).figures.precision.possible).toMatchObject({ fits: 1, misses: 0 });
    await expect(readySource(source.id)).rejects.toThrow('only counted when you run it');

    const bank = await connectService({ address: address.replace('harrow-guild', 'quillbank'), key: 'sesame-1' });
    const priced = await runTrial(id, number, bank.id, 40);
    expect(priced.spent!.unit).toBe('credit');
    expect(priced.spent!.amount).toBeCloseTo(priced.progress.rows * 0.12);
  }, 90_000);

  it('keeps its key encrypted, tells it to nobody, and sends it nowhere else', async () => {
    const source = await connected();
    expect(await readConnection(source.id)).toMatchObject({ address, hasKey: true });
    const kept = JSON.stringify(await database().query('SELECT * FROM connections'));
    expect(kept).not.toContain('sesame-1');
    expect(JSON.stringify(await listSources())).not.toContain('sesame-1');
    await expect(reconnect(source.id, { address: 'http://127.0.0.1:9/' })).rejects.toThrow('enter its key');
    // What is encrypted for one source opens no other.
    const other = await connected();
    const { Connection } = models();
    const { sealedKey } = (await Connection.findByPk(source.id))!;
    await Connection.update({ sealedKey }, { where: { sourceId: other.id } });
    await expect(reconnect(other.id, {})).rejects.toThrow('Enter it again');
    await reconnect(other.id, { key: 'sesame-1' });
    await expect(reconnect(other.id, { key: 'wrong' })).rejects.toThrow('rejected the key');
  });

  it('is not added where it answers with nonsense, with nothing, or under no address', async () => {
    const before = (await listSources()).length;
    await expect(connectService({ address, key: null })).rejects.toThrow('rejected the key');
    await expect(connectService({ address: 'gopher://x', key: null })).rejects.toThrow('https://');
    await expect(connectService({ address: 'http://127.0.0.1:1', key: null })).rejects.toThrow('Nothing answers at');
    fault = (_, response) => Boolean(response.end('<html>'));
    await expect(connectService({ address, key: 'sesame-1' })).rejects.toThrow('is not JSON');
    fault = () => true;
    await expect(connectService({ address, key: 'sesame-1' })).rejects.toThrow('didn’t answer in time');
    expect(await listSources()).toHaveLength(before);
  });
});

describe('a trial at a service', () => {
  it('waits where it is refused, and asks again after a fault or no answer', async () => {
    const source = await connected();
    const { id } = await createBrief('Refused');
    const { number } = await keepVersion(id, text);
    let asked = 0;
    fault = (request, response) => {
      if (!isSearch(request)) return false;
      asked++;
      if (asked === 2) return Boolean(response.writeHead(429, { 'retry-after': '1' }).end());
      if (asked === 3) return Boolean(response.writeHead(500).end());
      return asked === 4;
    };
    const trial = await runTrial(id, number, source.id, 40);
    expect(trial.state).toBe('done');
    const events = trial.events.map(({ what }) => what);
    expect(events).toContainEqual(expect.stringMatching(/too many requests, wait 1 s; asked again/));
    expect(events).toContainEqual(expect.stringMatching(/The service failed \(HTTP 500\); asked again/));
    expect(events).toContainEqual(expect.stringMatching(/no answer in time; asked again/));
    expect(trial.requests).toBe(trial.progress.pages + 3);
  }, 60_000);

  it('lets others go first where the wait is long, and says until when', async () => {
    const source = await connected();
    const { id } = await createBrief('Long wait');
    const { number } = await keepVersion(id, text);
    fault = (request, response) =>
      isSearch(request) && Boolean(response.writeHead(429, { 'retry-after': '600' }).end());
    const trial = await startTrial(id, number, source.id, 40);
    await until(async () => (await readTrial(id, trial)).events.length > 0);
    const waiting = await readTrial(id, trial);
    expect(waiting.state).toBe('waiting');
    expect(waiting.events.at(-1)!.what).toMatch(/too many requests, wait 600 s; it goes on at \d{4}-/);
    const jobs = await database().query(
      "SELECT run_at > now() + interval '500 s' AS later FROM graphile_worker.jobs WHERE key = $key",
      {
        bind: { key: trial }
      }
    );
    expect(jobs[0]).toEqual([{ later: true }]);
  }, 60_000);

  it('fails with a sentence where the key is taken away or nonsense comes, and goes on when that is fixed', async () => {
    const source = await connected();
    const { id } = await createBrief('Mended');
    const { number } = await keepVersion(id, text);
    let asked = 0;
    fault = (request, response) =>
      isSearch(request) && ++asked > 2 && Boolean(response.writeHead(200).end('{"count": "many"}'));
    const failed = await runTrial(id, number, source.id, 40);
    expect(failed).toMatchObject({ state: 'failed', progress: { pages: 2 } });
    expect(failed.problem).toMatch(/^Harrow Guild: Its answer is not as the protocol has it.*Resume when/);
    fault = (request, response) => isSearch(request) && Boolean(response.writeHead(403).end());
    await resumeTrial(id, failed.id);
    await until(async () => (await readTrial(id, failed.id)).problem.includes('rejected the key'));
    fault = () => false;
    await resumeTrial(id, failed.id);
    await until(async () => (await readTrial(id, failed.id)).state === 'done');
    const here = await runTrial(id, number, 'harrow-guild', 40);
    expect((await readTrial(id, failed.id)).people).toBe(here.people);
  }, 90_000);

  const answering =
    (body: () => string): Fault =>
    (request, response) => {
      if (!isSearch(request)) return false;
      response.writeHead(200, { 'content-type': 'application/json' }).end(body());
      return true;
    };
  const wrongPeople = () =>
    JSON.stringify({ count: 1, last: true, people: Array.from({ length: 200_000 }, () => ({ id: 1, name: 2 })) });
  const wrongRows = () =>
    JSON.stringify({
      count: 1,
      last: true,
      people: Array.from({ length: 900 }, () => ({ id: '1', name: 'A', contact: Array.from({ length: 30 }, () => 1) }))
    });
  it.each([
    ['brackets without end', () => '['.repeat(4_000_000) + ']'.repeat(4_000_000), 'more than 32 levels deep'],
    ['far too many wrong people', wrongPeople, '200,000 rows for one page'],
    ['tens of thousands of wrong values', wrongRows, 'not as the protocol has it: people.0.contact.0'],
    ['depth in an unknown field', () => `{"x":${'['.repeat(40)}${']'.repeat(40)}}`, 'more than 32 levels deep']
  ])('is refused by name where it answers with %s', async (_, body, why) => {
    const source = await connectService({ address, key: 'sesame-1' });
    const { id: briefId } = await createBrief('Hostile');
    const { number } = await keepVersion(briefId, text);
    fault = answering(body);
    const trial = await startTrial(briefId, number, source.id, 40);
    await until(async () => (await readTrial(briefId, trial)).state === 'failed');
    expect((await readTrial(briefId, trial)).problem).toContain(why);
  });

  it('is refused where its sheet hides depth in an unknown field', async () => {
    fault = (request, response) => {
      if (isSearch(request)) return false;
      response.writeHead(200, { 'content-type': 'application/json' });
      response.end(`{"unknown":${'['.repeat(3_000_000)}${']'.repeat(3_000_000)}}`);
      return true;
    };
    await expect(connectService({ address, key: 'sesame-1' })).rejects.toThrow('more than 32 levels deep');
  });

  it('is read without the characters zero that it sends', async () => {
    const source = await connectService({ address, key: 'sesame-1' });
    const { id: briefId } = await createBrief('Zero');
    const { number } = await keepVersion(briefId, text);
    const people = [
      { id: 'z\0-1', name: 'A\0na', jobs: [{ title: 'Quality\0 Manager', company: 'Cold\0' }], about: 'pharma' }
    ];
    fault = answering(() => JSON.stringify({ count: 1, last: true, people }));
    const trial = await startTrial(briefId, number, source.id, 40);
    await until(async () => (await readTrial(briefId, trial)).state === 'done');
    const [row] = await models().TrialPage.findAll({ where: { trialId: trial } });
    expect(row!.people).toMatchObject([
      { id: 'z-1', name: 'Ana', jobs: [{ title: 'Quality Manager', company: 'Cold' }] }
    ]);
  });

  it('goes on when a service that went away in the middle comes back', async () => {
    const source = await connected();
    const { id } = await createBrief('Away');
    const { number } = await keepVersion(id, text);
    const trial = await startTrial(id, number, source.id, 40);
    await until(async () => (await readTrial(id, trial)).progress.pages >= 2);
    const was = port;
    close();
    await until(async () => (await models().Trial.findByPk(trial))!.state !== 'waiting');
    await new Promise((done) => setTimeout(done, 1200));
    await open(was);
    await until(async () => (await readTrial(id, trial)).state === 'done');
    const done = await readTrial(id, trial);
    const here = await runTrial(id, number, 'harrow-guild', 40);
    expect(done.people).toBe(here.people);
  }, 90_000);

  it('comes to an end where a service never says that it is at its own', async () => {
    const source = await connected();
    const { id } = await createBrief('For ever');
    const { number } = await keepVersion(id, text);
    let page = 0;
    fault = (request, response) => {
      if (!isSearch(request)) return false;
      page++;
      const people = Array.from({ length: 200 }, (_, i) => ({ id: `${page}-${i}`, name: `Ana ${page} ${i}` }));
      return Boolean(response.writeHead(200).end(JSON.stringify({ count: 9, people, last: false })));
    };
    const trial = await runTrial(id, number, source.id, 40);
    expect(trial.state).toBe('done');
    expect(trial.progress.rows).toBe(1200);
  }, 60_000);
});
