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

describe('what a page shows, loaded anew', () => {
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
});
