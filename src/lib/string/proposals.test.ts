import { describe, expect, it } from 'vitest';
import { BestChanges, type Proposal } from './proposals.svelte';

const proposal = (says: string) => ({ says, text: says, effects: [] }) as unknown as Proposal;
const later = () => new Promise((done) => setTimeout(done));

describe('the best changes of a string', () => {
  it('are those of the newest text, whichever answer comes first', async () => {
    const waiting = new Map<string, (list: Proposal[]) => void>();
    const best = new BestChanges(
      () => 'x',
      (text) => new Promise((done) => waiting.set(text, done))
    );
    best.ask('a', ['one']);
    best.ask('b', ['one']);
    waiting.get('b')!([proposal('of b')]);
    waiting.get('a')!([proposal('of a')]);
    await later();
    expect(best.list!.map(({ says }) => says)).toEqual(['of b']);
    expect(best.readFor).toBe('b');
  });

  it('stay while a newer question fails, which is said', async () => {
    let fails = false;
    const best = new BestChanges(
      () => 'x',
      async (text) => {
        if (fails) throw new Error('Not now.');
        return [proposal(text)];
      }
    );
    best.ask('a', []);
    await later();
    fails = true;
    best.ask('b', []);
    await later();
    expect(best.list!.map(({ says }) => says)).toEqual(['a']);
    expect(best.fault).toBe('Not now.');
  });
});
