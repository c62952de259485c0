import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { effectiveDraws } from './clusters';
import { drawPages } from './draw-pages';
import { figuresOf, type JudgedSample, type SearchAnswer } from './figures';
import { seededRandom } from './random';
import { precisionOfPages } from './precision';

const answer = (said: number, shown: number, pages: number[]): SearchAnswer => ({
  said,
  interval: { low: said, high: said },
  shown,
  certain: shown,
  possible: shown,
  complete: shown >= said,
  pages
});
const judged = (fits: number, misses: number, page: (at: number) => number = () => 1): JudgedSample[] =>
  Array.from({ length: fits + misses }, (_, at) => ({
    verdict: at % (fits + misses) < fits ? 'fit' : 'miss',
    certain: true,
    page: page(at)
  }));

describe('pages drawn whole', () => {
  it('are worth as many draws as they differ little, and never more than were judged', () => {
    expect(effectiveDraws([])).toBe(0);
    expect(effectiveDraws([{ fits: 20, judged: 25 }])).toBe(1);
    // Six pages that say the same, and six that say the opposite of one another.
    const alike = Array.from({ length: 6 }, () => ({ fits: 15, judged: 25 }));
    const apart = Array.from({ length: 6 }, (_, i) => ({ fits: i % 2 ? 25 : 5, judged: 25 }));
    expect(effectiveDraws(alike)).toBeGreaterThan(80);
    expect(effectiveDraws(alike)).toBeLessThan(150);
    expect(effectiveDraws(apart)).toBeLessThan(6);
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(30), fc.nat(30))), (pages) => {
        const clusters = pages.map(([fits, misses]) => ({ fits, judged: fits + misses }));
        const all = clusters.reduce((sum, one) => sum + one.judged, 0);
        const draws = effectiveDraws(clusters);
        expect(draws).toBeLessThanOrEqual(all);
        expect(draws).toBeGreaterThanOrEqual(all ? 1 : 0);
      })
    );
  });

  it('give an interval that holds the truth in 93 of 100 worlds, where people of one page are alike', () => {
    let held = 0;
    const worlds = 600;
    for (let world = 0; world < worlds; world++) {
      const random = seededRandom(`pages ${world}`);
      const share = 0.3 + 0.4 * random();
      // Fits thin out with depth, and each page is better or worse than its neighbours.
      const pages = Array.from({ length: 40 }, (_, page) => {
        const here = Math.min(1, Math.max(0, share + 0.2 - (0.4 * page) / 40 + 0.3 * (random() - 0.5)));
        return Array.from({ length: 25 }, () => random() < here);
      });
      const truth = pages.flat().filter(Boolean).length / 1000;
      const verdicts = drawPages(40, 6, `draw ${world}`).flatMap((page) =>
        pages[page - 1]!.map((fits) => ({ verdict: fits ? ('fit' as const) : ('miss' as const), page }))
      );
      const { low, high } = precisionOfPages(verdicts, 1000).interval;
      if (low <= truth && truth <= high) held++;
    }
    expect(held / worlds).toBeGreaterThanOrEqual(0.93);
  });

  it('are drawn through the whole depth, by lot, the same with one seed', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 12 }),
        fc.string(),
        (pages, wanted, seed) => {
          const drawn = drawPages(pages, wanted, seed);
          expect(drawn).toHaveLength(Math.min(pages, wanted));
          expect(drawn).toEqual(drawPages(pages, wanted, seed));
          drawn.forEach((page, i) => {
            expect(page).toBeGreaterThan(i ? drawn[i - 1]! : 0);
            expect(page).toBeLessThanOrEqual(pages);
          });
          if (wanted < pages) expect(drawn.at(-1)!).toBeGreaterThan(pages - Math.ceil(pages / wanted) - 1);
        }
      )
    );
  });
});

describe('a part of a result', () => {
  it('never has an interval of no width, however many of it are judged', () => {
    const { part, precision, fits } = figuresOf([answer(3400, 25, [1])], false, judged(17, 8), {
      certain: 25,
      possible: 25
    });
    expect(part).toBe('top');
    expect(precision.possible.share).toBe(0.68);
    expect(precision.possible.interval.low).toBeLessThan(0.5);
    expect(precision.possible.interval.high).toBeGreaterThan(0.82);
    // The rest is unseen: it may hold no fit at all, or nothing else.
    expect(fits.possible!.low).toBeLessThanOrEqual(17);
    expect(fits.possible!.high).toBeGreaterThan(3380);
  });

  it('read by pages speaks of the whole, as wide as the pages differ', () => {
    const four = [1, 40, 80, 120];
    const spread = (of: (page: number) => number) =>
      four.flatMap((page) => judged(of(page), 25 - of(page), () => page));
    const received = (sample: JudgedSample[]) =>
      figuresOf([answer(3400, 100, four)], false, sample, { certain: 100, possible: 100 });
    const [alike, apart] = [received(spread(() => 17)), received(spread((page) => (page > 50 ? 9 : 25)))];
    expect([alike.part, apart.part]).toEqual(['pages', 'pages']);
    const width = ({ precision }: typeof alike) => precision.possible.interval.high - precision.possible.interval.low;
    expect(width(apart)).toBeGreaterThan(1.5 * width(alike));
    expect(apart.fits.possible!.high).toBeLessThan(3300);
  });

  it('that turns out to be the whole is exact', () => {
    const { part, precision, estimated } = figuresOf([answer(25, 25, [1])], false, judged(17, 8), {
      certain: 25,
      possible: 25
    });
    expect(part).toBeUndefined();
    expect(precision.possible.interval).toEqual({ low: 0.68, high: 0.68 });
    expect(estimated.possible).toEqual({ low: 25, middle: 25, high: 25 });
  });
});
