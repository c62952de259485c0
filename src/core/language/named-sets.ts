import type * as z from 'zod';
import { lex } from './lex';
import { readLeaf } from './outline';
import { parse, type SetQueries } from './parse';
import { isTerm, join, type Query } from './query';
import { namedSetOf } from './set-schema';

/** Interchangeable wordings under a name, to be used in any string; `unwanted` ones are meant to be excluded. */
export const namedSetSchema = namedSetOf((text) => readWording(text) !== null);
export type NamedSet = z.infer<typeof namedSetSchema>;

/** Reads a wording as typed: a word, `pharma*`, several words (quoted or not), with its own scope or none. */
function readWording(text: string): Query | null {
  const leaf = readLeaf(text, 'any');
  if (leaf?.kind !== 'term') return null;
  const { query } = parse(leaf.scope === 'any' ? leaf.text : `${leaf.scope}:${leaf.text}`);
  return query && isTerm(query) ? query : null;
}

/** What sets represent, by name, for `parse`. */
export function setQueries(sets: Iterable<{ name: string; wordings: readonly string[] }>): SetQueries {
  const queries = new Map<string, Query>();
  for (const { name, wordings } of sets) {
    const read = wordings.map(readWording).filter((query) => query !== null);
    if (read.length) queries.set(name, join('or', read));
  }
  return queries;
}

/** The names of all sets that a text uses, known or not. */
export function setNamesIn(text: string): string[] {
  // Most texts use none, and a long one takes a while to read.
  if (!text.includes('@')) return [];
  return [...new Set(lex(text).lexemes.flatMap((lexeme) => (lexeme.kind === 'set' ? [lexeme.name] : [])))];
}
