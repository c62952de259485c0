import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from 'playwright-core';
import { say, stopWith } from './lib/say.mjs';
import { chromiumOptions } from './lib/chromium-options.mjs';

// Pictures of each main view, from the demo of an Eave that runs: npm start, then npm run screenshots.
const root = resolve(dirname(fileURLToPath(import.meta.url)), '..');
const folder = resolve(root, 'docs/screenshots');
const address = process.env.EAVE_ADDRESS ?? 'http://127.0.0.1:4310';
mkdirSync(folder, { recursive: true });

const api = async (method, path, body) => {
  const response = await fetch(`${address}/api${path}`, {
    method,
    ...(body && { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } })
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${await response.text()}`);
  return response.status === 204 ? undefined : response.json();
};

const briefs = await api('GET', '/briefs').catch(() => stopWith(`No Eave answers at ${address}. Run npm start first.`));
const demo = briefs.find(({ name }) => name.startsWith('Cold-chain quality'));
if (!demo) stopWith('The demo’s brief is not there.');

if (demo.chosen.length === 0) stopWith('The demo’s job is not done yet: wait a minute and run this again.');
const trials = await api('GET', `/briefs/${demo.id}/trials`);
const judged = trials.find(({ version, sourceId }) => version === 5 && sourceId === 'harrow-guild');

const browser = await chromium.launch(chromiumOptions);
async function picture(name, path, { theme = 'light', act } = {}) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, colorScheme: theme });
  await page.goto(address + path, { waitUntil: 'networkidle' });
  await act?.(page);
  await page.waitForTimeout(600);
  await page.screenshot({ path: resolve(folder, `${name}.png`) });
  await page.close();
  say(`docs/screenshots/${name}.png`);
}
const at = `/briefs/${demo.id}`;
await picture('persona', `${at}/persona`);
await picture('wording', `${at}/wording`, { act: (page) => page.waitForTimeout(2500) });
await picture('string', `${at}/string`, { act: (page) => page.waitForTimeout(1200) });
await picture('string-tree', `${at}/string?panel=tree`, {
  act: async (page) => {
    await page.getByRole('treeitem').nth(1).click();
    await page.evaluate(() => document.querySelector('[role=tablist]')?.scrollIntoView());
  }
});
await picture('cards', `${at}/string?panel=searches`, {
  act: async (page) => {
    await page.getByRole('region', { name: 'Searches for Lanternfield' }).getByText('of 36 words').waitFor();
    await page.evaluate(() => document.querySelector('[role=tablist]')?.scrollIntoView());
  }
});
await picture('versions', `${at}/string?panel=versions&version=4`, {
  act: (page) => page.evaluate(() => document.querySelector('[role=tablist]')?.scrollIntoView())
});
const panel = (name, region) =>
  picture(name, `${at}/string?panel=${name}`, {
    act: async (page) => {
      const shown = page.getByRole('region', { name: region });
      await shown.locator('td').nth(3).waitFor();
      await page.waitForTimeout(1500);
      await page.evaluate(() => document.querySelector('[role=tablist]')?.scrollIntoView());
    }
  });
await panel('proposals', 'Proposals');
await panel('narrowing', 'Narrowing');
await picture('library', '/library?set=never-interns');
await picture('sheet', '/sources/lanternfield');
await picture('trial', `${at}/trial?trial=${judged.id}&at=12`);
await picture('compare', `${at}/compare`);
await picture('harvest', `${at}/harvest`, {
  act: async (page) => {
    await page.getByRole('region', { name: 'People', exact: true }).getByRole('button').first().click();
    await page.getByRole('region', { name: 'Person' }).waitFor();
  }
});
await picture('shortlist', `${at}/shortlist`, {
  act: async (page) => {
    await page.getByRole('button', { name: 'Name', exact: true }).click();
    await page
      .getByRole('region', { name: 'People', exact: true })
      .getByRole('row')
      .nth(3)
      .getByRole('button')
      .first()
      .click();
    await page.getByRole('region', { name: 'Person' }).waitFor();
  }
});
await picture('side-by-side', `${at}/compare?panel=versions&from=3&to=4&source=harrow-guild`, {
  theme: 'dark',
  act: async (page) => {
    await page.getByRole('region', { name: 'Two versions side by side' }).locator('td').first().waitFor();
    await page.evaluate(() => document.querySelector('.charts')?.scrollIntoView());
  }
});
await picture('report', `${at}/report`);
const { sheet } = (await api('GET', '/sources')).find(({ id }) => id === 'marlow-register');
const hand = await api('POST', '/sources', { sheet: { ...sheet, name: 'Dock & Door Directory' } });
await byHand();
await picture('sources', '/sources', {
  act: async (page) => {
    await page.locator('input[type=file]').setInputFiles({
      name: 'contacts.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from(
        'Name,Position held,Company,Country,Employees\nIda Brandsma,Head of Quality,Polderkoel B.V.,Netherlands,240\nJonas Ekehult,"QA Lead, Release Trains",Nordfjeld Systems AB,Sweden,51-200\nOona Kilbride,Responsible Person,Drumlin Pharma Ltd,Ireland,"1,200"\n'
      )
    });
    await page.getByRole('button', { name: 'Import', exact: true }).waitFor();
  }
});
await api('DELETE', `/sources/${hand.id}`);
// Home with news: a month later in the stand-ins' world.
const { day } = await api('GET', '/world');
if (day === 0) await api('POST', '/world/moves', { from: day, step: 'month' });
const [{ id: watch }] = await api('GET', '/watches');
await api('POST', `/watches/${watch}/runs`);
for (let i = 0; i < 120; i++) {
  const [{ lastRun }] = await api('GET', '/watches');
  if (lastRun.state !== 'running') break;
  await new Promise((done) => setTimeout(done, 1000));
}
await picture('briefs', '/');
await browser.close();

/** A diary over two days: counts and pages, some judged. */
async function byHand() {
  const first = ['Freya', 'Eoin', 'Rik', 'Maren', 'Leif', 'Berta', 'Nils', 'Ida', 'Tomas', 'Greta'];
  const last = [
    'Ljungdahl',
    'Carrick',
    'Thorsager',
    'Duytsch',
    'Ondersma',
    'Hohnstein',
    'Ekvall',
    'Moor',
    'Sandvik',
    'Brandt'
  ];
  const titles = ['Head of Quality', 'Quality Manager', 'Responsible Person', 'Kvalitetschef', 'QA Specialist'];
  const firms = [
    'Fjordkyl Distribution',
    'Drumlin Chilled Foods',
    'Hansefrost GmbH',
    'Nordlys Pharma',
    'Polderkoel B.V.'
  ];
  const rows = (page) =>
    Array.from({ length: 25 }, (_, i) => ({
      values: {
        name: `${first[(i + page) % 10]} ${last[(i * 3 + page) % 10]}${i > 9 ? 'sen' : ''}`,
        title: titles[(i + page) % 5],
        company: firms[(i * 7 + page) % 5],
        place: 'Malmö, Sweden'
      },
      doubtful: i % 9 === 4 ? ['title'] : []
    }));
  const path = `/briefs/${demo.id}/versions/5/diaries/${hand.id}`;
  await api('POST', path, { search: 0, said: 'about 800', seenAt: '2026-11-24T09:00:00Z' });
  await api('POST', path, { search: 0, page: 1, rows: rows(1), seenAt: '2026-11-24T09:10:00Z' });
  await api('POST', path, { search: 0, said: 'about 820' });
  const { trialId } = await api('POST', path, { search: 0, page: 4, rows: rows(4) });
  const { sample } = await api('GET', `/briefs/${demo.id}/trials/${trialId}`);
  for (const [i, { person }] of sample.entries())
    await api('PUT', `/briefs/${demo.id}/verdicts`, {
      sourceId: hand.id,
      personId: person.id,
      verdict: i % 3 ? 'fit' : 'miss',
      revision: 0
    });
  await picture('by-hand', `${at}/by-hand?version=5&source=${hand.id}`, {
    act: async (page) => {
      await page
        .getByLabel('Page content')
        .fill(
          'Rosa Lind\nHead of Quality at Nordlys Pharma\nLund, Sweden\n\nUlf Berg\nKvalitetschef at Fjordkyl Distribution\n'
        );
      await page.getByRole('button', { name: 'Read people' }).click();
    }
  });
}
