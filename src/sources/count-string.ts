import { LRUCache } from 'lru-cache';
import { addAll, countBits, countCommon, emptyBitmap, firstOf, fullBitmap, takeOut, type Bitmap } from '$core/corpus';
import { render, type Rendering, listedBy } from '$core/dialect';
import { countInterval } from '$core/dialect';
import { foundBy, type Found, type SearchAnswer } from '$core/measure';
import { keyOf, type Query } from '$core/language';
import type { IndexedSource } from './indexed-source';

export interface Counted {
  rendering: Rendering;
  found: Found;
  /** People that its searches find, shown or not. Shared: don't modify. */
  asked: Bitmap;
}

/** Answers answerCache for each source, by what is asked. */
const maxCached = 300;
const answerCache = new WeakMap<IndexedSource, LRUCache<string, Counted>>();

/** What was counted of a query that is available: a ledger and its narrowing, and every proposal, ask for the same one. */
const atHand = new WeakMap<IndexedSource, WeakMap<Query, Counted>>();

/**
 * How many people a string finds at a source, as `tryString` says, worked out on sets and without making a person. Its
 * left-over part is made of parts of this very query.
 */
export function countString(query: Query, source: IndexedSource): Counted {
  let counted = atHand.get(source);
  if (!counted) atHand.set(source, (counted = new WeakMap()));
  let known = counted.get(query);
  if (!known) {
    counted.set(query, (known = count(query, source)));
    cacheFor(source).set(keyOf(query), known);
  }
  return known;
}

const cacheFor = (source: IndexedSource): LRUCache<string, Counted> => {
  let answers = answerCache.get(source);
  if (!answers) answerCache.set(source, (answers = new LRUCache({ max: maxCached })));
  return answers;
};

/**
 * The same where only the figures are wanted: a string that changes in one part asks for what stands before that part
 * again, and a term is asked for in many strings. Null where the source cannot be asked.
 */
export function foundAt(query: Query, source: IndexedSource): Found | null {
  const { rendering, found } = cacheFor(source).get(keyOf(query)) ?? countString(query, source);
  return rendering.exactness === 'impossible' ? null : found;
}

function count(query: Query, source: IndexedSource): Counted {
  const { sheet, index } = source;
  const rendering = render(query, sheet);
  const { certain, possible } = rendering.leftover
    ? index.readings(rendering.leftover, listedBy(sheet))
    : { certain: fullBitmap(index.size), possible: fullBitmap(index.size) };
  const asked = emptyBitmap(index.size);
  const seen = emptyBitmap(index.size);
  const most = sheet.limits.shown ?? Infinity;
  const answers = rendering.searches.map((search): SearchAnswer => {
    const { said, found } = source.count(search);
    const shown = firstOf(found, most);
    const rows = countBits(shown);
    addAll(asked, found);
    const fresh = shown.slice();
    takeOut(fresh, seen);
    addAll(seen, shown);
    const interval = countInterval(said, sheet.counting);
    return {
      said,
      interval,
      shown: rows,
      certain: countCommon([fresh, certain], []),
      possible: countCommon([fresh, possible], []),
      complete: rows < most || interval.high <= rows
    };
  });
  return { rendering, found: foundBy(answers, rendering.leftover !== null), asked };
}
