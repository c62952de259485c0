import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startApplication } from './application';
import { useBrowser } from './browser';
import { databaseProxy } from './database-proxy';

const { open, expectError } = useBrowser();
let proxy: Awaited<ReturnType<typeof databaseProxy>>;
let application: Awaited<ReturnType<typeof startApplication>>;

beforeAll(async () => {
  proxy = await databaseProxy(process.env.TEST_BROWSER_DATABASE_URL!);
  application = await startApplication(proxy.url, 2000, '.data/test-away');
});
afterAll(() => {
  application.stop();
  proxy.disconnect();
  proxy.close();
});

describe('PostgreSQL stopped while working', () => {
  it('is reported in a sentence; the server stays up, nothing typed is lost, and it is saved when the database is back', async () => {
    expectError(/503/);
    const made = await fetch(`${application.address}/api/briefs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Away' })
    });
    const { id } = (await made.json()) as { id: string };
    const page = await open(`${application.address}/briefs/${id}/persona`);
    proxy.disconnect();
    await page.getByLabel('Job titles').fill('Head of Quality');
    await page.getByText(/Couldn’t reach the database, so nothing was changed/).waitFor();
    const refused = await fetch(`${application.address}/api/briefs`);
    expect(refused.status).toBe(503);
    expect(refused.headers.get('content-type')).toBe('application/problem+json');
    expect(await page.getByLabel('Job titles').inputValue()).toBe('Head of Quality');
    proxy.reconnect();
    await page.getByText('Saved', { exact: true }).waitFor();
    const persona = (await (await fetch(`${application.address}/api/briefs/${id}/persona`)).json()) as {
      body: { titles: string[] };
    };
    expect(persona.body.titles).toEqual(['Head of Quality']);
  });
});

describe('a server killed in the middle', () => {
  it('starts again on the same database with everything there', async () => {
    const before = (await (await fetch(`${application.address}/api/briefs`)).json()) as { name: string }[];
    application.stop();
    application = await startApplication(proxy.url, 2000, '.data/test-away');
    const after = (await (await fetch(`${application.address}/api/briefs`)).json()) as { name: string }[];
    expect(after.map(({ name }) => name).sort()).toEqual(before.map(({ name }) => name).sort());
  });
});
