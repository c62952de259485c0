import { describe, expect, it } from 'vitest';
import type { Answer } from '$api';
import { Ledgers } from './ledgers.svelte';

const turn = () => new Promise((resolve) => setTimeout(resolve));

/** Ledgers whose sources answer on demand. */
function asked() {
  const asks: { id: string; text: string; signal: AbortSignal; answer: () => void; fail: (why: string) => void }[] = [];
  const ledgers = new Ledgers(
    () => 'brief',
    (id, text, _, signal) =>
      new Promise((resolve, reject) =>
        asks.push({
          id,
          text,
          signal,
          answer: () => resolve({ text } as unknown as Answer<'ledger'>),
          fail: (why) => reject(new Error(why))
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
    expect(ledgers.states.one).toEqual({ state: 'refused', message: 'Not read.' });
    expect(ledgers.text).toBe('a');
  });
});
