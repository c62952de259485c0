import { describe, expect, it, vi } from 'vitest';
import { currentAsker, type Asker } from '$server/workers/asker';
import { SharedTurns } from './shared-turns';
import { Turns } from './turns';

/** Turns with one piece of work in progress until `end` is called. */
function busy() {
  const turns = new Turns({ most: 1, patience: 10_000, counts: 10_000 });
  let end = () => {};
  void turns.take(false, () => new Promise<void>((resolve) => (end = resolve)));
  return { shared: new SharedTurns<string>(turns), end: () => end() };
}
const asker = (id = 'page', signal = new AbortController().signal): Asker => ({ id, signal });
const settled = () => new Promise((done) => setTimeout(done, 0));

describe('long work that waits for its turn', () => {
  it('is done once for all who want the same meanwhile', async () => {
    const { shared, end } = busy();
    const [same, other] = [vi.fn(async () => 'same'), vi.fn(async () => 'other')];
    const received = [
      shared.take('a', asker(), same),
      shared.take('a', asker(), same),
      shared.take('b', asker(), other)
    ];
    await settled();
    expect(same).not.toHaveBeenCalled();
    end();
    expect(await Promise.all(received)).toEqual(['same', 'same', 'other']);
    expect(same).toHaveBeenCalledOnce();
  });

  it('is done again for who wants it once it has started', async () => {
    const { shared, end } = busy();
    let done: (text: string) => void = () => {};
    const first = shared.take('a', asker(), () => new Promise((resolve) => (done = resolve)));
    end();
    await settled();
    const work = vi.fn(async () => 'newer');
    const second = shared.take('a', asker(), work);
    done('older');
    expect([await first, await second]).toEqual(['older', 'newer']);
  });

  it('is refused to all of them where it fails, and done again for the next', async () => {
    const { shared, end } = busy();
    const fails = async () => {
      throw new Error('not there');
    };
    const received = Promise.allSettled([shared.take('a', asker(), fails), shared.take('a', asker(), fails)]);
    end();
    expect((await received).map(({ status }) => status)).toEqual(['rejected', 'rejected']);
    expect(await shared.take('a', asker(), async () => 'there')).toBe('there');
  });

  it('goes on while one of them is there, and is broken off when all have gone', async () => {
    const { shared, end } = busy();
    const [one, two] = [new AbortController(), new AbortController()];
    let seen: Asker | undefined;
    const work = () =>
      new Promise<string>((resolve) => {
        seen = currentAsker();
        seen!.signal.addEventListener('abort', () => resolve('broken off'));
      });
    const received = shared.take('a', asker('first', one.signal), work);
    void shared.take('a', asker('second', two.signal), work);
    end();
    await settled();
    expect(seen!.id).toBe('first');
    one.abort();
    expect(seen!.signal.aborted).toBe(false);
    two.abort();
    expect(await received).toBe('broken off');
  });

  it('is nobody’s where its only asker had gone before', async () => {
    const { shared, end } = busy();
    const gone = new AbortController();
    gone.abort();
    const received = shared.take('a', asker('x', gone.signal), async () => String(currentAsker()!.signal.aborted));
    end();
    expect(await received).toBe('true');
  });
});
