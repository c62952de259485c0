import type { NumberFact, OwnScope } from '../language/scopes';
import type { Person } from '../people/person';
import type { Bitmap } from './bitmap';

/** People in order, each made or available when asked for. An array is one. */
export interface PeopleList {
  readonly length: number;
  at(row: number): Person | undefined;
}

/**
 * What an index is made of, as plain arrays. A value is one text of one field; however many people have it, it is held
 * once. Values are numbered field by field, in the order of `fields` and then of `own`.
 */
export interface IndexParts {
  ids: readonly string[];
  /** Word of each number; nothing has the number 0. */
  words: readonly string[];
  /** The own fields that people have: numbered behind `fields`, in this order. */
  own: readonly OwnScope[];
  /** Each person's number for a fact, or for an own field that holds numbers or dates; NaN where it is not known. */
  numbers: Record<NumberFact, Float64Array> & Partial<Record<OwnScope, Float64Array>>;
  /** The word numbers of all values, one value after the other, each in reading order and ended by a 0. */
  stream: Uint32Array;
  /** Where each value begins in the stream. */
  begins: Uint32Array;
  /** The first value of each field, and how many there are. */
  fieldStarts: Uint32Array;
  /** The values that hold word w, ascending: `values[wordStarts[w] .. wordStarts[w + 1]]`. */
  wordStarts: Uint32Array;
  values: Uint32Array;
  /** The rows of those who have value v, ascending: `holders[holderStarts[v] .. holderStarts[v + 1]]`. */
  holderStarts: Uint32Array;
  holders: Uint32Array;
  /**
   * The words that one in 32 people or more say anywhere in their profile, ascending, and sets of those people, one after
   * the other: from there on a set is no larger than a list of its rows, and marking them one by one takes longest.
   */
  commonWords: Uint32Array;
  commonRows: Bitmap;
}
