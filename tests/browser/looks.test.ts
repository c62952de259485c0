import { describe, expect, it } from 'vitest';
import { api, expectAccessible, useBrowser } from './browser';

const { open, address } = useBrowser();

describe('every main view', () => {
  it('is accessible in the dark, and keeps to the width at 1024', async () => {
    const { id } = await api<{ id: string }>('POST', '/briefs', { name: 'In the dark' });
    const persona = await api<{ body: object; revision: number }>('GET', `/briefs/${id}/persona`);
    await api('PUT', `/briefs/${id}/persona`, {
      ...persona,
      body: {
        ...persona.body,
        titles: ['Head of Quality'],
        countries: ['Denmark'],
        bands: [{ from: 1, to: 49, titles: ['Owner'] }]
      }
    });
    const text = 'title:("head of quality" OR QA /* OR RP */) AND (pharma OR chilled) NOT @never-interns';
    await api('PUT', `/briefs/${id}/draft`, { body: { text, from: null }, revision: 1 });
    const page = await open('/');
    await page.emulateMedia({ colorScheme: 'dark' });
    for (const path of [
      '/',
      `/briefs/${id}/persona`,
      `/briefs/${id}/wording`,
      `/briefs/${id}/string`,
      `/briefs/${id}/string?panel=tree`,
      `/briefs/${id}/string?panel=searches`,
      `/briefs/${id}/string?panel=paste`,
      '/library?set=never-interns',
      '/sources',
      '/sources/quillbank'
    ]) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(path, { waitUntil: 'networkidle' });
      if (path === '/') await page.getByRole('button', { name: 'Switch between light and dark' }).click();
      if ((await page.evaluate(() => document.documentElement.getAttribute('theme'))) !== 'g100')
        await page.getByRole('button', { name: 'Switch between light and dark' }).click();
      await page.waitForTimeout(300);
      await expectAccessible(page);
      await page.setViewportSize({ width: 1024, height: 768 });
      const wider = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth
      );
      expect([path, wider <= 4]).toEqual([path, true]);
    }
  });
});

describe('awkward input to the newer parts of the API', () => {
  const refused = async (method: string, path: string, body: unknown) => {
    const response = await fetch(`${address()}/api${path}`, {
      method,
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' }
    });
    const told = (await response.json()) as { status: number; detail: string };
    return [told.status, told.detail.length > 15] as const;
  };

  it.each([
    ['POST', '/word-sets', { name: 'two words', kind: 'wanted', wordings: ['a'] }, 422],
    ['POST', '/word-sets', { name: 'empty', kind: 'wanted', wordings: [] }, 422],
    ['POST', '/word-sets', { name: 'signs', kind: 'wanted', wordings: ['&&&'] }, 422],
    ['PUT', '/word-sets/nobody', { kind: 'wanted', wordings: ['a'], note: '', revision: 1 }, 404],
    ['POST', '/word-set-files', { text: '<html>' }, 422],
    ['POST', '/sources', { sheet: { name: 'x' } }, 422],
    ['PUT', '/sources/harrow-guild', { sheet: {}, revision: 1 }, 422],
    ['POST', '/read', { text: 'a', sourceId: 'nobody' }, 404],
    ['POST', '/counts', { texts: ['a'], sourceId: 'nobody' }, 404],
    ['POST', '/counts', { texts: Array.from({ length: 1001 }, () => 'a'), sourceId: 'harrow-guild' }, 422],
    ['PUT', '/house-wordings', { title: '', wordings: [], taken: true }, 422]
  ])('%s %s is refused in a sentence', async (method, path, body, status) =>
    expect(await refused(method, path, body)).toEqual([status, true])
  );
});
