import { spawn, type ChildProcess } from 'node:child_process';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { freePort } from './application';
import { api, expectAccessible, useBrowser, visit, writeString } from './browser';

const { open, expectError } = useBrowser();
let standIns: ChildProcess;
let address = '';

beforeAll(async () => {
  const port = await freePort();
  address = `http://127.0.0.1:${port}`;
  standIns = spawn('npx', ['tsx', 'src/sources/served/main.ts'], {
    stdio: 'ignore',
    detached: true,
    env: {
      ...process.env,
      STAND_INS_PORT: String(port),
      STAND_INS_KEY: 'sesame-2',
      STAND_INS_REFUSE: 'no',
      EAVE_WORLD_PEOPLE: '4000'
    }
  });
  const end = Date.now() + 60_000;
  while (!(await fetch(address).catch(() => null))) {
    if (Date.now() > end) throw new Error('The stand-ins are not served.');
    await new Promise((done) => setTimeout(done, 100));
  }
});
afterAll(() => process.kill(-standIns.pid!, 'SIGKILL'));

describe('the stand-ins, served from a process of their own', () => {
  it('are connected with a key, and a trial runs there', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Over the net' });
    const page = await open('/sources');
    const connect = page.getByRole('region', { name: 'Connect a service' });
    await connect.getByLabel('Address').fill(`${address}/marlow-register`);
    expectError(/502/);
    await connect.getByLabel(/^Key/).fill('open');
    await connect.getByRole('button', { name: 'Connect' }).click();
    await connect.getByText('It rejected the key').waitFor();
    await connect.getByLabel(/^Key/).fill('sesame-2');
    await connect.getByRole('button', { name: 'Connect' }).click();
    const reached = page.getByRole('region', { name: 'Connection' });
    await reached.getByLabel('New key (one is saved)').waitFor();
    expect(await page.content()).not.toContain('sesame-2');
    await expectAccessible(page);
    await reached.getByRole('button', { name: 'Refresh sheet' }).click();
    await reached.getByText('Connected; sheet refreshed.').waitFor();

    const sources = await api<{ id: string; kind: string; sheet: { name: string } }[]>('GET', '/sources');
    const service = sources.find(({ kind }) => kind === 'connected')!;
    // Of the others none: the run goes to the service alone.
    await api('PUT', `/briefs/${id}/left-out-sources`, {
      leftOut: sources.filter((one) => one !== service).map((one) => one.id)
    });
    await visit(page, `/briefs/${id}/string?panel=searches`);
    await writeString(page, 'quality manager');
    await page.getByText('connected service: counted when run').waitFor();
    await page.getByRole('button', { name: /^Run on/ }).click();
    await page.waitForURL(/\/trial\?trial=/);
    const [trial] = await api<{ id: string }[]>('GET', `/briefs/${id}/trials`);
    await expect
      .poll(() => api<{ state: string; people: number }>('GET', `/briefs/${id}/trials/${trial!.id}`), {
        timeout: 30_000
      })
      .toMatchObject({ state: 'done', people: 8 });
    await page.getByText('Greta Eichbach').first().waitFor();
    await api('DELETE', `/sources/${service.id}`);
  });

  it('are websites whose pages are copied, as text and as markup, and pasted into a diary', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'By hand, for practice' });
    const [sheetOf] = await api<{ id: string; sheet: object }[]>('GET', '/sources').then((all) =>
      all.filter(({ id: one }) => one === 'marlow-register')
    );
    const place = await api<{ id: string }>('POST', '/sources', { sheet: { ...sheetOf!.sheet, name: 'The Register' } });
    const { number } = await api<{ number: number }>('POST', `/briefs/${id}/versions`, {
      text: 'quality manager',
      parent: null
    });
    const desk = await open(`/briefs/${id}/by-hand?version=${number}&source=${place.id}`);
    const web = await open(`${address}/marlow-register/`);
    await web.getByRole('textbox').first().fill('quality manager');
    await web.getByRole('button', { name: 'Find' }).click();
    const names = await web.getByRole('row').locator('td:first-child').allInnerTexts();
    expect(names.length).toBeGreaterThan(3);
    await web.keyboard.press('ControlOrMeta+a');
    await web.keyboard.press('ControlOrMeta+c');
    await desk.bringToFront();
    const diary = desk.getByRole('region', { name: 'Diary' });
    await desk.getByLabel('Page content').focus();
    await desk.keyboard.press('ControlOrMeta+v');
    await diary.getByText(`${names.length} people, not saved yet`).waitFor();
    expect(await diary.getByLabel('Name 1', { exact: false }).first().inputValue()).toBe(names[0]);
    await api('DELETE', `/sources/${place.id}`);
  });
});
