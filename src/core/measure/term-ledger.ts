import {
  addAll,
  countBits,
  countCommon,
  countUnion,
  emptyBitmap,
  fullBitmap,
  hasBit,
  keepCommon,
  rowsOf,
  setBit,
  type Bitmap
} from '../corpus/bitmap';
import { isTerm, join, type Query } from '../query/query';

/** The people of one source as sets of row numbers: what a ledger is computed from. `PeopleIndex` is one. */
export interface PeopleSets {
  size: number;
  /** Those whom a part finds; `excluded` where it stands under a NOT, since who may meet a part may also not. */
  rows(query: Query, excluded?: boolean): Bitmap;
}

/** Judged people of the source: fits and misses, as sets of row numbers. */
export interface JudgedSets {
  fits: Bitmap;
  misses: Bitmap;
}

/** How many of some people were judged fit, and how many miss. */
export interface JudgedCount {
  fits: number;
  misses: number;
}

/** What one part of a string is worth at one source. */
export interface LedgerRow {
  /** Index among the parts at each level, from the outermost; empty for the whole string. A NOT and what it excludes are one part. */
  path: number[];
  /** Under a NOT: what it finds is thrown out. */
  excludes: boolean;
  /** People the part finds by itself; of an exclusion, what it would find. */
  alone: number;
  /** People the string finds without the part; null when nothing would be left. */
  without: number | null;
  /** Judged people among those who come (or, of an exclusion, go) by this part alone. */
  only: JudgedCount;
  /** Judged people whom the string finds and who answer this part; of an exclusion, those it throws out whoever else does. */
  brings: JudgedCount;
}

/**
 * What every part of a string is worth, in one pass: for each place in the string the rest of it is put together once,
 * from the parts before and after (prefixes and suffixes), as `(part AND needed) OR besides`, so that leaving the part
 * out is one union away and nothing is run twice. Time: a few set operations a part. Judged people are few: they are
 * gone through in the same way, in sets of their own.
 */
export function termLedger(query: Query, people: PeopleSets, judged?: JudgedSets): LedgerRow[] {
  const none = { fits: 0, misses: 0 };
  const rows: LedgerRow[] = [];
  visit(query, people, ({ path, excludes, set, needed, besides, left }) =>
    rows.push({
      path,
      excludes,
      alone: counted(set),
      without: left === null ? null : left === 'besides' ? countBits(besides) : countUnion(besides, needed),
      only: none,
      brings: none
    })
  );
  if (!judged) return rows;
  const few = projected(people, judged);
  const whole = few.people.rows(query);
  let at = 0;
  visit(query, few.people, ({ excludes, set, needed, besides, left }) => {
    const row = rows[at++]!;
    const without = left === null ? null : besides.slice();
    if (without && left === 'either') addAll(without, needed);
    const among = (sets: Bitmap[], except: Bitmap[] = []): JudgedCount => ({
      fits: countCommon([...sets, few.fits], except),
      misses: countCommon([...sets, few.misses], except)
    });
    if (without) row.only = excludes ? among([without], [whole]) : among([whole], [without]);
    row.brings = excludes ? among([set, without ?? needed]) : among([set, whole]);
  });
  return rows;
}

interface Place {
  path: number[];
  excludes: boolean;
  /** People of the part. The string is `(those, or all others where it excludes) AND needed OR besides`. The sets last while they are told. */
  set: Bitmap;
  needed: Bitmap;
  besides: Bitmap;
  /** What the string is without the part: those besides, or those besides and those needed; null when nothing would be left. */
  left: 'besides' | 'either' | null;
}

/** Goes to every part of a string, the outermost first, with the rest of the string around it. */
function visit(query: Query, people: PeopleSets, tell: (place: Place) => void): void {
  const scratch = scratchFor(people);
  const [all, none] = [fullBitmap(people.size), emptyBitmap(people.size)];
  function walk(
    node: Query,
    path: number[],
    excludes: boolean,
    needed: Bitmap,
    besides: Bitmap,
    neutral: 'all' | 'none' | null
  ) {
    // What the part is when it is left out turns with the NOT around it.
    if (node.kind === 'not')
      return walk(node.part, path, !excludes, needed, besides, neutral && (neutral === 'all' ? 'none' : 'all'));
    const left = neutral && ((neutral === 'all') !== excludes ? 'either' : 'besides');
    tell({ path, excludes, set: people.rows(node, excludes), needed, besides, left });
    if (isTerm(node)) return;
    const { kind } = node;
    const sets = node.parts.map((part) => people.rows(part, excludes));
    // From each part on, those behind it met or joined; `before` gathers those before it in the same way.
    const after = [alone(kind)];
    for (const set of sets.slice(1).reverse()) after.push(joined(kind, scratch.copy(after.at(-1)!), set));
    const before = alone(kind);
    const settled = scratch.take();
    const narrows = (kind === 'and') !== excludes;
    node.parts.forEach((part, i) => {
      const behind = after[sets.length - 1 - i]!;
      settle(settled, kind, before, behind, excludes, needed, narrows ? null : besides);
      const [need, come] = narrows ? [settled, besides] : [needed, settled];
      walk(part, [...path, i], excludes, need, come, kind === 'and' ? 'all' : 'none');
      joined(kind, before, sets[i]!);
    });
    for (const set of [...after, before, settled]) scratch.give(set);
  }
  const alone = (kind: 'and' | 'or') => scratch.copy(kind === 'and' ? all : none);
  walk(query, [], false, all, none, null);
}

const joined = (kind: 'and' | 'or', rows: Bitmap, others: Bitmap): Bitmap => {
  (kind === 'and' ? keepCommon : addAll)(rows, others);
  return rows;
};

/**
 * What the other parts of a group settle by themselves, written into `rows`: they narrow what is needed, or add to what
 * comes besides. One pass, since most of a ledger's time goes here.
 */
function settle(
  rows: Bitmap,
  kind: 'and' | 'or',
  before: Bitmap,
  after: Bitmap,
  excludes: boolean,
  needed: Bitmap,
  besides: Bitmap | null
): void {
  const turned = excludes ? -1 : 0;
  if (kind === 'and') for (let i = 0; i < rows.length; i++) rows[i] = ((before[i]! & after[i]!) ^ turned) & needed[i]!;
  else for (let i = 0; i < rows.length; i++) rows[i] = ((before[i]! | after[i]!) ^ turned) & needed[i]!;
  if (besides) addAll(rows, besides);
}

/** Sets to work in, lent and given back: making one costs more than filling it, and thousands would call the collector. */
class Scratch {
  private readonly free: Bitmap[] = [];

  constructor(private readonly size: number) {}

  /** A set that holds what it held before. */
  take(): Bitmap {
    return this.free.pop() ?? emptyBitmap(this.size);
  }
  copy(set: Bitmap): Bitmap {
    const copy = this.take();
    copy.set(set);
    return copy;
  }
  give(set: Bitmap): void {
    this.free.push(set);
  }
}
const scratches = new WeakMap<PeopleSets, Scratch>();

function scratchFor(people: PeopleSets): Scratch {
  let scratch = scratches.get(people);
  if (!scratch) scratches.set(people, (scratch = new Scratch(people.size)));
  return scratch;
}

const counts = new WeakMap<Bitmap, number>();

/** How many are in a set that does not change: counted once. */
function counted(set: Bitmap): number {
  let count = counts.get(set);
  if (count === undefined) counts.set(set, (count = countBits(set)));
  return count;
}

/** The same people, of whom only the judged are there, in sets as small as these are few. */
function projected(people: PeopleSets, { fits, misses }: JudgedSets) {
  const all = fits.slice();
  addAll(all, misses);
  const rows = rowsOf(all);
  const project = (set: Bitmap) => {
    const small = emptyBitmap(rows.length);
    rows.forEach((row, i) => {
      if (hasBit(set, row)) setBit(small, i);
    });
    return small;
  };
  const known = new Map<Bitmap, Bitmap>();
  const small: PeopleSets = {
    size: rows.length,
    rows: (query, excluded) => {
      const set = people.rows(query, excluded);
      let one = known.get(set);
      if (!one) known.set(set, (one = project(set)));
      return one;
    }
  };
  return { people: small, fits: project(fits), misses: project(misses) };
}

/**
 * The strings by which a count falls part by part: the first part of a string alone, the first two, and so on; its
 * outermost parts in the order given (indexes), or as they stand.
 */
export function narrowingSteps(query: Query, order?: readonly number[]): { part: number; query: Query }[] {
  const parts = query.kind === 'and' ? query.parts : [query];
  const taken: Query[] = [];
  return (order ?? parts.map((_, i) => i)).map((part) => {
    taken.push(parts[part]!);
    // The whole is the string itself, so that it is the same figure here and everywhere.
    return { part, query: taken.length === parts.length ? query : join('and', taken) };
  });
}

/** How the count falls part by part among some people: `narrowingSteps`, each counted. */
export const narrowing = (
  query: Query,
  people: PeopleSets,
  order?: readonly number[]
): { part: number; count: number }[] =>
  narrowingSteps(query, order).map((step) => ({ part: step.part, count: countBits(people.rows(step.query)) }));
