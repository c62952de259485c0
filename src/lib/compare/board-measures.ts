import { exactness as wordsOf } from '$lib/marks/exactness';
import { about, count, counted, isExact, percent, percentRange } from '$lib/marks/format';
import { differenceOf, wilson } from '$core/measure';
import type { Answer, BehindKind } from '$api';
import { headlines, measures as say, type measureNames } from './words';

export type Cell = Answer<'compare'>['cells'][number];
type Source = Answer<'listSources'>[number];

/** One figure of a cell: its words, what is less important beside them, and whose figure it is. */
export interface Figure {
  words: string;
  soft?: string;
  behind?: BehindKind;
}
export interface BoardMeasure {
  id: keyof typeof measureNames;
  /** What versions are sorted by; null where there is nothing to sort. */
  value: (cell: Cell, source: Source, reading?: Reading) => number | null;
  /** True where less is better. */
  lessIsBetter?: boolean;
  figure: (cell: Cell, source: Source, reading?: Reading) => Figure | null;
  /** The name under which other screens show the same figure, and its value. */
  shared?: (cell: Cell, reading: Reading) => { name: 'estimated' | 'precision' | 'fits'; value: number | null };
}

/** A figure for those who are certain, or for all possible. */
export type Reading = 'certain' | 'possible';
const judgedIn = ({ fits, misses, unsure }: { fits: number; misses: number; unsure: number }) => fits + misses + unsure;
const price = (amount: number) => (amount >= 10 ? count(amount) : amount.toFixed(2));
const judgedOf = ({ fits, misses }: { fits: number; misses: number }) =>
  fits + misses ? say.judgedAreFits(fits, fits + misses) : say.nobodyJudged;

/** The measures a board can show, in their order within a cell. */
export const boardMeasures: readonly BoardMeasure[] = [
  {
    id: 'count',
    value: ({ figures }, _, reading = 'possible') => figures.estimated[reading].middle,
    shared: ({ figures }, reading) => ({ name: 'estimated', value: figures.estimated[reading].middle }),
    figure: ({ figures, exactness }, _, reading = 'possible') => {
      const estimated = figures.estimated[reading];
      const open = figures.possible - figures.certain;
      return {
        words: about(estimated),
        soft: [
          isExact(estimated) ? '' : counted(estimated),
          exactness === 'exact' ? '' : wordsOf[exactness].word,
          figures.reported.high > figures.shown ? say.shown(count(figures.shown)) : '',
          open ? say.certain(count(figures.certain)) : ''
        ]
          .filter(Boolean)
          .join(' · '),
        behind: 'found'
      };
    }
  },
  {
    id: 'precision',
    value: ({ figures }, _, reading = 'possible') => figures.precision[reading].share,
    shared: ({ figures }, reading) => ({ name: 'precision', value: figures.precision[reading].share }),
    figure: ({ figures }, _, reading = 'possible') => {
      const { share, interval, fits, misses } = figures.precision[reading];
      return share === null
        ? null
        : {
            words: say.fits(percent(share)),
            soft: say.judged(percentRange(interval), fits + misses),
            behind: 'fits'
          };
    }
  },
  {
    id: 'judged',
    value: ({ figures }, _, reading = 'possible') => judgedIn(figures.precision[reading]),
    figure: ({ figures, sampled }, _, reading = 'possible') => {
      const { unsure } = figures.precision[reading];
      return {
        words: say.drawnJudged(judgedIn(figures.precision[reading]), sampled),
        ...(unsure && { soft: say.unsure(unsure) })
      };
    }
  },
  {
    id: 'misses',
    value: ({ missesPerHundred }) => missesPerHundred,
    lessIsBetter: true,
    figure: ({ missesPerHundred }) =>
      missesPerHundred === null ? null : { words: say.missesInHundred(count(missesPerHundred)), behind: 'misses' }
  },
  {
    id: 'fits',
    value: ({ figures }, _, reading = 'possible') => figures.fits[reading]?.middle ?? null,
    shared: ({ figures }, reading) => ({ name: 'fits', value: figures.fits[reading]?.middle ?? null }),
    figure: ({ figures }, _, reading = 'possible') => {
      const fits = figures.fits[reading];
      return fits && { words: say.aboutFits(count(fits.middle)), soft: counted(fits) };
    }
  },
  {
    id: 'known',
    value: ({ known }) => (known.inSource ? known.found / known.inSource : null),
    figure: ({ known }) =>
      known.inSource
        ? {
            words: say.knownGoods(known.found, known.inSource),
            soft: percentRange(wilson(known.found, known.inSource)),
            behind: 'known'
          }
        : null
  },
  {
    id: 'pooled',
    value: ({ pooled }) => (pooled.of ? pooled.found / pooled.of : null),
    figure: ({ pooled }) =>
      pooled.of ? { words: say.judgedFits(pooled.found, pooled.of), soft: say.ofAllVersionsAndSources } : null
  },
  {
    id: 'only-version',
    value: ({ onlyVersion }) => onlyVersion.people,
    figure: ({ onlyVersion }) => ({
      words: say.onlyByThisVersion(count(onlyVersion.people)),
      soft: judgedOf(onlyVersion),
      behind: 'onlyVersion'
    })
  },
  {
    id: 'only-source',
    value: ({ onlySource }) => onlySource.people,
    figure: ({ onlySource }) => ({
      words: say.onlyAtThisSource(count(onlySource.people)),
      soft: judgedOf(onlySource),
      behind: 'onlySource'
    })
  },
  {
    id: 'price',
    value: ({ priceOfFit }) => priceOfFit,
    lessIsBetter: true,
    figure: ({ priceOfFit, spent }) =>
      spent && priceOfFit !== null
        ? { words: say.perFit(price(priceOfFit), spent.unit), soft: say.spent(price(spent.amount)) }
        : null
  },
  {
    id: 'age',
    value: (_, { sheet }) => sheet.age,
    lessIsBetter: true,
    figure: (_, { sheet }) => (sheet.age === null ? null : { words: say.monthsOld(sheet.age) })
  },
  {
    id: 'searches',
    value: ({ searches }) => searches,
    lessIsBetter: true,
    figure: ({ searches }) => ({ words: say.searches(searches, count(searches)) })
  }
];

/** What a record or a search costs at a source; empty where nothing does. */
export function priceOf({ sheet }: Source): string {
  if (!sheet.price) return '';
  const { perRecord, perSearch, unit } = sheet.price;
  return perRecord ? say.perRecord(perRecord, unit) : say.perSearch(perSearch, unit);
}

/** Those shown before anyone chose. */
export const usualMeasures = ['count', 'precision', 'fits'];

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

/** How the precision of two cells differs, with its 95 % interval; null where one of them is not judged. */
export function differenceBetween(cell: Cell, base: Cell, reading: Reading = 'possible') {
  const [mine, theirs] = [cell, base].map(({ figures }) => {
    const { share, interval } = figures.precision[reading];
    return share === null ? null : { share, interval };
  });
  if (!mine || !theirs) return null;
  const { low, high } = differenceOf(mine, theirs);
  return { middle: mine.share - theirs.share, low, high, decided: low > 0 || high < 0 };
}

/** The version that has the highest precision at the most sources; of several, the newest. */
function leaderOf(cells: readonly Cell[], reading: Reading): number | null {
  const leads = new Map<number, number>();
  for (const id of new Set(cells.map(({ sourceId }) => sourceId))) {
    const judged = cells.filter((cell) => cell.sourceId === id && cell.figures.precision[reading].share !== null);
    const [best] = judged.sort(
      (a, b) => b.figures.precision[reading].share! - a.figures.precision[reading].share! || b.version - a.version
    );
    if (best) leads.set(best.version, (leads.get(best.version) ?? 0) + 1);
  }
  return [...leads].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0]?.[0] ?? null;
}

/** “a, b and c”: British English has no comma before “and”. */
const list = new Intl.ListFormat('en-GB');

/**
 * What the board says, the answer first: where the leading version is better than the one it is measured against (the
 * baseline, or else the oldest), and how many verdicts are lacking where it is not decided.
 */
export function headline(
  cells: readonly Cell[],
  sources: readonly { id: string; name: string }[],
  reading: Reading = 'possible',
  baseline: number | null = null
): string {
  const leader = leaderOf(cells, reading);
  if (leader === null) return '';
  const cellOf = (version: number, id: string) =>
    cells.find((cell) => cell.version === version && cell.sourceId === id);
  const others = [...new Set(cells.map(({ version }) => version))]
    .filter((version) => version !== leader)
    .sort((a, b) => a - b);
  const against = baseline !== null && others.includes(baseline) ? baseline : others[0];
  const sentences: string[] = [];
  const points = (share: number) => Math.round(share * 100);
  if (against !== undefined) {
    const better = sources.flatMap(({ id, name }) => {
      const [mine, base] = [cellOf(leader, id), cellOf(against, id)];
      const difference = mine && base && differenceBetween(mine, base, reading);
      return difference && difference.low > 0
        ? [headlines.atBy(name, points(difference.low), points(difference.high))]
        : [];
    });
    sentences.push(
      better.length
        ? headlines.isBetter(leader, against, list.format(better))
        : headlines.stillUndecided(leader, against)
    );
  }
  const open = sources.flatMap(({ id, name }) => {
    const standing = cellOf(leader, id)?.standing;
    return standing?.is === 'open' ? [{ ...standing, name }] : [];
  });
  if (open.length) {
    const rivals = [...new Set(open.map((standing) => standing.against))].sort((a, b) => a - b).map(String);
    const lacking = open.reduce((sum, { decide }) => sum + (decide ? decide.here + decide.there : 0), 0);
    sentences.push(
      headlines.undecidedAgainst(
        list.format(rivals),
        open.length < sources.length ? headlines.at(list.format(open.map(({ name }) => name))) : '',
        lacking ? headlines.verdictsWouldDecide(count(lacking)) : headlines.nothingWouldDecide
      )
    );
  }
  return sentences.join(' ');
}
