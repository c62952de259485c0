import { describe, expect, it } from 'vitest';
import { curveOf, drawSlices, leavesOf, sizeOf, type Slice } from './slice-bar';

const slice = (more: Partial<Slice>): Slice => ({
  id: 'a',
  parent: null,
  what: 'Denmark',
  rest: false,
  state: 'read',
  cutBy: null,
  lost: null,
  words: null,
  expected: null,
  reported: null,
  rows: 0,
  fresh: 0,
  search: { boxes: {}, facts: [] },
  ...more
});

describe('the bar of slices', () => {
  const slices = [
    slice({ id: 'w', state: 'cut', rows: 25 }),
    slice({ id: '1', rows: 300 }),
    slice({ id: '2', state: 'waiting', reported: { low: 150, high: 250 }, rows: 50 }),
    slice({ id: '3', state: 'waiting', expected: 100 })
  ];

  it('shows what is not cut, each as wide as its share, and how much of it came', () => {
    expect(leavesOf({ slices }).map(({ id }) => id)).toEqual(['1', '2', '3']);
    const drawn = drawSlices({ slices }, 604);
    expect(drawn.map(({ width }) => Math.round(width))).toEqual([300, 200, 100]);
    expect(drawn.map(({ done }) => Math.round(done))).toEqual([300, 50, 0]);
    expect(drawn[1]!.x).toBeCloseTo(302);
    expect(drawn[2]!.label).toBe('Denmark');
    expect(drawSlices({ slices }, 60)[2]!.label).toBe('');
  });

  it('takes what was read for what is there, and else what is said, planned or came', () => {
    expect(sizeOf(slice({ rows: 7, reported: { low: 100, high: 100 } }))).toBe(7);
    expect(sizeOf(slice({ state: 'stuck', rows: 1000, reported: { low: 1400, high: 1400 } }))).toBe(1400);
    expect(sizeOf(slice({ state: 'waiting' }))).toBe(0);
    expect(drawSlices({ slices: [] }, 100)).toEqual([]);
  });

  it('takes a search and its neutral words for one, and draws how few new people came at last', () => {
    const words = { rows: 290, people: 200, share: 0.3, unseen: { low: 1, middle: 2, high: 3 }, end: null };
    const asked = [
      slice({ id: 'w', state: 'cut', rows: 100, fresh: 100, cutBy: { kind: 'neutral' }, words }),
      slice({ id: '1', parent: 'w', what: 'with “Palma”', rows: 100, fresh: 70 }),
      slice({ id: '2', parent: 'w', what: 'with “Ana”', rows: 90, fresh: 30 }),
      slice({ id: '3', parent: 'w', what: 'with “Faro”', state: 'waiting' })
    ];
    expect(leavesOf({ slices: asked })).toMatchObject([{ id: 'w', state: 'stuck', rows: 200 }]);
    expect(curveOf(asked[0]!, { slices: asked }).map(({ rows, people }) => [rows, people])).toEqual([
      [0, 0],
      [100, 100],
      [200, 170],
      [290, 200]
    ]);
  });
});
