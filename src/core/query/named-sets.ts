import { z } from 'zod';
import { lex } from './lex';
import { readLeaf } from './outline';
import { parse, type SetQueries } from './parse';
import { isTerm, join, type Query } from './query';

/** How a named word set is called in a string: `@` and this. */
export const setNameSchema = z
  .string()
  .trim()
  .toLowerCase()
  .regex(
    /^[\p{L}\p{N}][\p{L}\p{N}_-]{0,59}$/u,
    'A name is one word of letters, digits and hyphens, such as never-interns.'
  );

const wordingSchema = z
  .string()
  .trim()
  .min(1)
  .max(300)
  .refine((text) => readWording(text) !== null, 'needs a word or a phrase');

/** Interchangeable wordings under a name, to be used in any string; `unwanted` ones are meant to be excluded. */
export const namedSetSchema = z.object({
  name: setNameSchema,
  kind: z.enum(['wanted', 'unwanted']),
  wordings: z.array(wordingSchema).min(1, 'A word set needs at least one wording.').max(2000),
  note: z.string().max(500).default('')
});
export type NamedSet = z.infer<typeof namedSetSchema>;

/** Reads a wording as typed: a word, `pharma*`, several words (quoted or not), with a scope of its own or none. */
function readWording(text: string): Query | null {
  const leaf = readLeaf(text, 'any');
  if (leaf?.kind !== 'term') return null;
  const { query } = parse(leaf.scope === 'any' ? leaf.text : `${leaf.scope}:${leaf.text}`);
  return query && isTerm(query) ? query : null;
}

/** What sets stand for, by name, for `parse`. */
export function setQueries(sets: Iterable<{ name: string; wordings: readonly string[] }>): SetQueries {
  const queries = new Map<string, Query>();
  for (const { name, wordings } of sets) {
    const read = wordings.map(readWording).filter((query) => query !== null);
    if (read.length) queries.set(name, join('or', read));
  }
  return queries;
}

/** The names of all sets that a text uses, known or not. */
export const setNamesIn = (text: string): string[] => [
  ...new Set(lex(text).lexemes.flatMap((lexeme) => (lexeme.kind === 'set' ? [lexeme.name] : [])))
];
