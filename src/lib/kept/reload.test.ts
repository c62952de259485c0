import { beforeEach, describe, expect, it, vi } from 'vitest';
import { reload } from './reload';

const app = vi.hoisted(() => ({
  invalidate: vi.fn(async () => {}),
  navigating: { to: null as object | null },
  page: { url: new URL('http://here/a') }
}));
vi.mock('$app/navigation', () => ({ invalidate: app.invalidate }));
vi.mock('$app/state', () => ({ navigating: app.navigating, page: app.page }));

const later = (ms: number) => new Promise((done) => setTimeout(done, ms));

beforeEach(() => {
  app.invalidate.mockReset();
  app.invalidate.mockImplementation(async () => {});
  app.navigating.to = null;
  app.page.url = new URL('http://here/a');
});

describe('what a page shows, reloaded', () => {
  it('is each of its names, once', async () => {
    await reload('eave:brief', 'eave:versions');
    expect(app.invalidate.mock.calls.flat()).toEqual(['eave:brief', 'eave:versions']);
  });

  it('waits while the page goes somewhere', async () => {
    app.navigating.to = {};
    const done = reload('eave:brief');
    await later(60);
    expect(app.invalidate).not.toHaveBeenCalled();
    app.navigating.to = null;
    await done;
    expect(app.invalidate).toHaveBeenCalledTimes(1);
  });

  it('loads once more where the page went on meanwhile', async () => {
    app.invalidate.mockImplementationOnce(async () => {
      app.page.url = new URL('http://here/b');
    });
    await reload('eave:brief');
    expect(app.invalidate).toHaveBeenCalledTimes(2);
  });

  it('ends where the page never rests, and where loading is refused', async () => {
    let at = 0;
    app.invalidate.mockImplementation(async () => {
      app.page.url = new URL(`http://here/${at++}`);
      throw new Error('Gone on.');
    });
    await reload('eave:brief');
    expect(app.invalidate).toHaveBeenCalledTimes(5);
  });

  it('coalesces everything asked for during a load into one more load', async () => {
    let under = 0;
    app.invalidate.mockImplementation(async () => {
      under++;
      await later(20);
      expect(under).toBeLessThanOrEqual(2);
      under--;
    });
    const first = reload('eave:brief');
    await later(5);
    const others = [reload('eave:trials'), reload('eave:brief'), reload('eave:trials')];
    await first;
    expect(app.invalidate.mock.calls.flat()).toEqual(['eave:brief']);
    await Promise.all(others);
    expect(app.invalidate.mock.calls.flat()).toEqual(['eave:brief', 'eave:trials', 'eave:brief']);
  });

  it('is loaded though a load before it never ends', async () => {
    vi.useFakeTimers();
    try {
      app.invalidate.mockImplementationOnce(() => new Promise(() => {}));
      void reload('eave:brief');
      await vi.advanceTimersByTimeAsync(100);
      const after = reload('eave:trials');
      await vi.advanceTimersByTimeAsync(10_000);
      await after;
      expect(app.invalidate.mock.calls.flat()).toEqual(['eave:brief', 'eave:trials']);
    } finally {
      vi.useRealTimers();
    }
  });
});
