import type { Person } from '$core/people';
import { render, type Rendering, listedBy, type Sheet } from '$core/dialect';
import { countInterval } from '$core/dialect';
import { foundBy, type Found, type SearchAnswer } from '$core/measure';
import { type Query } from '$core/language';
import { matchingOf, truthReader } from '$core/semantics';
import type { SearchResult, Source } from './source';
import { checkpoint } from '$core/language';

/** What a string finds at one source: how many, and the people that can be seen. */
export interface Outcome {
  rendering: Rendering;
  /** Per search, what it brought. */
  answers: SearchAnswer[];
  found: Found;
  /** The people that can be seen, best first, nobody twice; those the left-over part contradicts are gone. */
  people: Person[];
  /** Ids of those among them who do not meet the left-over part for certain: something is not listed of them. */
  open: Set<string>;
  /** Seen people the left-over part contradicts. */
  filtered: number;
}

/** Runs a string at a source: translated, asked search by search, and gathered. */
export function tryString(query: Query, source: Source): Outcome {
  const rendering = render(query, source.sheet);
  return gather(
    rendering,
    rendering.searches.map((search) => source.ask(search)),
    source.sheet
  );
}

/**
 * Joins what the searches of a rendering answered: best first, nobody twice, without those what the source could not
 * be asked contradicts. Anybody who is counted belongs to the first search that brought them.
 */
export function gather(rendering: Rendering, answers: readonly SearchResult[], sheet: Sheet): Outcome {
  const truth = rendering.leftover && truthReader(rendering.leftover, listedBy(sheet), matchingOf(sheet.matching));
  const met = new Map<string, Person>();
  const removed = new Set<string>();
  const open = new Set<string>();
  const listed = answers.map((answer): SearchAnswer => {
    const { said, people, pages, interval = countInterval(said, sheet.counting) } = answer;
    let [certain, possible] = [0, 0];
    for (const person of people) {
      checkpoint();
      if (met.has(person.id) || removed.has(person.id)) continue;
      const value = truth ? truth(person) : 'met';
      if (value === 'not met') {
        removed.add(person.id);
        continue;
      }
      met.set(person.id, person);
      possible++;
      if (value === 'met') certain++;
      else open.add(person.id);
    }
    return {
      said,
      interval,
      shown: people.length,
      certain,
      possible,
      complete: isComplete(answer, interval, sheet),
      ...(pages && { pages })
    };
  });
  return {
    rendering,
    answers: listed,
    found: foundBy(listed, rendering.leftover !== null),
    people: bestFirst(answers, met),
    open,
    filtered: removed.size
  };
}

/** Whether all that a search has was shown: it ended below the cap, or a person who counted saw no more. */
const isComplete = ({ people, interval }: SearchResult, counted: { high: number }, sheet: Sheet): boolean =>
  interval
    ? counted.high <= people.length
    : people.length < (sheet.limits.shown ?? Infinity) || counted.high <= people.length;

/** The first of each search, then the second of each, and so on. */
function bestFirst(answers: readonly SearchResult[], kept: ReadonlyMap<string, Person>): Person[] {
  const deepest = Math.max(0, ...answers.map(({ people }) => people.length));
  const ordered = new Map<string, Person>();
  for (let rank = 0; rank < deepest; rank++)
    for (const { people } of answers) {
      const at = people[rank];
      const person = at && kept.get(at.id);
      if (person) ordered.set(person.id, person);
    }
  return [...ordered.values()];
}
