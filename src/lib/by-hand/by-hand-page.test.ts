import { beforeEach, describe, expect, it, vi } from 'vitest';
import { stubLocalStorage } from '$lib/testing/local-storage';
import { ByHandPage, type Entry } from './by-hand-page.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn(), reload: vi.fn(async () => {}) }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/kept/reload', () => ({ reload: asked.reload }));

const kept = stubLocalStorage();

const diaryOf = (searches: object[], entries: object[] = []) =>
  ({
    version: { number: 2 },
    sourceId: 'place',
    rendering: { searches: searches.map(() => ({ boxes: {}, facts: [] })) },
    entries,
    searches,
    trialId: null
  }) as never;
const search = (more: object = {}) => ({ entries: 0, rows: 0, pagesRead: [], pages: null, drawn: [], ...more });
const page = `Más de 1.000 resultados

Marta Oliver Sanz
Jefa de Cocina en Hotel Brisa Serena
Palma, España
Ver ficha

Iker Sanz Gil
Chef Ejecutivo
Costa Blava Hoteles S.L.
Bilbao, España
Ver ficha
`;
const desk = (searches = [search()], entries: object[] = []) =>
  new ByHandPage(() => ({ brief: { id: 'b' }, diary: diaryOf(searches, entries), trial: null }));

beforeEach(() => {
  asked.call.mockReset();
  kept.clear();
});

describe('a page that is pasted', () => {
  it('is read into rows, each once, and its count is offered where none was typed', async () => {
    const hand = desk();
    await hand.read(page);
    expect(hand.unkept.rows.map(({ values }) => values.name)).toEqual(['Marta Oliver Sanz', 'Iker Sanz Gil']);
    expect(hand.unkept.said).toBe('Más de 1.000 resultados');
    expect(hand.count).toMatchObject({ said: 1000, open: true });
    expect(hand.status).toContain('2 people read');
    await hand.read(page);
    expect(hand.unkept.rows).toHaveLength(2);
    expect(hand.status).toContain('Couldn’t read any people');
    hand.unkept.said = '40';
    await hand.read('12 resultados\n\nAna Gil\nChef en Casa Mar\n');
    expect(hand.unkept.said).toBe('40');
  });

  it('is corrected in place, and what was doubtful is not any more', () => {
    const hand = desk();
    hand.unkept.rows = [{ values: { name: 'Ana Gil', title: '??' }, doubtful: ['title'] }] as never;
    expect(hand.doubtful).toBe(1);
    hand.correct(hand.unkept.rows[0]!, 'title', 'Chef');
    expect(hand.doubtful).toBe(0);
    expect(hand.unkept.rows[0]!.values.title).toBe('Chef');
  });
});

describe('which page is next', () => {
  it('is the first drawn that nobody has read, or the one behind the last, unless it is typed', () => {
    expect(desk([search({ drawn: [3, 7, 9], pagesRead: [3] })]).page).toBe(7);
    expect(desk([search({ pagesRead: [1, 2] })]).page).toBe(3);
    const hand = desk([search({ drawn: [3] })]);
    hand.unkept.page = '12';
    expect(hand.page).toBe(12);
    hand.unkept.page = 'twelve';
    expect(hand.page).toBeNull();
    hand.unkept.page = '0';
    expect(hand.page).toBeNull();
    expect(hand.ready).toBe(false);
  });

  it('needs a count that can be read, or rows', () => {
    const hand = desk();
    expect(hand.ready).toBe(false);
    hand.unkept.said = 'muchísimos';
    expect(hand.ready).toBe(false);
    hand.unkept.said = 'unos 820';
    expect(hand.ready).toBe(true);
  });
});

describe('what is not kept yet', () => {
  it('waits in this browser, apart for each version and place, until it is kept', async () => {
    const hand = desk();
    await hand.read(page);
    hand.remember();
    expect([...kept.keys()]).toEqual(['eave-by-hand b 2 place']);
    const again = desk();
    again.recall();
    expect(again.unkept.rows).toHaveLength(2);

    asked.call.mockResolvedValue(diaryOf([search({ entries: 1, rows: 2, pagesRead: [1] })]));
    await again.keep();
    expect(asked.call).toHaveBeenCalledWith('addEntry', {
      params: { id: 'b', number: '2', source: 'place' },
      body: expect.objectContaining({ search: 0, said: 'Más de 1.000 resultados', page: 1 }) as object
    });
    expect(again.unkept.rows).toEqual([]);
    expect(again.unkept.said).toBe('');
    expect(again.status).toBe('Saved.');
    again.remember();
    expect(kept.size).toBe(0);
  });

  it('stays where the server refuses, and what was typed meanwhile is not lost', async () => {
    const hand = desk();
    await hand.read(page);
    asked.call.mockRejectedValueOnce(new Error('away'));
    await hand.keep();
    expect(hand.refused).toMatchObject({ message: 'away' });
    expect(hand.unkept.rows).toHaveLength(2);

    let answer: (received: unknown) => void = () => {};
    asked.call.mockImplementationOnce(() => new Promise((done) => (answer = done)));
    const keeping = hand.keep();
    hand.unkept.said = '41';
    answer(diaryOf([search()]));
    await keeping;
    expect(hand.unkept.rows).toEqual([]);
    expect(hand.unkept.said).toBe('41');
  });

  it('starts over where the browser holds nonsense', () => {
    kept.set('eave-by-hand b 2 place', '{"rows": 7');
    const hand = desk();
    hand.recall();
    expect(hand.unkept).toMatchObject({ search: 0, said: '', rows: [] });
  });
});

describe('an entry', () => {
  it('is corrected if nobody has changed it since, and stays open where that is refused', async () => {
    const entry = { id: 'e', said: '60', page: 1, rows: [], takenBack: false, revision: 3 } as unknown as Entry;
    const hand = desk([search()], [entry]);
    hand.correcting = { ...entry, said: '66' };
    asked.call.mockRejectedValueOnce(new Error('changed'));
    await hand.keepCorrection();
    expect(hand.correcting?.said).toBe('66');
    asked.call.mockResolvedValueOnce(diaryOf([search()]));
    await hand.keepCorrection();
    expect(hand.correcting).toBeNull();
    expect(asked.call).toHaveBeenLastCalledWith('changeEntry', {
      params: { id: 'b', entry: 'e' },
      body: { said: '66', page: 1, rows: [], takenBack: false, revision: 3 }
    });
    asked.call.mockResolvedValueOnce(diaryOf([search()]));
    expect(await hand.change({ ...entry, takenBack: true })).toBe(true);
  });

  it('falls back to the last search when its own is gone', () => {
    const hand = desk([search(), search({ pagesRead: [4] })]);
    hand.unkept.search = 9;
    expect(hand.search).toBe(1);
    expect(hand.page).toBe(5);
  });
});
