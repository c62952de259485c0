import { describe, expect, it } from 'vitest';
import { missingRows, type SliceState } from './coverage';

const slice = (id: string, more: Partial<SliceState>): SliceState => ({
  id,
  parent: null,
  state: 'read',
  said: 0,
  expected: null,
  rows: 0,
  fresh: more.rows ?? 0,
  lost: null,
  ...more
});
const exact = { kind: 'exact' } as const;
const rounded = { kind: 'rounded', above: 1000, figures: 2 } as const;

describe('what of a result did not come', () => {
  it('is nothing where every slice was read', () => {
    const slices = [
      slice('a', { state: 'cut', said: 1500 }),
      slice('b', { parent: 'a', said: 900, rows: 900 }),
      slice('c', { parent: 'a', said: 600, rows: 600 })
    ];
    expect(missingRows(slices, exact)).toEqual({ low: 0, high: 0 });
  });

  it('is what stands beyond the rows shown of a slice that could not be cut, as the source counts', () => {
    expect(missingRows([slice('a', { state: 'stuck', said: 1400, rows: 1000 })], exact)).toEqual({
      low: 400,
      high: 400
    });
    expect(missingRows([slice('a', { state: 'stuck', said: 1400, rows: 1000 })], rounded)).toEqual({
      low: 350,
      high: 449
    });
  });

  it('is what was left out or is not read yet', () => {
    const slices = [
      slice('a', { state: 'left out', said: 300 }),
      slice('b', { state: 'waiting', said: null, expected: 50 })
    ];
    expect(missingRows(slices, exact)).toEqual({ low: 300, high: 400 });
  });

  it('is whom no part of a cut can be asked for', () => {
    const whole = slice('a', { state: 'cut', said: 1500, lost: { expected: 90 } });
    const parts = [
      slice('b', { parent: 'a', said: 800, rows: 800 }),
      slice('c', { parent: 'a', said: 600, rows: 600 })
    ];
    expect(missingRows([whole, ...parts], exact)).toEqual({ low: 100, high: 100 });
    expect(missingRows([whole, { ...parts[0]!, said: null, state: 'waiting' }, parts[1]!], exact)).toEqual({
      low: 100,
      high: 100
    });
  });

  it('is no more than the whole has beyond what came', () => {
    const whole = slice('a', { state: 'cut', said: 1500, rows: 25, fresh: 25 });
    const parts = [
      slice('b', { parent: 'a', said: 800, rows: 800, fresh: 775 }),
      slice('c', { parent: 'a', state: 'waiting', said: null, expected: 900 })
    ];
    expect(missingRows([whole, ...parts], exact)).toEqual({ low: 700, high: 700 });
    const second = slice('d', { state: 'read', said: 100, rows: 100, fresh: 40 });
    expect(missingRows([whole, ...parts, second], exact)).toEqual({ low: 0, high: 760 });
  });
});
