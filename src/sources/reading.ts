import { LRUCache } from 'lru-cache';
import { addAll, countCommon, emptyBitmap, fullBitmap, keepCommon, type Bitmap, type Readings } from '$core/corpus';
import { render, readSearch, listedBy } from '$core/dialect';
import { estimatedResult, type Estimate, type PeopleSets } from '$core/measure';
import { isTerm, keyOf, terms, type Query, type Term, isTextScope, type Scope } from '$core/language';
import type { IndexedSource } from './indexed-source';

/** How a source reads one term: the people it returns, and those who then meet it certainly or possibly. */
interface TermReading extends Readings {
  /** People it returns; everybody where it can't be asked. */
  asked: Bitmap;
  /** It can be asked just that. */
  exact: boolean;
}

const maxCached = 4000;
const kept = new WeakMap<IndexedSource, Map<string, TermReading>>();

function readTerm(term: Term, source: IndexedSource): TermReading {
  let known = kept.get(source);
  if (!known) kept.set(source, (known = new Map()));
  const key = keyOf(term);
  let reading = known.get(key);
  if (!reading) {
    if (known.size > maxCached) known.clear();
    known.set(key, (reading = workOut(term, source)));
  }
  return reading;
}

/** What was found of groups of terms, kept for each source by their name and how they were read. */
const groups = new WeakMap<IndexedSource, LRUCache<string, Readings>>();
const maxGroups = 150;

function groupsOf(source: IndexedSource): LRUCache<string, Readings> {
  let of = groups.get(source);
  if (!of) groups.set(source, (of = new LRUCache({ max: maxGroups })));
  return of;
}

function workOut(term: Term, { sheet, index }: IndexedSource): TermReading {
  const { searches, exactness, leftover } = render(term, sheet);
  if (exactness === 'exact' && !leftover) {
    const rows = index.rows(term);
    return { asked: rows, certain: rows, possible: rows, exact: true };
  }
  const { certain, possible } = index.readings(term, listedBy(sheet));
  // A search returns at least those who meet it.
  const brought = possible === certain ? certain : possible.slice();
  if (exactness === 'impossible') return { asked: fullBitmap(index.size), certain, possible, exact: false };
  const asked = emptyBitmap(index.size);
  for (const search of searches) {
    const query = readSearch(search, sheet);
    addAll(asked, query ? index.rows(query) : fullBitmap(index.size));
  }
  if (brought !== certain) keepCommon(brought, asked);
  return { asked, certain, possible: brought, exact: false };
}

/** One way of counting a source's people: those it brings, or of them those who are certain or possible. */
export type Way = 'asked' | 'certain' | 'possible';

/** The people of a source as a ledger counts them. `isLeftOver` says which terms of the string Eave checks. */
export function peopleOf(source: IndexedSource, way: Way, isLeftOver?: (term: Term) => boolean): PeopleSets {
  const { index, sheet } = source;
  const none = emptyBitmap(index.size);
  const listed = listedBy(sheet);
  const readingOf = (term: Term): Readings | null => {
    if (isLeftOver && !isLeftOver(term)) {
      const rows = index.rows(term);
      return { certain: rows, possible: rows };
    }
    const reading = readTerm(term, source);
    if (way !== 'asked') return reading;
    // What it cannot be asked to leave out comes too.
    return reading.exact
      ? { certain: reading.asked, possible: reading.asked }
      : { certain: none, possible: reading.asked };
  };
  const readings = new WeakMap<Query, Readings>();
  // What a group of terms finds is asked for again with the next letter typed in another group.
  const nameOf = (query: Query) => {
    const checked = isLeftOver ? [...terms(query)].map(({ term }) => Number(isLeftOver(term))).join('') : 'all';
    return `${way === 'asked'} ${checked} ${keyOf(query)}`;
  };
  return {
    size: index.size,
    rows(query, excluded = false) {
      let found = readings.get(query);
      if (!found) {
        const name = isTerm(query) ? null : nameOf(query);
        found = (name === null ? undefined : groupsOf(source).get(name)) ?? index.readings(query, listed, readingOf);
        readings.set(query, found);
        if (name !== null) groupsOf(source).set(name, found);
      }
      // Under a NOT those who may meet it may as well not: only the certain are thrown out.
      const asPossible = (way !== 'certain') !== excluded;
      return asPossible ? found.possible : found.certain;
    }
  };
}

/** The terms of a string that are left over for Eave to check. Where there are none, all ways of counting are one. */
export const leftOverTerms = (leftover: Query | null): ReadonlySet<Term> =>
  new Set(leftover ? [...terms(leftover)].map(({ term }) => term) : []);

/**
 * How many people a part of a string finds, from how many the source brings for it and how many of these stay: told as
 * the source tells counts, through the depth it shows. Null where it cannot be asked: it would have to bring everybody.
 */
export function partEstimate(asked: number, stay: number, part: Query, source: IndexedSource): Estimate | null {
  let kept = estimates.get(source);
  if (!kept) estimates.set(source, (kept = new LRUCache({ max: maxEstimates })));
  const name = `${asked} ${stay} ${keyOf(part)}`;
  let known = kept.get(name);
  if (!known) kept.set(name, (known = { estimate: estimatePart(asked, stay, part, source) }));
  return known.estimate;
}

/** Estimates of parts, kept for each source: most parts of a string are as they were before the last letter. */
const estimates = new WeakMap<IndexedSource, LRUCache<string, { estimate: Estimate | null }>>();
const maxEstimates = 4000;

function estimatePart(asked: number, stay: number, part: Query, source: IndexedSource): Estimate | null {
  const { size } = source.index;
  if (asked === size && size > 0 && !source.sheet.listsAll && !canBeAsked(part, source)) return null;
  const reported = source.reported(asked, part);
  const most = source.sheet.limits.shown ?? Infinity;
  const shown = Math.min(asked, most);
  return estimatedResult(
    [
      {
        reported,
        shown,
        stay: asked ? Math.round((stay * shown) / asked) : 0,
        complete: asked <= most && reported.low === reported.high
      }
    ],
    stay < asked
  );
}

const canBeAsked = (part: Query, { sheet }: IndexedSource): boolean =>
  part.kind !== 'not' && render(part, sheet).exactness !== 'impossible';

/**
 * An estimate of so many people more or fewer than another was made of: what a source guesses is as far off for both, so
 * that a change never shows the guesses alone.
 */
export const inProportion = ({ low, middle, high }: Estimate, people: number, of: number): Estimate => ({
  low: (low * people) / of,
  middle: (middle * people) / of,
  high: (high * people) / of
});

/** People a source keeps back because it doesn’t have a fact that it was asked, though nothing contradicts them. */
export interface KeptBack {
  people: number;
  /** Of all who could meet the string there. */
  share: number;
  facts: Scope[];
}

/** People that a source itself drops because a fact isn't listed, given a string's left-over part and the set its searches return; null where it drops nobody. */
export function keptBack(query: Query, leftover: Query | null, asked: Bitmap, source: IndexedSource): KeptBack | null {
  const checked = leftOverTerms(leftover);
  const facts = new Set<Scope>();
  for (const { term } of terms(query)) if (!isTextScope(term.scope) && !checked.has(term)) facts.add(term.scope);
  if (!facts.size) return null;
  const { possible } = source.index.readings(query, listedBy(source.sheet), (term) => {
    if (!isTextScope(term.scope) || checked.has(term)) return null;
    const rows = source.index.rows(term);
    return { certain: rows, possible: rows };
  });
  const people = countCommon([possible], [asked]);
  if (!people) return null;
  return { people, share: people / (people + countCommon([possible, asked], [])), facts: [...facts] };
}
