import pg from 'pg';
import { describe, expect, inject, it } from 'vitest';
import { api, expectAccessible, setChecked, useBrowser, visit } from './browser';

const { open, address, expectError } = useBrowser();

interface Named {
  id: string;
}
const rows = (people: [string, string, string][]) =>
  ['Name,Title,Company', ...people.map((cells) => cells.join(','))].join('\r\n');

/** Imports a file of people, in the place of another where one is named, and gives its source. */
async function importFile(text: string, into: string | null): Promise<string> {
  const sent = await fetch(`${address()}/api/imports?name=visitors.csv`, {
    method: 'POST',
    headers: { 'content-type': 'application/octet-stream' },
    body: text
  });
  if (!sent.ok) throw new Error(await sent.text());
  const { id } = (await sent.json()) as Named;
  await api('POST', `/imports/${id}/start`, {
    name: 'Fair visitors',
    mapping: ['name', 'title', 'company'],
    skipBadRows: false,
    into
  });
  for (let i = 0; i < 200; i++) {
    const received = await api<{ state: string; sourceId: string | null }>('GET', `/imports/${id}`);
    if (received.state === 'done') return received.sourceId!;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('the import never ended');
}

describe('a watch', () => {
  it('is started from a harvest, shows on Home who is new, and is judged, shortlisted, read, and followed in a feed', async () => {
    const { id } = await api<Named>('POST', '/briefs', { name: 'Watched' });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:(quality OR QA)' });
    const source = await importFile(
      rows([
        ['Anna Watched', 'Quality Manager', 'Acme'],
        ['Ole Watched', 'QA', 'Brine'],
        ['Pia Other', 'Sales', 'Acme']
      ]),
      null
    );
    const { id: harvest } = await api<Named>('POST', `/briefs/${id}/harvests`, {
      name: 'First',
      from: [{ sourceId: source, version: 1 }],
      budget: { requestsPerDay: null, records: null, spend: null }
    });
    const page = await open(`/briefs/${id}/harvest?harvest=${harvest}`);
    await page.getByText('done').waitFor({ timeout: 30_000 });
    await page.getByRole('button', { name: 'Watch…' }).click();
    const dialog = page.getByRole('dialog');
    await expect.poll(() => dialog.getByLabel('Name', { exact: true }).inputValue()).toBe('Everybody found');
    await dialog.getByLabel('Name', { exact: true }).fill('Visitors who do quality');
    await dialog.getByLabel('Repeat').selectOption('FREQ=DAILY');
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Start watching' }).click();
    await page.getByText(/Updates appear on Home/).waitFor();

    await visit(page, '/');
    const inbox = page.getByRole('region', { name: 'Updates from watches' });
    await inbox.getByText(/no changes; 2 found,/).waitFor({ timeout: 40_000 });
    await importFile(
      rows([
        ['Anna Watched', 'Quality Director', 'Acme'],
        ['Eva Watched', 'QA', 'Cold'],
        ['Pia Other', 'Sales', 'Acme']
      ]),
      source
    );
    await inbox.getByRole('button', { name: 'More actions for this watch' }).first().click();
    await inbox.getByRole('button', { name: 'Run now' }).first().click();
    await inbox.getByText(/1 new/).waitFor({ timeout: 40_000 });
    const news = inbox.getByRole('region', { name: 'Updates' });
    await news.getByRole('button', { name: /changed Anna Watched Quality Director at Acme/ }).waitFor();
    await news.getByRole('button', { name: /left Ole Watched/ }).waitFor();
    await expectAccessible(page);
    await news.getByRole('button', { name: /new Eva Watched/ }).click();
    await page.keyboard.press('k');
    await page.getByText('1 added to the new shortlist.').waitFor();
    await news.getByText(/on a shortlist/).waitFor();
    await page.keyboard.press('f');
    await news.getByText('✓ Fit').waitFor();
    await inbox.getByText('2 unread').waitFor();

    // The feeds, read by the browser’s own parser of XML and of JSON.
    const [watch] = (await api<{ name: string; feed: string }[]>('GET', '/watches')).filter(
      ({ name }) => name === 'Visitors who do quality'
    );
    const received = await page.evaluate(async (feed) => {
      const atom = await (await fetch(`/api/feeds/${feed}?form=atom`)).text();
      const json = (await (await fetch(`/api/feeds/${feed}?form=json`)).json()) as { items: unknown[] };
      const read = new DOMParser().parseFromString(atom, 'application/xml');
      return {
        broken: read.querySelector('parsererror') !== null,
        root: `${read.documentElement.namespaceURI} ${read.documentElement.localName}`,
        titles: [...read.querySelectorAll('entry > title')].map((one) => one.textContent),
        ids: new Set([...read.querySelectorAll('entry > id')].map((one) => one.textContent)).size,
        items: json.items.length
      };
    }, watch!.feed);
    expect(received).toMatchObject({ broken: false, root: 'http://www.w3.org/2005/Atom feed', ids: 3, items: 3 });
    expect(received.titles).toContain('New: Eva Watched');
    await inbox.getByRole('button', { name: 'Mark all as read' }).first().click();
    await expect.poll(() => inbox.getByText(/\d+ unread/).count()).toBe(0);
    await inbox.getByRole('button', { name: 'Delete' }).first().click();
    await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
    await expect.poll(() => page.getByRole('region', { name: 'Updates from watches' }).count()).toBe(0);
    const client = new pg.Client({ connectionString: inject('databaseUrl') });
    await client.connect();
    expect((await client.query('SELECT 1 FROM watch_people UNION ALL SELECT 1 FROM watch_news')).rowCount).toBe(0);
    await client.end();
  }, 120_000);

  it('tells what three months in the stand-ins’ world have brought: of a search, of people, and of a place run by hand', async () => {
    const { id } = await api<Named>('POST', '/briefs', { name: 'Three months' });
    await api('POST', `/briefs/${id}/versions`, { text: 'manager' });
    const wanted = {
      rhythm: { rule: 'FREQ=WEEKLY', from: '2026-01-05', hour: 6, zone: 'Europe/Oslo' },
      budget: { requestsPerDay: null, records: null, spend: null }
    };
    await api('PUT', '/sources/marlow-register/faults', {
      slow: false,
      timeOuts: false,
      refusals: false,
      repeats: false,
      drift: false
    });
    const { id: search } = await api<Named>('POST', `/briefs/${id}/watches`, {
      ...wanted,
      name: 'Managers of the register',
      from: [{ sourceId: 'marlow-register', version: 1 }]
    });
    const run = async (watch: string) =>
      (await api<{ id: string; lastRun: { state: string; people: number } | null }[]>('GET', '/watches')).find(
        (one) => one.id === watch
      )!.lastRun!;
    await expect.poll(() => run(search), { timeout: 60_000 }).toMatchObject({ state: 'done' });
    expect((await run(search)).people).toBeGreaterThan(10);

    // Everybody whom a harvest of the same string gathers is kept, and watched as people.
    const { id: harvest } = await api<Named>('POST', `/briefs/${id}/harvests`, {
      name: 'All',
      from: [{ sourceId: 'marlow-register', version: 1 }],
      budget: wanted.budget
    });
    await expect
      .poll(() => api<{ state: string }>('GET', `/briefs/${id}/harvests/${harvest}`), { timeout: 60_000 })
      .toMatchObject({ state: 'done' });
    const { id: list } = await api<Named>('POST', `/briefs/${id}/shortlists`, { name: 'Past buyers', purpose: '' });
    await api('POST', `/briefs/${id}/shortlists/${list}/people`, { why: '', from: { kind: 'harvest', harvest } });
    const page = await open(`/briefs/${id}/shortlist?list=${list}`);
    await page.getByRole('button', { name: 'More actions' }).click();
    await page.getByRole('menuitem', { name: 'Watch these people' }).click();
    const dialog = page.getByRole('dialog');
    for (const source of ['Harrow Guild', 'Lanternfield', 'Quillbank'])
      await setChecked(dialog.getByRole('checkbox', { name: source }), false);
    await dialog.getByRole('button', { name: 'Add rule' }).click();
    await dialog.getByLabel('Rule name').fill('odd');
    await dialog.getByLabel('When: odd').fill('changed:shoes');
    expectError(/422/);
    await dialog.getByRole('button', { name: 'Start watching' }).click();
    await dialog.getByText(/“odd”: “changed:” goes with title, company/).waitFor();
    await dialog.getByLabel('When: odd').fill('was.title:manager NOT title:manager');
    await expectAccessible(page);
    await dialog.getByRole('button', { name: 'Start watching' }).click();
    await page.getByText(/Watching Past buyers: changes/).waitFor();

    // A place run by hand, with one page read.
    const sources = await api<{ id: string; sheet: object }[]>('GET', '/sources');
    const { sheet } = sources.find((one) => one.id === 'harrow-guild')!;
    const place = await api<Named>('POST', '/sources', { sheet: { ...sheet, name: 'Far Guild' } });
    const entry = (values: object) =>
      api('POST', `/briefs/${id}/versions/1/diaries/${place.id}`, { search: 0, page: 1, rows: [{ values }] });
    await entry({ name: 'Ada Nord', title: 'Manager', company: 'A' });
    await visit(page, `/briefs/${id}/by-hand?version=1&source=${place.id}`);
    await page.getByRole('button', { name: 'Watch…' }).click();
    await page.getByRole('dialog').getByLabel('Name', { exact: true }).fill('Far managers');
    await page.getByRole('dialog').getByRole('button', { name: 'Start watching' }).click();
    await page.getByText('Watching Far managers').waitFor();

    await visit(page, '/sources');
    const calendar = page.getByRole('region', { name: 'Demo calendar' });
    await calendar.getByText('1 November 2026').waitFor();
    try {
      for (const date of ['1 December 2026', '1 January 2027', '1 February 2027']) {
        await calendar.getByRole('button', { name: '+1 month' }).click();
        await calendar.getByText(date).waitFor();
        await expect
          .poll(() => calendar.getByRole('button', { name: '+1 month' }).isEnabled(), { timeout: 60_000 })
          .toBe(true);
      }
      await expectAccessible(page);
      const watches = await api<{ id: string; name: string }[]>('GET', '/watches');
      const [people, hand] = ['Past buyers: changes', 'Far managers'].map(
        (name) => watches.find((one) => one.name === name)!.id
      );
      for (const watch of [search, people, hand]) await api('POST', `/watches/${watch}/runs`);
      await visit(page, `/?watch=${people}`);
      const inbox = page.getByRole('region', { name: 'Updates from watches' });
      const news = inbox.getByRole('region', { name: 'Updates' });
      await news
        .getByRole('button', { name: /changed .* → .*(changed firm|new title|odd)/ })
        .first()
        .waitFor({ timeout: 40_000 });
      await news
        .getByText(/on a shortlist/)
        .first()
        .waitFor();
      await inbox.getByRole('button', { name: /^Past buyers: changes/ }).click();
      await inbox.getByText(/\d+ new, \d+ left, \d+ changed; \d+ found/).waitFor({ timeout: 40_000 });
      await news
        .getByText(/moved to |the source has them no more|is now /)
        .first()
        .waitFor();

      await inbox.getByRole('link', { name: 'Check Far Guild' }).click();
      await page.getByRole('heading', { name: 'Version 1 at Far Guild' }).waitFor();
      await entry({ name: 'Cy East', title: 'Manager', company: 'C' });
      await visit(page, `/?watch=${hand}`);
      await news.getByRole('button', { name: /new Cy East/ }).waitFor({ timeout: 40_000 });
      await expectAccessible(page);
    } finally {
      await visit(page, '/sources');
      await calendar.getByRole('button', { name: 'Reset to day 1' }).click();
      await page.getByRole('dialog').getByRole('button', { name: 'Reset' }).click();
      await calendar.getByText('1 November 2026').waitFor();
      // Nothing of it stands in the way of others.
      for (const one of await api<Named[]>('GET', '/watches')) await api('DELETE', `/watches/${one.id}`);
      await api('DELETE', `/sources/${place.id}`);
    }
  }, 180_000);
});
