import { describe, expect, it } from 'vitest';
import { api, expectAccessible, useBrowser } from './browser';

const { open } = useBrowser();

describe('a harvest', () => {
  it('is started, cut otherwise by hand, brings everybody home, and is judged down the likely ones and taken along', async () => {
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
    await form.getByRole('button', { name: 'Start the harvest' }).click();
    await page.getByRole('heading', { level: 1, name: 'All of them' }).waitFor();
    await page.getByText(/The 30 records of its budget are used up/).waitFor();

    // The plan, changed by hand while it stands still.
    const harrow = page.getByRole('region', { name: 'Harrow Guild, slices' });
    await harrow.getByRole('button', { name: /^Slices of Harrow Guild/ }).click();
    const row = harrow.getByRole('row').nth(1);
    await row.getByRole('button', { name: /^(Join|Cut…)$/ }).waitFor();
    if (await row.getByRole('button', { name: 'Join' }).count())
      await row.getByRole('button', { name: 'Join' }).click();
    await row.getByRole('button', { name: 'Cut…' }).click();
    const ways = row.getByLabel(/^Cut .* by$/);
    await ways.waitFor();
    const byCountry = (await ways.getByRole('option').allTextContents()).find((way) =>
      way.trim().startsWith('country')
    );
    await ways.selectOption({ label: byCountry!.trim() });
    await harrow.getByText('cut by country').waitFor();
    await harrow.getByRole('cell', { name: 'any other, or not told' }).first().waitFor();
    await expectAccessible(page);

    // More is allowed, and all of it comes.
    await page.getByRole('button', { name: 'Limits' }).click();
    const limits = page.getByRole('dialog');
    await limits.getByLabel('Records, at most').fill('');
    await limits.getByRole('button', { name: 'Keep, and go on' }).click();
    await page.getByText('all is read').waitFor({ timeout: 80_000 });
    await harrow.getByText('All of it came.').waitFor();
    expect(await harrow.getByText(/rows in \d+ of \d+ slices/).innerText()).toMatch(/^[\d,]{5,} rows/);

    // Down the list by keys; a filter; everybody in a file.
    const people = page.getByRole('region', { name: 'People gathered' });
    await people
      .getByRole('status')
      .getByText(/[\d,]+ people/)
      .waitFor();
    await page.getByRole('button', { name: 'Judge the next' }).click();
    for (const key of ['f', 'm', 'f', 'm', 'f', 'u']) {
      const card = page.getByRole('region', { name: 'The person' });
      await card.waitFor();
      const name = await card.getByRole('heading').innerText();
      await page.keyboard.press(key);
      await expect
        .poll(() =>
          page
            .getByRole('region', { name: 'The person' })
            .getByRole('heading')
            .innerText()
            .catch(() => name)
        )
        .not.toBe(name);
    }
    await people.getByRole('button', { name: 'Order anew' }).click();
    await people.getByRole('heading', { name: 'The likely ones first' }).waitFor();
    await people.getByText(/learnt from 5 verdicts/).waitFor();
    await people.getByLabel('Verdict').selectOption('fit');
    await people.getByRole('status').getByText('3 people').waitFor();
    await expectAccessible(page);
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      page.getByLabel('Take along as').selectOption('csv')
    ]);
    expect(file.suggestedFilename()).toBe('harvest.csv');
    const pieces: Buffer[] = [];
    for await (const piece of await file.createReadStream()) pieces.push(piece as Buffer);
    expect(Buffer.concat(pieces).toString().trim().split('\r\n')).toHaveLength(4);
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Delete for good' }).click();
    await page.getByRole('form', { name: 'Start a harvest' }).waitFor();
  }, 150_000);
});
