import { LRUCache } from 'lru-cache';
import {
  addAll,
  bitsOf,
  countBits,
  countCommon,
  emptyBitmap,
  fullBitmap,
  hasBit,
  keepCommon,
  rowsOf,
  setAll,
  setBit,
  takeOut,
  type Bitmap
} from '../corpus/bitmap';
import { isTerm, join, type And, type Or, type Query, type Term } from '../language/query';
import { checkpoint } from '../language/checkpoint';

/** The people of one source as sets of row numbers: what a ledger is computed from. `PeopleIndex` is one. */
export interface PeopleSets {
  size: number;
  /** Those a part finds; `excluded` where it stands under a NOT, since who may meet a part may also not. */
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

/** How many people one part of a string finds at one source, anybody who was judged. */
export interface CountedPart {
  /** Index among the parts at each level, from the outermost; empty for the whole string. A NOT and what it excludes are one part. */
  path: number[];
  /** Under a NOT: what it finds is thrown out. */
  excludes: boolean;
  /** People the part finds on its own; of an exclusion, what it would find. */
  alone: number;
  /** People the string finds without the part; null when nothing would be left. */
  without: number | null;
}

/** What one part of a string does to the judged people of one source. */
export interface JudgedPart {
  /** Judged people among those who come (or, of an exclusion, go) by this part alone. */
  only: JudgedCount;
  /** Judged people the string finds and who answer this part; of an exclusion, those it throws out anybody who else does. */
  brings: JudgedCount;
}

/** What every part of a string does to the judged people, in the order of `visitParts`: they are few, and are gone through place by place in their own sets. */
export function judgedParts(query: Query, people: PeopleSets, judged: JudgedSets): JudgedPart[] {
  const rows: JudgedPart[] = [];
  const few = judgedAlone(people, judged);
  const whole = few.people.rows(query);
  visitParts(query, few.people, ({ excludes, set, needed, anyway, left }) => {
    const without = left === null ? null : anyway.slice();
    if (without && left === 'either') addAll(without, needed);
    const among = (sets: Bitmap[], except: Bitmap[] = []): JudgedCount => ({
      fits: countCommon([...sets, few.fits], except),
      misses: countCommon([...sets, few.misses], except)
    });
    rows.push({
      only: without ? (excludes ? among([without], [whole]) : among([whole], [without])) : { fits: 0, misses: 0 },
      brings: excludes ? among([set, without ?? needed]) : among([set, whole])
    });
  });
  return rows;
}

/**
 * How many each part finds on its own, and how many the string finds without it, in the order of `visitParts`. For each
 * group the rest of the string is computed once, as `(group AND needed) OR anyway`, and the effect of removing one of its
 * parts is counted among those who meet exactly one of them (in an AND: all but one). Nothing is run twice: a few set
 * operations per part.
 */
export function countedParts(query: Query, people: PeopleSets): CountedPart[] {
  const rows: CountedPart[] = [];
  const whole = counted(people.rows(query));
  function tell(
    part: Query,
    path: number[],
    excludes: boolean,
    without: number | null,
    needed: Bitmap,
    anyway: Bitmap
  ) {
    const { inner, turns } = insideNots(part);
    const under = excludes !== turns;
    const alone = counted(people.rows(inner, under));
    rows.push({ path, excludes: under, alone, without });
    if (!isTerm(inner)) walk(inner, path, under, needed, anyway);
  }
  function walk(group: Group, path: number[], excludes: boolean, needed: Bitmap, anyway: Bitmap) {
    checkpoint();
    const sets = group.parts.map((part) => people.rows(part, excludes));
    const decided = countDecided(group.kind, sets, needed, anyway);
    const comes = (group.kind === 'and') !== excludes;
    eachWithRest(group, people, excludes, needed, anyway, isGroup, (part, i, need, come) =>
      tell(part, [...path, i], excludes, comes ? whole + decided[i]! : whole - decided[i]!, need, come)
    );
  }
  tell(query, [], false, null, fullBitmap(people.size), emptyBitmap(people.size));
  return rows;
}

/** What stands within NOTs, and whether there is an odd number of them: a NOT and what it excludes are one part. */
function insideNots(part: Query): { inner: Term | Group; turns: boolean } {
  let turns = false;
  while (part.kind === 'not') {
    part = part.part;
    turns = !turns;
  }
  return { inner: part, turns };
}
const isGroup = (part: Query): boolean => !isTerm(insideNots(part).inner);

/**
 * For each part of a group, how many people it alone decides whether the string finds: of an OR those who meet it and no other,
 * of an AND those who meet all others and not it. All parts in one pass, since most of a ledger's time goes here.
 */
function countDecided(kind: Group['kind'], sets: readonly Bitmap[], needed: Bitmap, anyway: Bitmap): number[] {
  const counts = sets.map(() => 0);
  const turned = kind === 'and' ? -1 : 0;
  for (let at = 0; at < needed.length; at++) {
    const open = needed[at]! & ~anyway[at]!;
    if (!open) continue;
    let one = 0;
    let some = 0;
    for (let i = 0; i < sets.length; i++) {
      const met = sets[i]![at]! ^ turned;
      one = (one & ~met) | (met & ~some);
      some |= met;
    }
    one &= open;
    if (!one) continue;
    for (let i = 0; i < sets.length; i++) {
      const mine = one & (sets[i]![at]! ^ turned);
      if (mine) counts[i]! += bitsOf(mine);
    }
  }
  return counts;
}

/** A part where it is in a string, with the rest of the string around it. */
export interface PartInString {
  node: Query;
  path: number[];
  excludes: boolean;
  /** People of the part. The string is `(set, or its complement where it excludes) AND needed OR anyway`. The sets are valid during the callback only. */
  set: Bitmap;
  needed: Bitmap;
  anyway: Bitmap;
  /** The string without the part: the people found anyway, or those and the needed ones; null when nothing would be left. */
  left: 'anyway' | 'either' | null;
}

/** Goes to every part of a string, the outermost first, with the rest of the string around it. */
export function visitParts(query: Query, people: PeopleSets, tell: (place: PartInString) => void): void {
  function walk(
    node: Query,
    path: number[],
    excludes: boolean,
    needed: Bitmap,
    anyway: Bitmap,
    neutral: 'all' | 'none' | null
  ) {
    checkpoint();
    // What the part is when it is left out turns with the NOT around it.
    if (node.kind === 'not')
      return walk(node.part, path, !excludes, needed, anyway, neutral && (neutral === 'all' ? 'none' : 'all'));
    const left = neutral && ((neutral === 'all') !== excludes ? 'either' : 'anyway');
    tell({ node, path, excludes, set: people.rows(node, excludes), needed, anyway, left });
    if (isTerm(node)) return;
    eachWithRest(node, people, excludes, needed, anyway, everyPart, (part, i, need, come) =>
      walk(part, [...path, i], excludes, need, come, node.kind === 'and' ? 'all' : 'none')
    );
  }
  walk(query, [], false, fullBitmap(people.size), emptyBitmap(people.size), null);
}

type Group = And | Or;
const everyPart = () => true;

/**
 * Goes to every part of a group with what the parts before and after it, gathered as prefixes and suffixes, make of the
 * string around it: who is then needed and who is found anyway, as in `PartInString`. For a part where no such rest is wanted,
 * the callback gets the group's own.
 */
function eachWithRest(
  { kind, parts }: Group,
  people: PeopleSets,
  excludes: boolean,
  needed: Bitmap,
  anyway: Bitmap,
  isWanted: (part: Query) => boolean,
  tell: (part: Query, index: number, needed: Bitmap, anyway: Bitmap) => void
): void {
  const wanted = parts.map(isWanted);
  if (!wanted.includes(true)) return parts.forEach((part, i) => tell(part, i, needed, anyway));
  const scratch = scratchFor(people);
  const alone = () => {
    const rows = scratch.take();
    return kind === 'and' ? setAll(rows, people.size) : rows.fill(0);
  };
  const sets = parts.map((part) => people.rows(part, excludes));
  const after = [alone()];
  for (const set of sets.slice(1).reverse()) after.push(joined(kind, scratch.copy(after.at(-1)!), set));
  const before = alone();
  const settled = scratch.take();
  const narrows = (kind === 'and') !== excludes;
  parts.forEach((part, i) => {
    if (wanted[i]) {
      settle(settled, kind, before, after[sets.length - 1 - i]!, excludes, needed, narrows ? null : anyway);
      if (narrows) tell(part, i, settled, anyway);
      else tell(part, i, needed, settled);
    } else tell(part, i, needed, anyway);
    joined(kind, before, sets[i]!);
  });
  for (const set of [...after, before, settled]) scratch.give(set);
}

const joined = (kind: 'and' | 'or', rows: Bitmap, others: Bitmap): Bitmap => {
  (kind === 'and' ? keepCommon : addAll)(rows, others);
  return rows;
};

/**
 * What the other parts of a group decide by themselves, written into `rows`: they narrow the needed set, or add to the people
 * found anyway. One pass, because most of a ledger's time is spent here.
 */
function settle(
  rows: Bitmap,
  kind: 'and' | 'or',
  before: Bitmap,
  after: Bitmap,
  excludes: boolean,
  needed: Bitmap,
  anyway: Bitmap | null
): void {
  const turned = excludes ? -1 : 0;
  if (kind === 'and') for (let i = 0; i < rows.length; i++) rows[i] = ((before[i]! & after[i]!) ^ turned) & needed[i]!;
  else for (let i = 0; i < rows.length; i++) rows[i] = ((before[i]! | after[i]!) ^ turned) & needed[i]!;
  if (anyway) addAll(rows, anyway);
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
/** By the size of the source: few are counted at, one after the other. */
const scratches = new LRUCache<number, Scratch>({ max: 8 });

function scratchFor({ size }: PeopleSets): Scratch {
  let scratch = scratches.get(size);
  if (!scratch) scratches.set(size, (scratch = new Scratch(size)));
  return scratch;
}

const counts = new WeakMap<Bitmap, number>();

/** How many are in a set that does not change: counted once. */
function counted(set: Bitmap): number {
  let count = counts.get(set);
  if (count === undefined) counts.set(set, (count = countBits(set)));
  return count;
}

/** The same people, reduced to the judged, in sets as small as these are few; a group is computed from its terms. */
function judgedAlone(people: PeopleSets, { fits, misses }: JudgedSets) {
  const all = fits.slice();
  addAll(all, misses);
  const rows = rowsOf(all);
  const project = (set: Bitmap) => {
    const small = emptyBitmap(rows.length);
    for (let i = 0; i < rows.length; i++) if (hasBit(set, rows[i]!)) setBit(small, i);
    return small;
  };
  const put = (query: Query, excluded: boolean): Bitmap => {
    if (isTerm(query)) return project(people.rows(query, excluded));
    if (query.kind === 'not') {
      const others = fullBitmap(rows.length);
      takeOut(others, small.rows(query.part, !excluded));
      return others;
    }
    const [first, ...rest] = query.parts.map((part) => small.rows(part, excluded));
    return rest.reduce((set, other) => joined(query.kind, set, other), first!.slice());
  };
  const known = [new Map<Query, Bitmap>(), new Map<Query, Bitmap>()] as const;
  const small: PeopleSets = {
    size: rows.length,
    rows: (query, excluded = false) => {
      const sets = known[excluded ? 1 : 0];
      let one = sets.get(query);
      if (!one) sets.set(query, (one = put(query, excluded)));
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
