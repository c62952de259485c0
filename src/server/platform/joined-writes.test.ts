import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { JoinedWrites } from './joined-writes';

/** Writes that end when they are told to: each item by its own name, before the colon. */
function writes(most?: number) {
  const begun: { items: string[]; end: () => void; fail: (error: Error) => void }[] = [];
  const joined = new JoinedWrites<string, string>(
    (key, items) =>
      new Promise((resolve, reject) =>
        begun.push({ items, end: () => resolve(items.map((item) => `${key} ${item}`)), fail: reject })
      ),
    (item) => item.split(':')[0]!,
    most
  );
  return { begun, joined };
}
const settled = () => vi.advanceTimersByTimeAsync(0);

describe('joined writes', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('that are wanted while one is in progress are one together after it, and each is told what became of its own', async () => {
    const { begun, joined } = writes();
    const all = ['a', 'b', 'c'].map((item) => joined.of('x', item));
    expect(begun.map(({ items }) => items)).toEqual([['a']]);
    begun[0]!.end();
    await settled();
    expect(begun[1]!.items).toEqual(['b', 'c']);
    begun[1]!.end();
    expect(await Promise.all(all)).toEqual(['x a', 'x b', 'x c']);
    await settled();
    void joined.of('x', 'd');
    expect(begun[2]!.items).toEqual(['d']);
  });

  it('of two things do not wait for each other', () => {
    const { begun, joined } = writes();
    void joined.of('x', 'a');
    void joined.of('y', 'b');
    expect(begun.map(({ items }) => items)).toEqual([['a'], ['b']]);
  });

  it('never hold two of one name, nor more than so many', async () => {
    const { begun, joined } = writes(2);
    for (const item of ['a:1', 'b:1', 'b:2', 'b:3', 'c:1', 'd:1']) void joined.of('x', item);
    for (let i = 0; i < 4; i++) {
      begun[i]!.end();
      await settled();
    }
    expect(begun.map(({ items }) => items)).toEqual([['a:1'], ['b:1', 'c:1'], ['b:2', 'd:1'], ['b:3']]);
  });

  it('that fail together are written each on its own: one’s fault is no other’s', async () => {
    const { begun, joined } = writes();
    const [first, ...others] = ['a', 'b', 'c'].map((item) => joined.of('x', item));
    const received = Promise.allSettled(others);
    begun[0]!.fail(new Error('of a'));
    await expect(first).rejects.toThrow('of a');
    await settled();
    begun[1]!.fail(new Error('together'));
    await settled();
    expect(begun[2]!.items).toEqual(['b']);
    begun[2]!.fail(new Error('of b'));
    await settled();
    begun[3]!.end();
    expect(await received).toMatchObject([{ reason: new Error('of b') }, { value: 'x c' }]);
  });

  it('wait at most some time for one that is held up', async () => {
    const { begun, joined } = writes();
    const held = joined.of('x', 'a');
    const next = joined.of('x', 'b');
    await vi.advanceTimersByTimeAsync(99);
    expect(begun).toHaveLength(1);
    await vi.advanceTimersByTimeAsync(1);
    expect(begun[1]!.items).toEqual(['b']);
    begun[1]!.end();
    expect(await next).toBe('x b');
    begun[0]!.end();
    expect(await held).toBe('x a');
  });
});
