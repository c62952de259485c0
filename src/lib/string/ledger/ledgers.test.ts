import { describe, expect, it } from 'vitest';
import type { Answer } from '$api';
import { ApiProblem } from '$lib/api/call';
import { Ledgers } from './ledgers.svelte';

const turn = () => new Promise((resolve) => setTimeout(resolve));

/** Ledgers whose sources answer on demand. */
function asked() {
  const asks: {
    id: string;
    text: string;
    signal: AbortSignal;
    atLength: boolean;
    answer: (unfinished?: boolean) => void;
    fail: (why: string | Error) => void;
  }[] = [];
  const ledgers = new Ledgers(
    () => 'brief',
    (id, text, _, signal, atLength) =>
      new Promise((resolve, reject) =>
        asks.push({
          id,
          text,
          signal,
          atLength,
          answer: (unfinished = false) => resolve({ text, unfinished } as unknown as Answer<'ledger'>),
          fail: (why) => reject(why instanceof Error ? why : new Error(why))
        })
      )
  );
  return { asks, ledgers };
}

describe('the ledgers of a string', () => {
  it('are of the newest text: what comes late of an earlier one is dropped', async () => {
    const { asks, ledgers } = asked();
    ledgers.ask('a', ['one'], null);
    ledgers.ask('b', ['one', 'two'], null);
    expect(asks.map(({ signal }) => signal.aborted)).toEqual([true, false, false]);
    asks[0]!.answer();
    asks[1]!.answer();
    await turn();
    expect(ledgers.states).toMatchObject({ one: { state: 'ready', answer: { text: 'b' } }, two: { state: 'asking' } });
    expect(ledgers.text).toBe('b');
  });

  it('keep what a source said before until it answers, and say why it refuses', async () => {
    const { asks, ledgers } = asked();
    ledgers.ask('a', ['one'], null);
    asks[0]!.answer();
    await turn();
    ledgers.ask('b', ['one'], [1, 0]);
    expect(ledgers.states.one).toMatchObject({ state: 'asking', answer: { text: 'a' } });
    asks[1]!.fail('Not read.');
    await turn();
    expect(ledgers.states.one).toEqual({ state: 'refused', message: 'Not read.', isSlow: false });
    expect(ledgers.text).toBe('a');
  });

  it('can be asked for at length where a source had too little time for all or for the parts', async () => {
    const { asks, ledgers } = asked();
    ledgers.ask('a', ['one', 'two'], null);
    asks[0]!.answer(true);
    asks[1]!.fail(new ApiProblem(422, 'Takes too long', 'Too long.', { type: '/api/problems/takes-too-long' }));
    await turn();
    expect([ledgers.states.one!.isSlow, ledgers.states.two!.isSlow]).toEqual([true, true]);
    ledgers.goOn('one');
    expect(ledgers.states.one).toMatchObject({ state: 'asking', answer: { text: 'a' } });
    expect(asks[2]).toMatchObject({ id: 'one', text: 'a', atLength: true });
    asks[2]!.answer();
    await turn();
    expect(ledgers.states.one).toMatchObject({ state: 'ready', isSlow: false });
  });
});
