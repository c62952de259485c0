import { describe, expect, it } from 'vitest';
import { api, expectAccessible, setChecked, useBrowser, visit, writeString } from './browser';

const { open, expectError } = useBrowser();

describe('a place run by hand', () => {
  it('has a diary: a count, pages of text and of markup over days, corrected, taken back, and nothing lost by leaving', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Cocinas' });
    const sources = await api<{ id: string; sheet: { limits: object } }[]>('GET', '/sources');
    const { sheet } = sources.find((one) => one.id === 'harrow-guild')!;
    const place = await api<{ id: string }>('POST', '/sources', { sheet: { ...sheet, name: 'Far Away' } });
    const page = await open(`/briefs/${id}/string?panel=searches`);
    await writeString(page, 'title:(QA OR "quality manager")');
    const asked = page.getByRole('region', { name: 'Searches for Far Away' });
    await asked.getByRole('button', { name: 'Open diary' }).click();
    await page.getByRole('heading', { name: 'Version 1 at Far Away' }).waitFor();
    const steps = page.getByRole('region', { name: 'Steps' });
    await steps.getByRole('button', { name: 'Copy: Current title for Far Away' }).click();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('QA OR "quality manager"');

    // A count, in another language than the page's own.
    const keep = page.getByRole('button', { name: 'Save entry' });
    await steps.getByLabel('Count shown').fill('lots');
    await steps.getByText(/Couldn’t read a count/).waitFor();
    expect(await keep.isDisabled()).toBe(true);
    await steps.getByLabel('Count shown').fill('unos 3.000');
    await steps.getByText('read as 2,500–3,499').waitFor();
    await keep.click();
    const diary = page.getByRole('region', { name: 'Diary' });
    await diary.getByText('read as 2,500–3,499').waitFor();
    // Pages spread over the whole result, the next to open at hand.
    expect(await steps.getByRole('button', { name: /^Page \d+, to open$/ }).count()).toBe(6);

    await page
      .getByLabel('Page content')
      .fill(
        'Anna Ström\nKeeper of the cold\nNordkyl AB\nMalmö, Sweden\nanna (at) nordkyl (dot) example\n\nBo Lindgren\nQA Manager at Vintrup A/S\n'
      );
    await diary.getByRole('button', { name: 'Read people' }).click();
    await diary.getByText('2 people, not saved yet').waitFor();
    expect(await diary.getByLabel('Email 1').inputValue()).toBe('anna@nordkyl.example');
    await diary.getByLabel('Title 1, to check').fill('Quality Manager');
    await diary.getByLabel('Title 1, to check').blur();
    await expectAccessible(page);

    // Left and come back to, it waits as it was.
    await visit(page, '/');
    await page.goBack({ waitUntil: 'networkidle' });
    await diary.getByText('2 people, not saved yet').waitFor();
    expect(await diary.getByLabel('Title 1').inputValue()).toBe('Quality Manager');
    await page.getByLabel('Result page number').fill('1');
    await keep.click();
    await diary.getByText('page 1').waitFor();

    // The browser reads what is put on the clipboard, and keeps its script from running.
    expectError(/inline event handler/);
    // A page pasted with its markup: a table, whose links are kept. One of page 1 again.
    await page.getByLabel('Page content').focus();
    await page.evaluate(async () => {
      const rows = [
        ['Name', 'Title', 'Company'],
        ['Anna Ström', 'Quality Manager', 'Nordkyl AB'],
        ['Carla Moreno', 'QA Lead', 'Fruta Alta SL']
      ];
      const html = `<table>${rows.map((cells) => `<tr>${cells.map((cell) => `<td>${cell}</td>`).join('')}</tr>`).join('')}</table><img src=x onerror="document.title='run'">`;
      await navigator.clipboard.write([
        new ClipboardItem({
          'text/html': new Blob([html], { type: 'text/html' }),
          'text/plain': new Blob(['no people'], { type: 'text/plain' })
        })
      ]);
    });
    await page.keyboard.press('ControlOrMeta+v');
    await diary.getByText('2 people, not saved yet').waitFor();
    expect(await page.title()).not.toBe('run');
    await page.getByLabel('Result page number').fill('40');
    await keep.click();
    await diary.getByText('1 already known').waitFor();
    const figures = page.getByRole('region', { name: 'Results so far' });
    await figures.getByText('Precision from the pages read').waitFor();
    await page.getByRole('button', { name: 'Judge 3 people' }).waitFor();

    // Corrected and taken back; what stood there is there still.
    const entry = diary.getByRole('listitem').filter({ hasText: 'page 40' });
    await entry.getByRole('button', { name: 'Edit', exact: true }).click();
    await entry.getByLabel('Name 2').fill('Carla Moreno Gil');
    await entry.getByLabel('Name 2').blur();
    await entry.getByRole('button', { name: 'Save' }).click();
    await entry.getByRole('button', { name: 'Edit', exact: true }).waitFor();
    await entry.getByRole('button', { name: 'Remove' }).click();
    await page.getByRole('button', { name: 'Judge 2 people' }).waitFor();
    await figures.getByText('Precision of the first pages').waitFor();
    await entry.getByRole('button', { name: 'Restore' }).click();
    await page.getByRole('button', { name: 'Judge 3 people' }).click();
    await page.getByRole('heading', { name: 'Version 1 on Far Away' }).waitFor();
    await page.getByText('Carla Moreno Gil').first().waitFor();
    await page.getByRole('button', { name: 'Diary' }).click();
    await page.getByRole('heading', { name: 'Version 1 at Far Away' }).waitFor();
    await api('DELETE', `/sources/${place.id}`);
  });

  it('is gathered whole: the slices of a harvest, one search after another', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'All of them by hand' });
    const sources = await api<{ id: string; sheet: { limits: object } }[]>('GET', '/sources');
    const { sheet } = sources.find((one) => one.id === 'harrow-guild')!;
    const limits = { ...sheet.limits, shown: 6, page: 6 };
    await api('POST', '/sources', { sheet: { ...sheet, name: 'Small Hall', limits } });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:manager' });
    const page = await open(`/briefs/${id}/harvest`);
    const form = page.getByRole('form', { name: 'Start a harvest' });
    for (const box of await form.getByRole('checkbox').all()) await setChecked(box, false);
    await setChecked(form.getByRole('checkbox', { name: 'Small Hall' }), true);
    await form.getByRole('button', { name: 'Start harvest' }).click();
    await page.getByText('To be run by hand: 1 search at Small Hall.').waitFor();
    await page.getByRole('link', { name: 'Run the next search: the whole' }).click();

    // More than are shown: it is cut, and the next slice is handed over.
    const steps = page.getByRole('region', { name: 'Steps' });
    const keep = page.getByRole('button', { name: 'Save entry' });
    const towns = ['Aarhus, Denmark', 'Malmö, Sweden'];
    const blocks = (names: string[]) =>
      names.map((name, i) => `${name}\nManager at Nordkyl AB\n${towns[i % 2]}\n`).join('\n');
    await steps.getByLabel('Count shown').fill('9 results');
    await page
      .getByLabel('Page content')
      .fill(blocks(['Anna Ek', 'Bo Lind', 'Cai Moe', 'Dan Nor', 'Eva Ost', 'Fie Pil']));
    await page.getByRole('button', { name: 'Read people' }).click();
    await page.getByText('6 people, not saved yet').waitFor();
    await keep.click();
    await steps.getByLabel('Slice').waitFor();
    await expectAccessible(page);
    await steps.getByLabel('Count shown').fill('3');
    await page.getByLabel('Page content').fill(blocks(['Gro Quist', 'Hal Rud']));
    await page.getByRole('button', { name: 'Read people' }).click();
    await keep.click();
    await steps.getByRole('button', { name: 'That’s everything it shows' }).click();
    await steps.getByText(/SE: over the limit|DK: over the limit/).waitFor({ state: 'attached' });
    // Whoever the other slices have is nobody.
    for (let left = 10; left && (await steps.getByText(/waits/).count()); left--) {
      await steps.getByLabel('Count shown').fill('0');
      await keep.click();
      await expect.poll(() => steps.getByLabel('Count shown').inputValue()).toBe('');
    }
    await page.getByRole('button', { name: 'Open harvest', exact: true }).click();
    await page.getByText('done').waitFor();
    const hall = page.getByRole('region', { name: 'Small Hall, slices' });
    await hall.getByText(/^8 rows in \d+ of \d+ slices, manual\./).waitFor();
  });

  it('reads a page of hundreds, draws them as they are scrolled, and keeps them all', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Long page' });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:chef' });
    const { sheet } = await api<{ sheet: object }>('GET', '/sources/harrow-guild');
    const place = await api<{ id: string }>('POST', '/sources', { sheet: { ...sheet, name: 'Long Way Off' } });
    const page = await open(`/briefs/${id}/by-hand?version=1&source=${place.id}`);
    const letters = [...'ABCDEFGHIJKLMNOPQRST'].map((letter) => `${letter}nna`);
    const people = letters.flatMap((given) => letters.slice(0, 15).map((family) => `${given} ${family}sen`));
    const box = page.getByRole('textbox', { name: 'Page content' });
    await box.fill(people.map((name) => `${name}\tSous chef\tKitchen ${name.length} AB`).join('\n'));
    await page.getByRole('button', { name: 'Read people' }).click();
    await page.getByText('300 people read').waitFor();
    const table = page.getByRole('table', { name: 'People read, not saved yet' });
    const drawn = () => table.getByRole('row').count();
    expect(await drawn()).toBe(41);
    await page.getByRole('textbox', { name: 'Name 40' }).focus();
    await expect.poll(drawn).toBeGreaterThan(41);
    await page
      .getByRole('button', { name: /^Save entry/ })
      .first()
      .click();
    await expect
      .poll(async () => {
        const { entries } = await api<{ entries: { rows: unknown[] }[] }>(
          'GET',
          `/briefs/${id}/versions/1/diaries/${place.id}`
        );
        return entries.flatMap(({ rows }) => rows).length;
      })
      .toBe(300);
    await page.close();
  });
});
