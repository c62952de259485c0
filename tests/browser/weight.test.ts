import { describe, expect, it } from 'vitest';
import { api, useBrowser } from './browser';

const { open, address } = useBrowser();
const kilobytes = (bytes: number) => Math.round(bytes / 1024);

describe('what a page loads, as it goes over the wire', () => {
  it('is at most 200 KB of script and 60 KB of style sheets, the String page 350 KB of script', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Weight' });
    await api('POST', `/briefs/${id}/versions`, { text: 'title:chef' });
    const { sheet } = await api<{ sheet: { name: string } }>('GET', '/sources/harrow-guild');
    const hand = await api<{ id: string }>('POST', '/sources', { sheet: { ...sheet, name: 'Weighed by hand' } });
    const byHand = `by-hand?version=1&source=${hand.id}`;
    const steps = ['persona', 'wording', 'string', 'trial', 'compare', 'harvest', 'shortlist', 'report', byHand].map(
      (step) => `/briefs/${id}/${step}`
    );
    const received: string[] = [];
    const heavy: string[] = [];
    for (const path of [
      '/',
      ...steps,
      '/library',
      '/library/places',
      '/library/lexicon',
      '/sources',
      '/sources/harrow-guild',
      '/terms'
    ]) {
      const page = await open(path);
      const sizes = await page.evaluate(() => {
        const sum = (ending: RegExp) =>
          (performance.getEntriesByType('resource') as PerformanceResourceTiming[])
            .filter(({ name }) => ending.test(new URL(name).pathname))
            .reduce((total, { encodedBodySize }) => total + encodedBodySize, 0);
        return { script: sum(/\.js$/), styles: sum(/\.css$/) };
      });
      await page.close();
      const name = path.replace(id, 'one').replace(/\?.*/, '');
      received.push(`${name}: ${kilobytes(sizes.script)} KB of script, ${kilobytes(sizes.styles)} KB of styles`);
      expect(sizes.script, name).toBeGreaterThan(10_000);
      if (sizes.script > (path.endsWith('/string') ? 350 : 200) * 1024 || sizes.styles > 60 * 1024) heavy.push(name);
    }
    await api('DELETE', `/sources/${hand.id}`);
    console.log(received.join('\n'));
    expect(heavy).toEqual([]);
  });
});

describe('what a page was made with on the server', () => {
  it('is not asked for again when the page begins', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'Made once' });
    for (const path of [
      '/',
      '/library',
      '/sources',
      ...['persona', 'string', 'trial'].map((at) => `/briefs/${id}/${at}`)
    ]) {
      const html = await (await fetch(address() + path)).text();
      const made = [...html.matchAll(/data-sveltekit-fetched data-url="([^"]+)"/g)].map(([, url]) => url!);
      expect(made.length, path).toBeGreaterThan(0);
      const again = async () => {
        const page = await open(path);
        const asked = await page.evaluate(() =>
          performance.getEntriesByType('resource').map(({ name }) => new URL(name).pathname + new URL(name).search)
        );
        await page.close();
        return made.filter((url) => asked.includes(url));
      };
      // A change that happens to arrive while the page loads is rightly asked for; a page that always asks again never passes.
      await expect.poll(again, { message: path, timeout: 20_000, interval: 500 }).toEqual([]);
    }
  });
});
