import { beforeEach, describe, expect, it, vi } from 'vitest';
import { stubLocalStorage } from '$lib/testing/local-storage';
import { toasts } from '$lib/ui/toasts.svelte';
import { keepOnShortlist } from './keep';
import { callMe, myName } from './my-name';

const asked = vi.hoisted(() => ({ call: vi.fn() }));
vi.mock('$lib/api/call', async (original) => ({ ...(await original<object>()), call: asked.call }));

const stored = stubLocalStorage();
const calls = (name: string) => asked.call.mock.calls.filter(([one]) => one === name).map(([, input]) => input);

/** A server with some shortlists that adds this many of the people it is sent. */
function serve(lists: { id: string; name: string }[], received: { kept: number; there?: number; objected?: number }) {
  asked.call.mockImplementation(async (name: string, { body }: { body?: { name: string } } = {}) =>
    name === 'listShortlists'
      ? lists
      : name === 'createShortlist'
        ? { id: 'new', name: body!.name }
        : { there: 0, objected: 0, ...received }
  );
}

beforeEach(() => {
  asked.call.mockReset();
  toasts.shown = [];
  stored.clear();
});

describe('people kept on a shortlist', () => {
  it('join the newest shortlist, with why and by which user, and a link to it', async () => {
    callMe('  Ana ');
    serve([{ id: 'l', name: 'To write to' }], { kept: 1200 });
    await keepOnShortlist('b', { kind: 'news', ids: [1] }, 'new in Chefs');
    expect(calls('createShortlist')).toEqual([]);
    expect(calls('keepPeople')).toEqual([
      { params: { id: 'b', list: 'l' }, body: { from: { kind: 'news', ids: [1] }, why: 'new in Chefs', by: 'Ana' } }
    ]);
    expect(toasts.shown).toMatchObject([
      {
        text: '1,200 added to To write to.',
        link: { href: '/briefs/b/shortlist?list=l', text: 'Open shortlist' }
      }
    ]);
  });

  it('begin one where there is none', async () => {
    serve([], { kept: 3 });
    await keepOnShortlist('b', { kind: 'news', ids: [1] }, '');
    expect(calls('createShortlist')[0]).toEqual({ params: { id: 'b' }, body: { name: 'Shortlist' } });
    expect(calls('keepPeople')[0]).toMatchObject({ params: { list: 'new' }, body: { by: '' } });
    expect(toasts.shown[0]!.text).toBe('3 added to the new shortlist.');
  });

  it('distinguishes people already there from people who objected', async () => {
    serve([{ id: 'l', name: 'A' }], { kept: 0, there: 4, objected: 1 });
    await keepOnShortlist('b', { kind: 'news', ids: [1] }, '');
    expect(toasts.shown[0]!.text).toBe('0 added to A, 4 already there, 1 excluded because they objected.');
  });

  it('are not said to be kept where the server refuses', async () => {
    asked.call.mockRejectedValue(new Error('Not now.'));
    await expect(keepOnShortlist('b', { kind: 'news', ids: [1] }, '')).rejects.toThrow('Not now.');
    expect(toasts.shown).toEqual([]);
  });

  it('are kept in a name of at most 100 letters', () => {
    callMe(`  ${'x'.repeat(150)}`);
    expect(myName()).toBe('x'.repeat(100));
  });
});
