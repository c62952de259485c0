import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import * as z from 'zod';
import { ApiProblem } from '$lib/api/call';
import { KeptDocument } from './kept-document.svelte';

const schema = z.object({ text: z.string().max(20, 'Too long.') });
type Body = z.infer<typeof schema>;

function open(answer: (kept: { body: Body; revision: number }) => Promise<{ revision: number }>) {
  const written: Body[] = [];
  const document = new KeptDocument<Body>({ body: { text: 'first' }, revision: 1 }, schema, (kept) => {
    written.push(kept.body);
    return answer(kept);
  });
  return { document, written };
}
const taken = ({ revision }: { revision: number }) => Promise.resolve({ revision: revision + 1 });

describe('a kept document', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('keeps after a short pause, once for quick changes', async () => {
    const { document, written } = open(taken);
    document.change({ text: 'a' }, 'text');
    document.change({ text: 'ab' }, 'text');
    expect(document.unsaved).toBe(true);
    await vi.advanceTimersByTimeAsync(500);
    expect(written).toEqual([{ text: 'ab' }]);
    expect(document.unsaved).toBe(false);
  });

  it('takes back quick changes at one place together, and others step by step', () => {
    const { document } = open(taken);
    document.change({ text: 'a' }, 'text');
    document.change({ text: 'ab' }, 'text');
    document.change({ text: 'c' }, 'elsewhere');
    document.undo();
    expect(document.value.text).toBe('ab');
    document.undo();
    expect(document.value.text).toBe('first');
    expect(document.canUndo).toBe(false);
    document.redo();
    document.redo();
    expect(document.value.text).toBe('c');
    expect(document.canRedo).toBe(false);
    document.undo();
    document.change({ text: 'd' });
    expect(document.canRedo).toBe(false);
  });

  it('keeps one change after another where keeping takes longer than typing, each on what was kept before', async () => {
    let revision = 1;
    let under = 0;
    const { document } = open(async (kept) => {
      expect([kept.revision, under++]).toEqual([revision, 0]);
      await new Promise((done) => setTimeout(done, 1000));
      under--;
      return { revision: ++revision };
    });
    for (const text of ['a', 'b', 'c', 'd']) {
      document.change({ text });
      await vi.advanceTimersByTimeAsync(450);
    }
    const flushed = document.flush();
    await vi.advanceTimersByTimeAsync(5000);
    await flushed;
    expect(document.state).toBe('kept');
    expect(revision).toBe(5);
  });

  it('saves nothing that is invalid, says where, and saves again once it is valid', async () => {
    const { document, written } = open(taken);
    document.change({ text: 'x'.repeat(30) });
    await vi.advanceTimersByTimeAsync(1000);
    expect(document.state).toBe('invalid');
    expect(document.issues).toEqual([{ path: 'text', message: 'Too long.' }]);
    document.change({ text: 'short' });
    await vi.advanceTimersByTimeAsync(1000);
    expect(written).toEqual([{ text: 'short' }]);
    expect(document.state).toBe('kept');
  });

  it('waits while the server is away and keeps when it is back', async () => {
    let away = true;
    const { document, written } = open((kept) =>
      away ? Promise.reject(new ApiProblem(0, 'away', 'Nobody answers.')) : taken(kept)
    );
    document.change({ text: 'a' });
    await vi.advanceTimersByTimeAsync(500);
    expect(document.state).toBe('waiting');
    expect(document.message).toBe('Nobody answers.');
    away = false;
    await vi.advanceTimersByTimeAsync(3500);
    expect(document.state).toBe('kept');
    expect(written.at(-1)).toEqual({ text: 'a' });
  });

  it('never overwrites what another tab kept: mine or theirs is chosen, and undo brings mine back', async () => {
    const theirs = { body: { text: 'theirs' }, revision: 7 };
    let refused = 1;
    const { document, written } = open((kept) =>
      refused-- > 0
        ? Promise.reject(new ApiProblem(409, 'changed', 'Changed elsewhere.', { current: theirs }))
        : taken(kept)
    );
    document.change({ text: 'mine' });
    await vi.advanceTimersByTimeAsync(500);
    expect(document.state).toBe('conflict');
    document.change({ text: 'mine too' });
    await vi.advanceTimersByTimeAsync(5000);
    expect(written).toHaveLength(1);
    document.takeTheirs();
    expect(document.value.text).toBe('theirs');
    document.undo();
    expect(document.value.text).toBe('mine too');
    await vi.advanceTimersByTimeAsync(500);
    expect(document.state).toBe('kept');

    refused = 1;
    document.change({ text: 'again' });
    await vi.advanceTimersByTimeAsync(500);
    document.keepMine();
    await vi.advanceTimersByTimeAsync(500);
    expect(document.state).toBe('kept');
    expect(written.at(-1)).toEqual({ text: 'again' });
  });

  it('flushes what is typed without the pause', async () => {
    const { document, written } = open(taken);
    document.change({ text: 'now' });
    await document.flush();
    expect(written).toEqual([{ text: 'now' }]);
  });
});
