import { readSearch } from '../dialect/search';
import type { Search } from '../dialect/search-schema';
import { join, terms, type Query } from '../language/query';
import { tokenKeys } from '../language/tokens';
import { oneSearch, wordsOfRows } from './cut-by-text';
import type { CutNeeds } from './cut-by-fact';
import { chao, shareNew, type Unseen } from './unseen';

// Where a source has no fact to cut a long result by, and nothing can be excluded there, the same search is asked again with an
// extra word that nobody cares about: a town, a given name, any word of the trade's pages. Common practice, no published source.

/** A search with an extra word: the rows that it should show, and of these how many should be new. */
export interface NeutralWord {
  word: string;
  search: Search;
  expected: number;
  fresh: number;
}

/** Words tried for one that can be asked, at most. */
const maxTried = 60;

/** A search with an extra word, where the source can be asked that in one search; null where it cannot. */
export function searchWith(search: Search, word: string, sheet: CutNeeds['sheet']): Search | null {
  const asked = readSearch(search, sheet);
  if (!asked || !tokenKeys(word).length || !sheet.boxes.some(({ searches }) => searches === 'any')) return null;
  const term: Query = { kind: /\s/.test(word.trim()) ? 'phrase' : 'word', scope: 'any', text: word.trim() };
  return oneSearch(join('and', [asked, term]), sheet);
}

/**
 * The words that should bring most new people when they are asked beside a search, best first, by the rows seen so far: a word in
 * a share f of those should have f of all `count` there are, of whom the source shows `most` and those seen are not new. Words
 * that were `used`, and those of the search itself, are left out. Linear in the rows' texts.
 */
export function neutralWords(
  search: Search,
  { sheet, seen, count, most }: CutNeeds,
  used: ReadonlySet<string>,
  limit = 12
): NeutralWord[] {
  const asked = readSearch(search, sheet);
  if (!asked || !seen.length) return [];
  const own = new Set([...terms(asked)].flatMap(({ term }) => ('text' in term ? tokenKeys(term.text) : [])));
  const all = Math.max(count, seen.length);
  const promising = [...wordsOfRows(seen)]
    .filter(([word]) => !used.has(word) && !own.has(word))
    .map(([word, rows]) => {
      const expected = Math.min(most, (rows * all) / seen.length);
      return { word, rows, expected, fresh: Math.max(0, expected - rows) };
    })
    // One that nearly every row has narrows nothing, and shows the same people again.
    .filter(({ rows }) => rows < 0.9 * seen.length)
    .sort((a, b) => b.fresh - a.fresh || a.rows - b.rows || (a.word < b.word ? -1 : 1));
  const found: NeutralWord[] = [];
  for (const { word, expected, fresh } of promising.slice(0, maxTried)) {
    if (found.length === limit) break;
    const written = searchWith(search, word, sheet);
    if (written) found.push({ word, search: written, expected, fresh });
  }
  return found;
}

/** How often people came who were read by the searches with and without words. */
export interface TimesMet {
  /** Rows read, with repeats. */
  rows: number;
  people: number;
  /** People seen exactly once, and exactly twice. */
  once: number;
  twice: number;
}

/** What is to be expected of going on: the share of the next rows that is new, and how many people were not seen. */
export interface Outlook {
  /** Good 1953. */
  share: number;
  /** Chao 1984; a guide, as words are no independent draws (docs/harvest.md). */
  unseen: Unseen;
}

export const outlookOf = ({ rows, once, twice }: TimesMet): Outlook => ({
  share: shareNew(once, rows),
  unseen: chao(once, twice)
});

/** Whether to go on: more of the next rows should be new than the `least` share that is worth it. */
export const isWorthIt = (met: TimesMet, least: number): boolean => outlookOf(met).share >= least;
