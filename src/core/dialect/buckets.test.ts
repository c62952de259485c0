import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { bucketOf, bucketsFrom, coverRange } from './buckets';
import { render } from './render';
import { readSearch } from './search';
import { sheetSchema } from './sheet';
import { harrowGuild } from './sheets';
import { read, writeText } from './search-text';

const usual = bucketsFrom('1–9; 10–49; 50–249; 250–999; 1000+') as {
  buckets: NonNullable<ReturnType<typeof bucketOf>>[];
};

describe('named ranges', () => {
  it('tell their bounds by their names, as places write them', () => {
    const received = (label: string) => {
      const bucket = bucketOf(label);
      return bucket && [bucket.low, bucket.high];
    };
    expect(received('10–49')).toEqual([10, 49]);
    expect(received('1,001 - 5,000 employees')).toEqual([1001, 5000]);
    expect(received('10.001+')).toEqual([10_001, null]);
    expect(received('> 500')).toEqual([501, null]);
    expect(received('≥ 500')).toEqual([500, null]);
    expect(received('up to 9')).toEqual([null, 9]);
    expect(received('< 10')).toEqual([null, 9]);
    expect(received('50 bis 249 Mitarbeiter')).toEqual([50, 249]);
    expect(received('1')).toEqual([1, 1]);
    expect(received('large')).toBeNull();
    expect(bucketsFrom('1–9; large')).toEqual({ unread: 'large' });
    expect(bucketsFrom(' ')).toEqual({ buckets: [] });
  });

  it('are chosen as few as hold a range, and none where somebody would be lost', () => {
    const cover = (low: number | null, high: number | null) => {
      const found = coverRange({ low, high }, usual.buckets);
      return found && [found.chosen.map(({ label }) => label).join(' '), found.exact];
    };
    expect(cover(50, 999)).toEqual(['50–249 250–999', true]);
    expect(cover(60, 300)).toEqual(['50–249 250–999', false]);
    expect(cover(1000, null)).toEqual(['1000+', true]);
    // Nobody says what a firm of none is.
    expect(cover(null, 49)).toBeNull();
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 1200 }), fc.integer({ min: 0, max: 600 }), (low, more) => {
        const { chosen, exact } = coverRange({ low, high: low + more }, usual.buckets)!;
        const holds = (n: number) =>
          chosen.some((bucket) => n >= (bucket.low ?? -Infinity) && n <= (bucket.high ?? Infinity));
        for (let n = low; n <= low + more; n++) expect(holds(n)).toBe(true);
        expect(exact).toBe(!holds(low - 1) && !holds(low + more + 1));
      })
    );
  });

  it('are what a search is asked with, and read back', () => {
    const sheet = sheetSchema.parse({
      ...harrowGuild,
      facts: [{ scope: 'headcount', label: 'Size', include: true, buckets: usual.buckets }]
    });
    const exact = render(parse('title:QA AND headcount:[50 TO 999]').query!, sheet);
    expect(exact).toMatchObject({ exactness: 'exact', leftover: null });
    expect(exact.searches[0]!.facts).toEqual([{ scope: 'headcount', include: ['50–249', '250–999'] }]);
    const text = writeText(exact.searches, sheet);
    expect(text).toContain('Size: 50–249; 250–999');
    expect(read(text, sheet).query).toEqual(readSearch(exact.searches[0]!, sheet));
    const wider = render(parse('title:QA AND headcount:[60 TO 300]').query!, sheet);
    expect(wider.exactness).toBe('wider');
    expect(wider.leftover).toMatchObject({ kind: 'range', low: 60, high: 300 });
  });
});
