import {
  addAll,
  countBits,
  countCommon,
  emptyBitmap,
  fullBitmap,
  keepCommon,
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
 * out is one union away and nothing is run twice. Time: a few set operations a part.
 */
export function termLedger(query: Query, people: PeopleSets, judged?: JudgedSets): LedgerRow[] {
  const whole = people.rows(query);
  const rows: LedgerRow[] = [];
  const none = { fits: 0, misses: 0 };
  const judgedIn = (sets: Bitmap[], except: Bitmap[] = []): JudgedCount =>
    judged
      ? { fits: countCommon([...sets, judged.fits], except), misses: countCommon([...sets, judged.misses], except) }
      : none;

  /**
   * The string is `(set of node, or what is outside it where it excludes) AND needed OR besides`; `neutral` is what the
   * node is when it is left out.
   */
  function walk(
    node: Query,
    path: number[],
    excludes: boolean,
    needed: Bitmap,
    besides: Bitmap,
    neutral: 'all' | 'none' | null
  ) {
    if (node.kind === 'not')
      return walk(node.part, path, !excludes, needed, besides, neutral && (neutral === 'all' ? 'none' : 'all'));
    const set = people.rows(node);
    let without: Bitmap | null = null;
    if (neutral) {
      without = besides;
      if ((neutral === 'all') !== excludes) {
        without = besides.slice();
        addAll(without, needed);
      }
    }
    rows.push({
      path,
      excludes,
      alone: countBits(set),
      without: without && countBits(without),
      only: without ? (excludes ? judgedIn([without], [whole]) : judgedIn([whole], [without])) : none,
      brings: excludes ? judgedIn([set, without ?? needed]) : judgedIn([set, whole])
    });
    if (isTerm(node)) return;
    const sets = node.parts.map((part) => people.rows(part));
    const [before, after] = [prefixes(sets, node.kind, people.size), suffixes(sets, node.kind, people.size)];
    node.parts.forEach((part, i) => {
      const rest = before[i]!.slice();
      (node.kind === 'and' ? keepCommon : addAll)(rest, after[i + 1]!);
      // What the other parts settle by themselves: they narrow what is needed, or add to what comes besides.
      const narrows = (node.kind === 'and') !== excludes;
      const settled = excludes ? outside(rest, people.size) : rest;
      const [inner, beside] = [needed.slice(), besides];
      let other = beside;
      if (narrows) keepCommon(inner, settled);
      else {
        keepCommon(settled, needed);
        other = beside.slice();
        addAll(other, settled);
      }
      walk(part, [...path, i], excludes, inner, other, node.kind === 'and' ? 'all' : 'none');
    });
  }
  walk(query, [], false, fullBitmap(people.size), emptyBitmap(people.size), null);
  return rows;
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
