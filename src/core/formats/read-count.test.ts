import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCount } from './read-count';

describe('a count typed from a page', () => {
  it.each([
    ['140', 140, 140],
    ['1–10 of 140', 140, 140],
    ['1-25 of about 3,000 results', 2500, 3499],
    ['Showing 1 to 50 of 12.345', 12345, 12345],
    ['about 3,000', 2500, 3499],
    ['About 3,400 results (0.41 seconds)', 3350, 3449],
    ['~ 12 000', 11500, 12499],
    ['3K', 2500, 3499],
    ['3.2k results', 3150, 3249],
    ['3K+', 3000, 3999],
    ['1.2M+', 1_200_000, 1_299_999],
    ['500+', 500, 5000],
    ['over 500', 500, 5000],
    ['fewer than 50', 0, 50],
    ['no results', 0, 0],
    ['0', 0, 0],
    ['1,350 – 1,449', 1350, 1449],
    ["1'250 Treffer", 1250, 1250],
    ['1 result', 1, 1]
  ])('%s is %i to %i', (text, low, high) => expect(readCount(text)?.interval).toEqual({ low, high }));

  it.each(['', 'many', '—', 'results', 'x'.repeat(300)])('%j is none', (text) => expect(readCount(text)).toBeNull());

  it('never has its ends the wrong way round, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc
            .tuple(
              fc.constantFrom('about ', '', 'over ', '1-10 of ', '~'),
              fc.nat(3_000_000),
              fc.constantFrom('', '+', 'K', 'K+', ' results')
            )
            .map((pieces) => pieces.join(''))
        ),
        (text) => {
          const read = readCount(text);
          if (!read) return;
          expect(read.interval.low).toBeLessThanOrEqual(read.interval.high);
          expect(read.interval.low).toBeGreaterThanOrEqual(0);
        }
      )
    );
  });
});
