import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { connect } from 'node:net';
import { beforeAll, describe, expect, it } from 'vitest';
import { freshDatabase, useServers } from './harness';

const start = useServers('test-hosts', 1000);
let port: number;
let databaseUrl: string;
beforeAll(async () => {
  databaseUrl = await freshDatabase('eave_hosts');
  const { address } = await start(databaseUrl, { EAVE_HOSTS: 'eave.example' });
  port = Number(new URL(address).port);
});

/** A request written by hand; gives the status it is answered by. */
const raw = (lines: string[], body = '') =>
  new Promise<number>((resolve, reject) => {
    const socket = connect(port, '127.0.0.1', () =>
      socket.write(`${lines.join('\r\n')}\r\nContent-Length: ${body.length}\r\nConnection: close\r\n\r\n${body}`)
    );
    let received = '';
    socket.on('data', (data) => (received += data.toString('latin1')));
    socket.on('error', reject);
    socket.on('close', () => resolve(Number(/^HTTP\/1\.1 (\d+)/.exec(received)?.[1] ?? 0)));
  });
const asset = () =>
  `/_app/immutable/entry/${readdirSync('build/client/_app/immutable/entry').find((name) => name.endsWith('.js'))!}`;

describe('the host of a request', () => {
  it('is one of loopback or one that is named, on every route', async () => {
    for (const path of ['/', '/api/briefs', '/api/nothing', '/sources', asset(), '/nothing.txt']) {
      for (const host of [
        'evil.example',
        `evil.example:${port}`,
        '127.0.0.1.evil.example',
        'localhost.evil.example',
        '[::2]',
        ' ',
        'a@localhost',
        '0.0.0.0'
      ])
        expect([400, 421], `${path} as ${host}`).toContain(await raw([`GET ${path} HTTP/1.1`, `Host: ${host}`]));
      for (const host of [
        'localhost',
        `localhost:${port}`,
        `127.0.0.1:${port}`,
        '127.8.8.8',
        '[::1]',
        'LOCALHOST',
        'eave.example'
      ])
        expect([200, 404], `${path} as ${host}`).toContain(await raw([`GET ${path} HTTP/1.1`, `Host: ${host}`]));
    }
    expect([400, 421]).toContain(await raw(['GET /api/briefs HTTP/1.1', 'Host: localhost', 'Host: evil.example']));
    expect([400, 421]).toContain(await raw(['GET http://evil.example/api/briefs HTTP/1.1', 'Host: localhost']));
    expect([400, 421]).toContain(await raw(['GET /api/briefs HTTP/1.0']));
  });

  it('is where changes may come from, by the name that the page was opened by', async () => {
    const make = (host: string, origin: string | null) =>
      raw(
        [
          'POST /api/briefs HTTP/1.1',
          `Host: ${host}`,
          'Content-Type: application/json',
          ...(origin === null ? [] : [`Origin: ${origin}`])
        ],
        '{"name":"Made"}'
      );
    expect(await make(`localhost:${port}`, `http://localhost:${port}`)).toBe(201);
    expect(await make(`127.0.0.1:${port}`, `http://127.0.0.1:${port}`)).toBe(201);
    expect(await make(`localhost:${port}`, null)).toBe(201);
    for (const origin of [
      'http://evil.example',
      'null',
      `http://localhost:${port + 1}`,
      `http://127.0.0.1:${port}`,
      `https://localhost:${port}.evil.example`
    ])
      expect(await make(`localhost:${port}`, origin), origin).toBe(403);
  });

  it('is this machine only: beyond it the server does not start without sign-in, and says so', () => {
    for (const HOST of ['0.0.0.0', '192.168.1.4', '::', 'eave.example']) {
      const { status, stderr } = spawnSync(process.execPath, ['build/index.js'], {
        encoding: 'utf8',
        env: { ...process.env, HOST, PORT: '0', DATABASE_URL: databaseUrl, EAVE_DATA: '.data/test-hosts' }
      });
      expect(status, HOST).toBe(1);
      expect(stderr).toMatch(/HOST must be a loopback address.*sign-in/s);
    }
  });
});
