import { PeopleIndex } from '$core/corpus/people-index';
import type { Person } from '$core/corpus/person';
import { countBits, rowsOf } from '$core/corpus/bitmap';
import { readSearch, type Search } from '$core/dialect/search';
import type { Sheet } from '$core/dialect/sheet';
import { shownCount } from '$core/measure/count';
import { hashText } from '$core/measure/random';
import { matchingOf } from '$core/query/matching';
import type { Answer, Source } from './source';

/** A source over people held in memory: reads each search by its sheet, answers in the order of its people. */
export class IndexedSource implements Source {
  readonly sheet: Sheet;
  readonly index: PeopleIndex;
  private readonly people: readonly Person[];

  /** `people` in the order in which the source lists results, best first. */
  constructor(sheet: Sheet, people: readonly Person[]) {
    this.sheet = sheet;
    this.people = people;
    this.index = PeopleIndex.from(people, matchingOf(sheet.matching));
  }

  ask(search: Search): Answer {
    const query = readSearch(search, this.sheet);
    if (!query) return { said: 0, people: [] };
    const rows = this.index.rows(query);
    return {
      said: shownCount(countBits(rows), this.sheet.counting, luckOf(search)),
      people: rowsOf(rows, this.sheet.limits.shown ?? Infinity).map((row) => this.people[row]!)
    };
  }
}

/** How a guess at the count of a search turns out: the same every time it is asked. */
const luckOf = (search: Search) => (hashText(JSON.stringify(search)) >>> 0) / 4294967296;
