import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from 'playwright-core';
import { say, stopWith } from './lib/say.mjs';

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

// Two versions, judged by what the demo's people say of themselves, so that every view has something to show.
const { body: draft } = await api('GET', `/briefs/${demo.id}/draft`);
const base = draft.text.split('\nNOT')[0];
const texts = [
  `${base}\nNOT intern`,
  `${base}\nNOT (@never-interns OR title:(software OR engineer OR tester OR prototyping OR lead))`
];
const wanted = /pharma|apotek|medical|healthcare|chilled|fresh|kyl|frost|cool|seafood/i;
const right = /quality|qualit|kvalit|kwalit|responsible person|\brp\b|großhandels|fagansvarlig|sakkunnig/i;
const trials = [];
for (const [i, text] of texts.entries()) {
  const version = await api('POST', `/briefs/${demo.id}/versions`, { text, parent: i || null });
  await api('PATCH', `/briefs/${demo.id}/versions/${version.number}`, {
    name: ['as first written', 'no software'][i],
    note: ['', 'no software, no prototypes, nobody who is learning'][i]
  });
  for (const sourceId of ['harrow-guild', 'lanternfield', 'quillbank', 'marlow-register']) {
    const trial = await api('POST', `/briefs/${demo.id}/trials`, { version: version.number, sourceId, sampleSize: 40 });
    trials.push(trial);
    for (const { person, verdict } of trial.sample.slice(0, 31)) {
      const [job] = person.jobs;
      const fit =
        wanted.test(job.company) &&
        right.test(job.title) &&
        !/specialist|coordinator|associate|intern/i.test(job.title);
      if (!verdict)
        await api('PUT', `/briefs/${demo.id}/verdicts`, {
          sourceId,
          personId: person.id,
          verdict: fit ? 'fit' : 'miss',
          reason: fit ? '' : wanted.test(job.company) ? 'wrong rank' : 'wrong trade',
          revision: 0
        });
    }
  }
}
// A second judge, who sees a few otherwise, and a version chosen for two sources.
for (const [i, { person, verdict }] of (await api('GET', `/briefs/${demo.id}/trials/${trials[4].id}`)).sample.entries())
  if (verdict)
    await api('PUT', `/briefs/${demo.id}/judges/Berit`, {
      sourceId: 'harrow-guild',
      personId: person.id,
      verdict: i % 9 === 4 ? (verdict.verdict === 'fit' ? 'miss' : 'fit') : verdict.verdict,
      reason: i % 9 === 4 ? 'reads the title otherwise' : '',
      revision: 0
    }).catch(() => {});
const { revision } = await api('GET', `/briefs/${demo.id}/choice`);
await api('PUT', `/briefs/${demo.id}/choice`, {
  body: {
    baseline: 1,
    winners: [
      { sourceId: 'harrow-guild', version: 2, note: 'software testers gone, no fit lost' },
      { sourceId: 'marlow-register', version: 1, note: '' }
    ]
  },
  revision
});
await api('PUT', `/briefs/${demo.id}/draft`, {
  body: { text: texts[1], from: 2 },
  revision: (await api('GET', `/briefs/${demo.id}/draft`)).revision
});

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-background-networking']
});
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
await picture('briefs', '/');
await picture('persona', `${at}/persona`);
await picture('written-brief', `${at}/persona`, {
  act: async (page) => {
    await page.getByRole('button', { name: 'Read a written brief' }).click();
    await page
      .getByLabel('The brief as it was written')
      .fill(
        'We sell temperature loggers for refrigerated transport. Our best customers are pharma wholesalers and chilled-food distributors with 50 to 500 staff in the Nordics; we talk to heads of quality or the responsible person; not hospitals, not agencies. Turnover of 5 to 50 million. Last year was a good one.'
      );
  }
});
await picture('wording', `${at}/wording`, { act: (page) => page.waitForTimeout(2500) });
await picture('string', `${at}/string`, { act: (page) => page.waitForTimeout(1200) });
await picture('string-tree', `${at}/string?tree=1`, {
  act: async (page) => {
    await page.getByRole('treeitem').nth(1).click();
    await page.evaluate(() => document.querySelector('.tools')?.scrollIntoView());
  }
});
await picture('cards', `${at}/string`, {
  act: async (page) => {
    await page.getByRole('region', { name: 'How Lanternfield is asked' }).getByText('of 32 words').waitFor();
    await page.evaluate(() => document.querySelector('.cards')?.scrollIntoView());
  }
});
await picture('versions', `${at}/string?version=1`, {
  act: (page) =>
    page.evaluate(() => document.querySelector('[aria-label=Versions]')?.scrollIntoView({ block: 'center' }))
});
const panel = (name, region) =>
  picture(name, `${at}/string?panel=${name}`, {
    act: async (page) => {
      const shown = page.getByRole('region', { name: region });
      await shown.locator('td').nth(3).waitFor();
      await page.waitForTimeout(1500);
      await page.evaluate(() => document.querySelector('.tools')?.scrollIntoView());
    }
  });
await panel('proposals', 'Proposals');
await panel('narrowing', 'Narrowing');
await panel('meanings', 'Meanings of words in this string');
await picture('places', '/library/places');
await picture('library', '/library?set=never-interns');
await picture('sheet', '/sources/lanternfield');
await picture('trial', `${at}/trial?trial=${trials[0].id}&at=12`);
await picture('compare', `${at}/compare`);
await picture('side-by-side', `${at}/compare?panel=versions&from=1&to=2&source=harrow-guild`, {
  theme: 'dark',
  act: async (page) => {
    await page.getByRole('region', { name: 'Two versions side by side' }).locator('td').first().waitFor();
    await page.evaluate(() => document.querySelector('.charts')?.scrollIntoView());
  }
});
await picture('report', `${at}/report`);
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
await browser.close();
