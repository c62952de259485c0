import { describe, expect, it } from 'vitest';
import type { Page } from 'playwright-core';
import { deleteAddedSources, api, expectAccessible, stringText, useBrowser, visit, writeString } from './browser';

const { open, expectError } = useBrowser();

const kept = (page: Page) => page.getByText('Saved', { exact: true }).waitFor();
const step = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Steps of this brief' }).getByRole('link', { name });

/** Judges the first people of the open sample by keyboard. */
async function judge(page: Page, keys: string): Promise<void> {
  const persons = page.getByRole('group', { name: 'Position of the sample in the result' }).getByRole('button');
  for (const [i, key] of [...keys].entries()) {
    await page.keyboard.press(key);
    const word = { f: 'Fit', m: 'Miss', u: 'Unsure' }[key]!;
    await persons.nth(i).getByText(word, { exact: true }).waitFor({ state: 'attached' });
    // A fit goes on by itself; a miss waits for its reason.
    if (i < keys.length - 1 && key === 'm') await page.keyboard.press('ArrowRight');
    await page.waitForTimeout(60);
  }
}

async function run(page: Page): Promise<void> {
  await page.getByRole('button', { name: /^Run on/ }).click();
  await page.waitForURL(/\/trial\?trial=/);
}

describe('the whole job on the demo', () => {
  it('goes from a persona to two compared versions', async () => {
    const page = await open('/');
    await expectAccessible(page);
    await page.getByRole('textbox', { name: 'Name of the new brief' }).fill('Loggers, by hand');
    await page.getByRole('button', { name: 'New brief' }).click();
    await page.waitForURL(/\/persona$/);

    // Persona: kept as typed, undone and redone.
    await page.getByLabel('Job titles').fill('Head of Quality\nQA Manager');
    await page.getByLabel('Exclude keywords', { exact: true }).fill('intern');
    await page.getByLabel('Headcount, from').fill('51');
    await page.getByLabel('to', { exact: true }).fill('1,000');
    await page.getByRole('combobox', { name: 'Countries', exact: true }).fill('Denmark');
    await page.keyboard.press('Enter');
    await kept(page);
    await page
      .getByText(
        'People titled Head of Quality or QA Manager, at firms of 51 to 1,000 people in Denmark, excluding intern.'
      )
      .waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    expect(await page.getByRole('button', { name: 'Remove Denmark' }).count()).toBe(0);
    await page.getByRole('button', { name: 'Redo' }).click();
    await page.getByRole('button', { name: 'Remove Denmark' }).waitFor();
    await kept(page);
    await expectAccessible(page);

    // Wording: a pasted list, one set aside and the string built, phrases quoted.
    await step(page, 'Wording').click();
    await page.getByLabel('New wordings for Head of Quality').fill('Quality Director, Kvalitetschef\nidle wording');
    await page
      .getByRole('region', { name: 'Head of Quality' })
      .getByRole('button', { name: 'Add', exact: true })
      .first()
      .click();
    await page.getByText('3 added.').waitFor();
    await page.getByRole('checkbox', { name: '"idle wording"' }).uncheck();
    await kept(page);
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Build string' }).click();
    await page.locator('.cm-line').first().waitFor();
    await expect
      .poll(() => stringText(page))
      .toBe(
        'title:("Head of Quality" OR "Quality Director" OR Kvalitetschef OR "QA Manager")\nAND headcount:[51 TO 1000]\nAND country:Denmark\nNOT intern'
      );

    // String: figures for each source; first version without a country, so that more is found.
    await writeString(page, 'title:("Head of Quality" OR "Head of QA" OR "QA Manager" OR Kvalitetschef) NOT intern');
    const board = page.getByRole('table', { name: 'What each part does, by source' });
    await board.getByText(/^\d/).first().waitFor();
    await board.getByText('finds more').first().waitFor();
    await expectAccessible(page);
    await board.getByRole('button', { name: 'Marlow Register', exact: true }).click();
    await page
      .getByRole('region', { name: 'Searches for Marlow Register' })
      .getByText('head of quality')
      .first()
      .waitFor();
    await run(page);

    // Trial: marked words, verdicts by keyboard, precision with its interval.
    await page.getByRole('heading', { name: 'Version 1 on Harrow Guild' }).waitFor();
    await page.getByRole('article').waitFor();
    expect(await page.locator('article mark').count()).toBeGreaterThan(0);
    const persons = page.getByRole('group', { name: 'Position of the sample in the result' }).getByRole('button');
    await judge(page, 'ffmfum');
    await page.keyboard.press('2');
    // Its reason given, the next person is there.
    await persons.nth(6).and(page.locator('[aria-current=true]')).waitFor();
    await page.keyboard.press('ArrowLeft');
    await page.getByRole('button', { name: '2 wrong function', pressed: true }).waitFor();
    await page.getByText('3 of 5', { exact: true }).waitFor({ state: 'attached' });
    await page.getByRole('region', { name: 'Precision so far' }).getByText('60%').waitFor();
    const interval = await page.getByTestId('interval').innerText();
    expect(interval).toMatch(/^\d+–\d+%$/);
    await page.getByText('6 judged').waitFor();
    await expectAccessible(page);
    await page.keyboard.press('w');
    await page.keyboard.insertText('ask in March');
    await page.keyboard.press('Escape');
    await page.getByText('kept', { exact: true }).waitFor();
    await page.keyboard.press('Control+z');
    await page.keyboard.press('Control+z');
    await page.getByText('5 judged').waitFor();

    // A reload comes back to the same person with the same verdicts.
    await page.reload({ waitUntil: 'networkidle' });
    await page.getByText('3 of 4', { exact: true }).waitFor({ state: 'attached' });
    expect(await page.getByLabel('Note').inputValue()).toBe('ask in March');

    // Second version: the same people come back with their verdicts.
    await step(page, 'String').click();
    await writeString(
      page,
      'title:("Head of Quality" OR "Head of QA" OR "QA Manager" OR Kvalitetschef) NOT (intern OR software OR test*)'
    );
    await run(page);
    await page.getByRole('heading', { name: 'Version 2 on Harrow Guild' }).waitFor();
    await page.getByRole('article').waitFor();
    const [, briefId, trialId] = /briefs\/([^/]+)\/trial\?trial=([^&]+)/.exec(page.url())!;
    const { sample } = await api<{ sample: { verdict: { verdict: string } | null }[] }>(
      'GET',
      `/briefs/${briefId}/trials/${trialId}`
    );
    const cameBack = sample.flatMap(({ verdict }) => verdict?.verdict ?? []);
    expect(cameBack.length).toBeGreaterThan(0);
    for (const [verdict, word] of [
      ['fit', 'Fit'],
      ['miss', 'Miss'],
      ['unsure', 'Unsure']
    ] as const)
      await expect
        .poll(() =>
          page
            .getByRole('group', { name: 'Position of the sample in the result' })
            .getByText(word, { exact: true })
            .count()
        )
        .toBe(cameBack.filter((one) => one === verdict).length);

    // Compare: both versions measured, and who went, by name.
    await step(page, 'Compare').click();
    await page
      .getByText(/^about [\d,]+ fits/)
      .first()
      .waitFor();
    await page.getByRole('group', { name: 'People removed' }).waitFor();
    expect(await page.getByRole('group', { name: 'People removed' }).getByRole('row').count()).toBeGreaterThan(1);
    await expectAccessible(page);

    // An old version is opened, compared as text, and taken up again.
    await visit(page, page.url().replace(/compare.*/, 'string?version=1'));
    const differ = page.getByRole('list', { name: 'Changed parts' });
    await differ.getByText('software').waitFor();
    expect(await differ.getByText('added').count()).toBe(2);
    await page.getByText('As text').click();
    expect(await page.locator('pre ins').allInnerTexts()).not.toEqual([]);
    await page.getByRole('button', { name: 'Restore' }).click();
    await page.getByRole('heading', { name: 'Version 1' }).waitFor();
    await expectAccessible(page);
  });

  it('shows what is wrong where it is wrong, and fixes it', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Problems' });
    const page = await open(`/briefs/${id}/string`);
    const problems = page.getByRole('list', { name: 'Problems in the string' });
    await writeString(page, 'title:quality manager');
    await problems.getByText(/Without quotes, these 2 words/).waitFor();
    await problems.getByRole('button', { name: 'Quote “quality manager”' }).click();
    expect(await stringText(page)).toBe('title:"quality manager"');
    expect(await problems.count()).toBe(0);

    await writeString(page, 'QA AND GDP OR RP');
    await problems.getByText(/This is read as: \(QA AND GDP\) OR RP/).waitFor();
    await page.locator('.cm-lintRange-warning').first().waitFor();
    await page.keyboard.press('ControlOrMeta+.');
    await problems.getByRole('button', { name: 'Add these brackets' }).click();
    expect(await stringText(page)).toBe('(QA AND GDP) OR RP');

    await writeString(page, 'title:(QA OR "head of');
    await problems.getByText(/This quote is never closed/).waitFor();
    await page.getByRole('button', { name: /^Run on/ }).click();
    await page.getByText('Couldn’t run', { exact: true }).waitFor();
    expect(await stringText(page)).toBe('title:(QA OR "head of');

    await writeString(page, '('.repeat(10_000));
    await problems.getByText(/more than 200 levels deep/).waitFor();
    await writeString(page, 'quality '.repeat(9000));
    await problems.getByText(/KiB long; the limit is 64 KiB/).waitFor();
  });
});

describe('the whole job on a file of one’s own', () => {
  const rows = Array.from({ length: 240 }, (_, i) => {
    const title = ['Head of Quality', 'QA Lead, Software', 'Kvalitetschef', 'Warehouse Manager'][i % 4];
    return `Person ${i},"${title}",Firm ${i % 30},${i % 2 ? 'Denmark' : 'Sweden'},${20 + i}`;
  });

  it('imports a CSV, runs, judges and compares on it', async () => {
    await deleteAddedSources();
    const page = await open('/sources');
    await expectAccessible(page);
    const desk = page.getByRole('region', { name: 'Import a file of people' });
    const give = (name: string, content: string | Buffer) =>
      desk
        .locator('input[type=file]')
        .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content as string) });

    expectError(/422/);
    // Other tests leave files of their own.
    const imported = page.getByText('imported file');
    await page.getByText('Harrow Guild').first().waitFor();
    const before = await imported.count();
    // Awkward files get a sentence, and nothing of them stays.
    await give('empty.csv', '');
    await desk.getByText('empty.csv is empty. Choose a CSV, XLSX or JSON Lines file with people in it.').waitFor();
    await give('photo.csv', Buffer.from([0x89, 0x50, 0, 1, 2]));
    await desk.getByText(/not a text file/).waitFor();
    await give('bad.csv', `Name,Title,Company,Country,Employees\n${rows.join('\n')}\n  ,QA,Firm,Norway,10\n`);
    await desk.getByRole('button', { name: 'Import', exact: true }).click();
    await desk.getByText(/1 of 241 rows couldn’t be read, so nothing was saved/).waitFor();
    await desk.getByRole('cell', { name: '242' }).waitFor();
    expect(await imported.count()).toBe(before);
    await expectAccessible(page);
    await desk.getByRole('button', { name: 'Discard file' }).click();

    // A good one is matched, previewed, renamed and imported.
    await give('contacts.csv', `Name,Position held,Company,Country,Employees\n${rows.join('\n')}\n`);
    await desk.getByLabel('Field for column Position held').selectOption('title');
    await desk.getByLabel('Source name').fill('My contacts');
    await desk.getByRole('button', { name: 'Import', exact: true }).click();
    await desk.getByText('240 people imported.').waitFor();
    await page.getByRole('cell', { name: 'My contacts imported file' }).waitFor();

    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'On a file' });
    await visit(page, `/briefs/${id}/string`);
    for (const name of ['Harrow Guild', 'Lanternfield', 'Quillbank', 'Marlow Register'])
      await page.getByRole('checkbox', { name }).uncheck();
    await writeString(page, 'title:(quality OR QA OR kvalitetschef)');
    await page.getByRole('button', { name: 'Run on 1 source' }).waitFor();
    await page.getByText('180', { exact: true }).first().waitFor();
    await page.locator('.cm-content').click();
    await page.keyboard.press('ControlOrMeta+Enter');
    await page.waitForURL(/\/trial\?trial=/);
    await page.getByRole('heading', { name: 'Version 1 on My contacts' }).waitFor();
    await page.getByText(/40 drawn from all 180\./).waitFor();
    await judge(page, 'fmfm');
    await page.getByRole('region', { name: 'Precision so far' }).getByText('50%').waitFor();

    await step(page, 'String').click();
    await writeString(page, 'title:(quality OR QA OR kvalitetschef) NOT software');
    await run(page);
    await page.getByRole('heading', { name: 'Version 2 on My contacts' }).waitFor();
    await step(page, 'Compare').click();
    const removed = page.getByRole('group', { name: 'People removed' });
    await removed.getByText('QA Lead, Software').first().waitFor();
    await page.getByText('60', { exact: true }).first().waitFor();
    await page.getByRole('button', { name: /kept/ }).getByText('120', { exact: true }).waitFor();
  });
});
