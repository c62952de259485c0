import { LRUCache } from 'lru-cache';
import { parse, print, setQueries, type Query, type SetQueries } from '$core/language';
import { refuse } from '$server/platform/refusals';
import type { StringText } from '../people-messages';

/**
 * Strings read last: the questions that follow one another are about the same one, and what was counted of it is available as
 * long as it is here. Long ones take the room of many.
 */
const read = new LRUCache<string, Query>({ max: 250, maxSize: 500_000, sizeCalculation: (_, { length }) => length });

/** The query of a text that is to be run; refuses, with the first problem, a text that cannot be read whole. */
export function runnable({ text, sets }: StringText, named: SetQueries = setQueries(sets)): Query {
  const key = JSON.stringify([text, sets]);
  const known = read.get(key);
  if (known) return known;
  const { query, problems } = parse(text, named);
  const error = problems.find((problem) => problem.severity === 'error');
  if (error) throw refuse('string-unreadable', error.message).with({ problems: mostOf(problems) });
  if (!query) throw refuse('string-empty');
  read.set(key, query);
  return query;
}

/** Problems told at most: nobody reads more of them, and a page of brackets has tens of thousands. */
const maxProblems = 300;
export const mostOf = <P>(problems: readonly P[]): P[] => problems.slice(0, maxProblems);

/** A query with its problems, as the API returns it. */
export const reply = <P>({ query, problems }: { query: Query | null; problems: P[] }) => ({
  query,
  problems: mostOf(problems),
  printed: query && print(query)
});
