import { beforeEach, describe, expect, it, vi } from 'vitest';
import { ShortlistPage, type KeptPerson } from './shortlist-page.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn(), reload: vi.fn(async () => {}), replaceState: vi.fn() }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/kept/reload', () => ({ reload: asked.reload }));
vi.mock('$app/navigation', () => ({ replaceState: asked.replaceState }));
vi.mock('$app/state', () => ({ page: { url: new URL('http://here/briefs/b/shortlist?list=l'), state: {} } }));

const person = (number: number) => ({ number, name: `Person ${number}` }) as unknown as KeptPerson;

/** A shortlist of so many people, a hundred at a time. */
function serve(size: number) {
  const list = { id: 'l', updatedAt: '1', revision: 4, mail: { run: null } };
  asked.call.mockImplementation(
    async (name: string, received: { query?: { from?: number }; params?: { number?: number } } = {}) => {
      const from = received.query?.from ?? 0;
      if (name === 'listKept')
        return {
          of: size,
          people: Array.from({ length: Math.max(0, Math.min(100, size - from)) }, (_, i) => person(from + i))
        };
      if (name === 'readKept') return { number: received.params!.number };
      return {};
    }
  );
  const desk = new ShortlistPage(() => ({ brief: { id: 'b' }, list: list as never }));
  return { desk, list };
}
const calls = (name: string) => asked.call.mock.calls.filter(([one]) => one === name);

beforeEach(() => {
  asked.call.mockReset();
  asked.reload.mockClear();
  asked.replaceState.mockClear();
});

describe('the table of a shortlist', () => {
  it('loads the people in sight, a stretch at a time and each once', async () => {
    const { desk } = serve(100_000);
    await desk.list();
    expect([desk.of, desk.row(0)?.number, desk.row(99)?.number, desk.row(100)]).toEqual([100_000, 0, 99, undefined]);
    await desk.need(40_150, 40_180);
    expect(desk.row(40_150)?.number).toBe(40_150);
    await desk.need(40_120, 40_199);
    expect(calls('listKept')).toHaveLength(2);
    await desk.need(40_190, 40_210);
    expect(calls('listKept')).toHaveLength(3);
    expect(calls('listKept')[1]![1]).toMatchObject({ query: { from: 40_100 } });
  });

  it('is sorted and filtered by the address, and what was chosen is let go', async () => {
    const { desk } = serve(250);
    await desk.list();
    desk.choose(3, true, false);
    desk.sort('name', false);
    desk.sort('country', true);
    await vi.waitFor(() => expect(desk.row(0)).toBeDefined());
    expect(desk.chosen.size).toBe(0);
    expect(desk.query.sort).toEqual(['name', 'country']);
    const [address] = asked.replaceState.mock.calls.at(-1) as [URL];
    expect(address.searchParams.get('list')).toBe('l');
    expect(address.search).toContain('sort');
    expect(calls('listKept').at(-1)![1]).toMatchObject({ query: { sort: 'name,country' } });
  });

  it('drops what an earlier question brought late', async () => {
    const { desk } = serve(5);
    let late: (received: object) => void = () => {};
    asked.call.mockImplementationOnce(() => new Promise((done) => (late = done)));
    const first = desk.list();
    await desk.list();
    late({ of: 77, people: [] });
    await first;
    expect(desk.of).toBe(5);
  });

  it('follows changes of the list, and is left alone where nothing of it changed', async () => {
    const { desk, list } = serve(5);
    await desk.list();
    await desk.follow(false);
    expect(calls('listKept')).toHaveLength(1);
    list.updatedAt = '2';
    await desk.follow(false);
    expect(calls('listKept')).toHaveLength(2);
    await desk.follow(true);
    expect(calls('listKept')).toHaveLength(3);
  });
});

describe('choosing', () => {
  it('is of one, of a range with shift, and of everybody the filter finds', async () => {
    const { desk } = serve(300);
    await desk.list();
    desk.choose(2, true, false);
    desk.choose(6, true, true);
    expect([...desk.chosen]).toEqual([2, 3, 4, 5, 6]);
    desk.choose(4, false, false);
    expect(desk.which).toEqual({ numbers: [2, 3, 5, 6] });
    // Somebody who is not loaded cannot be chosen by hand.
    desk.choose(250, true, false);
    expect(desk.many).toBe(4);
    desk.everybody = true;
    expect(desk.many).toBe(300);
    expect(desk.which).toEqual({ filter: {} });
    expect(await desk.numbers()).toHaveLength(300);
    desk.clear();
    expect(desk.many).toBe(0);
  });
});

describe('what is done with people', () => {
  it('applies to the selected people, shows the result, and deselects removed people', async () => {
    const { desk } = serve(30);
    await desk.list();
    desk.choose(1, true, false);
    await desk.open(1);
    await desk.change({ addTags: ['soon'] } as never);
    expect(calls('changeKept')[0]![1]).toMatchObject({
      body: { which: { numbers: [1] }, change: { addTags: ['soon'] } }
    });
    expect(asked.reload).toHaveBeenCalledWith('eave:shortlists', 'eave:brief');
    expect(desk.card).toEqual({ number: 1 });
    await desk.change({ drop: true } as never);
    expect([desk.at, desk.card, desk.many]).toEqual([null, null, 0]);
    await desk.settle({ name: 'January' } as never);
    expect(calls('changeShortlist')[0]![1]).toMatchObject({ body: { name: 'January', revision: 4 } });
  });

  it('shows a refusal, and the list as it is', async () => {
    const { desk } = serve(30);
    await desk.list();
    asked.call.mockRejectedValueOnce(new Error('changed elsewhere'));
    await desk.undo();
    expect(desk.refused).toMatchObject({ message: 'changed elsewhere' });
    expect(desk.busy).toBe(false);
    expect(calls('listKept')).toHaveLength(2);
  });

  it('goes from card to card, and not beyond the ends', async () => {
    const { desk } = serve(102);
    await desk.list();
    await desk.open(99);
    await desk.go(1);
    expect(desk.at).toBe(100);
    await desk.go(1);
    await desk.go(1);
    expect(desk.at).toBe(101);
    await desk.open(0);
    await desk.go(-1);
    expect(desk.at).toBe(0);
  });
});
