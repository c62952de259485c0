import { describe, expect, it } from 'vitest';
import { BestChanges, type Proposal } from './proposals.svelte';

const proposal = (says: string) => ({ says, text: says, effects: [] }) as unknown as Proposal;
const answer = (list: Proposal[], measured = 1, of = 1) => ({ proposals: list, measured, of });
const later = () => new Promise((done) => setTimeout(done));

describe('the best changes of a string', () => {
  it('are those of the newest text, whichever answer comes first', async () => {
    const waiting = new Map<string, (found: ReturnType<typeof answer>) => void>();
    const best = new BestChanges(
      () => 'x',
      (text) => new Promise((done) => waiting.set(text, done))
    );
    best.ask('a', ['one']);
    best.ask('b', ['one']);
    waiting.get('b')!(answer([proposal('of b')]));
    waiting.get('a')!(answer([proposal('of a')]));
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
        return answer([proposal(text)]);
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

  it('go on where a busy machine stopped, best first', async () => {
    const asked: number[] = [];
    const best = new BestChanges(
      () => 'x',
      async (_text, _sources, from) => {
        asked.push(from);
        return from
          ? answer(
              [
                { ...proposal('better'), gain: 9, costly: false },
                { ...proposal('costs'), gain: 20, costly: true }
              ],
              3,
              3
            )
          : answer([{ ...proposal('good'), gain: 5, costly: false }], 2, 3);
      }
    );
    best.ask('a', []);
    await later();
    expect([best.measured, best.of]).toEqual([2, 3]);
    best.goOn();
    expect(best.isMeasuring).toBe(true);
    await later();
    expect(asked).toEqual([0, 2]);
    expect(best.list!.map(({ says }) => says)).toEqual(['better', 'good', 'costs']);
    expect([best.measured, best.isMeasuring]).toEqual([3, false]);
  });
});
