import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { WordSet } from '$core/persona';
import { WordingPage } from './wording-page.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn(), reload: vi.fn(async () => {}) }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/kept/reload', () => ({ reload: asked.reload }));
vi.mock('$app/state', () => ({ page: { data: {}, url: new URL('http://here/') } }));

const set = (id: string, name: string, ...texts: string[]): WordSet => ({
  id,
  name,
  wordings: texts.map((text) => ({ text, origin: 'typed', inUse: true })),
  refused: []
});

function desk(openId: string | null = null) {
  const body = [set('1', 'Jefe de cocina', 'Jefe de cocina'), set('2', 'Head of Quality', 'Head of Quality', 'QA')];
  asked.call.mockImplementation(
    async (name: string, received: { body?: { texts?: string[]; wordings?: string[]; taken?: boolean } } = {}) => {
      if (name === 'count') {
        const estimate = { low: 1, middle: 1, high: 1 };
        return { counts: received.body!.texts!.map((_, i) => (i ? null : { certain: estimate, possible: estimate })) };
      }
      if (name === 'rememberWordings')
        return received.body!.wordings!.map((wording) => ({ wording, taken: received.body!.taken }));
      if (name === 'houseWordings') return [{ wording: 'Cocinero jefe', taken: true }];
      return { revision: 2 };
    }
  );
  const sources = [
    { id: 'here', readiness: { state: 'ready' } },
    { id: 'broken', readiness: { state: 'failed', reason: 'gone' } }
  ];
  return new WordingPage(
    () => ({ brief: { id: 'b' }, wording: { body, revision: 1 }, sources }) as never,
    () => openId
  );
}
const textsOf = (page: WordingPage, at = 0) =>
  page.sets.value[at]!.wordings.map(({ text, inUse, origin }) => [text, inUse, origin]);
const calls = (name: string) => asked.call.mock.calls.filter(([one]) => one === name);

beforeEach(() => asked.call.mockReset());

describe('the wordings of a title', () => {
  it('are those of the set that is open, or of the first', () => {
    expect(desk().open!.name).toBe('Jefe de cocina');
    expect(desk('2').open!.name).toBe('Head of Quality');
    expect(desk('gone').open!.name).toBe('Jefe de cocina');
  });

  it('are taken and left with where they come from', () => {
    const page = desk();
    page.spoken = ['es', 'pt'];
    page.use(['Chefe de cozinha', 'Chef ejecutivo', 'Cocinero jefe'], true);
    expect(textsOf(page)).toEqual([
      ['Jefe de cocina', true, 'typed'],
      ['Chefe de cozinha', true, 'translated'],
      ['Chef ejecutivo', true, 'lexicon'],
      ['Cocinero jefe', true, 'typed']
    ]);
    page.use(['Chef ejecutivo'], false);
    expect(textsOf(page)[2]).toEqual(['Chef ejecutivo', false, 'lexicon']);
    page.refuse(['Chefe de cozinha']);
    expect(page.open!.refused).toEqual(['Chefe de cozinha']);
    page.remove(['Cocinero jefe']);
    page.takeFound('Responsable de fogones');
    expect(textsOf(page).at(-1)).toEqual(['Responsable de fogones', true, 'found']);
    // The other sets are left alone.
    expect(textsOf(page, 1)).toHaveLength(2);
  });

  it('are typed or pasted, and those that were there are counted', () => {
    const page = desk();
    page.typed = 'Jefa de cocina; "Jefe de Cocina"\n• Chef';
    page.add();
    expect(page.status).toBe('2 added, 1 already there.');
    expect(page.typed).toBe('');
    page.typed = '  ,;';
    page.add();
    expect(page.typed).toBe('  ,;');
  });

  it('that mean several things by themselves are named', () => {
    expect(desk('2').ambiguous.map(({ word }) => word)).toContain('qa');
    expect(desk().ambiguous).toEqual([]);
  });
});

describe('counting', () => {
  it('asks each source that is there for each wording once', async () => {
    const page = desk();
    page.countRows();
    await vi.waitFor(() => expect(page.counts.here?.size).toBeGreaterThan(3));
    expect(calls('count')).toHaveLength(1);
    expect(calls('count')[0]![1]).toMatchObject({ body: { sourceId: 'here' } });
    expect((calls('count')[0]![1] as { body: { texts: string[] } }).body.texts[0]).toBe('title:"Jefe de cocina"');
    page.countRows();
    expect(calls('count')).toHaveLength(1);
    page.takeFound('Responsable de fogones');
    page.countRows();
    expect(calls('count')).toHaveLength(2);
    expect((calls('count')[1]![1] as { body: { texts: string[] } }).body.texts).toEqual([
      'title:"Responsable de fogones"'
    ]);
  });
});

describe('what is remembered for all briefs', () => {
  it('is what is taken and refused while that is switched on', async () => {
    const page = desk();
    page.askHouse();
    await vi.waitFor(() => expect(page.house.get('Cocinero jefe')).toBe(true));
    page.use(['Chef'], true);
    expect(calls('rememberWordings')).toHaveLength(0);
    page.houseRemembers = true;
    page.use(['Chef ejecutivo'], true);
    page.refuse(['Gerente de cocina']);
    await vi.waitFor(() => expect(calls('rememberWordings')).toHaveLength(2));
    expect(calls('rememberWordings').map(([, received]) => (received as { body: object }).body)).toEqual([
      { title: 'Jefe de cocina', wordings: ['Chef ejecutivo'], taken: true },
      { title: 'Jefe de cocina', wordings: ['Gerente de cocina'], taken: false }
    ]);
  });
});

describe('a file of wordings', () => {
  it('goes to the titles of its names, and says which are not there', async () => {
    const page = desk();
    const csv = await page.written();
    expect(csv).toContain('Jefe de cocina');
    const more = csv.replaceAll('QA', 'Quality Lead').replaceAll('Jefe de cocina', 'Unheard of');
    await page.take(new File([more], 'mine.csv'));
    expect(page.status).toContain('mine.csv: wordings of 1 title imported; 1 title isn’t in the persona.');
    expect(textsOf(page, 1).map(([text]) => text)).toContain('Quality Lead');
    await page.take(new File(['nothing of the kind'], 'other.csv'));
    expect(page.refused).toMatchObject({ message: expect.stringContaining('Nothing was changed.') as string });
  });
});
