import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { watchAll, watchBrief } from './changes';

/** As much of a browser's event source as is used. */
class Source extends EventTarget {
  static readonly CLOSED = 2;
  static opened: Source[] = [];
  readyState = 0;
  readonly address: string;
  constructor(address: string) {
    super();
    this.address = address;
    Source.opened.push(this);
  }
  close() {
    this.readyState = Source.CLOSED;
  }
  tell(name: string, id: string, data: unknown = {}) {
    this.dispatchEvent(Object.assign(new Event(name), { lastEventId: id, data: JSON.stringify(data) }));
  }
  refuse() {
    this.readyState = Source.CLOSED;
    this.dispatchEvent(new Event('error'));
  }
}
const page = Object.assign(new EventTarget(), { hidden: false });
const show = (seen: boolean) => {
  page.hidden = !seen;
  page.dispatchEvent(new Event('visibilitychange'));
};
const last = () => Source.opened.at(-1)!;

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('EventSource', Source);
  vi.stubGlobal('document', page);
  Source.opened = [];
  page.hidden = false;
});
afterEach(() => vi.useRealTimers());

describe('watching for changes', () => {
  it('calls back at changes, and apart from them at the mark that a page begins with', () => {
    const [changed, progressed, gathered, began] = [vi.fn(), vi.fn(), vi.fn(), vi.fn()];
    const stop = watchBrief('one', { changed, progressed, gathered, began });
    expect(last().address).toBe('/api/briefs/one/events');
    last().tell('mark', 'a');
    last().tell('changed', 'b');
    last().tell('progress', 'b', { what: ['trial_pages'] });
    last().tell('progress', 'b', { what: ['harvests'] });
    expect([began, changed, progressed, gathered].map(({ mock }) => mock.calls.length)).toEqual([1, 1, 1, 1]);
    stop();
    expect(last().readyState).toBe(Source.CLOSED);
  });

  it('listens to nothing while the page is hidden, and then repeats the last event', () => {
    const stop = watchBrief('one', { changed: () => {} });
    last().tell('changed', 'b/2');
    show(false);
    expect(last().readyState).toBe(Source.CLOSED);
    show(true);
    expect(Source.opened).toHaveLength(2);
    expect(last().address).toBe('/api/briefs/one/events?seen=b%2F2');
    stop();
    show(false);
    show(true);
    expect(Source.opened).toHaveLength(2);
  });

  it('asks again after a refusal, later each time', () => {
    const stop = watchBrief('one', { changed: () => {} });
    for (const [pause, opened] of [
      [1000, 2],
      [2000, 3],
      [4000, 4]
    ] as const) {
      last().refuse();
      vi.advanceTimersByTime(pause - 1);
      expect(Source.opened).toHaveLength(opened - 1);
      vi.advanceTimersByTime(1);
      expect(Source.opened).toHaveLength(opened);
    }
    // One that answers again begins with the short pause.
    last().tell('mark', 'a');
    last().refuse();
    vi.advanceTimersByTime(1000);
    expect(Source.opened).toHaveLength(5);
    stop();
  });

  it('shares one stream among the parts of a page', () => {
    const [first, second] = [vi.fn(), vi.fn()];
    const [stopFirst, stopSecond] = [watchAll(first), watchAll(second)];
    expect(Source.opened).toHaveLength(1);
    last().tell('changed', 'all', { sources: true });
    expect(first).toHaveBeenCalledWith({ sources: true });
    stopFirst();
    last().tell('changed', 'all', { imports: true });
    expect(first).toHaveBeenCalledTimes(1);
    expect(second).toHaveBeenLastCalledWith({ imports: true });
    expect(last().readyState).not.toBe(Source.CLOSED);
    stopSecond();
    expect(last().readyState).toBe(Source.CLOSED);
  });
});
