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
    expect(missingRows([whole, ...parts, second])).toEqual({ low: 0, high: 760 });
  });
});
