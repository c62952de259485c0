import type { Person } from '$core/corpus/person';
import { render, type Rendering } from '$core/dialect/render';
import { countInterval } from '$core/measure/count';
import type { Interval } from '$core/measure/wilson';
import { matcher } from '$core/query/matches';
import { matchingOf } from '$core/query/matching';
import type { Query } from '$core/query/query';
import type { Sheet } from '$core/dialect/sheet';
import type { Answer, Source } from './source';

/** What a string finds at one source: how many, and the people that can be seen. */
export interface Outcome {
  rendering: Rendering;
  /** Per search, the count the source showed and what it may stand for. */
  answers: { said: number; interval: Interval; shown: number }[];
  /** How many people the string finds there. */
  count: Interval;
  /** The people that can be seen, best first, nobody twice; those the left-over part removes are gone. */
  people: Person[];
  /** Seen people that the left-over part removed. */
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

/** Joins what the searches of a rendering answered: best first, nobody twice, filtered by what the source could not say. */
export function gather(rendering: Rendering, answers: readonly Answer[], sheet: Sheet): Outcome {
  const passes = rendering.leftover && matcher(rendering.leftover, matchingOf(sheet.matching));
  const seen = new Map<string, Person>();
  const removed = new Set<string>();
  const deepest = Math.max(0, ...answers.map((answer) => answer.people.length));
  for (let rank = 0; rank < deepest; rank++)
    for (const { people } of answers) {
      const person = people[rank];
      if (!person || seen.has(person.id) || removed.has(person.id)) continue;
      if (passes && !passes(person)) removed.add(person.id);
      else seen.set(person.id, person);
    }
  const told = answers.map(({ said, people, interval = countInterval(said, sheet.counting) }) => ({
    said,
    interval,
    shown: people.length
  }));
  return {
    rendering,
    answers: told,
    count: countOf(told, rendering, seen.size),
    people: [...seen.values()],
    filtered: removed.size
  };
}

/** How many people a string finds, from what its searches showed and how many people were seen in the end. */
export function countOf(answers: Outcome['answers'], rendering: Rendering, seen: number): Interval {
  const unseen = answers.map(({ interval, shown }) => ({
    low: Math.max(0, interval.low - shown),
    high: Math.max(0, interval.high - shown)
  }));
  if (answers.length === 1 && rendering.exactness === 'exact')
    return { low: seen + unseen[0]!.low, high: seen + unseen[0]!.high };
  return { low: seen, high: seen + unseen.reduce((sum, one) => sum + one.high, 0) };
}
