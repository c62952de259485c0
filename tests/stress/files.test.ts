import { execFileSync } from 'node:child_process';
import { readdirSync, statSync } from 'node:fs';
import { request } from 'node:http';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { ask, freshDatabase, importDone, importFile, pause, until, useServers } from './harness';

const data = '.data/test-files';
const start = useServers('test-files', 1000);
let address: string;
let databaseUrl: string;
beforeAll(async () => {
  databaseUrl = await freshDatabase('eave_files');
  ({ address } = await start(databaseUrl));
});

const upload = async (body: BodyInit, name = 'people.csv') => {
  const response = await fetch(`${address}/api/imports?name=${name}`, { method: 'POST', body });
  return { status: response.status, detail: ((await response.json()) as { detail?: string }).detail ?? '' };
};
const uploads = () => readdirSync(join(data, 'uploads'));

/** Everything in a folder that others than its owner may read, write or enter. */
function openToOthers(folder: string): string[] {
  return [folder, ...readdirSync(folder, { recursive: true }).map((name) => join(folder, String(name)))].filter(
    (path) => statSync(path).mode & 0o077
  );
}

describe('files as they should not be', () => {
  it('are refused with a sentence, and nothing of them is left', async () => {
    const names = Array.from({ length: 100_000 }, (_, i) => `c${i}`).join(',');
    const refused: [BodyInit, string, RegExp][] = [
      [`${names}\n${names}\n`, 'wide.csv', /100,000 columns/],
      [new Uint8Array([0x50, 0x4b, 3, 4, 0, 0, 0, 0]), 'people.zip', /isn’t a readable XLSX workbook/],
      [new Uint8Array([0x7f, 0x45, 0x4c, 0x46, 0, 1, 2, 3]), 'people.bin', /not a text file/],
      ['', 'empty.csv', /is empty/]
    ];
    for (const [body, name, sentence] of refused) {
      const { status, detail } = await upload(body, name);
      expect([status, sentence.test(detail)], `${name}: ${detail}`).toEqual([422, true]);
    }
    expect(uploads()).toEqual([]);
  });

  it('of more than 512 MiB are refused before they are read', async () => {
    const status = await new Promise<number>((resolve, reject) => {
      const sent = request(`${address}/api/imports?name=huge.jsonl`, {
        method: 'POST',
        headers: { 'content-length': String(1024 ** 3) }
      });
      sent.on('response', (response) => {
        resolve(response.statusCode!);
        sent.destroy();
      });
      sent.on('error', reject);
      sent.write('{"name":"');
    });
    expect(status).toBe(413);
    await expect.poll(uploads).toEqual([]);
    const { status: large } = await ask(address, 'POST', '/parse', { text: 'x'.repeat(2_000_000) });
    expect(large).toBe(413);
    const deep = await fetch(`${address}/api/parse`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: `{"text":${'['.repeat(100_000)}${']'.repeat(100_000)}}`
    });
    expect(deep.status).toBe(400);
  });

  it('with an open quote, in UTF-16, or with a line of megabytes end with a clear outcome', async () => {
    const ended = async (text: string) => {
      const id = await importFile(address, text);
      await until(
        async () => !['running'].includes((await ask<{ state: string }>(address, 'GET', `/imports/${id}`)).body.state),
        30_000,
        'the import ends'
      );
      return (
        await ask<{ state: string; outcome: { message: string; errors: { message: string }[] } }>(
          address,
          'GET',
          `/imports/${id}`
        )
      ).body;
    };
    const open = await ended('name,title\nAnn,"QA\nBo,QA\n');
    expect(open.state).toBe('refused');
    expect(open.outcome.errors[0]!.message).toMatch(/never closes/);
    const utf16 = await upload(new Uint8Array(Buffer.from('\ufeffname,title\nSøren,QA\n', 'utf16le')));
    expect(utf16.status).toBe(201);
    const long = await ended(`name,title\nAnn,QA\nBo,"${'x'.repeat(8_000_000)}"\n`);
    expect(long.state).toBe('refused');
    expect(long.outcome.errors[0]!.message).toMatch(/1 MiB/);
  });
});

describe('what Eave keeps on the disk', () => {
  it('is for its owner alone, and files of people are cleared away', async () => {
    const id = await importFile(address, 'name,title\nAnn,QA\n');
    await importDone(address, id);
    await expect.poll(() => uploads().includes(id)).toBe(false);
    expect(openToOthers(data)).toEqual([]);
  });

  it('holds no file of people at the next start that nobody waits for', async () => {
    const waiting = await upload('name,title\nAnn,QA\n');
    expect(waiting.status).toBe(201);
    execFileSync('touch', [
      join(data, 'uploads', '00000000-0000-4000-8000-000000000000'),
      join(data, 'uploads', '00000000-0000-4000-8000-000000000001.dead-server')
    ]);
    await start(databaseUrl);
    await pause(1000);
    await expect.poll(() => uploads().filter((name) => name.startsWith('00000000')), { timeout: 10_000 }).toEqual([]);
  });
});
