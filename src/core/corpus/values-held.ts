import { fields } from '../people/fields';
import { isOwnScope, type Scope } from '../language/scopes';
import type { IndexParts } from './index-parts';
import { valuesIn } from './postings';

/** A value of a scope: somebody who has it, by row, and how many have it. */
export interface ValueHeld {
  row: number;
  people: number;
}

/**
 * The values of a scope with the most holders, those of which a word begins with `begins` (folded; empty for all). Scopes of
 * several fields have none of their own. Linear in the values that begin so, or in those of the scope.
 */
export function valuesHeld(parts: IndexParts, scope: Scope, begins: string, limit: number): ValueHeld[] {
  if (!isOwnScope(scope) && !(fields as readonly string[]).includes(scope)) return [];
  const { words, holders, holderStarts, stream, begins: starts } = parts;
  const [from, to] = valuesIn(scope, parts);
  const matching = begins ? new Set(words.flatMap((word, number) => (word.startsWith(begins) ? [number] : []))) : null;
  const hasWord = (value: number): boolean => {
    for (let at = starts[value]!; stream[at] !== 0; at++) if (matching!.has(stream[at]!)) return true;
    return false;
  };
  const found: ValueHeld[] = [];
  for (let value = from; value < to; value++) {
    const people = holderStarts[value + 1]! - holderStarts[value]!;
    if (people === 0 || (matching && !hasWord(value))) continue;
    found.push({ row: holders[holderStarts[value]!]!, people });
  }
  return found.sort((a, b) => b.people - a.people || a.row - b.row).slice(0, limit);
}
