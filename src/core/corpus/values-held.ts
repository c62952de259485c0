import type { IndexParts } from './index-parts';
import { valuesWith } from './postings';

/** A value of a scope: somebody who has it, by row, and how many have it. */
export interface ValueHeld {
  row: number;
  people: number;
}

/**
 * Of the values from one to before another those that most people have; with `words` those that hold one of them. Linear in the
 * values that do, or in all where no words are given.
 */
export function valuesHeld(
  parts: IndexParts,
  [from, to]: readonly [number, number],
  words: readonly number[] | null,
  limit: number
): ValueHeld[] {
  const { holders, holderStarts } = parts;
  const values = words
    ? new Set(words.flatMap((word) => [...valuesWith(word, from, to, parts)]))
    : Array.from({ length: to - from }, (_, i) => from + i);
  return [...values]
    .map((value) => ({
      row: holders[holderStarts[value]!]!,
      people: holderStarts[value + 1]! - holderStarts[value]!
    }))
    .sort((a, b) => b.people - a.people || a.row - b.row)
    .slice(0, limit);
}
