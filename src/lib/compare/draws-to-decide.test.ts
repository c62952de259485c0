import { describe, expect, it } from 'vitest';
import type { Cell } from './board-measures';
import { drawsToDecide } from './draws-to-decide';

const cell = (version: number, standing: Cell['standing'], judged: number, sampled = 40): Cell =>
  ({
    version,
    sourceId: 'here',
    trialId: `trial ${version}`,
    sampled,
    standing,
    figures: { precision: { possible: { fits: judged, misses: 0, unsure: 0 } } }
  }) as unknown as Cell;
const open = (against: number, decide: { here: number; there: number } | null): Cell['standing'] => ({
  is: 'open',
  against,
  decide
});

describe('the people who would decide between two versions', () => {
  it('are drawn at both trials, behind those judged there, and no more than can be', () => {
    const [one, two] = [cell(1, open(2, { here: 30, there: 5000 }), 20), cell(2, open(1, null), 35)];
    expect(drawsToDecide(one, [one, two])).toEqual([
      { trial: 'trial 1', size: 50 },
      { trial: 'trial 2', size: 2000 }
    ]);
  });
  it('are nobody where judging all would not decide, or it is decided', () => {
    const one = cell(1, open(2, null), 20);
    expect(drawsToDecide(one, [one])).toEqual([]);
    const best = cell(3, { is: 'best' }, 20);
    expect(drawsToDecide(best, [best])).toEqual([]);
  });
  it('are drawn at one trial where the other has enough', () => {
    const one = cell(1, open(2, { here: 0, there: 12 }), 20);
    const two = cell(2, open(1, { here: 12, there: 0 }), 35);
    expect(drawsToDecide(one, [one, two])).toEqual([{ trial: 'trial 2', size: 47 }]);
  });
});
