import type { Search } from '../dialect/search-schema';
import type { NamedFact, NumberFact, Scope } from '../language/scopes';

/** What a cut goes by: values of a fact, numbers of a fact, the alternatives of a group, or a word that nobody cares about. */
export type CutBy =
  | { kind: 'values'; scope: NamedFact }
  | { kind: 'numbers'; scope: NumberFact }
  | { kind: 'alternatives' }
  | { kind: 'word'; word: string };

/** One part of a cut: a search, and how many rows it should have. */
export interface CutPart {
  search: Search;
  /** How it differs from what was cut, in words: `Denmark or Sweden`, `any other, or not told`. */
  what: string;
  expected: number;
  /** Whoever the other parts leave, those of whom the fact is not told among them. */
  rest: boolean;
}

/** A way of cutting a search into parts that together find what it finds. */
export interface Cut {
  by: CutBy;
  parts: CutPart[];
  /** A fact that no part can be asked for when it is not told: those who lack it, or have a value that cannot be chosen, come in none; how many that should be. */
  lost: { scope: Scope; expected: number } | null;
}

/** How a cut is named to a person. */
export const cutName = (by: CutBy): string =>
  by.kind === 'alternatives' ? 'the alternatives of a group' : by.kind === 'word' ? `the word “${by.word}”` : by.scope;
