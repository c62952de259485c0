import { describe, expect, it } from 'vitest';
import { api, expectAccessible, useBrowser, visit } from './browser';

const { open } = useBrowser();

interface Kept {
  body: { name: string; wordings: { text: string; origin: string; inUse: boolean }[]; refused: string[] }[];
}

describe('the wording table', () => {
  it('proposes, counts, takes, refuses, undoes and copies, by mouse and keys', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Wordings' });
    const persona = await api<{ body: object; revision: number }>('GET', `/briefs/${id}/persona`);
    await api('PUT', `/briefs/${id}/persona`, {
      ...persona,
      body: { ...persona.body, titles: ['Head of Quality', 'QA'] }
    });
    const page = await open(`/briefs/${id}/wording`);
    const table = page.getByRole('table', { name: 'Wordings' });
    const row = (text: string) => table.getByRole('row').filter({ has: page.getByText(`"${text}"`, { exact: true }) });
    const kept = async () => {
      await page.getByText('Saved', { exact: true }).waitFor();
      return (await api<Kept>('GET', `/briefs/${id}/wording`)).body[0]!;
    };
    await row('Head of Quality Assurance').getByText('already covered by “Head of Quality”').waitFor();
    await row('Head of Quality').getByRole('cell').nth(3).getByText(/\d/).waitFor();
    // Proposals that find nobody do not crowd those that do.
    await page.getByRole('button', { name: /^and \d+ that find nobody$/ }).waitFor();
    expect(await row('Head of QC').count()).toBe(0);
    await page.getByRole('button', { name: /^and \d+ that find nobody$/ }).click();
    await row('Head of QC').getByText('finds nobody at any source').waitFor();
    await expectAccessible(page);

    await row('Head of QA').getByRole('button', { name: 'Add Head of QA' }).click();
    await table.getByRole('button', { name: 'Harrow Guild' }).click();
    await table.getByRole('columnheader', { name: 'Harrow Guild' }).getByRole('button').waitFor();
    expect(await table.getByRole('columnheader').nth(3).getAttribute('aria-sort')).toBe('descending');
    await table.getByRole('button', { name: 'Harrow Guild' }).click();
    await table.getByRole('button', { name: 'Harrow Guild' }).click();

    await page.getByLabel('Find a wording').fill('Leiter');
    await table.getByRole('row').nth(1).focus();
    await page.keyboard.press('Space');
    await page.keyboard.press('Shift+ArrowDown');
    await page.getByText('2 selected').waitFor();
    await page.keyboard.press('Enter');
    await page.getByLabel('Find a wording').fill('Quality Head');
    await table.getByRole('row').nth(1).focus();
    await page.keyboard.press('r');
    await page.getByText('No wordings yet.').waitFor();
    await page.getByLabel('Find a wording').fill('');
    let set = await kept();
    expect(set.wordings.map(({ text, origin }) => [text, origin])).toEqual([
      ['Head of Quality', 'typed'],
      ['Head of QA', 'lexicon'],
      ['Leiter Qualität', 'translated'],
      ['Leiter Qualitätssicherung', 'translated']
    ]);
    expect(set.refused).toEqual(['Quality Head']);
    await page.getByRole('button', { name: 'Undo' }).click();
    set = await kept();
    expect(set.refused).toEqual([]);
    await page.getByRole('button', { name: 'Copy those in use as a group' }).click();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(
      '("Head of Quality" OR "Head of QA" OR "Leiter Qualität" OR "Leiter Qualitätssicherung")'
    );

    // What the house decides comes back in another brief.
    await page.getByLabel('remember for all briefs').check();
    await row('Head of Quality Control').getByRole('checkbox', { name: 'Select Head of Quality Control' }).check();
    await page.getByRole('button', { name: 'Reject' }).click();
    await page.getByText('Saved', { exact: true }).waitFor();
    const other = await api<{ id: string }>('POST', '/briefs', { name: 'Wordings again' });
    await api('PUT', `/briefs/${other.id}/persona`, {
      body: { ...persona.body, titles: ['Head of Quality'] },
      revision: 1
    });
    await visit(page, `/briefs/${other.id}/wording`);
    await row('Head of Quality Control').getByText('rejected in another brief').waitFor();

    await visit(page, `/briefs/${id}/wording?title=qa`);
    await page.getByText(/has several meanings: quality assurance of goods; testing of software/).waitFor();
    await expectAccessible(page);
  });

  it('leaves and comes back as CSV, and offers titles that fits carry', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Found' });
    const persona = await api<{ body: object; revision: number }>('GET', `/briefs/${id}/persona`);
    await api('PUT', `/briefs/${id}/persona`, { ...persona, body: { ...persona.body, titles: ['Head of Quality'] } });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:kvalitetschef' });
    const trial = await api<{ sample: { person: { id: string; jobs: { title: string }[] } }[] }>(
      'POST',
      `/briefs/${id}/trials`,
      {
        version: 1,
        sourceId: 'harrow-guild',
        sampleSize: 5
      }
    );
    const { person } = trial.sample[0]!;
    await api('PUT', `/briefs/${id}/verdicts`, {
      sourceId: 'harrow-guild',
      personId: person.id,
      verdict: 'fit',
      revision: 0
    });
    const page = await open(`/briefs/${id}/wording`);
    const found = page.getByRole('region', { name: 'Found in results' });
    await found.getByRole('button', { name: `Add ${person.jobs[0]!.title}` }).click();
    await found.getByText('added', { exact: true }).waitFor();
    await page.getByText('Saved', { exact: true }).waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export CSV' }).click()
    ]);
    expect(download.suggestedFilename()).toBe('wordings.csv');
    const give = (text: string) =>
      page
        .locator('input[type=file]')
        .setInputFiles({ name: 'w.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await give('title,wording\nHead of Quality,Keeper of Goodness\nNobody,Nothing\n');
    await page.getByText('w.csv: wordings of 1 title imported; 1 title isn’t in the persona.').waitFor();
    await page.getByText('"Keeper of Goodness"').waitFor();
    await give('a,b\n1,2\n');
    await page.getByText(/needs a header row with the columns title and wording.*Nothing was changed/).waitFor();
    await expectAccessible(page);
  });
});
