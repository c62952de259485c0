import { beforeEach, describe, expect, it, vi } from 'vitest';
import { HarvestPage, type ListedPerson } from './harvest-page.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn(), reload: vi.fn(async () => {}) }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/kept/reload', () => ({ reload: asked.reload }));

const person = (number: number, more: Partial<ListedPerson> = {}): ListedPerson => ({
  number,
  name: `Person ${number}`,
  title: 'Chef',
  company: 'Casa',
  country: 'ES',
  place: '',
  sources: ['s'],
  certain: true,
  score: 1 - number / 100,
  verdict: null,
  on: { sourceId: 's', personId: `p${number}`, revision: 0 },
  ...more
});

/** A harvest of so many people, served ten at a time by a filter on words. */
function serve(size: number) {
  const all = Array.from({ length: size }, (_, i) => person(i));
  asked.call.mockImplementation(async (name: string, { query, params, body }: Record<string, never> = {} as never) => {
    const { after, words } = (query ?? {}) as { after?: number; words?: string };
    if (name === 'listHarvestPeople') {
      const found = all.filter((one) => !words || one.name.endsWith(words));
      const rest = found.filter(({ number }) => after === undefined || number > after);
      return { people: rest.slice(0, 10), of: after === undefined ? found.length : null, last: rest.length <= 10 };
    }
    if (name === 'readHarvestPerson')
      return { records: [{ number: (params as unknown as { number: number }).number }] };
    if (name === 'nextDrawn') return { next: all[size - 1] };
    if (name === 'giveVerdict') {
      const { verdict, reason, revision } = body as unknown as { verdict: string; reason: string; revision: number };
      return { verdict, reason, by: 'person', revision: revision + 1 };
    }
    return {};
  });
  return new HarvestPage(() => ({ brief: { id: 'b' }, harvest: { id: 'h', people: 5000 } as never }));
}
const calls = (name: string) => asked.call.mock.calls.filter(([one]) => one === name);

beforeEach(() => {
  asked.call.mockReset();
  asked.reload.mockClear();
});

describe('the people of a harvest', () => {
  it('are listed a page after the other, and from the beginning where the filter changes', async () => {
    const desk = serve(25);
    await desk.list();
    expect([desk.people.length, desk.of, desk.last]).toEqual([10, 25, false]);
    await desk.more();
    await desk.more();
    expect(desk.people.map(({ number }) => number)).toEqual(Array.from({ length: 25 }, (_, i) => i));
    expect(desk.last).toBe(true);
    await desk.more();
    expect(calls('listHarvestPeople')).toHaveLength(3);
    expect(calls('listHarvestPeople')[1]![1]).toMatchObject({ query: { after: 9, score: 0.91 } });

    desk.change({ words: ' 7 ' });
    await vi.waitFor(() => expect(desk.of).toBe(2));
    expect(desk.people.map(({ number }) => number)).toEqual([7, 17]);
    expect(desk.file('csv')).toBe('/api/briefs/b/harvests/h/file?words=7&format=csv');
  });

  it('of an earlier question are dropped when they come late', async () => {
    const desk = serve(12);
    let late: (received: object) => void = () => {};
    asked.call.mockImplementationOnce(() => new Promise((done) => (late = done)));
    const first = desk.list();
    await desk.list();
    late({ people: [person(99)], of: 1, last: true });
    await first;
    expect(desk.of).toBe(12);
  });

  it('are gone through by keys, and the next page comes in time', async () => {
    const desk = serve(25);
    await desk.list();
    desk.go(1);
    await vi.waitFor(() => expect(desk.card).toEqual({ records: [{ number: 0 }] }));
    for (let i = 0; i < 6; i++) desk.go(1);
    await vi.waitFor(() => expect(desk.people.length).toBe(20));
    expect(desk.at).toBe(6);
    desk.go(-1);
    expect(desk.at).toBe(5);
  });
});

describe('judging down the list', () => {
  it('goes on to the likeliest who is not judged, draws every fourth, and learns again after ten', async () => {
    const desk = serve(25);
    await desk.list();
    await desk.next();
    expect(desk.at).toBe(0);
    for (let i = 0; i < 3; i++) {
      desk.give(i % 2 ? 'miss' : 'fit');
      await vi.waitFor(() => expect(desk.at).not.toBe(i));
    }
    // The fourth is drawn at random, and stands first.
    await vi.waitFor(() => expect(desk.drawn?.number).toBe(24));
    expect(desk.shown[0]!.number).toBe(24);
    expect(desk.at).toBe(24);
    for (let given = 4; given <= 10; given++) {
      desk.give('fit');
      await vi.waitFor(() => expect(calls('giveVerdict')).toHaveLength(given));
      await vi.waitFor(() => expect(desk.at).not.toBe(null));
    }
    await vi.waitFor(() => expect(calls('orderHarvest')).toHaveLength(1));
    expect(calls('giveVerdict')).toHaveLength(10);
    expect(desk.verdictOn(desk.people[1]!)).toBe('miss');
    await vi.waitFor(() => expect(asked.reload).toHaveBeenCalledWith('eave:harvests', 'eave:brief'));
  });

  it('shows what was refused, and changes the plan on request', async () => {
    const desk = serve(3);
    await desk.changeSlice('slice', { do: 'ask with', word: 'Palma' });
    expect(calls('changeSlice')[0]![1]).toEqual({
      params: { id: 'b', harvest: 'h', slice: 'slice' },
      body: { do: 'ask with', word: 'Palma' }
    });
    await desk.act('goOnWithHarvest', { requestsPerDay: 5, records: null, spend: null });
    expect(calls('goOnWithHarvest')[0]![1]).toMatchObject({ body: { budget: { requestsPerDay: 5 } } });
    await desk.act('stopHarvest');
    expect(calls('stopHarvest')[0]![1]).not.toHaveProperty('body');
    asked.call.mockRejectedValueOnce(new Error('In progress'));
    await desk.act('stopHarvest');
    expect(desk.refused).toMatchObject({ message: 'In progress' });
  });
});
