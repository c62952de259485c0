import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { countInterval } from '../dialect/count';
import { missingRows, type SliceState } from './coverage';

const exactly = (said: number) => ({ low: said, high: said });
const slice = (id: string, more: Partial<SliceState>): SliceState => ({
  id,
  parent: null,
  state: 'read',
  reported: exactly(0),
  expected: null,
  rows: 0,
  fresh: more.rows ?? 0,
  lost: null,
  ...more
});
const rounded = { kind: 'rounded', above: 1000, figures: 2 } as const;

describe('what of a result did not come', () => {
  it('is nothing where every slice was read', () => {
    const slices = [
      slice('a', { state: 'cut', reported: exactly(1500) }),
      slice('b', { parent: 'a', reported: exactly(900), rows: 900 }),
      slice('c', { parent: 'a', reported: exactly(600), rows: 600 })
    ];
    expect(missingRows(slices)).toEqual({ low: 0, high: 0 });
  });

  it('is what stands beyond the rows shown of a slice that could not be cut, as the source counts', () => {
    expect(missingRows([slice('a', { state: 'stuck', reported: exactly(1400), rows: 1000 })])).toEqual({
      low: 400,
      high: 400
    });
    expect(missingRows([slice('a', { state: 'stuck', reported: countInterval(1400, rounded), rows: 1000 })])).toEqual({
      low: 350,
      high: 449
    });
  });

  it('is what was left out or is not read yet', () => {
    const slices = [
      slice('a', { state: 'left out', reported: exactly(300) }),
      slice('b', { state: 'waiting', reported: null, expected: 50 })
    ];
    expect(missingRows(slices)).toEqual({ low: 300, high: 400 });
  });

  it('is whom no part of a cut can be asked for', () => {
    const whole = slice('a', { state: 'cut', reported: exactly(1500), lost: { expected: 90 } });
    const parts = [
      slice('b', { parent: 'a', reported: exactly(800), rows: 800 }),
      slice('c', { parent: 'a', reported: exactly(600), rows: 600 })
    ];
    expect(missingRows([whole, ...parts])).toEqual({ low: 100, high: 100 });
    expect(missingRows([whole, { ...parts[0]!, reported: null, state: 'waiting' }, parts[1]!])).toEqual({
      low: 100,
      high: 100
    });
  });

  it('is no more than the whole has beyond what came', () => {
    const whole = slice('a', { state: 'cut', reported: exactly(1500), rows: 25, fresh: 25 });
    const parts = [
      slice('b', { parent: 'a', reported: exactly(800), rows: 800, fresh: 775 }),
      slice('c', { parent: 'a', state: 'waiting', reported: null, expected: 900 })
    ];
    expect(missingRows([whole, ...parts])).toEqual({ low: 700, high: 700 });
    const second = slice('d', { state: 'read', reported: exactly(100), rows: 100, fresh: 40 });
    expect(missingRows([whole, ...parts, second])).toEqual({ low: 635, high: 700 });
  });

  it('is not understated where parts overlap', () => {
    const whole = slice('a', { state: 'cut', reported: exactly(1500), lost: { expected: 50 } });
    const parts = [
      slice('b', { parent: 'a', reported: exactly(700), rows: 700 }),
      slice('c', { parent: 'a', reported: exactly(700), rows: 700, fresh: 500 })
    ];
    expect(missingRows([whole, ...parts])).toEqual({ low: 300, high: 300 });
    expect(
      missingRows([
        slice('a', { state: 'cut', reported: exactly(2), lost: { expected: 0 } }),
        slice('b', { parent: 'a', reported: exactly(1), rows: 1 }),
        slice('c', { parent: 'a', reported: exactly(1), rows: 1, fresh: 0 })
      ])
    ).toEqual({ low: 1, high: 1 });
  });

  it('is never below the truth, nor surely above it, however searches and parts overlap', () => {
    const person = fc.nat(60);
    const set = fc.uniqueArray(person, { maxLength: 40 });
    /** A search and what it is cut into, some levels deep; each part any of the whole's people. */
    const node = (parts: fc.Arbitrary<Tree[]>): fc.Arbitrary<Tree> =>
      fc.record({
        keep: set,
        state: fc.constantFrom<SliceState['state']>('waiting', 'read', 'cut', 'stuck', 'left out'),
        shown: fc.nat(12),
        asked: fc.boolean(),
        rounded: fc.nat(3),
        parts
      });
    const leaf = node(fc.constant([]));
    const tree = node(fc.array(node(fc.array(leaf, { maxLength: 3 })), { maxLength: 3 }));
    fc.assert(
      fc.property(fc.array(tree, { minLength: 1, maxLength: 3 }), (roots) => {
        const slices: SliceState[] = [];
        const came = new Set<number>();
        const all = new Set<number>();
        const read = (people: readonly number[]) => {
          const before = came.size;
          for (const one of people) came.add(one);
          return { rows: people.length, fresh: came.size - before };
        };
        const walk = (node: Tree, people: readonly number[], parent: string | null) => {
          const id = String(slices.length);
          const reported = { low: Math.max(0, people.length - node.rounded), high: people.length + node.rounded };
          const state = node.state === 'cut' && !node.parts.length ? 'stuck' : node.state;
          const shown =
            state === 'read' ? people : state === 'waiting' && !node.asked ? [] : people.slice(0, node.shown);
          const isAsked = state === 'read' || state === 'cut' || node.asked || shown.length > 0;
          const one: SliceState = {
            id,
            parent,
            state,
            reported: isAsked ? reported : null,
            expected: people.length,
            lost: { expected: people.length },
            ...read(shown)
          };
          slices.push(one);
          if (state === 'cut')
            for (const part of node.parts)
              walk(
                part,
                people.filter((who) => part.keep.includes(who)),
                id
              );
        };
        for (const root of roots) {
          for (const one of root.keep) all.add(one);
          walk(root, root.keep, null);
        }
        const truth = [...all].filter((one) => !came.has(one)).length;
        const { low, high } = missingRows(slices);
        expect(high).toBeGreaterThanOrEqual(truth);
        expect(low).toBeLessThanOrEqual(truth);
      }),
      { numRuns: 3000 }
    );
  });
});

interface Tree {
  keep: number[];
  state: SliceState['state'];
  shown: number;
  asked: boolean;
  rounded: number;
  parts: Tree[];
}
