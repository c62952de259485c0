import { describe, expect, it } from 'vitest';
import { api, useBrowser } from './browser';

const { open } = useBrowser();

/** How many buttons, headings and labels of a page have the marks that the pseudo-language puts around a text, and how many are there. */
const marked = `(() => {
  const said = [...document.querySelectorAll('main button, main h1, main h2, main h3, main label, main th')]
    .map((node) => (node.offsetParent ? node.innerText : ''))
    .filter((text) => /\\p{L}{3,}/u.test(text));
  return [said.filter((text) => /[⟦⟧]/u.test(text)).length, said.length];
})()`;

describe('another language', () => {
  it('is spoken by every screen, and none of them breaks with texts a third longer', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Elsewhere' });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:(quality OR QA) AND pharma' });
    await api('PUT', `/briefs/${id}/draft`, {
      body: { text: 'title:(quality OR QA) AND pharma', from: 1 },
      revision: 1
    });
    const [source] = await api<{ id: string; name: string }[]>('GET', '/sources');
    await api('POST', `/briefs/${id}/trials`, { version: 1, sourceId: source!.id, sampleSize: 20, wait: 60 });
    await api('POST', `/briefs/${id}/shortlists`, { name: 'Elsewhere', purpose: '' });

    const page = await open('/');
    await page.evaluate(() => localStorage.setItem('eave.language', 'pseudo'));
    const steps = ['persona', 'wording', 'string', 'trial', 'compare', 'harvest', 'shortlist', 'report'];
    let [spoken, all] = [0, 0];
    for (const path of [
      '/',
      '/library',
      '/library/lexicon',
      '/library/places',
      '/sources',
      `/sources/${source!.id}`,
      ...steps.map((step) => `/briefs/${id}/${step}`)
    ]) {
      await page.goto(new URL(path, page.url()).href, { waitUntil: 'networkidle' });
      await page.getByText(/⟦/).first().waitFor();
      expect(
        await page.evaluate(() => document.documentElement.scrollWidth - innerWidth),
        `${path} is wider than its window`
      ).toBeLessThanOrEqual(0);
      const [here, there] = (await page.evaluate(marked)) as [number, number];
      spoken += here;
      all += there;
    }
    await page.evaluate(() => localStorage.removeItem('eave.language'));
    // The others are names: of sources, firms, people, columns of a list.
    expect(spoken / all).toBeGreaterThan(0.6);
  }, 120_000);
});
