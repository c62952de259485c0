import { describe, expect, it } from 'vitest';
import { api, expectAccessible, stringText, unfold, useBrowser, visit, writeString } from './browser';

const { open } = useBrowser();

describe('the persona', () => {
  it('is read from a written brief, fact by fact, and undone', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'From text' });
    const page = await open(`/briefs/${id}/persona`);
    await page.getByText('No job titles yet: a string starts with the people you’re looking for.').waitFor();
    await page.getByRole('button', { name: 'Import from text' }).click();
    const reader = page.getByRole('region', { name: 'Import from text' });
    await reader
      .getByLabel('Text of the brief')
      .fill(
        'We sell temperature loggers. Our best customers are pharma wholesalers with 50 to 500 staff in the Benelux; we talk to heads of quality or the responsible person; not hospitals. Turnover of 5 to 50 million. The weather was fine.'
      );
    await reader.getByText('Not understood: “The weather was fine.”').waitFor();
    await reader.getByText('(no source can search this)').waitFor();
    await reader.getByRole('checkbox', { name: 'Accept country Luxembourg' }).uncheck();
    await expectAccessible(page);
    await reader.getByRole('button', { name: 'Add 8 facts' }).click();
    await page
      .getByText(
        'People titled Head of Quality or Responsible Person, at firms of 50 to 500 people in Belgium or Netherlands, excluding hospitals.'
      )
      .waitFor();
    await page.getByText('Saved', { exact: true }).waitFor();
    await page.getByRole('button', { name: 'Undo' }).click();
    await page.getByText('No persona yet.').waitFor();
    await page.getByRole('button', { name: 'Redo' }).click();

    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export JSON' }).click()
    ]);
    expect(download.suggestedFilename()).toBe('persona.json');
    const give = (text: string) =>
      page
        .locator('input[type=file][accept=".json"]')
        .setInputFiles({ name: 'p.json', mimeType: 'application/json', buffer: Buffer.from(text) });
    await give('{"titles":"QA"}');
    await page.getByText(/p.json isn’t a persona: titles/).waitFor();
    await give('{"titles":["QA"]}');
    await page.getByText('People titled QA.').waitFor();
    await page.getByText('Saved', { exact: true }).waitFor();
  });

  it('starts with six questions for people who don’t know yet who to look for', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Six' });
    const page = await open(`/briefs/${id}/persona`);
    await page.getByRole('button', { name: 'Six questions' }).click();
    const asked = page.getByRole('region', { name: 'Six questions' });
    await asked.getByLabel('1. What do you sell?').fill('Combi ovens');
    await asked.getByLabel('3. Who has that problem every day?').fill('Head of Catering');
    await asked.getByLabel('4. Who signs off?').fill('At hotels in Portugal, 50 to 200 staff');
    await asked.getByLabel('5. Which firms can’t use it?').fill('food trucks');
    await asked.getByLabel('6. Who are your customers already?').fill('Casa Serrana, Monte Claro Lda');
    await asked.getByRole('checkbox', { name: 'Accept firm to exclude Monte Claro Lda' }).waitFor();
    await expectAccessible(page);
    await asked.getByRole('button', { name: /^Add \d+ facts$/ }).click();
    await page.getByText('Saved', { exact: true }).waitFor();
    expect(await page.getByLabel('Job titles').inputValue()).toBe('Head of Catering');
    expect(await page.getByLabel('Excluded firms').inputValue()).toBe('Casa Serrana\nMonte Claro Lda');
    expect(await page.getByLabel('What you sell').inputValue()).toBe('combi ovens');
    await page.getByRole('button', { name: 'Remove Portugal' }).waitFor();
  });

  it('holds size bands with titles of their own, which become alternatives; a hand-edited string is never overwritten', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Bands' });
    const page = await open(`/briefs/${id}/persona`);
    await unfold(page, 'Titles by firm size');
    await page.getByRole('button', { name: 'Add band' }).click();
    await page.getByLabel('Band 1 to').fill('49');
    await page.getByLabel('Titles of band 1').fill('Owner\nManaging Director');
    await page.getByRole('button', { name: 'Add band' }).click();
    await page.getByLabel('Band 2 from').fill('60');
    await page.getByLabel('Titles of band 2').fill('Head of Quality');
    await page.getByText('Firms of 50 to 59 people aren’t in any band.').waitFor();
    await page.getByLabel('Band 2 from').fill('50');
    await page.getByText('Firms of 50 to 59 people aren’t in any band.').waitFor({ state: 'detached' });
    await page.getByLabel('Band 2 to').fill('many');
    await page.getByText('A band: is written in digits').waitFor();
    expect(await page.getByLabel('Band 2 to').inputValue()).toBe('many');
    await page.getByLabel('Band 2 to').fill('');
    await page.getByText('Saved', { exact: true }).waitFor();
    await expectAccessible(page);

    await visit(page, `/briefs/${id}/string?build=1`);
    await page.waitForFunction(() => document.querySelector('.cm-content')?.textContent?.includes('Managing Director'));
    expect((await stringText(page)).replaceAll(/\s+/g, ' ')).toBe(
      '(headcount:[1 TO 49] AND title:(Owner OR "Managing Director")) OR (headcount:[50 TO *] AND title:"Head of Quality")'
    );
    await page.getByRole('tab', { name: 'Searches' }).click();
    await page.getByRole('region', { name: 'Searches for Harrow Guild' }).getByText('2 searches').first().waitFor();

    await writeString(page, 'title:("Head of Quality" OR QA) NOT intern');
    await page.getByRole('button', { name: 'Build from persona' }).click();
    const difference = page.getByRole('region', { name: 'Changes from the persona' });
    await difference.getByText('removed').first().waitFor();
    expect(await stringText(page)).toBe('title:("Head of Quality" OR QA) NOT intern');
    await expectAccessible(page);
    await difference.getByRole('button', { name: 'Keep mine' }).click();
    await page.getByRole('button', { name: 'Build from persona' }).click();
    await difference.getByRole('button', { name: 'Use new string' }).click();
    await page.waitForFunction(() => document.querySelector('.cm-content')?.textContent?.includes('Managing Director'));
  });
});

describe('facts and firms', () => {
  it('are saved as typed, flagged when wrong, and reach the string', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Facts' });
    const page = await open(`/briefs/${id}/persona`);
    await page.getByLabel('Job titles').fill('Head of Quality');
    await page.getByLabel('Region').selectOption('Benelux');
    await page.getByRole('button', { name: 'Remove Luxembourg' }).click();
    await unfold(page, 'Other facts about the firm or person');
    await page.getByLabel('Add a fact').selectOption('growth');
    await page.getByLabel('growth from').fill('fast');
    await page.getByText('A fact: is written in digits').waitFor();
    await page.getByLabel('growth from').fill('10');
    await page.getByLabel('Excluded firms').fill('Polderkoel B.V.');
    await page.getByText('Saved', { exact: true }).waitFor();
    await expectAccessible(page);
    await visit(page, `/briefs/${id}/string?build=1`);
    await page.waitForFunction(() => document.querySelector('.cm-content')?.textContent?.includes('Polderkoel'));
    expect((await stringText(page)).replaceAll(/\s+/g, ' ')).toBe(
      'title:"Head of Quality" AND country:(Belgium OR Netherlands) AND growth:[10 TO *] NOT company:Polderkoel'
    );
  });
});

describe('customers won', () => {
  it('show what they have in common and how much more than at a source, and become known-goods', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'From won customers' });
    const page = await open(`/briefs/${id}/persona`);
    await page.getByRole('button', { name: 'From won customers' }).click();
    const panel = page.getByRole('region', { name: 'From won customers' });
    const give = (text: string) =>
      panel
        .locator('input[type=file]')
        .setInputFiles({ name: 'won.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
    await give('nothing');
    await panel.getByText(/won.csv: This isn’t a table of customers/).waitFor();
    const rows = [
      ...Array.from({ length: 6 }, (_, i) => `Firm ${i},12,DK,Owner,46`),
      ...Array.from({ length: 8 }, (_, i) => `House ${i},300,NL,Head of Quality,46`)
    ];
    await give(`Company,Employees,Country,Spoken to,Industry\n${rows.join('\n')}\nBad,many,DK,Owner,46\n`);
    await panel.getByLabel('Spoken to').selectOption('title');
    await panel.getByText(/15 customers read. 1 row was only partly read: line 16: The company size “many”/).waitFor();
    const traits = panel.getByRole('table', { name: 'What these customers have in common' });
    const head = traits.getByRole('row').filter({ hasText: 'title Head of Quality' });
    await head.getByText('53%').waitFor();
    await head.getByText(/\d ×/).waitFor();
    await panel.getByText(/At firms with 10 to 49 people you talked to an owner/).waitFor();
    await expectAccessible(page);
    await head.getByRole('button', { name: 'Add Head of Quality' }).click();
    await traits.getByRole('button', { name: 'Add 250 to 999 people' }).click();
    await traits.getByRole('button', { name: 'Add Netherlands' }).click();
    await page.getByText('People titled Head of Quality, at firms of 250 to 999 people in Netherlands.').waitFor();
    await panel.getByRole('button', { name: 'Save as known-goods' }).click();
    await panel.getByText('15 known-goods saved.').waitFor();
    const known = await api<{ body: { name: string }[] }>('GET', `/briefs/${id}/known`);
    expect(known.body).toHaveLength(15);
    await page.getByText('Saved', { exact: true }).waitFor();
  });

  it('rules out industries, countries that ask consent, and people already contacted; each term leads back to its line', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Ruled out' });
    const page = await open('/library/places');
    await page.getByRole('region', { name: 'Countries that require prior consent' }).waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Remove Greece' }).click();
    await page
      .getByRole('region', { name: 'Countries that require prior consent' })
      .getByText('Saved', { exact: true })
      .waitFor();

    await visit(page, `/briefs/${id}/persona`);
    await page.getByLabel('Job titles').fill('Head of Quality');
    await unfold(page, 'Other exclusions');
    await page.getByRole('combobox', { name: 'Excluded industries', exact: true }).fill('86');
    await page.getByRole('combobox', { name: 'Excluded industries', exact: true }).press('Enter');
    await page.getByRole('button', { name: 'Add countries that require prior consent' }).click();
    await page.getByRole('button', { name: 'Remove Germany' }).waitFor();
    expect(await page.getByRole('button', { name: 'Remove Greece' }).count()).toBe(0);
    await page.getByText('Saved', { exact: true }).waitFor();
    await expectAccessible(page);

    // Files of people contacted come through the desk of all files.
    const contacted = page.getByRole('group', { name: 'People already contacted' });
    const desk = page.getByRole('region', { name: 'Import a file of people' });
    const give = async (text: string, received: RegExp) => {
      await contacted.getByRole('link', { name: 'Import people' }).click();
      await desk
        .locator('input[type=file]')
        .setInputFiles({ name: 'sent.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
      await desk.getByRole('button', { name: 'Import', exact: true }).click();
      await desk.getByText(received).waitFor();
      await visit(page, `/briefs/${id}/persona`);
      await unfold(page, 'Other exclusions');
    };
    await give(
      'name,company,email\nAnna Ström,Polderkoel B.V.,anna@polderkoel.example\nNo One,,\n',
      /1 people contacted added, 0 already there, 1 without a mail address or a name with a firm/
    );
    await contacted.getByText('1 person').waitFor();
    await give('name,company\nanna ström,Polderkoel\n', /0 people contacted added, 1 already there/);
    await contacted.getByText('1 person').waitFor();

    await visit(page, `/briefs/${id}/string?build=1`);
    await page.waitForFunction(() => document.querySelector('.cm-content')?.textContent?.includes('Germany'));
    expect((await stringText(page)).replaceAll(/\s+/g, ' ')).toMatch(
      /^title:"Head of Quality" NOT (\()?industry:86.*country:/
    );
    await page.getByText('Saved', { exact: true }).waitFor();
    await page.getByRole('tab', { name: 'Tree' }).click();
    await page.getByRole('link', { name: 'wording of Head of Quality' }).click();
    await page.getByRole('link', { name: '1 term of the string' }).first().waitFor();
    await page.getByRole('link', { name: /8 terms of the string/ }).click();
    await page.getByRole('treeitem').filter({ hasText: 'Excluded countries' }).first().waitFor();
    expect(await page.locator('[role=treeitem].lit').count()).toBeGreaterThanOrEqual(8);
  });
});
