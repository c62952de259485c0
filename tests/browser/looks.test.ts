import { describe, expect, it } from 'vitest';
import { api, expectAccessible, useBrowser, visit } from './browser';

const { open, address } = useBrowser();

describe('every main view', () => {
  // In the light at 1280 the other tests look at each as they use it.
  it('is accessible in the dark at 1024, and keeps to the width', async () => {
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
    await api('POST', `/briefs/${id}/versions`, { text: 'title:(QA OR "quality manager") AND pharma' });
    const trial = await api<{ sample: { person: { id: string } }[] }>('POST', `/briefs/${id}/trials`, {
      version: 1,
      sourceId: 'quillbank',
      sampleSize: 12
    });
    for (const [i, { person }] of trial.sample.entries())
      await api('PUT', `/briefs/${id}/verdicts`, {
        sourceId: 'quillbank',
        personId: person.id,
        verdict: i % 3 ? 'fit' : 'miss',
        revision: 0
      });
    const sources = await api<{ id: string; sheet: object }[]>('GET', '/sources');
    const { sheet } = sources.find((one) => one.id === 'harrow-guild')!;
    const hand = await api<{ id: string }>('POST', '/sources', { sheet: { ...sheet, name: 'Near Here' } });
    await api('POST', `/briefs/${id}/versions/1/diaries/${hand.id}`, {
      search: 0,
      said: 'about 300',
      page: 1,
      rows: [{ values: { name: 'Anna Ström', title: 'QA Manager', company: 'Nordkyl AB' } }]
    });
    const page = await open('/');
    await page.emulateMedia({ colorScheme: 'dark' });
    const turn = () => page.getByRole('button', { name: 'Switch light and dark theme' }).click();
    for (const path of [
      '/',
      `/briefs/${id}/persona`,
      `/briefs/${id}/wording`,
      `/briefs/${id}/string`,
      `/briefs/${id}/string?panel=tree`,
      `/briefs/${id}/string?panel=searches`,
      `/briefs/${id}/string?panel=paste`,
      `/briefs/${id}/trial`,
      `/briefs/${id}/by-hand?version=1&source=${hand.id}`,
      `/briefs/${id}/compare`,
      `/briefs/${id}/harvest`,
      `/briefs/${id}/shortlist`,
      `/briefs/${id}/report`,
      '/library?set=never-interns',
      '/sources',
      '/sources/quillbank',
      '/terms'
    ]) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await visit(page, path);
      if ((await page.evaluate(() => document.documentElement.getAttribute('theme'))) !== 'g100') await turn();
      await page.setViewportSize({ width: 1024, height: 768 });
      await page.waitForTimeout(300);
      await expectAccessible(page);
      const wider = await page.evaluate(
        () => document.documentElement.scrollWidth - document.documentElement.clientWidth
      );
      expect([path, wider <= 4]).toEqual([path, true]);
    }
    await api('DELETE', `/sources/${hand.id}`);
  });
});

describe('text', () => {
  it('has a shipped font for emoji, which no machine need have', async () => {
    const page = await open('/');
    const faces = await page.evaluate(async () => {
      const stack = getComputedStyle(document.body).fontFamily;
      return (await document.fonts.load(`16px ${stack}`, '🚀')).map(({ family, status }) => [family, status]);
    });
    expect(faces).toContainEqual(['Noto Emoji', 'loaded']);
  });
});

describe('awkward input to the newer parts of the API', () => {
  const refused = async (method: string, path: string, body: unknown) => {
    const response = await fetch(`${address()}/api${path}`, {
      method,
      body: JSON.stringify(body),
      headers: { 'content-type': 'application/json' }
    });
    const received = (await response.json()) as { status: number; detail: string };
    return [received.status, received.detail.length > 15] as const;
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
