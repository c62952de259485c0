import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Turns } from './turns';

/** Work that ends when `end` is called. */
function work() {
  let end = () => {};
  const ended = new Promise<void>((resolve) => (end = resolve));
  const started = vi.fn(() => ended);
  return { started, end };
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
    for (const { started } of short) void turns.take(false, started);
    void turns.take(true, first.started);
    void turns.take(true, second.started);
    await settled();
    expect(short.map(({ started }) => started.mock.calls.length)).toEqual([1, 1, 1]);
    expect(first.started).not.toHaveBeenCalled();
    short[0]!.end();
    await settled();
    expect(first.started).not.toHaveBeenCalled();
    short[1]!.end();
    await settled();
    expect(first.started).toHaveBeenCalledOnce();
    expect(second.started).not.toHaveBeenCalled();
    first.end();
    await settled();
    expect(second.started).toHaveBeenCalledOnce();
  });

  it('let long work begin at once where nothing else is in progress', async () => {
    const { started } = work();
    void new Turns(limits).take(true, started);
    await settled();
    expect(started).toHaveBeenCalledOnce();
  });

  it('keep nobody waiting for longer than their patience', async () => {
    const turns = new Turns(limits);
    for (const { started } of [work(), work()]) void turns.take(false, started);
    const { started } = work();
    void turns.take(true, started);
    await vi.advanceTimersByTimeAsync(99);
    expect(started).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(1);
    expect(started).toHaveBeenCalledOnce();
  });

  it('do not count work that itself waits for something', async () => {
    const turns = new Turns({ ...limits, patience: 10_000 });
    for (const { started } of [work(), work()]) void turns.take(false, started);
    const { started } = work();
    void turns.take(true, started);
    await vi.advanceTimersByTimeAsync(500);
    expect(started).toHaveBeenCalledOnce();
  });

  it('hand on what work answers or how it fails, and go on after it', async () => {
    const turns = new Turns({ ...limits, most: 1 });
    const failing = turns.take(false, () => Promise.reject(new Error('broken')));
    await expect(failing).rejects.toThrow('broken');
    await expect(turns.take(true, () => Promise.resolve(7))).resolves.toBe(7);
  });
});
