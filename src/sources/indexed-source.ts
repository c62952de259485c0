import { type PeopleList, PeopleIndex, countBits, emptyBitmap, fullBitmap, rowsOf, type Bitmap } from '$core/corpus';
import { type Person } from '$core/people';
import { readSearch, type Search, type Sheet } from '$core/dialect';
import { countInterval, shownCount } from '$core/dialect';
import { type Interval, hashText } from '$core/measure';
import { keyOf, type Query } from '$core/language';
import { matchingOf } from '$core/semantics';
import type { SearchResult, Page, Source } from './source';

/** A source over people held in memory: reads each search by its sheet, answers in the order of its people. */
export class IndexedSource implements Source {
  readonly sheet: Sheet;
  readonly index: PeopleIndex;
  private readonly people: PeopleList;
  private rows: Map<string, number> | null = null;

  /** `people` in the order in which the source lists results, best first. */
  constructor(sheet: Sheet, people: PeopleList, index = PeopleIndex.from(people, matchingOf(sheet.matching))) {
    this.sheet = sheet;
    this.people = people;
    this.index = index;
  }

  /** Where a person is in its order; undefined for one it does not have. */
  rowOf(id: string): number | undefined {
    this.rows ??= new Map(this.index.ids.map((id, row) => [id, row]));
    return this.rows.get(id);
  }

  personAt(row: number): Person {
    return this.people.at(row)!;
  }

  /** A true count as the source would report it for a query, and the interval it stands for. */
  reported(count: number, query: Query): Interval {
    const { counting } = this.sheet;
    return countInterval(shownCount(count, counting, luck(keyOf(query))), counting);
  }

  ask(search: Search): SearchResult {
    const { said, rows } = this.answer(search);
    return { said, people: rows.map((row) => this.personAt(row)) };
  }

  page(search: Search, page: number): Page {
    const { said, rows } = this.answer(search);
    const size = this.sheet.limits.page ?? pageSize;
    const people = rows.slice(page * size, (page + 1) * size).map((row) => this.personAt(row));
    return { said, people, last: (page + 1) * size >= rows.length };
  }

  /** The count it says of a search, and all the search finds, shown or not. Shared: not to be changed. */
  count(search: Search): { said: number; found: Bitmap } {
    const query = readSearch(search, this.sheet);
    if (!query && !this.sheet.listsAll) return { said: 0, found: emptyBitmap(this.index.size) };
    const found = query ? this.index.rows(query) : fullBitmap(this.index.size);
    return { said: shownCount(countBits(found), this.sheet.counting, luck(JSON.stringify(search))), found };
  }

  private answer(search: Search): { said: number; rows: number[] } {
    const { said, found } = this.count(search);
    return { said, rows: rowsOf(found, this.sheet.limits.shown ?? Infinity) };
  }
}

/** Rows on a page where the sheet names no number. */
const pageSize = 100;

/** How a guess at a count turns out: the same every time the same is asked. */
const luck = (asked: string) => (hashText(asked) >>> 0) / 4294967296;
