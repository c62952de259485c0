import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Turns } from './turns';

/** Work that ends when it is told to. */
function work() {
  let end = () => {};
  const ended = new Promise<void>((resolve) => (end = resolve));
  const begun = vi.fn(() => ended);
  return { begun, end };
}
const settled = () => vi.advanceTimersByTimeAsync(0);

describe('turns', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  const limits = { most: 2, patience: 100, counts: 500 };

  it('let short work begin at once, and long work once little is in progress, in the order in which it came', async () => {
    const turns = new Turns(limits);
    const short = [work(), work(), work()];
    const [first, second] = [work(), work()];
    for (const { begun } of short) void turns.take(false, begun);
    void turns.take(true, first.begun);
    void turns.take(true, second.begun);
    await settled();
    expect(short.map(({ begun }) => begun.mock.calls.length)).toEqual([1, 1, 1]);
    expect(first.begun).not.toHaveBeenCalled();
    short[0]!.end();
    await settled();
    expect(first.begun).not.toHaveBeenCalled();
    short[1]!.end();
    await settled();
    expect(first.begun).toHaveBeenCalledOnce();
    expect(second.begun).not.toHaveBeenCalled();
    first.end();
    await settled();
    expect(second.begun).toHaveBeenCalledOnce();
  });

  it('let long work begin at once where nothing else is in progress', async () => {
    const { begun } = work();
    void new Turns(limits).take(true, begun);
    await settled();
    expect(begun).toHaveBeenCalledOnce();
  });

  it('keep nobody waiting for longer than their patience', async () => {
    const turns = new Turns(limits);
    for (const { begun } of [work(), work()]) void turns.take(false, begun);
    const { begun } = work();
    void turns.take(true, begun);
    await vi.advanceTimersByTimeAsync(99);
    expect(begun).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1);
    expect(begun).toHaveBeenCalledOnce();
  });

  it('do not count work that itself waits for something', async () => {
    const turns = new Turns({ ...limits, patience: 10_000 });
    for (const { begun } of [work(), work()]) void turns.take(false, begun);
    const { begun } = work();
    void turns.take(true, begun);
    await vi.advanceTimersByTimeAsync(500);
    expect(begun).toHaveBeenCalledOnce();
  });

  it('hand on what work answers or how it fails, and go on after it', async () => {
    const turns = new Turns({ ...limits, most: 1 });
    const failing = turns.take(false, () => Promise.reject(new Error('broken')));
    await expect(failing).rejects.toThrow('broken');
    await expect(turns.take(true, () => Promise.resolve(7))).resolves.toBe(7);
  });
});
