import { describe, expect, it } from 'vitest';
import { api, expectAccessible, useBrowser, writeString } from './browser';

const { open, expectError } = useBrowser();
const brief = async (name: string) => (await api<{ id: string }>('POST', '/briefs', { name })).id;

describe('two tabs', () => {
  it('never overwrite each other silently: the second is asked', async () => {
    expectError(/409/);
    const id = await brief('Two tabs');
    const [one, two] = [await open(`/briefs/${id}/persona`), await open(`/briefs/${id}/persona`)];
    await one.getByLabel('Job titles').fill('Head of Quality');
    await one.getByText('Saved', { exact: true }).waitFor();
    await two.getByLabel('Job titles').fill('Quality Director');
    await two.getByText(/was changed in another tab/).waitFor();
    expect(await two.getByLabel('Job titles').inputValue()).toBe('Quality Director');
    await expectAccessible(two);
    await two.getByRole('button', { name: 'Use theirs' }).click();
    expect(await two.getByLabel('Job titles').inputValue()).toBe('Head of Quality');
    await two.getByRole('button', { name: 'Undo' }).click();
    expect(await two.getByLabel('Job titles').inputValue()).toBe('Quality Director');
    await two.getByText('Saved', { exact: true }).waitFor();
    const persona = await api<{ body: { titles: string[] } }>('GET', `/briefs/${id}/persona`);
    expect(persona.body.titles).toEqual(['Quality Director']);
  });

  it('say when the brief was deleted in the other one, and keep what was typed', async () => {
    expectError(/404/);
    const id = await brief('Deleted elsewhere');
    const page = await open(`/briefs/${id}/string`);
    await api('PATCH', `/briefs/${id}`, { revision: 1, archived: true });
    await api('DELETE', `/briefs/${id}`);
    await writeString(page, 'title:QA');
    await page
      .getByText(/It may have been deleted in another tab/)
      .first()
      .waitFor();
    expect(await page.locator('.cm-content').innerText()).toBe('title:QA');
  });
});

describe('numbers typed as words', () => {
  it('are flagged and not saved, and stay as typed', async () => {
    const id = await brief('Numbers');
    const page = await open(`/briefs/${id}/persona`);
    await page.getByLabel('Headcount, from').fill('fifty');
    await page.getByText(/Company size: is written in digits\. Use digits, for example 51\./).waitFor();
    expect(await page.getByLabel('Headcount, from').inputValue()).toBe('fifty');
    await page.getByText('Not saved', { exact: true }).first().waitFor();
    await page.getByLabel('Headcount, from').fill('51');
    await page.getByText('Saved', { exact: true }).waitFor();
    await page.getByLabel('to', { exact: true }).fill('5');
    await page.getByText(/The smallest firm is larger than the largest\./).waitFor();
  });
});

describe('the frame', () => {
  it('lists the keys, switches between light and dark, and says what to do on empty screens', async () => {
    const id = await brief('Frame');
    const page = await open(`/briefs/${id}/trial`);
    await page.getByText('Nothing run yet').waitFor();
    await page.keyboard.press('?');
    await page.getByRole('heading', { name: 'Keyboard shortcuts' }).waitFor();
    await page.waitForTimeout(300);
    await expectAccessible(page);
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Switch light and dark theme' }).click();
    expect(await page.evaluate(() => document.documentElement.getAttribute('theme'))).toBe('g100');
    await expectAccessible(page);
    await page.keyboard.press('g');
    await page.keyboard.press('5');
    await page.getByText('Nothing to compare yet').waitFor();
    await page.goBack();
    await page.getByText('Nothing run yet').waitFor();
  });

  it('says what to do at an address where no page is', async () => {
    expectError(/404/);
    const page = await open('/breifs');
    await page.getByText(/There’s no page at this address/).waitFor();
    await page.getByRole('link', { name: 'All briefs', exact: true }).click();
    await page.waitForURL((url) => url.pathname === '/');
  });

  it('shows imported text as text, never as markup', async () => {
    const id = await brief('<img src=x onerror=alert(1)> & co');
    const page = await open(`/briefs/${id}/persona`);
    await page.getByText('<img src=x onerror=alert(1)> & co').first().waitFor();
    expect(await page.locator('img').count()).toBe(0);
  });

  it('is held to a strict content-security policy', async () => {
    const page = await open('/');
    const response = await page.request.get('/');
    const header = response.headers()['content-security-policy']!;
    const policy = new Map(
      header
        .split(';')
        .map((directive) => directive.trim().split(/\s+/))
        .map(([name, ...allowed]) => [name!, allowed])
    );
    expect(policy.get('default-src')).toEqual(["'self'"]);
    expect(policy.get('object-src')).toEqual(["'none'"]);
    expect(policy.get('base-uri')).toEqual(["'none'"]);
    // Widths and colours of charts; no style sheet or script of a page's own text is taken.
    expect(policy.get('style-src-attr')).toEqual(["'unsafe-inline'"]);
    policy.delete('style-src-attr');
    expect(policy.get('frame-ancestors')).toEqual(["'none'"]);
    for (const allowed of policy.values())
      for (const one of allowed) expect(one).toMatch(/^'(self|none|nonce-[\w+/=-]+|sha256-[\w+/=]+)'$|^(data|blob):$/);
    // Scripts come from Eave alone, or are the one that its own page was made with.
    expect(policy.get('script-src')!.filter((one) => !/^'(self|nonce-.+)'$/.test(one))).toEqual([]);
    const other = await fetch(`${new URL(page.url()).origin}/api/briefs`, {
      method: 'POST',
      headers: { origin: 'http://elsewhere.example', 'content-type': 'application/json' },
      body: '{"name":"x"}'
    });
    expect(other.status).toBe(403);
    expect(other.headers.get('content-type')).toBe('application/problem+json');
  });
});
