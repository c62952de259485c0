import { about, count, counted, isExact, percent, percentRange } from '$lib/marks/format';
import { wilson } from '$core/measure';
import type { Answer, BehindKind } from '$server/api/contract';

export type Cell = Answer<'compare'>['cells'][number];
type Source = Answer<'listSources'>[number];

/** One figure of a cell: its words, what is less important beside them, and whose figure it is. */
export interface Figure {
  words: string;
  soft?: string;
  behind?: BehindKind;
}
export interface BoardMeasure {
  id: string;
  name: string;
  /** What versions are sorted by; null where there is nothing to sort. */
  value: (cell: Cell, source: Source, reading?: Reading) => number | null;
  /** True where less is better. */
  lessIsBetter?: boolean;
  figure: (cell: Cell, source: Source, reading?: Reading) => Figure | null;
  /** By what name the figure stands on other screens too, and its value. */
  shared?: (cell: Cell, reading: Reading) => { name: 'estimated' | 'precision' | 'fits'; value: number | null };
}

/** A figure for those who are certain, or for all possible. */
export type Reading = 'certain' | 'possible';
const judgedIn = ({ fits, misses, unsure }: { fits: number; misses: number; unsure: number }) => fits + misses + unsure;
const price = (amount: number) => (amount >= 10 ? count(amount) : amount.toFixed(2));
const judgedOf = ({ fits, misses }: { fits: number; misses: number }) =>
  fits + misses ? `${fits} of ${fits + misses} judged fit` : 'nobody judged';

/** The measures that a board can show, in the order in which they stand in a cell. */
export const boardMeasures: readonly BoardMeasure[] = [
  {
    id: 'count',
    name: 'estimated result',
    value: ({ figures }, _, reading = 'possible') => figures.estimated[reading].middle,
    shared: ({ figures }, reading) => ({ name: 'estimated', value: figures.estimated[reading].middle }),
    figure: ({ figures, exactness }, _, reading = 'possible') => {
      const estimated = figures.estimated[reading];
      const open = figures.possible - figures.certain;
      return {
        words: about(estimated),
        soft: [
          isExact(estimated) ? '' : counted(estimated),
          exactness === 'exact' ? '' : exactness,
          figures.reported.high > figures.shown ? `${count(figures.shown)} shown` : '',
          open ? `${count(figures.certain)} certain` : ''
        ]
          .filter(Boolean)
          .join(' · '),
        behind: 'found'
      };
    }
  },
  {
    id: 'precision',
    name: 'precision',
    value: ({ figures }, _, reading = 'possible') => figures.precision[reading].share,
    shared: ({ figures }, reading) => ({ name: 'precision', value: figures.precision[reading].share }),
    figure: ({ figures }, _, reading = 'possible') => {
      const { share, interval, fits, misses } = figures.precision[reading];
      return share === null
        ? null
        : {
            words: `${percent(share)} fits`,
            soft: `${percentRange(interval)}, ${fits + misses} judged`,
            behind: 'fits'
          };
    }
  },
  {
    id: 'judged',
    name: 'people judged',
    value: ({ figures }, _, reading = 'possible') => judgedIn(figures.precision[reading]),
    figure: ({ figures, sampled }, _, reading = 'possible') => {
      const { unsure } = figures.precision[reading];
      return {
        words: `${judgedIn(figures.precision[reading])} of ${sampled} drawn judged`,
        ...(unsure && { soft: `${unsure} unsure` })
      };
    }
  },
  {
    id: 'misses',
    name: 'misses per hundred',
    value: ({ missesPerHundred }) => missesPerHundred,
    lessIsBetter: true,
    figure: ({ missesPerHundred }) =>
      missesPerHundred === null ? null : { words: `${count(missesPerHundred)} misses in 100`, behind: 'misses' }
  },
  {
    id: 'fits',
    name: 'estimated fits',
    value: ({ figures }, _, reading = 'possible') => figures.fits[reading]?.middle ?? null,
    shared: ({ figures }, reading) => ({ name: 'fits', value: figures.fits[reading]?.middle ?? null }),
    figure: ({ figures }, _, reading = 'possible') => {
      const fits = figures.fits[reading];
      return fits && { words: `about ${count(fits.middle)} fits`, soft: counted(fits) };
    }
  },
  {
    id: 'known',
    name: 'known-goods found',
    value: ({ known }) => (known.inSource ? known.found / known.inSource : null),
    figure: ({ known }) =>
      known.inSource
        ? {
            words: `${known.found} of ${known.inSource} known-goods`,
            soft: percentRange(wilson(known.found, known.inSource)),
            behind: 'known'
          }
        : null
  },
  {
    id: 'pooled',
    name: 'share of all judged fits',
    value: ({ pooled }) => (pooled.of ? pooled.found / pooled.of : null),
    figure: ({ pooled }) =>
      pooled.of ? { words: `${pooled.found} of ${pooled.of} judged fits`, soft: 'of all versions and sources' } : null
  },
  {
    id: 'only-version',
    name: 'people only this version finds',
    value: ({ onlyVersion }) => onlyVersion.people,
    figure: ({ onlyVersion }) => ({
      words: `${count(onlyVersion.people)} only by this version`,
      soft: judgedOf(onlyVersion),
      behind: 'onlyVersion'
    })
  },
  {
    id: 'only-source',
    name: 'people only this source finds',
    value: ({ onlySource }) => onlySource.people,
    figure: ({ onlySource }) => ({
      words: `${count(onlySource.people)} only at this source`,
      soft: judgedOf(onlySource),
      behind: 'onlySource'
    })
  },
  {
    id: 'price',
    name: 'price of a fit',
    value: ({ priceOfFit }) => priceOfFit,
    lessIsBetter: true,
    figure: ({ priceOfFit, spent }) =>
      spent && priceOfFit !== null
        ? { words: `${price(priceOfFit)} ${spent.unit}s a fit`, soft: `${price(spent.amount)} spent` }
        : null
  },
  {
    id: 'age',
    name: 'age of data',
    value: (_, { sheet }) => sheet.age,
    lessIsBetter: true,
    figure: (_, { sheet }) =>
      sheet.age === null ? null : { words: sheet.age < 2 ? 'up to a month old' : `up to ${sheet.age} months old` }
  },
  {
    id: 'searches',
    name: 'searches needed',
    value: ({ searches }) => searches,
    lessIsBetter: true,
    figure: ({ searches }) => ({ words: searches === 1 ? 'one search' : `${count(searches)} searches` })
  }
];

/** Those shown before anyone chose. */
export const usualMeasures = ['count', 'precision', 'misses', 'fits', 'known'];

/** Version numbers by a measure at a source, the best first; those without a figure last, in the order they had. */
export function sortVersions(
  versions: readonly number[],
  cells: readonly Cell[],
  measure: BoardMeasure,
  source: Source,
  reading: Reading = 'possible'
): number[] {
  const value = (version: number) => {
    const cell = cells.find((one) => one.version === version && one.sourceId === source.id);
    const found = cell ? measure.value(cell, source, reading) : null;
    return found === null ? -Infinity : measure.lessIsBetter ? -found : found;
  };
  return [...versions].sort((a, b) => {
    const [first, second] = [value(a), value(b)];
    return first === second ? 0 : second - first;
  });
}

/** What the board says in a sentence or two: the best version of each source, and where more verdicts are needed. */
export function headline(
  cells: readonly Cell[],
  sources: readonly { id: string; name: string }[],
  reading: Reading = 'possible'
): string {
  const sentences = sources.flatMap(({ id, name }) => {
    const mine = cells.filter(({ sourceId }) => sourceId === id);
    const best = mine.find(({ standing }) => standing.is === 'best');
    if (best) return [`On ${name}, version ${best.version} has the highest precision.`];
    const open = mine
      .filter(({ standing }) => standing.is === 'open')
      .sort((a, b) => b.figures.precision[reading].share! - a.figures.precision[reading].share!)[0];
    if (open?.standing.is !== 'open') return [];
    const { against, decide } = open.standing;
    return [
      `On ${name}, ${Math.min(against, open.version)} and ${Math.max(against, open.version)} cannot be told apart${
        decide ? `: ${count(decide.here + decide.there)} more verdicts would decide` : ''
      }.`
    ];
  });
  return sentences.join(' ');
}
