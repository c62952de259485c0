import { beforeEach, describe, expect, it, vi } from 'vitest';
import { stubLocalStorage } from '$lib/testing/local-storage';
import { emptyPersona } from '$core/persona';
import { TrialPage } from './trial-page.svelte';

const asked = vi.hoisted(() => ({
  call: vi.fn(),
  reload: vi.fn(async () => {}),
  goto: vi.fn(async () => {}),
  replaceState: vi.fn(),
  page: { data: {}, state: {}, url: new URL('http://here/') }
}));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));
vi.mock('$lib/kept/reload', () => ({ reload: asked.reload }));
vi.mock('$app/state', () => ({ page: asked.page }));
vi.mock('$app/navigation', () => ({ goto: asked.goto, replaceState: asked.replaceState }));

const stored = stubLocalStorage();
const drawn = (id: number, more: object = {}) => ({
  rank: id,
  number: id,
  person: { id: String(id), name: `Person ${id}`, country: 'ES' },
  unlisted: [],
  verdict: null,
  counts: null,
  ...more
});
const verdict = (said: string) => ({ verdict: said, reason: '', by: 'person', revision: 1 });
function desk({ sample = [drawn(1), drawn(2), drawn(3)], as = null as string | null, at = '', ...more } = {}) {
  asked.page.url = new URL(`http://here/${at && `?at=${at}`}`);
  const data = {
    brief: { id: 'b' },
    trial: { id: 't', sourceId: 'ledgers', people: 300, certain: 300, sample },
    trials: [{ version: 2 }, { version: 2 }, { version: 1 }],
    judges: [{ judge: 'Ana' }],
    sources: [
      { id: 'ledgers', name: 'Ledgers' },
      { id: 'sheets', name: 'Sheets' }
    ],
    as,
    persona: { body: emptyPersona },
    wording: { body: [] },
    ...more
  };
  const page = new TrialPage(() => data as never);
  page.follow();
  page.followPlace();
  return { page, data };
}
const calls = (name: string) => asked.call.mock.calls.filter(([one]) => one === name).map(([, input]) => input);

beforeEach(() => {
  for (const mock of [asked.call, asked.goto, asked.replaceState, asked.reload]) mock.mockReset();
  stored.clear();
  asked.call.mockImplementation(async (name: string, { body }: { body: { verdict?: string } }) =>
    name === 'giveVerdict' ? (body.verdict ? { ...verdict(body.verdict), revision: 2 } : null) : {}
  );
});

describe('who is looked at', () => {
  it('is the sampled person the address names', () => {
    expect(desk({ at: '2' }).page.current?.person.id).toBe('3');
    expect(desk({ at: '99' }).page.at).toBe(2);
    expect(desk({ at: '-4' }).page.at).toBe(0);
    expect(desk({ at: 'nonsense' }).page.at).toBe(0);
    expect(desk({ sample: [] }).page.current).toBeNull();
  });

  it('moves at once, is written into the address, and stays within', () => {
    const { page } = desk();
    page.go(2);
    expect(page.at).toBe(2);
    expect(asked.replaceState).toHaveBeenCalledWith('/briefs/b/trial?trial=t&at=2', {});
    page.go(3);
    page.go(-1);
    expect(page.at).toBe(2);
    expect(asked.replaceState).toHaveBeenCalledTimes(1);
    // An address that names the same place is no step back.
    page.followPlace();
    expect(page.at).toBe(2);
  });

  it('is the next without a verdict, other than the one who is looked at', () => {
    const sample = [drawn(1), drawn(2, { verdict: verdict('fit') }), drawn(3)];
    const { page } = desk({ sample });
    expect(page.nextUnjudged).toBe(2);
    page.go(2);
    expect(page.nextUnjudged).toBe(0);
  });
});

describe('what is said', () => {
  it('moves on after a fit, and waits for the reason of a miss', () => {
    const { page } = desk();
    page.give('fit');
    expect(page.at).toBe(1);
    page.give('miss');
    expect(page.at).toBe(1);
    page.because('size');
    expect(page.at).toBe(2);
    expect(page.trial!.sample.map((one) => [one.verdict?.verdict, one.verdict?.reason])).toEqual([
      ['fit', ''],
      ['miss', 'size'],
      [undefined, undefined]
    ]);
  });

  it('stays where going on is switched off', () => {
    const { page } = desk();
    page.onward.switch(false);
    page.give('fit');
    page.give('miss');
    page.because('title');
    expect(page.at).toBe(0);
  });

  it('keeps the reason where the same is said again, and drops it where another is', () => {
    const { page } = desk();
    page.onward.switch(false);
    page.give('miss');
    page.because('size');
    page.give('miss');
    expect(page.current?.verdict).toMatchObject({ verdict: 'miss', reason: 'size' });
    page.give('fit');
    expect(page.current?.verdict).toMatchObject({ verdict: 'fit', reason: '' });
    page.because('');
    page.takeBack();
    expect(page.current?.verdict).toBeNull();
    // Of nobody judged no reason is kept.
    page.because('size');
    expect(page.current?.verdict).toBeNull();
  });

  it('is undone where it was said', () => {
    const { page } = desk();
    page.give('fit');
    page.go(2);
    page.undo();
    expect([page.at, page.current?.verdict]).toEqual([0, null]);
  });
});

describe('what is known of the same person elsewhere', () => {
  const records = [
    { verdict: 'miss', sourceId: 'sheets', personId: '9' },
    { verdict: 'fit', sourceId: 'ledgers', personId: '1' }
  ];
  it('is shown where nothing is said here', () => {
    const { page } = desk();
    expect(page.otherRecord(drawn(1, { counts: { verdict: 'miss', records } }) as never)).toEqual({
      verdict: 'miss',
      at: 'Sheets'
    });
    expect(page.otherRecord(drawn(1, { verdict: verdict('fit'), counts: { records } }) as never)).toBeNull();
    expect(page.otherRecord(drawn(1) as never)).toBeNull();
  });

  it('is a conflict for the first judge alone', () => {
    const one = drawn(1, { counts: { verdict: 'miss', conflict: true, records } }) as never;
    expect(
      desk()
        .page.conflictOf(one)
        .map(({ verdict: said, at }) => `${said} at ${at}`)
    ).toEqual(['miss at Sheets', 'fit at Ledgers (here)']);
    expect(desk({ as: 'Ana' }).page.conflictOf(one)).toEqual([]);
    expect(desk().page.sourceName('gone')).toBe('gone');
  });
});

describe('what the page does', () => {
  it('names judges and versions each once, and keeps the judge in addresses', () => {
    const { page } = desk({ as: 'Bo' });
    expect(page.judgeNames).toEqual(['Ana', 'Bo']);
    expect(page.versionNumbers).toEqual([2, 1]);
    expect(page.source?.name).toBe('Ledgers');
    void page.openTrial('u');
    void page.judgeAs('');
    void page.judgeAs('Ana');
    expect(asked.goto.mock.calls.flat()).toEqual([
      '/briefs/b/trial?trial=u&as=Bo',
      '/briefs/b/trial?trial=t',
      '/briefs/b/trial?trial=t&as=Ana'
    ]);
  });

  it('draws more in the share of those that are shown, up to 2,000', () => {
    const { page } = desk();
    page.drawMore(20);
    page.drawMore(5000);
    expect(calls('drawMore').map(({ body }) => body.size)).toEqual([23, 2000]);
  });

  it('shows a refusal, and reloads all the same', async () => {
    const { page } = desk();
    asked.call.mockRejectedValue(new Error('Not now.'));
    await page.act('stopTrial', 't');
    expect((page.refused as Error).message).toBe('Not now.');
    expect(asked.reload).toHaveBeenCalledWith('eave:trials');
  });
});
