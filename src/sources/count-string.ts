import { addAll, countBits, countCommon, emptyBitmap, firstOf, fullBitmap, takeOut, type Bitmap } from '$core/corpus';
import { render, type Rendering, toldBy } from '$core/dialect';
import { countInterval, foundBy, type Found, type SearchAnswer } from '$core/measure';
import { keyOf, isTerm, type Query } from '$core/query';
import type { IndexedSource } from './indexed-source';

export interface Counted {
  rendering: Rendering;
  found: Found;
  /** Whom its searches find, shown or not. Shared: not to be changed. */
  asked: Bitmap;
}

/** Answers kept for each source: a string that changes in one term asks for the others again. */
const mostKept = 2000;
const kept = new WeakMap<IndexedSource, Map<string, Counted>>();

/** How many people a string finds at a source, as `tryString` says, worked out on sets and without making a person. */
export function countString(query: Query, source: IndexedSource): Counted {
  // Groups are asked again and again with their terms; whole strings change with every key.
  if (!isTerm(query)) return count(query, source);
  let answers = kept.get(source);
  if (!answers) kept.set(source, (answers = new Map()));
  const key = keyOf(query);
  let known = answers.get(key);
  if (!known) {
    known = count(query, source);
    if (answers.size > mostKept) answers.clear();
    // The set is the index's own to keep.
    answers.set(key, { ...known, asked: emptyBitmap(0) });
  }
  return known;
}

function count(query: Query, source: IndexedSource): Counted {
  const { sheet, index } = source;
  const rendering = render(query, sheet);
  const { certain, possible } = rendering.leftover
    ? index.readings(rendering.leftover, toldBy(sheet))
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
