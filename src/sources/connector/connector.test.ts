import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { createServer, type RequestListener } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { harrowGuild } from '$core/dialect';
import { makeWorld } from '../world/world';
import { makeStandIns } from '../stand-ins/stand-ins';
import { serveStandIns } from '../served/serve-stand-ins';
import { checkService } from './check-service';
import { askPage, askSheet, waitOf } from './connector';

const toClose: (() => void)[] = [];
afterEach(() => {
  for (const close of toClose.splice(0)) close();
});

async function listening(server: ReturnType<typeof createServer>, key: string | null = null) {
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  toClose.push(() => {
    server.closeAllConnections();
    server.close();
  });
  const { port } = server.address() as AddressInfo;
  return { address: `http://127.0.0.1:${port}`, key, allowPrivate: true, time: 500 };
}
const service = (answer: RequestListener) => listening(createServer(answer));
const answering = (status: number, body: unknown, headers = {}) =>
  service((_, response) => {
    response.writeHead(status, headers).end(typeof body === 'string' ? body : JSON.stringify(body));
  });
const first = { search: { boxes: {}, facts: [] }, page: 0, cursor: null };

async function wrongOf(connection: Parameters<typeof checkService>[0], sample?: string) {
  const wrong: string[] = [];
  for await (const finding of checkService(connection, sample))
    if (finding.wrong !== null) wrong.push(`${finding.what}: ${finding.wrong}`);
  return wrong;
}

describe('what a service answers', () => {
  it('is read as people, or as cells whose columns are named or guessed', async () => {
    const rows = [
      ['Iria Castelo', 'Jefa de cocina', 'Pazo', '7'],
      ['', 'nobody', '', ''],
      ['Livia Morandi', 'Responsabile acquisti', 'Corte Verde', '9']
    ];
    const columns = [{ name: 'Nombre' }, { name: 'Puesto' }, { name: 'Empresa' }, { name: 'x', field: 'headcount' }];
    const table = await answering(200, { count: 3, last: true, columns, rows, cursor: 'next', spent: 0.5 });
    const page = await askPage(table, first);
    expect(page).toMatchObject({ said: 3, last: true, cursor: 'next', spent: 0.5, unread: 1 });
    expect(page.people.map(({ name, jobs, headcount }) => [name, jobs![0]!.title, headcount])).toEqual([
      ['Iria Castelo', 'Jefa de cocina', 7],
      ['Livia Morandi', 'Responsabile acquisti', 9]
    ]);
    // A row without a key is the same person whenever it comes.
    expect((await askPage(table, first)).people.map(({ id }) => id)).toEqual(page.people.map(({ id }) => id));
  });

  it.each([
    ['nonsense', 200, '<html>', 'is not JSON'],
    ['another shape', 200, { count: -1, people: [], last: true }, 'not as the protocol has it: count'],
    ['a wrong key', 401, {}, 'rejected the key'],
    ['a redirect', 302, '', 'doesn’t follow'],
    ['no such path', 404, '', 'Check the address'],
    ['a fault of the service', 500, '', 'The service failed']
  ])('is refused with a sentence: %s', async (_, status, body, sentence) => {
    await expect(askPage(await answering(status, body), first)).rejects.toThrow(sentence);
  });

  it('is awaited at most its time, and taken no larger than its size', async () => {
    const drops = await service((_, response) => {
      response.writeHead(200);
      const drop = setInterval(() => response.write(' '), 50);
      response.on('close', () => clearInterval(drop));
    });
    await expect(askPage(drops, first)).rejects.toThrow('no answer in time');
    const flood = await service((_, response) => {
      response.writeHead(200);
      const piece = 'x'.repeat(1024 * 1024);
      const pour = () => {
        while (!response.destroyed && response.write(piece));
      };
      response.on('drain', pour);
      pour();
    });
    await expect(askPage({ ...flood, time: 20_000 }, first)).rejects.toThrow('more than 8 MiB');
    const breaks = await service((_, response) => {
      response.writeHead(200, { 'content-length': 1000 }).write('{');
      setTimeout(() => response.destroy(), 30);
    });
    await expect(askPage(breaks, first)).rejects.toThrow(/broke/);
  });

  it('may ask to wait, in seconds or until a date (RFC 9110, 10.2.3)', async () => {
    const now = Date.parse('2026-05-01T10:00:00Z');
    expect(waitOf('120', now)).toBe(120_000);
    expect(waitOf('Fri, 01 May 2026 10:00:30 GMT', now)).toBe(30_000);
    expect(waitOf('soon', now)).toBe(1000);
    expect(waitOf(undefined, now)).toBe(1000);
    expect(waitOf('999999999', now)).toBe(3_600_000);
    expect(waitOf('-5', now)).toBe(50);
    await expect(askPage(await answering(429, '', { 'retry-after': '2' }), first)).rejects.toMatchObject({
      wait: 2000
    });
  });

  it('is asked with the key in a header, and never at a private address unless allowed', async () => {
    let asked: string | undefined;
    const connection = await service((request, response) => {
      asked = request.headers.authorization;
      response.writeHead(200).end(JSON.stringify(harrowGuild));
    });
    expect(await askSheet({ ...connection, key: 'k-1' })).toMatchObject({ name: harrowGuild.name });
    expect(asked).toBe('Bearer k-1');
    asked = undefined;
    await expect(askSheet({ ...connection, allowPrivate: false })).rejects.toThrow('EAVE_PRIVATE_SERVICES');
    expect(asked).toBeUndefined();
  });
});

describe('the check of a service', () => {
  it('finds nothing wrong with the stand-ins as they are served, nor with the example', async () => {
    const stand = await listening(serveStandIns(makeStandIns(makeWorld(1500)), { key: 'k', refuses: false }), 'k');
    for (const id of ['harrow-guild', 'lanternfield', 'quillbank', 'marlow-register'])
      expect(await wrongOf({ ...stand, address: `${stand.address}/${id}`, time: 10_000 })).toEqual([]);
    const example = spawn('node', ['examples/connector/server.mjs'], { env: { ...process.env, PORT: '44071' } });
    toClose.push(() => example.kill());
    const connection = { address: 'http://127.0.0.1:44071', key: null, allowPrivate: true, time: 5000 };
    for (let times = 0; times < 100; times++) {
      if (await askSheet(connection).catch(() => null)) break;
      await new Promise((done) => setTimeout(done, 50));
    }
    expect(await wrongOf(connection)).toEqual([]);
  });

  it('names what is wrong', async () => {
    expect(await wrongOf(await answering(200, { id: 'x' }, { 'content-type': 'application/json' }))).toEqual([
      expect.stringMatching(/capability sheet: name: /)
    ]);
    const people = [{ id: '1', name: 'Ana' }];
    const endless = await service((request, response) => {
      const body = request.url === '/sheet' ? harrowGuild : { count: 1, people, last: false };
      response.writeHead(200, { 'content-type': 'application/json' }).end(JSON.stringify(body));
    });
    const wrong = await wrongOf(endless);
    expect(wrong).toContainEqual(expect.stringContaining('came before'));
    expect(wrong).toContainEqual(expect.stringContaining('not JSON is refused with 400 or 422: answers 200'));
  });
});
