import type { Person } from '$core/people';
import type { Search, Sheet } from '$core/dialect';
import type { Interval } from '$core/measure';

/** What a source answers to one search. */
export interface SearchResult {
  /** The count as the source shows it. */
  said: number;
  /** What the count may represent, where a person read it off; otherwise the sheet says. */
  interval?: Interval;
  /** The people it shows, best first, no further than its cap. */
  people: Person[];
  /** The pages that a person read of it, in order, where a person did. */
  pages?: number[];
}

/** One page of what a source answers. */
export interface Page extends SearchResult {
  /** No page comes after it. */
  last: boolean;
}

/** A place that finds people. It is asked in its own form and answers by its own rules. */
export interface Source {
  sheet: Sheet;
  /** All that it shows of a search. */
  ask(search: Search): SearchResult;
  /** One page of it, from 0. */
  page(search: Search, page: number): Page;
}
