import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Inbox } from './inbox.svelte';

const asked = vi.hoisted(() => ({ call: vi.fn(), keep: vi.fn(async () => {}) }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/shortlist/keep', () => ({ keepOnShortlist: asked.keep }));

const one = (id: number, more: object = {}) => ({
  id,
  watchId: 'w',
  read: false,
  known: [],
  verdict: null,
  on: { sourceId: 'ledgers', personId: `p${id}`, revision: 0 },
  ...more
});
const calls = (name: string) => asked.call.mock.calls.filter(([other]) => other === name).map(([, input]) => input);

/** An inbox of pages of news, which the server tells one after the other. */
async function inbox(...pages: object[][]) {
  asked.call.mockImplementation(
    async (name: string, { query, body }: { query?: { before?: number }; body?: never }) => {
      if (name === 'giveVerdict') return { revision: 7 };
      if (name !== 'listNews') return body;
      const at = query!.before === undefined ? 0 : 1;
      return { news: pages[at] ?? [], last: at === pages.length - 1 };
    }
  );
  const made = new Inbox(() => [{ id: 'w', briefId: 'b', name: 'Chefs' }] as never);
  await made.list();
  return made;
}

beforeEach(() => {
  asked.call.mockReset();
  asked.keep.mockReset();
});

describe('news of watches', () => {
  it('begins at the first, goes by keys, and stays within', async () => {
    const news = await inbox([one(3), one(2), one(1)]);
    expect(news.at).toBe(3);
    news.go(-1);
    expect(news.at).toBe(3);
    news.go(1);
    news.go(1);
    news.go(1);
    expect(news.current?.id).toBe(1);
  });

  it('comes page by page, older than the last', async () => {
    const news = await inbox([one(9), one(8)], [one(7)]);
    expect(news.last).toBe(false);
    news.go(1);
    await news.more();
    expect(calls('listNews').at(-1)).toMatchObject({ query: { before: 8, unread: 'true' } });
    expect([news.news.map(({ id }) => id), news.at, news.last]).toEqual([[9, 8, 7], 8, true]);
  });

  it('hides people already known or judged on request', async () => {
    const news = await inbox([one(3, { known: ['contacted'] }), one(2, { verdict: 'miss' }), one(1)]);
    news.onlyUnknown = true;
    expect(news.shown.map(({ id }) => id)).toEqual([1]);
    // Somebody who is no longer shown is left for the first who is.
    expect(news.current).toBeUndefined();
    news.go(1);
    expect(news.at).toBe(1);
  });

  it('is judged at the revision last received, which marks it as read, and the next one comes', async () => {
    const news = await inbox([one(2), one(1)]);
    await news.give('fit');
    expect(calls('giveVerdict')[0]).toEqual({
      params: { id: 'b' },
      body: { sourceId: 'ledgers', personId: 'p2', revision: 0, verdict: 'fit', reason: '' }
    });
    expect(news.news[0]).toMatchObject({ verdict: 'fit', read: true, on: { revision: 7 } });
    expect(news.at).toBe(1);
    news.go(-1);
    await news.give('miss');
    expect(calls('giveVerdict')[1]!.body.revision).toBe(7);
  });

  it('is kept on a shortlist with where it was found, once', async () => {
    const news = await inbox([one(2, { known: ['on a shortlist'] })]);
    await news.keep();
    expect(asked.keep).toHaveBeenCalledWith('b', { kind: 'news', ids: [2] }, 'new in Chefs');
    expect(news.news[0]).toMatchObject({ known: ['on a shortlist'], read: true });
  });

  it('of nobody in particular is neither judged nor kept, but read', async () => {
    const news = await inbox([one(2, { on: { sourceId: 'ledgers', personId: null, revision: 0 } })]);
    await news.give('fit');
    await news.keep();
    expect(asked.keep).not.toHaveBeenCalled();
    expect(calls('giveVerdict')).toEqual([]);
    await news.read(true);
    expect(news.news[0]).toMatchObject({ read: true });
    await news.readAll('w');
    expect(calls('readNews').map(({ body }) => body)).toEqual([{ ids: [2], read: true }, { watch: 'w' }]);
  });

  it('shows what is refused, and forgets it with the next that is not', async () => {
    const news = await inbox([one(2)]);
    asked.call.mockRejectedValueOnce(new Error('Somebody else judged meanwhile.'));
    await news.give('fit');
    expect((news.refused as Error).message).toBe('Somebody else judged meanwhile.');
    expect(news.news[0]).toMatchObject({ verdict: null, read: false });
    await news.read(true);
    expect(news.refused).toBeNull();
  });

  it('drops an answer that a newer question overtook', async () => {
    const news = await inbox([]);
    const answers: ((received: object) => void)[] = [];
    asked.call.mockImplementation(() => new Promise((done) => answers.push(done)));
    const first = news.list();
    const second = news.list();
    answers[1]!({ news: [one(5)], last: true });
    answers[0]!({ news: [one(4)], last: false });
    await Promise.all([first, second]);
    expect([news.news.map(({ id }) => id), news.last]).toEqual([[5], true]);
  });
});
