import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { about, count, counted, day, isExact, moment, percent, percentRange, rounded, whole } from './format';
import { ownWords } from './own-words';
import { partGlyph, partTint } from './parts';
import { verdicts } from './verdicts';

const interval = fc
  .tuple(fc.integer({ min: 0, max: 5_000_000 }), fc.integer({ min: 0, max: 500_000 }))
  .map(([low, more]) => ({ low, high: low + more }));
const numberIn = (text: string) => Number(text.replaceAll(/[^\d]/g, ''));

describe('a number on the screen', () => {
  it('has its thousands apart, and no fraction of a person', () => {
    expect(count(1_234_567)).toBe('1,234,567');
    expect(count(12.6)).toBe('13');
    expect(count(0)).toBe('0');
  });

  it('is exact where it is known to the person, and an interval where it is not', () => {
    expect(counted({ low: 418, high: 418 })).toBe('418');
    expect(counted({ low: 1350, high: 1449 })).toBe('1,350–1,449');
    // What is worked out in fractions is exact where both bounds are the same people.
    expect(isExact({ low: 41.9, high: 42.3 })).toBe(true);
    expect(isExact({ low: 41.4, high: 42.3 })).toBe(false);
    expect(whole({ low: 41.4, high: 42.6 })).toEqual({ low: 41, high: 43 });
  });

  it('says with a sign that it is not known exactly, and no more figures than have a meaning', () => {
    expect(about({ low: 418, high: 418 })).toBe('418');
    expect(about({ low: 2250, high: 2349 })).toBe('≈ 2,300');
    expect(about({ low: 444, high: 3597, middle: 1304 })).toBe('≈ 1,300');
    expect(about({ low: 10, high: 12 })).toBe('≈ 11');
  });

  it('is never rounded further than its own uncertainty', () => {
    fc.assert(
      fc.property(interval, ({ low, high }) => {
        const middle = (low + high) / 2;
        const off = Math.abs(numberIn(rounded(middle, { low, high })) - middle);
        expect(off).toBeLessThanOrEqual(Math.max(0.5, (high - low) / 16));
      })
    );
  });

  it('says ≈ exactly where the bounds differ', () => {
    fc.assert(
      fc.property(interval, (one) => {
        expect(about(one).startsWith('≈ ')).toBe(one.low !== one.high);
        expect(counted(one).includes('–')).toBe(one.low !== one.high);
      })
    );
  });

  it('is a share in whole per cent with its bounds', () => {
    expect(percent(0.314)).toBe('31%');
    expect(percentRange({ low: 0.174, high: 0.486 })).toBe('17–49%');
    expect(percent(1)).toBe('100%');
  });

  it('is a day or a moment as people write them', () => {
    expect(day('2026-11-01')).toBe('1 November 2026');
    expect(moment('2026-11-01T12:30:00Z')).toMatch(/2026.*\d\d:\d\d/);
  });
});

describe('marks', () => {
  it('of verdicts differ by sign, word, key and colour', () => {
    for (const look of ['sign', 'word', 'key', 'colour'] as const)
      expect(new Set(Object.values(verdicts).map((one) => one[look])).size).toBe(3);
  });

  it('of parts are the same in every view, and differ for six', () => {
    const six = [0, 1, 2, 3, 4, 5].map((part) => `${partGlyph(part)} ${partTint(part)}`);
    expect(new Set(six).size).toBe(6);
    expect(`${partGlyph(6)} ${partTint(6)}`).toBe(six[0]);
  });

  it('of own fields are as their column was called', () => {
    expect(ownWords('own.years_in_kitchen')).toBe('years in kitchen');
  });
});
