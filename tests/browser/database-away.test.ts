import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startApplication } from './application';
import { useBrowser } from './browser';
import { databaseLine } from './database-line';

const { open, expectError } = useBrowser();
let line: Awaited<ReturnType<typeof databaseLine>>;
let application: Awaited<ReturnType<typeof startApplication>>;

beforeAll(async () => {
  line = await databaseLine(process.env.TEST_BROWSER_DATABASE_URL!);
  application = await startApplication(line.url, 2000, '.data/test-away');
});
afterAll(() => {
  application.stop();
  line.cut();
  line.close();
});

describe('PostgreSQL stopped while working', () => {
  it('is told in a sentence; the server stays up, nothing typed is lost, and it is kept when the database is back', async () => {
    expectError(/503/);
    const made = await fetch(`${application.address}/api/briefs`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Away' })
    });
    const { id } = (await made.json()) as { id: string };
    const page = await open(`${application.address}/briefs/${id}/persona`);
    line.cut();
    await page.getByLabel('Job titles').fill('Head of Quality');
    await page.getByText(/Couldn’t reach the database, so nothing was changed/).waitFor();
    const refused = await fetch(`${application.address}/api/briefs`);
    expect(refused.status).toBe(503);
    expect(refused.headers.get('content-type')).toBe('application/problem+json');
    expect(await page.getByLabel('Job titles').inputValue()).toBe('Head of Quality');
    line.mend();
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
    application = await startApplication(line.url, 2000, '.data/test-away');
    const after = (await (await fetch(`${application.address}/api/briefs`)).json()) as { name: string }[];
    expect(after.map(({ name }) => name).sort()).toEqual(before.map(({ name }) => name).sort());
  });
});
