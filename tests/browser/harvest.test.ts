import { describe, expect, it } from 'vitest';
import { api, expectAccessible, useBrowser } from './browser';

const { open } = useBrowser();

describe('a harvest', () => {
  it('is started, split differently by hand, collects the whole result, and is judged by likelihood and exported', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Everybody' });
    const page = await open(`/briefs/${id}/harvest`);
    await page.getByText('No version yet').waitFor();
    await api('POST', `/briefs/${id}/versions`, {
      text: 'title:(manager OR director OR quality) AND (pharma OR food OR logistics OR cold)'
    });
    await page.reload({ waitUntil: 'networkidle' });
    const form = page.getByRole('form', { name: 'Start a harvest' });
    await form.getByLabel('Records, at most').fill('many');
    await form.getByText('A number above 0, or nothing').waitFor();
    await form.getByLabel('Records, at most').fill('30');
    await form.getByLabel('Name').fill('All of them');
    await form.getByRole('button', { name: 'Start harvest' }).click();
    await page.getByRole('heading', { level: 1, name: 'All of them' }).waitFor();
    await page.getByText(/The 30 records in its budget are used up/).waitFor();

    // The plan, changed by hand while it stands still.
    const harrow = page.getByRole('region', { name: 'Harrow Guild, slices' });
    await harrow.getByRole('button', { name: /^Slices of Harrow Guild/ }).click();
    const row = harrow.getByRole('row').nth(1);
    await row.getByRole('button', { name: /^(Merge|Split…)$/ }).waitFor();
    if (await row.getByRole('button', { name: 'Merge' }).count())
      await row.getByRole('button', { name: 'Merge' }).click();
    await row.getByRole('button', { name: 'Split…' }).click();
    const ways = row.getByLabel(/^Split .* by$/);
    await ways.waitFor();
    const byCountry = (await ways.getByRole('option').allTextContents()).find((way) =>
      way.trim().startsWith('country')
    );
    await ways.selectOption({ label: byCountry!.trim() });
    await harrow.getByText('split by country').waitFor();
    await harrow.getByRole('cell', { name: 'any other or not listed' }).first().waitFor();
    await expectAccessible(page);

    // More is allowed, and all of it comes.
    await page.getByRole('button', { name: 'Limits' }).click();
    const limits = page.getByRole('dialog');
    await limits.getByLabel('Records, at most').fill('');
    await limits.getByRole('button', { name: 'Save and resume' }).click();
    await page.getByText('done').waitFor({ timeout: 80_000 });
    await harrow.getByText('Everything collected.').waitFor();
    expect(await harrow.getByText(/rows in \d+ of \d+ slices/).innerText()).toMatch(/^[\d,]{5,} rows/);

    // Down the list by keys; a filter; everybody in a file.
    const people = page.getByRole('region', { name: 'People collected' });
    await people
      .getByRole('status')
      .getByText(/[\d,]+ people/)
      .waitFor();
    await page.getByRole('button', { name: 'Judge next' }).click();
    for (const key of ['f', 'm', 'f', 'm', 'f', 'u']) {
      const card = page.getByRole('region', { name: 'Person' });
      await card.waitFor();
      const name = await card.getByRole('heading').innerText();
      await page.keyboard.press(key);
      await expect
        .poll(() =>
          page
            .getByRole('region', { name: 'Person' })
            .getByRole('heading')
            .innerText()
            .catch(() => name)
        )
        .not.toBe(name);
    }
    await people.getByRole('button', { name: 'Re-rank' }).click();
    await people.getByRole('heading', { name: 'Most likely fits first' }).waitFor();
    await people.getByText(/learned from 5 verdicts/).waitFor();
    await people.getByLabel('Verdict').selectOption('fit');
    await people.getByRole('status').getByText('3 people').waitFor();
    await expectAccessible(page);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByLabel('Export format').selectOption('csv')
    ]);
    expect(file.suggestedFilename()).toBe('harvest.csv');
    const pieces: Buffer[] = [];
    for await (const piece of await file.createReadStream()) pieces.push(piece as Buffer);
    expect(Buffer.concat(pieces).toString().trim().split('\r\n')).toHaveLength(4);
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
    await page.getByRole('form', { name: 'Start a harvest' }).waitFor();
  }, 150_000);
});
