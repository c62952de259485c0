import { freshDatabases } from '../../scripts/lib/test-databases.mjs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort, startApplication } from './application';
import { apiAt, expectAccessible, setChecked, useBrowser } from './browser';

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
  [url] = (await freshDatabases(process.env.TEST_BROWSER_DATABASE_URL!, [name])) as [string];
  port = await freePort();
  await start();
}, 120_000);
afterAll(() => application.stop());
const address = () => `http://127.0.0.1:${port}`;
const api = apiAt(address);
const later = (ms: number) => new Promise((done) => setTimeout(done, ms));
const places = ['harrow-guild', 'lanternfield', 'marlow-register', 'quillbank'];
/** Ends the server with no time to put anything in order, and starts another. */
async function restart(): Promise<void> {
  application.stop();
  await later(300);
  await start();
}

describe('a trial at places with faults, its server killed in the middle', () => {
  it('shows how far it is, goes on after the restart, asks no page twice, and ends with everybody once', async () => {
    expectError(/ERR_CONNECTION|Failed to (fetch|load)|502|503|network/i);
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Killed' });
    await api('PUT', `/briefs/${id}/draft`, { body: { text: 'manager NOT intern', from: null }, revision: 1 });
    const page = await open(`${address()}/briefs/${id}/string`);
    await page.getByRole('button', { name: /^Run on/ }).click();
    const progress = page.getByRole('region', { name: 'Progress of version 1 on Harrow Guild' });
    await progress.getByText(/Harrow Guild (queued|running)/).waitFor();
    // The other sources' trials are shown with it, each to be stopped by itself.
    const lanternfield = page.getByRole('region', { name: 'Progress of version 1 on Lanternfield' });
    await lanternfield.getByRole('button', { name: 'Stop' }).waitFor();
    const trialId = new URL(page.url()).searchParams.get('trial')!;
    type Trial = {
      state: string;
      found: { shown: number };
      progress: { pages: number };
      sample: { person: { id: string } }[];
    };
    const read = () => api<Trial>('GET', `/briefs/${id}/trials/${trialId}`);
    while ((await read()).progress.pages < 5) await later(30);
    await restart();
    const between = await read();
    expect(between.progress.pages).toBeGreaterThanOrEqual(5);
    await page.reload({ waitUntil: 'networkidle' });
    await page.getByRole('region', { name: 'Precision so far' }).waitFor({ timeout: 60_000 });
    const done = await read();
    expect(done.state).toBe('done');
    expect(done.found.shown).toBe(1200);
    expect(new Set(done.sample.map(({ person }) => person.id)).size).toBe(40);
    // Pages keep their number as their key: none is there twice, and 1,200 people are 40 pages of 30, but for rows that repeat.
    expect(done.progress.pages).toBeGreaterThanOrEqual(40);
    expect(done.progress.pages).toBeLessThanOrEqual(44);
    const trials = await api<{ sourceId: string; state: string }[]>('GET', `/briefs/${id}/trials`);
    expect(trials.map(({ sourceId }) => sourceId).sort()).toEqual(places);
    await expectAccessible(page);
  }, 150_000);
});

describe('a harvest at all places with faults, its server killed in the middle', () => {
  it('goes on after the restart, keeps to its budget, and brings everybody home once', async () => {
    expectError(/ERR_CONNECTION|Failed to (fetch|load)|502|503|network/i);
    const text = 'title:("head of quality" OR "quality manager")';
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Gathered' });
    await api('POST', `/briefs/${id}/versions`, { text });
    const page = await open(`${address()}/briefs/${id}/harvest`);
    const form = page.getByRole('form', { name: 'Start a harvest' });
    for (const place of ['Lanternfield', 'Quillbank', 'Marlow Register'])
      await setChecked(form.getByRole('checkbox', { name: place }), true);
    await form.getByLabel('Name').fill('Everybody');
    await form.getByLabel('Records, at most').fill('120');
    await form.getByRole('button', { name: 'Start harvest' }).click();
    await page.getByRole('heading', { level: 1, name: 'Everybody' }).waitFor();

    interface Harvest {
      people: number;
      events: unknown[];
      sources: {
        sourceId: string;
        state: string;
        gathered: { rows: number; possible: number };
      }[];
    }
    const [harvest] = await api<{ id: string }[]>('GET', `/briefs/${id}/harvests`);
    const path = `/briefs/${id}/harvests/${harvest!.id}`;
    const read = () => api<Harvest>('GET', path);
    const rows = ({ sources }: Harvest) => sources.reduce((sum, { gathered }) => sum + gathered.rows, 0);
    while (rows(await read()) < 25) await later(30);
    await restart();
    await page.reload({ waitUntil: 'networkidle' });
    await page.getByText(/The 120 records in its budget are used up/).waitFor({ timeout: 60_000 });
    // The page that was asked for last is kept whole.
    const within = rows(await read());
    expect(within).toBeGreaterThanOrEqual(120);
    expect(within).toBeLessThan(120 + 25);

    await page.getByRole('button', { name: 'Limits' }).click();
    const limits = page.getByRole('dialog');
    await limits.getByLabel('Records, at most').fill('');
    await limits.getByRole('button', { name: 'Save and resume' }).click();
    await page.getByText('done').waitFor({ timeout: 120_000 });
    const done = await read();
    expect(done.sources.map(({ sourceId, state }) => [sourceId, state]).sort()).toEqual(
      places.map((place) => [place, 'done'])
    );
    expect(done.events.length).toBeGreaterThan(0);
    // The register shows all whom it counts: none of them is missing, and none is there twice.
    const { counts } = await api<{ counts: { possible: { low: number; high: number } }[] }>('POST', '/counts', {
      sourceId: 'marlow-register',
      texts: [text]
    });
    const register = done.sources.find(({ sourceId }) => sourceId === 'marlow-register')!;
    const { low, high } = counts[0]!.possible;
    expect([low, high]).toEqual([register.gathered.possible, register.gathered.possible]);
    const numbers: number[] = [];
    for (let last = false; !last;) {
      const after = numbers.length ? `?after=${numbers.at(-1)}` : '';
      const received = await api<{ people: { number: number }[]; last: boolean }>('GET', `${path}/people${after}`);
      numbers.push(...received.people.map(({ number }) => number));
      ({ last } = received);
    }
    expect(new Set(numbers).size).toBe(numbers.length);
    expect(numbers).toHaveLength(done.people);
  }, 200_000);
});
