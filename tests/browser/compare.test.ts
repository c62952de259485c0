import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Page } from 'playwright-core';
import { api, expectAccessible, useBrowser, visit } from './browser';

const { open, expectError } = useBrowser();

const wide = 'title:(QA OR "quality manager" OR "head of quality") AND (GDP OR pharma OR chilled)';
const narrow = `${wide} NOT (software OR tester)`;
interface Trial {
  id: string;
  shown: number;
  sample: { person: { id: string; name: string; jobs: { title: string }[]; about?: string } }[];
}

type Drawn = Trial['sample'][number]['person'];
const bySoftware = (person: Drawn) => (/software|tester/i.test(JSON.stringify(person)) ? 'miss' : 'fit');
/** Two versions run at two sources, the people drawn for the first at Harrow Guild judged. */
async function compared(name: string, verdict: (person: Drawn, at: number) => string = bySoftware) {
  const { id } = await api<{ id: string }>('POST', '/briefs', { name });
  await api('POST', `/briefs/${id}/versions`, { text: wide });
  await api('POST', `/briefs/${id}/versions`, { text: narrow, parent: 1 });
  const trials: Record<string, Trial> = {};
  for (const version of [1, 2])
    for (const sourceId of ['harrow-guild', 'quillbank'])
      trials[`${version} ${sourceId}`] = await api('POST', `/briefs/${id}/trials`, {
        version,
        sourceId,
        sampleSize: 24
      });
  for (const [at, { person }] of trials['1 harrow-guild']!.sample.entries())
    await give(id, person.id, verdict(person, at));
  return { id, trials };
}
const give = (id: string, personId: string, verdict: string) =>
  api('PUT', `/briefs/${id}/verdicts`, { sourceId: 'harrow-guild', personId, verdict, revision: 0 });

const board = (page: Page) => page.getByRole('table', { name: 'Versions by source' });
/** What the page hands to the browser to be saved. */
async function saved(page: Page, act: () => Promise<void>): Promise<{ name: string; text: string; bytes: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent('download'), act()]);
  const bytes = readFileSync(await download.path());
  return { name: download.suggestedFilename(), text: bytes.toString('utf8'), bytes };
}

describe('the board', () => {
  it('shows what is chosen to be shown, sorts, keeps a baseline and a winner, and opens the people behind a figure', async () => {
    const { id } = await compared('Board');
    const page = await open(`/briefs/${id}/compare`);
    await board(page)
      .getByText(/% fits/)
      .first()
      .waitFor();
    await expectAccessible(page);

    await page.getByText('Measures', { exact: true }).click();
    await page.getByRole('checkbox', { name: 'searches needed' }).check();
    await board(page).getByText('one search').first().waitFor();
    await page.getByRole('checkbox', { name: 'people only this version finds' }).check();
    await board(page)
      .getByText(/only by this version/)
      .first()
      .waitFor();
    expect(page.url()).toContain('show=');

    const order = () => board(page).locator('tbody th b').allInnerTexts();
    expect(await order()).toEqual(['2', '1']);
    await page.getByLabel('Sort by').selectOption('count harrow-guild');
    await expect.poll(order).toEqual(['1', '2']);

    await board(page).getByRole('button', { name: 'Baseline' }).last().click();
    await board(page).getByText('Baseline ✓').waitFor();
    await board(page).getByRole('button', { name: 'Choose: version 1 for Harrow Guild' }).click();
    await board(page).getByText('chosen for Harrow Guild').waitFor();
    await page.getByLabel('Why version 1').fill('finds most');
    await page.keyboard.press('Enter');
    await expect
      .poll(
        async () => (await api<{ body: { winners: { note: string }[] } }>('GET', `/briefs/${id}/choice`)).body.winners
      )
      .toEqual([{ sourceId: 'harrow-guild', version: 1, note: 'finds most' }]);

    await board(page)
      .getByRole('button', { name: /% fits$/ })
      .first()
      .click();
    const behind = page.getByRole('region', { name: 'People behind this figure' });
    await behind.getByText(/judged a fit in the sample: version 1 at Harrow Guild/).waitFor();
    await behind.getByRole('row').nth(3).waitFor();
    await expectAccessible(page);
    await page.goBack();
    await behind.waitFor({ state: 'detached' });

    // The list of briefs shows what was chosen.
    await visit(page, '/');
    const chosen = page
      .getByRole('listitem')
      .filter({ hasText: 'Board' })
      .getByRole('list', { name: 'Versions chosen' });
    await chosen
      .getByText(/version 1/)
      .first()
      .waitFor();
    await chosen.getByText('finds most').waitFor();
  });

  it('moves as verdicts arrive in another tab, without being loaded again', async () => {
    const { id, trials } = await compared('Two tabs');
    const [page] = await Promise.all([open(`/briefs/${id}/compare`)]);
    const cell = board(page).getByRole('row').nth(2).getByRole('cell').nth(0);
    const before = Number(/(\d+) judged/.exec(await cell.innerText())![1]);
    const more = await api<Trial>('POST', `/briefs/${id}/trials/${trials['1 harrow-guild']!.id}/sample`, { size: 26 });
    const judged = new Set(trials['1 harrow-guild']!.sample.map(({ person }) => person.id));
    for (const { person } of more.sample.filter((one) => !judged.has(one.person.id))) await give(id, person.id, 'miss');
    await expect
      .poll(async () => Number(/(\d+) judged/.exec(await cell.innerText())![1]), { timeout: 10_000 })
      .toBe(before + 2);
  });

  it('draws the people who would decide between two versions, and opens the desk', async () => {
    const { id, trials } = await compared('Decide', (_, at) => (at % 6 ? 'fit' : 'miss'));
    // The second version's are judged one by one, until some more verdicts would decide between the two.
    type Standing = { is: string; decide?: { here: number; there: number } | null };
    const canDecide = async () => {
      const { cells } = await api<{ cells: { standing: Standing }[] }>('GET', `/briefs/${id}/compare`);
      return cells.some(({ standing }) => standing.is === 'open' && standing.decide);
    };
    for (const [i, { person }] of trials['2 harrow-guild']!.sample.entries()) {
      await give(id, person.id, i % 2 ? 'fit' : 'miss').catch(() => {});
      if (await canDecide()) break;
    }
    const page = await open(`/briefs/${id}/compare`);
    await page
      .getByText(/Undecided against|is better than|still undecided/)
      .first()
      .waitFor();
    const draw = board(page).getByRole('button', { name: 'Draw the' }).first();
    await draw.click();
    await page.waitForURL(/\/trial\?trial=/);
    await page.getByRole('heading', { name: /^Version \d on/ }).waitFor();
  });
});

describe('side by side', () => {
  it('two versions: what differs, what it cost, and the people removed, judged in place', async () => {
    const { id } = await compared('Versions');
    const page = await open(`/briefs/${id}/compare`);
    await board(page).getByRole('button', { name: 'Gained and lost' }).click();
    const panel = page.getByRole('region', { name: 'Two versions side by side' });
    await panel.getByText('Gained and lost by these exclusions:').waitFor();
    await panel.getByText(/The change removes/).waitFor();
    await panel.getByText(/McNemar’s exact test|0 are treated rightly/).waitFor();
    const removed = panel.getByRole('group', { name: 'People removed' });
    const first = removed.getByRole('row').nth(1);
    await first.getByRole('button', { name: /is a fit$/ }).click();
    await first.getByRole('button', { name: /is a fit$/, pressed: true }).waitFor();
    await panel
      .getByText(/judged among them are fits/)
      .first()
      .waitFor();
    await panel.getByRole('region', { name: 'Narrowing of both versions at Harrow Guild' }).waitFor();
    await expectAccessible(page);
  });

  it('two sources: who is missing at one and why; who is found where; how many there are', async () => {
    const { id } = await compared('Sources');
    const page = await open(`/briefs/${id}/compare?panel=sources`);
    const panel = page.getByRole('region', { name: 'Two sources side by side' });
    await panel.getByRole('button', { name: /not in it/ }).click();
    const why = panel.getByRole('table', { name: 'People Quillbank misses' });
    await expect
      .poll(async () => new Set(await why.locator('tbody td:nth-child(4)').allInnerTexts()))
      .toEqual(new Set(['not in it']));
    await panel.getByRole('button', { name: 'Swap' }).click();
    await panel.getByRole('table', { name: 'People Harrow Guild misses' }).waitFor();

    await page.getByRole('button', { name: 'Recall' }).click();
    await page
      .getByRole('region', { name: 'Recall' })
      .getByText(/judged fits found/i)
      .first()
      .waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Same person' }).click();
    const same = page.getByRole('region', { name: 'Same person at several sources' });
    await same
      .getByText(/No possible duplicates|Same person/)
      .first()
      .waitFor();
    // Two records of different people are joined by hand, and split again.
    await same.getByLabel('Name').fill('an');
    await page.keyboard.press('Enter');
    const records = same.getByRole('table', { name: 'Records with that name' });
    const names = await records.getByRole('row').allInnerTexts();
    const apart = names.findIndex((text, i) => i > 0 && !text.includes('the same person as above'));
    await records.getByRole('checkbox').nth(0).check();
    await records.getByRole('checkbox').nth(apart).check();
    await same.getByRole('button', { name: 'Same person' }).click();
    const decided = same.getByRole('table', { name: 'Decided pairs' });
    await decided.getByText('same person').waitFor();
    await expectAccessible(page);
    await decided.getByRole('button', { name: 'Undo' }).click();
    await decided.waitFor({ state: 'detached' });
  });

  it('charts have their figures as a table and are saved as SVG and PNG', async () => {
    const { id } = await compared('Charts');
    const page = await open(`/briefs/${id}/compare`);
    for (const title of ['Precision against reach', /^Overlap between sources/, /^Narrowing of both/]) {
      const chart = page.getByRole('region', { name: title }).first();
      await chart.getByRole('img').waitFor();
      const svg = await saved(page, () => chart.getByRole('button', { name: /as SVG$/ }).click());
      expect(svg.name).toMatch(/\.svg$/);
      expect(svg.text).toMatch(/^<svg[^>]* xmlns="http:\/\/www.w3.org\/2000\/svg"/);
      expect(svg.text).not.toContain('var(--');
      const png = await saved(page, () => chart.getByRole('button', { name: /as PNG$/ }).click());
      expect(png.bytes.subarray(1, 4).toString()).toBe('PNG');
      expect(png.bytes.length).toBeGreaterThan(2000);
      await chart.getByRole('tab', { name: 'Table' }).click();
      expect(await chart.getByRole('row').count()).toBeGreaterThan(1);
      await expectAccessible(page);
      await chart.getByRole('tab', { name: 'Chart' }).click();
    }
  });
});

describe('two judges', () => {
  it('judge the same sample, the second unseen, and settle where they differ', async () => {
    const { id, trials } = await compared('Judges');
    const trial = trials['1 harrow-guild']!;
    const page = await open(`/briefs/${id}/trial?trial=${trial.id}`);
    await page.getByLabel('judging as').selectOption('+');
    await page.getByLabel('Name of the second judge').fill('Berit');
    await page.keyboard.press('Enter');
    await page.waitForURL(/as=Berit/);
    await page.getByText('nobody judged').waitFor();
    const persons = page.getByRole('group', { name: 'Position of the sample in the result' }).getByRole('button');
    for (let i = 0; i < 4; i++) {
      await page.keyboard.press('m');
      await persons.nth(i).getByText('Miss', { exact: true }).waitFor({ state: 'attached' });
      await page.keyboard.press('ArrowRight');
    }
    await page.getByText('4 of 24 judged').waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'compare both' }).click();
    const panel = page.getByRole('region', { name: 'Two judges' });
    await panel.getByText(/both judged 4 people/).waitFor();
    const differ = panel.getByRole('table', { name: 'Disagreements between the judges' });
    const settleAs = differ.getByRole('button', { name: /as miss$/ }).first();
    await settleAs.click();
    await differ.getByRole('button', { name: /as miss$/, pressed: true }).waitFor();
    await panel.getByText(/both judged 4 people/).waitFor();
    await expectAccessible(page);
    const after = await api<{ figures: { precision: { possible: { misses: number } } }; sample: unknown[] }>(
      'GET',
      `/briefs/${id}/trials/${trial.id}`
    );
    expect(after.figures.precision.possible.misses).toBeGreaterThan(0);
  });
});

describe('the report', () => {
  it('is one page to print, as Markdown and as CSV; verdicts, results and the whole brief leave and come back', async () => {
    expectError(/422/);
    const { id } = await compared('To share');
    await api('PUT', `/briefs/${id}/choice`, {
      body: { baseline: 1, winners: [{ sourceId: 'harrow-guild', version: 2, note: 'no <b>software</b>' }] },
      revision: 1
    });
    const page = await open(`/briefs/${id}/compare`);
    await page.getByRole('link', { name: 'Report' }).click();
    const entry = page.getByRole('region', { name: 'Harrow Guild' });
    await entry.getByText('no <b>software</b>').waitFor();
    await entry.getByText(/% fits/).waitFor();
    await expectAccessible(page);
    await entry.getByRole('button', { name: 'Copy: the search for Harrow Guild' }).click();
    await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toContain('QA');

    const pdf = await page.pdf({ format: 'A4' });
    const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
    const document = await getDocument({ data: new Uint8Array(pdf), verbosity: 0 }).promise;
    let printed = '';
    for (let number = 1; number <= document.numPages; number++) {
      const { items } = await (await document.getPage(number)).getTextContent();
      printed += items.map((item) => ('str' in item ? item.str : '')).join(' ');
    }
    expect(document.numPages).toBeLessThanOrEqual(2);
    const flat = printed.replaceAll(/\s+/g, ' ');
    expect(flat).toContain('Harrow Guild: version 2');
    expect(flat).toContain('How this was measured');
    expect(flat).not.toContain('Verdicts (qrels)');
    expect(flat).not.toContain('Library');

    const markdown = await saved(page, () => page.getByRole('button', { name: 'Markdown' }).click());
    expect(markdown.text).toContain('no \\<b\\>software\\</b\\>');
    const csv = await saved(page, () => page.getByRole('button', { name: 'CSV' }).click());
    expect(csv.text.split('\r\n')[0]).toContain('source,version');

    const qrels = await saved(page, () => page.getByRole('button', { name: 'Verdicts (qrels)' }).click());
    expect(qrels.text).toMatch(/^1 0 harrow-guild\/\S+ [01]\n/);
    const take = (label: string, text: string) =>
      page.getByLabel(label).setInputFiles({ name: 'x.txt', mimeType: 'text/plain', buffer: Buffer.from(text) });
    await take('Import qrels', `${qrels.text}1 0 harrow-guild/somebody-new 1\n`);
    await page.getByText('1 verdicts imported, 24 already here.').waitFor();
    await take('Import qrels', 'not qrels at all');
    await page.getByText(/Line 1: it has 4 fields|Line 1/).waitFor();
    const runs = await saved(page, () => page.getByRole('button', { name: 'Results (runs)' }).click());
    await take('Import runs', runs.text);
    await page.getByText('0 runs imported, 4 already here.').waitFor();

    const file = await saved(page, () => page.getByRole('button', { name: 'Whole brief' }).click());
    await visit(page, '/');
    const opened = (text: string) =>
      page
        .getByLabel('Import file')
        .setInputFiles({ name: 'b.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await opened('no json');
    await page.getByText(/b\.json isn’t valid JSON/).waitFor();
    await opened('{"format":"else"}');
    await page.getByText(/this is no brief that Eave wrote/).waitFor();
    await opened(file.text);
    await page.waitForURL(/\/compare$/);
    const copy = page.url().split('/').at(-2)!;
    expect(await api('GET', `/briefs/${copy}/file`)).toEqual(JSON.parse(file.text));
    const schema = await api<{ title: string; required: string[] }>('GET', '/brief.schema.json');
    expect(schema.required).toContain('verdicts');
  });
});
