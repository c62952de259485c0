import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, startApplication } from './application';
import { expectAccessible, useBrowser } from './browser';

const { open, expectError } = useBrowser();
const name = 'eave_restart';
let url: string;
let port: number;
let application: Awaited<ReturnType<typeof startApplication>>;
/** At one address before and after, with the faults that stand-ins have at first. */
const start = async () => {
  application = await startApplication(url, 20_000, '.data/test-restart', {
    EAVE_FAULTS: 'usual',
    PORT: String(port)
  });
};

beforeAll(async () => {
  const shared = new URL(process.env.TEST_BROWSER_DATABASE_URL!);
  const client = new pg.Client({ connectionString: shared.href });
  await client.connect();
  await client.query(`DROP DATABASE IF EXISTS ${name} WITH (FORCE)`);
  await client.query(`CREATE DATABASE ${name}`);
  await client.end();
  shared.pathname = `/${name}`;
  url = shared.href;
  port = await freePort();
  await start();
}, 120_000);
afterAll(() => application.stop());

describe('a trial at places with faults, its server killed in the middle', () => {
  it('shows how far it is, goes on after the restart, asks no page twice, and ends with everybody once', async () => {
    expectError(/ERR_CONNECTION|Failed to (fetch|load)|502|503|network/i);
    const address = `http://127.0.0.1:${port}`;
    const api = async <T>(method: string, path: string, body?: unknown): Promise<T> => {
      const answer = await fetch(`${address}/api${path}`, {
        method,
        ...(body !== undefined && { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
      });
      return (await answer.json()) as T;
    };
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Killed' });
    await api('PUT', `/briefs/${id}/draft`, { body: { text: 'manager NOT intern', from: null }, revision: 1 });
    const page = await open(`${address}/briefs/${id}/string`);
    await page.getByRole('button', { name: /^Run on/ }).click();
    const progress = page.getByRole('region', { name: 'How far version 1 on Harrow Guild is' });
    await progress.getByText(/Harrow Guild (waits for its turn|is running)/).waitFor();
    // The other sources' trials are shown with it, each to be stopped by itself.
    const lanternfield = page.getByRole('region', { name: 'How far version 1 on Lanternfield is' });
    await lanternfield.getByRole('button', { name: 'Stop' }).waitFor();
    const trialId = new URL(page.url()).searchParams.get('trial')!;
    type Trial = {
      state: string;
      found: { shown: number };
      progress: { pages: number };
      sample: { person: { id: string } }[];
    };
    const read = () => api<Trial>('GET', `/briefs/${id}/trials/${trialId}`);
    while ((await read()).progress.pages < 5) await new Promise((done) => setTimeout(done, 30));
    application.stop();
    await new Promise((done) => setTimeout(done, 300));

    await start();
    const between = await read();
    expect(between.progress.pages).toBeGreaterThanOrEqual(5);
    await page.reload({ waitUntil: 'networkidle' });
    await page.getByRole('region', { name: 'Precision so far' }).waitFor({ timeout: 60_000 });
    const done = await read();
    expect(done.state).toBe('done');
    expect(done.found.shown).toBe(1000);
    expect(new Set(done.sample.map(({ person }) => person.id)).size).toBe(40);
    // Pages keep their number as their key: none is there twice, and 1,000 people are 40 pages of 25, but for rows that repeat.
    expect(done.progress.pages).toBeGreaterThanOrEqual(40);
    expect(done.progress.pages).toBeLessThanOrEqual(44);
    const trials = await api<{ sourceId: string; state: string }[]>('GET', `/briefs/${id}/trials`);
    expect(trials.map(({ sourceId }) => sourceId).sort()).toEqual([
      'harrow-guild',
      'lanternfield',
      'marlow-register',
      'quillbank'
    ]);
    await expectAccessible(page);
  }, 150_000);
});
