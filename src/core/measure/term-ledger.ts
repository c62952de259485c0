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
  takeOut,
  type Bitmap
} from '../corpus/bitmap';
import { isTerm, type Query } from '../query/query';

/** The people of one source as sets of row numbers: what a ledger is computed from. `PeopleIndex` is one. */
export interface PeopleSets {
  size: number;
  rows(query: Query): Bitmap;
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
  /** People of the part. The string is `(those, or all others where it excludes) AND needed OR besides`. */
  set: Bitmap;
  needed: Bitmap;
  besides: Bitmap;
  /** What the string is without the part: those besides, or those besides and those needed; null when nothing would be left. */
  left: 'besides' | 'either' | null;
}

/** Goes to every part of a string, the outermost first, with the rest of the string around it. */
function visit(query: Query, people: PeopleSets, tell: (place: Place) => void): void {
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
    tell({ path, excludes, set: people.rows(node), needed, besides, left });
    if (isTerm(node)) return;
    const sets = node.parts.map((part) => people.rows(part));
    const [before, after] = [prefixes(sets, node.kind, people.size), suffixes(sets, node.kind, people.size)];
    node.parts.forEach((part, i) => {
      const rest = before[i]!.slice();
      (node.kind === 'and' ? keepCommon : addAll)(rest, after[i + 1]!);
      // What the other parts settle by themselves: they narrow what is needed, or add to what comes besides.
      const settled = excludes ? outside(rest, people.size) : rest;
      keepCommon(settled, needed);
      const leftOut = node.kind === 'and' ? 'all' : 'none';
      if ((node.kind === 'and') !== excludes) walk(part, [...path, i], excludes, settled, besides, leftOut);
      else {
        addAll(settled, besides);
        walk(part, [...path, i], excludes, needed, settled, leftOut);
      }
    });
  }
  walk(query, [], false, fullBitmap(people.size), emptyBitmap(people.size), null);
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
    rows: (query) => {
      const set = people.rows(query);
      let one = known.get(set);
      if (!one) known.set(set, (one = project(set)));
      return one;
    }
  };
  return { people: small, fits: project(fits), misses: project(misses) };
}

function outside(set: Bitmap, size: number): Bitmap {
  const rows = fullBitmap(size);
  takeOut(rows, set);
  return rows;
}

/** Before each part, those before it met or joined: `[all, a, ab, …]`. */
function prefixes(sets: readonly Bitmap[], kind: 'and' | 'or', size: number): Bitmap[] {
  const made = [kind === 'and' ? fullBitmap(size) : emptyBitmap(size)];
  for (const set of sets) {
    const next = made.at(-1)!.slice();
    (kind === 'and' ? keepCommon : addAll)(next, set);
    made.push(next);
  }
  return made;
}

/** From each part on, it and those behind it met or joined: `[abc, bc, c, all]`. */
const suffixes = (sets: readonly Bitmap[], kind: 'and' | 'or', size: number): Bitmap[] =>
  prefixes([...sets].reverse(), kind, size).reverse();

/**
 * How the count falls part by part: after the first part of a string alone, after the first two, and so on; its
 * outermost parts in the order given (indexes), or as they stand.
 */
export function narrowing(
  query: Query,
  people: PeopleSets,
  order?: readonly number[]
): { part: number; count: number }[] {
  const parts = query.kind === 'and' ? query.parts : [query];
  const left = fullBitmap(people.size);
  return (order ?? parts.map((_, i) => i)).map((part) => {
    keepCommon(left, people.rows(parts[part]!));
    return { part, count: countBits(left) };
  });
}
