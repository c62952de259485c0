import type { Search } from '../dialect/search-schema';
import type { NamedFact, NumberFact, Scope } from '../language/scopes';

/**
 * What a cut goes by: values of a fact, numbers of a fact, the alternatives of a group, or a word that nobody cares about. By neutral
 * words it is no cut but the same search asked again and again, each time with another such word.
 */
export type CutBy =
  | { kind: 'values'; scope: NamedFact }
  | { kind: 'numbers'; scope: NumberFact }
  | { kind: 'alternatives' }
  | { kind: 'word'; word: string }
  | { kind: 'neutral' };

/** One part of a cut: a search, and how many rows it should have. */
export interface CutPart {
  search: Search;
  /** How it differs from what was cut, in words: `Denmark or Sweden`, `any other or not listed`. */
  what: string;
  expected: number;
  /** People that the other parts leave, including those whose fact isn't listed. */
  rest: boolean;
}

/** A way of cutting a search into parts that together find what it finds. */
export interface Cut {
  by: CutBy;
  parts: CutPart[];
  /** A fact that no part can be asked for when it is not listed: those who lack it, or have a value that cannot be chosen, come in none; how many that should be. */
  lost: { scope: Scope; expected: number } | null;
}

/** How a cut is named to a person. */
export function cutName(by: CutBy): string {
  switch (by.kind) {
    case 'alternatives':
      return 'the alternatives of a group';
    case 'word':
      return `the word “${by.word}”`;
    case 'neutral':
      return 'neutral words';
    default:
      return by.scope;
  }
}
