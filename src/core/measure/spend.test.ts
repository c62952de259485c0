import { describe, expect, it } from 'vitest';
import { harrowGuild, quillbank } from '../dialect/sheets';
import { expectedSpend, spendOn } from './spend';

describe('what a run costs', () => {
  it('is each search and each record', () => {
    expect(spendOn(quillbank, 2, 100)).toEqual({ amount: 12, unit: 'credit' });
    expect(spendOn({ price: { perSearch: 0.5, perRecord: 0.1, unit: 'look' } }, 2, 10)).toEqual({
      amount: 2,
      unit: 'look'
    });
    expect(spendOn(harrowGuild, 3, 1000)).toBeNull();
  });
  it('is stated in advance as an interval, up to what is shown', () => {
    const limits = { ...quillbank.limits, shown: 100 };
    expect(expectedSpend({ price: quillbank.price, limits }, 2, { low: 50, high: 900 })).toEqual({
      low: 6,
      high: 24,
      unit: 'credit'
    });
    expect(expectedSpend(harrowGuild, 1, { low: 5, high: 5 })).toBeNull();
  });
});
