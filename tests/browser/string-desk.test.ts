import { describe, expect, it } from 'vitest';
import type { Page } from 'playwright-core';
import { problemCodes, type ProblemCode } from '../../src/core/language/problem';
import { deleteAddedSources, api, expectAccessible, stringText, useBrowser, visit, writeString } from './browser';

const { open, expectError } = useBrowser();

async function desk(name: string, text = ''): Promise<{ page: Page; id: string }> {
  const { id } = await api<{ id: string }>('POST', '/briefs', { name });
  if (text) await api('PUT', `/briefs/${id}/draft`, { body: { text, from: null }, revision: 1 });
  return { page: await open(`/briefs/${id}/string`), id };
}
const problems = (page: Page) => page.getByRole('list', { name: 'Problems in the string' });
const card = (page: Page, source: string) => page.getByRole('region', { name: `Searches for ${source}` });
/** Does what stands in the menu of the page. */
async function more(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'More actions' }).click();
  await page.getByRole('menuitem', { name, exact: true }).click();
}
/** Opens the searches of each source. */
const searches = (page: Page) => page.getByRole('tab', { name: 'Searches' }).click();
const waitForText = (page: Page, text: string) =>
  page.waitForFunction(
    (wanted) =>
      [...document.querySelectorAll('.cm-line')]
        .map((line) => line.textContent)
        .join(' ')
        .replaceAll(/\s+/g, ' ') === wanted,
    text
  );

describe('problems of a string', () => {
  /** Each with a string that has it, the fix to press, and what that makes of it. */
  const shown: [ProblemCode, string, RegExp, string?, string?][] = [
    ['unclosed-quote', 'title:"head of', /quote is never closed/, 'Close it at the end', 'title:"head of"'],
    ['unclosed-bracket', '(a OR b', /bracket is never closed/, 'Close it at the end', '(a OR b)'],
    ['unopened-bracket', 'a OR b)', /no opening bracket/, 'Remove it', 'a OR b'],
    ['empty-group', 'a AND () b', /This group is empty/, 'Remove it', 'a AND b'],
    ['empty-phrase', 'a ""', /These quotes are empty/, 'Remove them', 'a'],
    ['empty-scope', 'a title:', /right after the scope/],
    ['unknown-scope', 'titel:a', /There is no scope/, 'Search the whole profile', 'a'],
    ['doubled-scope', 'title:company:a', /Two scopes/, 'Remove the first', 'company:a'],
    ['misplaced-operator', 'a OR OR b', /nothing to join/, 'Remove OR', 'a OR b'],
    ['lower-case-operator', 'aa or bb', /Operators are written in capitals/, 'Write OR', 'aa OR bb'],
    ['foreign-operator', 'a && b', /read as AND/, 'Write AND', 'a AND b'],
    ['curly-quotes', '“cold chain”', /curly quotes/, 'Write plain quotes', '"cold chain"'],
    ['long-dash', 'a –b', /long dash/, 'Write a plain -', 'a -b'],
    ['unquoted-title', 'title:quality manager', /Without quotes/, 'Quote “quality manager”', 'title:"quality manager"'],
    [
      'unquoted-exclusion',
      'a NOT test engineer',
      /Only “test” is excluded/,
      'Quote “test engineer”',
      'a NOT "test engineer"'
    ],
    ['mixed-operators', 'a AND b OR c', /This is read as/, 'Add these brackets', '(a AND b) OR c'],
    ['bad-range', 'headcount:[200 TO 50]', /put the lower bound first/, 'Swap them', 'headcount:[50 TO 200]'],
    ['bad-number', 'headcount:big', /isn’t a number/],
    ['range-on-words', 'title:[1 TO 2]', /holds words/],
    ['unknown-value', 'QA AND country:Denmrk', /isn’t a country/, 'Write Denmark', 'QA AND country:Denmark'],
    ['short-wildcard', 'ab*', /at least three letters/, 'Remove the *', 'ab'],
    ['wildcard-in-phrase', '"pharma* firm"', /isn’t a wildcard/, 'Remove it', '"pharma firm"'],
    ['misplaced-wildcard', 'pha*rma', /only works at the end/, 'Remove it', 'pharma'],
    ['only-exclusions', 'NOT a', /only excludes/],
    ['unclosed-muted', 'a /* OR b', /disabled part never ends/, 'End it here', 'a /* OR b */'],
    ['unknown-set', 'a NOT @nobody-known', /no word set called/, 'Search for the words', 'a NOT "nobody-known"'],
    ['repeated-term', 'a OR b OR a', /appears twice/, 'Remove it', 'a OR b'],
    [
      'covered-wording',
      'x OR "quality manager" OR "senior quality manager"',
      /already covered by/,
      'Remove it',
      'x OR "quality manager"'
    ],
    [
      'wanted-and-excluded',
      '(tester OR b) NOT tester',
      /both searched for and excluded/,
      'Remove the exclusion',
      '(tester OR b)'
    ],
    [
      'exclusion-hits-wanted',
      'title:"test manager" NOT test',
      /removes everyone found by/,
      'Remove the exclusion',
      'title:"test manager"'
    ],
    ['never-matches', 'a AND headcount:[1 TO 5] AND headcount:[9 TO 20]', /can never match/],
    ['always-true', 'a AND (b OR NOT b)', /matches everyone/, 'Remove it', 'a'],
    ['several-meanings', 'title:GDP', /has several meanings: good distribution practice; gross domestic product/],
    [
      'spelling-pair',
      'title:organisation',
      /is also spelled “organization”/,
      'Add organization',
      'title:(organisation OR organization)'
    ],
    ['stray-sign', 'sales & marketing', /no letter or digit/, 'Remove it', 'sales marketing'],
    ['hidden-character', 'a\u200bb', /invisible character/, 'Replace it with a space', 'a b'],
    ['too-deep', '('.repeat(201) + 'a', /more than 200 levels deep/],
    ['too-many-terms', 'ab OR '.repeat(5001) + 'c', /more than 5,000 terms/],
    ['too-long', 'quality '.repeat(9000), /the limit is 64 KiB/]
  ];

  it('are shown at the string, each with its fix', async () => {
    const { page } = await desk('Every problem');
    const ofSources: ProblemCode[] = [
      'stop-words',
      'over-limit',
      'read-otherwise',
      'unlisted-fact',
      'value-not-offered'
    ];
    expect(new Set([...shown.map(([code]) => code), ...ofSources])).toEqual(new Set(problemCodes));
    for (const [code, text, message, fix, fixed] of shown) {
      await writeString(page, text);
      const received = problems(page).getByRole('listitem').filter({ hasText: message }).first();
      await received.waitFor().catch(() => {
        throw new Error(`${code} is not told of ${text.slice(0, 60)}`);
      });
      if (!fix) continue;
      await received.getByRole('button', { name: fix, exact: true }).click();
      expect([code, await stringText(page)]).toEqual([code, fixed]);
    }
  });

  it('that a source has are shown on its card, with both readings', async () => {
    const { page } = await desk('Sources', '"head of quality" OR RP pharma');
    await searches(page);
    await card(page, 'Lanternfield')
      .getByText(/ignores “of” inside quotes/)
      .waitFor();
    await card(page, 'Lanternfield')
      .getByText(
        'would read this as ("head of quality" OR RP) AND pharma; here it means "head of quality" OR (RP AND pharma)'
      )
      .waitFor();
    await writeString(page, Array.from({ length: 30 }, (_, i) => `"quality manager ${i}"`).join(' OR '));
    await card(page, 'Lanternfield')
      .getByText(/takes 36 words: .* split into 3 pieces/)
      .waitFor();
    await card(page, 'Lanternfield').getByRole('button', { name: 'Copy all: Lanternfield' }).waitFor();
  });
});

describe('pasting', () => {
  const paste = async (page: Page, text: string) => {
    await page.evaluate((copied) => navigator.clipboard.writeText(copied), text);
    await writeString(page, '');
    await page.keyboard.press('ControlOrMeta+v');
  };

  it('cleans, makes a list a group, and asks about lower-case operators', async () => {
    const { page } = await desk('Pasted');
    await paste(page, 'Head of Quality\nQA Manager\nKvalitetschef');
    await waitForText(page, '("Head of Quality" OR "QA Manager" OR Kvalitetschef)');
    await page.getByText('Cleaned up: a list of 3 made a group.').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Undo cleanup' }).click();
    await waitForText(page, 'Head of Quality QA Manager Kvalitetschef');

    await paste(page, '“cold\u00a0chain” or chilled');
    await page.getByText('Read “or” as an operator? As pasted it is a word to find.').waitFor();
    expect(await stringText(page)).toBe('"cold chain" or chilled');
    await page.getByRole('button', { name: 'Yes, capitalize' }).click();
    await waitForText(page, '"cold chain" OR chilled');
  });

  it('takes a native string by the rules of its source', async () => {
    const { page } = await desk('From a source');
    await page.getByRole('tab', { name: 'Paste from a source' }).click();
    const panel = page.getByRole('region', { name: 'Paste from a source' });
    await panel.getByLabel('Source the text was written for').selectOption({ label: 'Lanternfield' });
    await panel.getByLabel('Text from the source').fill('"head of quality" OR QA pharma -intern');
    await panel.getByText('People whose profile has “head of quality” or “QA”').waitFor();
    await expectAccessible(page);
    await panel.getByRole('button', { name: 'Use as string' }).click();
    await waitForText(page, '("head of quality" OR QA) AND pharma NOT intern');
    await searches(page);
    await card(page, 'Lanternfield')
      .getByText('site:lanternfield.example ("head of quality" OR QA) pharma -intern')
      .waitFor();
  });
});

describe('the string as a tree', () => {
  const row = (page: Page, text: string) => page.getByRole('treeitem').filter({ hasText: text }).first();

  it('is edited by keyboard, and the text follows', async () => {
    const { page } = await desk('By keyboard', 'title:(QA OR RP) AND pharma NOT intern');
    await page.getByRole('tab', { name: 'Tree' }).click();
    await row(page, 'any of').click();
    await expectAccessible(page);
    await page.keyboard.press('+');
    await page.keyboard.type('head of quality');
    await page.keyboard.press('Enter');
    await waitForText(page, 'title:(QA OR RP OR "head of quality") AND pharma NOT intern');
    await page.keyboard.press('Alt+ArrowUp');
    await waitForText(page, 'title:(QA OR "head of quality" OR RP) AND pharma NOT intern');
    await page.keyboard.press('m');
    await waitForText(page, 'title:(QA /* OR "head of quality" */ OR RP) AND pharma NOT intern');
    await page.keyboard.press('m');
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('Delete');
    await waitForText(page, 'title:(QA OR "head of quality") AND pharma NOT intern');
    await row(page, 'pharma').click();
    await page.keyboard.press('x');
    await waitForText(page, 'title:(QA OR "head of quality") NOT pharma NOT intern');
    await page.keyboard.press('x');
    await page.keyboard.press('w');
    await page.keyboard.type('chilled');
    await page.keyboard.press('Enter');
    await waitForText(page, 'title:(QA OR "head of quality") AND (pharma OR chilled) NOT intern');
    await page.getByLabel('search in').selectOption('about');
    await waitForText(page, 'title:(QA OR "head of quality") AND (pharma OR about:chilled) NOT intern');
    await page.keyboard.press('Escape');
    await row(page, 'QA').click();
    await page.keyboard.press('Enter');
    await page.keyboard.type('quality manager');
    await page.keyboard.press('Enter');
    await waitForText(page, 'title:("quality manager" OR "head of quality") AND (pharma OR about:chilled) NOT intern');
    await page.keyboard.press('ControlOrMeta+z');
    await waitForText(page, 'title:(QA OR "head of quality") AND (pharma OR about:chilled) NOT intern');
    await page.keyboard.press('ControlOrMeta+y');
    await waitForText(page, 'title:("quality manager" OR "head of quality") AND (pharma OR about:chilled) NOT intern');
  });

  it('is edited by drag and drop', async () => {
    const { page } = await desk('By mouse', 'title:(QA OR RP) AND pharma AND chilled');
    await page.getByRole('tab', { name: 'Tree' }).click();
    /** Drags until it was dropped: on a busy machine the rows may move under the mouse, as worth comes in above them. */
    const drag = async (what: string, onto: string, wanted: string, at = {}) => {
      for (let times = 0; times < 4 && (await stringText(page)).replaceAll(/\s+/g, ' ') !== wanted; times++) {
        await page.waitForLoadState('networkidle');
        await row(page, what).dragTo(row(page, onto), at);
        await page.waitForTimeout(500);
      }
      await waitForText(page, wanted);
    };
    // Into a group: dropped on its middle. Among its fellows: on its upper edge.
    await drag('pharma', 'any of', '(title:QA OR title:RP OR pharma) AND chilled');
    await drag('chilled', 'RP', 'title:QA OR chilled OR title:RP OR pharma', { targetPosition: { x: 60, y: 3 } });
  });

  it('cannot be edited while the text cannot be read whole, so that nothing of it is lost', async () => {
    const { page } = await desk('Broken', 'title:(QA OR RP AND "cold');
    await page.getByRole('tab', { name: 'Tree' }).click();
    await page.getByText(/Fix the errors to edit the tree/).waitFor();
    await row(page, 'QA').click();
    await page.keyboard.press('Delete');
    expect(await stringText(page)).toBe('title:(QA OR RP AND "cold');
    expect(await page.getByRole('button', { name: /^Remove/ }).isDisabled()).toBe(true);
  });
});

describe('named word sets', () => {
  it('are pulled out, used elsewhere, and change every string that uses them but no kept version', async () => {
    const { page, id } = await desk('First', 'title:("head of quality" OR QA) NOT intern');
    await page.getByRole('tab', { name: 'Tree' }).click();
    await page.getByRole('treeitem').filter({ hasText: 'any of' }).click();
    await page.getByRole('button', { name: 'Save as word set…' }).click();
    await page.getByLabel('Word set name').fill('quality-heads');
    await page.getByRole('button', { name: 'Save to library' }).click();
    await waitForText(page, 'title:@quality-heads NOT intern');
    await page.getByRole('checkbox', { name: 'Marlow Register' }).waitFor();
    await page.getByRole('tab', { name: 'What each part does' }).click();
    await page.getByRole('table', { name: 'What each part does, by source' }).getByText(/^\d/).first().waitFor();
    await page.waitForTimeout(600);
    const kept = await api<{ number: number; sets: unknown }>('POST', `/briefs/${id}/versions`, {
      text: 'title:@quality-heads NOT intern'
    });
    expect(kept.sets).toEqual([{ name: 'quality-heads', wordings: ['"head of quality"', 'QA'] }]);

    // Another string uses it, by completion.
    const other = await desk('Second');
    await writeString(other.page, '@quality');
    await other.page.getByText('2 wordings', { exact: true }).waitFor();
    // The editor takes Enter for a completion only once it has been shown for a moment.
    await other.page.waitForTimeout(200);
    await other.page.keyboard.press('Enter');
    await waitForText(other.page, '@quality-heads');
    await searches(other.page);
    await card(other.page, 'Harrow Guild').getByText('"head of quality" OR QA').waitFor();
    await other.page.getByText('Saved', { exact: true }).waitFor();

    // A change is asked about, with the strings it concerns.
    await visit(other.page, '/library?set=quality-heads');
    await other.page.getByLabel(/One wording per line/).fill('head of quality\nQA\nresponsible person');
    await other.page.getByRole('button', { name: 'Save', exact: true }).click();
    await other.page
      .getByText(/This changes the string in “First”, “Second”|This changes the string in “Second”, “First”/)
      .waitFor();
    await expectAccessible(other.page);
    await other.page.getByRole('button', { name: 'Change it in all 2' }).click();
    await other.page.getByText('@quality-heads saved and updated in 2 strings.').waitFor();
    await page.reload({ waitUntil: 'networkidle' });
    await searches(page);
    await card(page, 'Harrow Guild')
      .getByText(/"responsible person"/)
      .waitFor();
    const versions = await api<{ sets: unknown }[]>('GET', `/briefs/${id}/versions`);
    expect(versions[0]!.sets).toEqual(kept.sets);
    expect(await other.page.getByRole('button', { name: 'Delete' }).isDisabled()).toBe(true);
  });

  it('are made, exported and imported in the library', async () => {
    const page = await open('/library');
    await page.getByRole('button', { name: 'New word set' }).click();
    await page.getByLabel('Name', { exact: true }).fill('two words');
    await page.getByLabel(/One wording per line/).fill('ferry*\n=HYPERLINK("x")');
    await page.getByText(/A name is one word/).waitFor();
    await page.getByLabel('Name', { exact: true }).fill('ferries');
    await page.getByRole('button', { name: 'Add to the library' }).click();
    await page.getByText('@ferries added to the library.').waitFor();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export CSV' }).click()
    ]);
    const chunks: Buffer[] = [];
    for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
    const csv = Buffer.concat(chunks).toString();
    expect(csv).toContain('ferries,wanted,ferry*,');
    expect(csv).toContain("'=HYPERLINK");
    await page.getByRole('button', { name: 'Delete' }).click();
    await page.getByText('@ferries deleted.').waitFor();
    const give = (name: string, text: string) =>
      page.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    await give('sets.csv', csv);
    await page.getByText(/sets.csv: 1 set added, 0 extended/).waitFor();
    expectError(/422/);
    await give('broken.json', '{"name":');
    await page.getByText(/looks like JSON but isn’t valid/).waitFor();
    await expectAccessible(page);
  });
});

describe('versions', () => {
  it('are named, compared part by part, and branched from', async () => {
    const { page, id } = await desk('Versions');
    const keep = (text: string, parent: number | null) =>
      api<{ number: number }>('POST', `/briefs/${id}/versions`, { text, parent });
    await keep('title:(QA OR RP) NOT intern', null);
    await keep('title:(QA OR RP OR GDP) NOT (intern OR software)', 1);
    await api('PUT', `/briefs/${id}/draft`, { body: { text: 'title:(QA OR GDP) RP', from: 2 }, revision: 1 });
    await visit(page, `/briefs/${id}/string?panel=versions&version=1`);
    const panel = page.getByRole('region', { name: 'Versions' });
    const differ = panel.getByRole('list', { name: 'Changed parts' }).getByRole('listitem');
    expect((await differ.allInnerTexts()).map((text) => text.replaceAll(/\s+/g, ' '))).toEqual([
      '+ added GDP title, beside QA',
      '→ moved RP from title, beside QA to whole profile',
      '− removed intern whole profile, excluded'
    ]);
    await panel.getByLabel('Compare with').selectOption('2');
    await panel.getByText('software', { exact: true }).waitFor();
    await panel.getByLabel('Name of version 1').fill('first idea');
    await page.keyboard.press('Tab');
    await panel.getByRole('button', { name: 'first idea' }).waitFor();
    await expectAccessible(page);
    await panel.getByRole('button', { name: 'Restore' }).click();
    await waitForText(page, 'title:(QA OR RP) NOT intern');
    await writeString(page, 'title:(QA OR RP) NOT (intern OR trainee)');
    await page.getByText('Saved', { exact: true }).waitFor();
    await page.getByRole('button', { name: /^Run on/ }).click();
    await page.waitForURL(/\/trial\?trial=/);
    const [newest] = await api<{ number: number; parent: number }[]>('GET', `/briefs/${id}/versions`);
    expect(newest).toMatchObject({ number: 3, parent: 1 });
  });
});

describe('the editor', () => {
  it('says what a part matches, lays out, shortens, and takes all of it back', async () => {
    const { page } = await desk('Editor', 'title:("quality manager" OR "senior quality manager") AND pharma');
    await page
      .getByText(
        'People whose current title has “quality manager” or “senior quality manager”, whose profile has “pharma”.'
      )
      .waitFor();
    await page.locator('.cm-line').getByText('"quality manager"').first().hover();
    const received = page.locator('.cm-matches');
    await received.getByText('People whose current title has “quality manager”.').waitFor();
    await received.getByText(/^Harrow Guild: [≈\d]/).waitFor();
    await received.getByText(/^Marlow Register: \d/).waitFor();
    await more(page, 'Shorten');
    await waitForText(page, 'title:"quality manager" AND pharma');
    await more(page, 'On one line');
    expect(await stringText(page)).toBe('title:"quality manager" AND pharma');
    await page.getByRole('button', { name: 'Format' }).click();
    expect(await stringText(page)).toBe('title:"quality manager"\nAND pharma');
    for (let i = 0; i < 3; i++) await more(page, 'Undo');
    await waitForText(page, 'title:("quality manager" OR "senior quality manager") AND pharma');
    await more(page, 'Redo');
    await waitForText(page, 'title:"quality manager" AND pharma');
  });

  it('completes scopes, values of facts and titles of the brief', async () => {
    const { page, id } = await desk('Completion');
    const persona = await api<{ body: object; revision: number }>('GET', `/briefs/${id}/persona`);
    await api('PUT', `/briefs/${id}/persona`, { ...persona, body: { ...persona.body, titles: ['Head of Quality'] } });
    await page.reload({ waitUntil: 'networkidle' });
    const options = page.locator('.cm-tooltip-autocomplete');
    const pick = async (typed: string, option: string) => {
      await page.keyboard.insertText(typed);
      await options.getByText(option, { exact: true }).waitFor();
      await page.waitForTimeout(200);
      await page.keyboard.press('Enter');
    };
    await page.locator('.cm-content').click();
    await pick('tit', 'title:');
    await pick('Hea', 'Head of Quality');
    await pick(' AND country:Den', 'Denmark');
    expect(await stringText(page)).toBe('title:"Head of Quality" AND country:Denmark');
  });
});

describe('the cards of the sources', () => {
  it('show each search box by box, with copy, limits and what is left over', async () => {
    const { page } = await desk(
      'Cards',
      'title:("head of quality" OR QA) AND "cold chain" AND country:(Denmark OR Sweden) AND headcount:[51 TO 1000] NOT software'
    );
    await searches(page);
    const harrow = card(page, 'Harrow Guild');
    await harrow.getByText('The source finds exactly the people the string describes.').waitFor();
    await harrow.getByText('"cold chain" NOT software').waitFor();
    await harrow.getByText('Denmark or Sweden').waitFor();
    await harrow.getByRole('button', { name: 'Copy: Current title for Harrow Guild' }).click();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('"head of quality" OR QA');
    await harrow.getByRole('button', { name: 'Copy: Harrow Guild' }).click();
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(
      'Whole profile: "cold chain" NOT software\nCurrent title: "head of quality" OR QA\nCountry: Denmark; Sweden\nPeople employed: 51 to 1000'
    );
    const lantern = card(page, 'Lanternfield');
    await lantern.getByText('site:lanternfield.example ("head of quality" OR QA) "cold chain" -software').waitFor();
    await lantern.getByText(/of 36 words/).waitFor();
    await lantern.getByText('Lanternfield cannot be asked all of it.').waitFor();
    await card(page, 'Quillbank').getByText('head of quality or QA').waitFor();
    await card(page, 'Marlow Register').getByRole('button', { name: 'Copy: Marlow Register' }).waitFor();
    await expectAccessible(page);
  });
});

describe('a sheet of one’s own', () => {
  it('is started from a general one, changed with the consequences shown, kept, and used at the string', async () => {
    await deleteAddedSources();
    const page = await open('/sources');
    await page.getByRole('button', { name: 'Web index', exact: true }).click();
    await page.getByRole('heading', { name: 'Web index', level: 1 }).waitFor();
    await page.getByLabel('Name', { exact: true }).fill('Fjord search');
    const live = card(page, 'Fjord search');
    await live.getByText('("head of quality" OR "quality director" OR QA) -intern -"test engineer"').waitFor();
    await page.getByLabel('How “or” is written').selectOption('|');
    await live.getByText('("head of quality" | "quality director" | QA) -intern -"test engineer"').waitFor();
    await page.getByLabel('Words per search').fill('6');
    await live.getByText(/takes 6 words/).waitFor();
    await page.getByLabel('Words per search').fill('many');
    await page
      .getByRole('alert')
      .getByText(/limits words/)
      .waitFor();
    expect(await page.getByRole('button', { name: 'Save', exact: true }).isDisabled()).toBe(true);
    await page.getByLabel('Words per search').fill('');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await page.getByText('Saved.').waitFor();
    await page.getByLabel('A search as typed at the source').fill('QA | RP pharma');
    await page.getByText('(QA OR RP)').waitFor();

    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Export JSON' }).click()
    ]);
    expect(download.suggestedFilename()).toBe('Fjord search.json');
    await page.locator('input[type=file]').setInputFiles({
      name: 'wrong.json',
      mimeType: 'application/json',
      buffer: Buffer.from('{"name":"x"}')
    });
    await page.getByText(/wrong.json isn’t a capability sheet/).waitFor();
    await page.reload({ waitUntil: 'networkidle' });
    expect(await page.getByLabel('How “or” is written').inputValue()).toBe('|');

    const other = await desk('By hand', 'title:QA OR pharma');
    await searches(other.page);
    await card(other.page, 'Fjord search').getByText('QA | pharma').waitFor();
    await other.page.getByRole('button', { name: 'Run on 4 sources' }).waitFor();
    for (const name of ['Harrow Guild', 'Lanternfield', 'Quillbank', 'Marlow Register'])
      await other.page.getByRole('checkbox', { name }).uncheck();
    await other.page.getByRole('button', { name: 'Run on 0 sources' }).click();
    await other.page.getByText(/Only manual sources are selected/).waitFor();

    await visit(page, '/sources');
    await page.getByRole('row').filter({ hasText: 'Fjord search' }).getByRole('button', { name: 'Delete' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Delete' }).click();
    await page.getByRole('link', { name: 'Fjord search' }).waitFor({ state: 'detached' });
  });

  it('of a stand-in is shown and not changed', async () => {
    const page = await open('/sources/harrow-guild');
    const sheet = page.getByRole('region', { name: 'Capability sheet' });
    await sheet.getByText('Searches: whole profile.').waitFor();
    expect(await sheet.getByRole('textbox').count()).toBe(0);
    const schema = (await (await page.request.get('/api/sheet.schema.json')).json()) as { properties: object };
    expect(schema.properties).toHaveProperty('boxes');
    await expectAccessible(page);
  });

  it('shows what an ambiguous word means among the people found, and tells it apart in one click', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Meanings' });
    const page = await open(`/briefs/${id}/string`);
    await writeString(page, 'title:(QA OR "quality manager")');
    await page.getByRole('tab', { name: 'Meanings (1)' }).click();
    const panel = page.getByRole('region', { name: 'Meanings of words in this string' });
    await panel.getByText('testing of software').waitFor();
    await panel
      .getByText(/loses (none|\d+) of this meaning/)
      .first()
      .waitFor();
    await expectAccessible(page);
    const leaveOut = panel.getByRole('button', { name: 'Exclude the others: qa as quality assurance of goods' });
    const received = await leaveOut.locator('..').innerText();
    const promised = /[\d,]+ with other meanings stay/.exec(received)![0];
    await leaveOut.click();
    await page.waitForFunction(() => document.querySelector('.cm-content')?.textContent?.includes('selenium'));
    await panel.getByText(promised).first().waitFor();
    await more(page, 'Undo');
    await page.waitForFunction(() => !document.querySelector('.cm-content')?.textContent?.includes('selenium'));
  });

  it('tells what each term is worth, sorts by it, and narrows part by part in any order', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Worth' });
    const page = await open(`/briefs/${id}/string`);
    await writeString(page, 'title:(QA OR zzqq OR "quality manager") AND (pharma OR GDP) NOT intern');
    const ledger = page.getByRole('table', { name: 'What each part does, by source' });
    await ledger.getByRole('button', { name: 'Expand all' }).click();
    const row = (text: string) => ledger.getByRole('row').filter({ hasText: text });
    await row('title:zzqq').getByText('no effect').waitFor();
    expect(await row('title:QA').count()).toBe(1);
    const order = async () => (await ledger.locator('tbody .mono').allTextContents()).map((one) => one.slice(0, 12));
    expect((await order()).slice(0, 3)).toEqual(['title:QA', 'title:zzqq', 'title:"quali']);
    await ledger.getByRole('button', { name: 'Sort by if removed at Quillbank' }).click();
    const sorted = await order();
    expect(sorted.indexOf('title:zzqq')).toBe(
      Math.max(...['title:QA', 'title:zzqq', 'title:"quali'].map((one) => sorted.indexOf(one)))
    );
    await ledger.getByRole('button', { name: 'String order' }).click();
    await expectAccessible(page);

    await page.getByRole('tab', { name: 'Narrowing' }).click();
    const narrowing = page.getByRole('region', { name: 'Narrowing' });
    const after = narrowing.getByRole('table', { name: 'Count after each part' }).locator('tbody tr');
    await after.nth(3).getByText('NOT intern').waitFor();
    const last = await after.nth(3).locator('td').nth(3).textContent();
    await narrowing.getByRole('button', { name: 'Move part 3 up' }).click();
    await after.nth(2).getByText('NOT intern').waitFor();
    await page.waitForFunction(([selector, wanted]) => document.querySelector(selector!)?.textContent === wanted, [
      '[aria-label="Count after each part"] tbody tr:nth-child(4) td:nth-child(4)',
      last!
    ] as const);
    await expectAccessible(page);
  });

  it('proposes changes that verdicts speak for, shows who would go, and makes the taken one a version', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Proposals' });
    const text = 'title:(QA OR "quality manager") AND (GDP OR pharma)';
    await api('POST', `/briefs/${id}/versions`, { text });
    const trial = await api<{ sample: { person: { id: string; jobs: { title: string }[] } }[] }>(
      'POST',
      `/briefs/${id}/trials`,
      {
        version: 1,
        sourceId: 'harrow-guild',
        sampleSize: 160
      }
    );
    for (const { person } of trial.sample)
      await api('PUT', `/briefs/${id}/verdicts`, {
        sourceId: 'harrow-guild',
        personId: person.id,
        verdict: /specialist|tester|engineer/i.test(person.jobs[0]!.title) ? 'miss' : 'fit',
        revision: 0
      });
    await api('PUT', `/briefs/${id}/draft`, { body: { text, from: 1 }, revision: 1 });
    const page = await open(`/briefs/${id}/string?panel=proposals`);
    const panel = page.getByRole('region', { name: 'Proposals' });
    const first = panel.getByRole('button', { name: /^Apply: Exclude/ }).first();
    await first.waitFor();
    await panel
      .getByText(/fits lost \d+%/)
      .first()
      .waitFor();
    const says = (await first.getAttribute('aria-label'))!.slice('Apply: '.length);
    await panel.getByRole('button', { name: `Who would be removed? ${says}`, exact: true }).click();
    const goes = page.getByRole('region', { name: 'Who would be removed' });
    // Somebody not judged yet, and a miss: the proposal still stands when it is measured anew.
    const unjudged = goes
      .locator('tbody')
      .getByRole('row')
      .filter({ hasNot: page.locator('[aria-pressed=true]') });
    const miss = unjudged.first().getByRole('button', { name: /is a miss$/ });
    const name = (await miss.getAttribute('aria-label'))!;
    await miss.click();
    await goes.getByRole('button', { name, pressed: true }).waitFor();
    await expectAccessible(page);
    const choices = panel.getByRole('checkbox', { name: /^Select: / });
    await expect.poll(() => choices.count()).toBeGreaterThan(1);
    for (const box of await choices.all()) if (!(await box.isChecked())) await box.check();
    await panel.getByText(/selected together/).waitFor();
    await panel.getByRole('button', { name: `Apply: ${says}`, exact: true }).click();
    await page.getByRole('heading', { name: 'Version 2' }).waitFor();
    expect(await stringText(page)).toContain('NOT');
    const [version] = await api<{ number: number; note: string; parent: number }[]>('GET', `/briefs/${id}/versions`);
    expect(version).toMatchObject({ number: 2, parent: 1, note: says });
  });
});
