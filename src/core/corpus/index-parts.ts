import type { Matching } from '../query/matching';
import { numberFacts, type NumberFact } from '../query/scopes';
import type { Bitmap } from './bitmap';
import { commonWords } from './common-words';
import type { Person } from './person';
import { ValuesMet } from './values-met';
import { eachValue, numberOf, type Field } from './values';
import type { Vocabulary } from './vocabulary';

/** People in order, each made or at hand when asked for. An array is one. */
export interface PeopleList {
  readonly length: number;
  at(row: number): Person | undefined;
}

/**
 * What an index is made of, as plain arrays. A value is one text of one field; however many people have it, it is held
 * once. Values are numbered field by field, in the order of `fields`.
 */
export interface IndexParts {
  ids: readonly string[];
  /** Word of each number; nothing has the number 0. */
  words: readonly string[];
  /** Each person's number for a fact; NaN where it is not known. */
  numbers: Record<NumberFact, Float64Array>;
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

/** Reads people into the parts of an index, filling a vocabulary that holds no word yet. */
export function buildParts(people: PeopleList, vocabulary: Vocabulary, matching: Matching): IndexParts {
  const size = people.length;
  const ids: string[] = [];
  const numbers = Object.fromEntries(
    numberFacts.map((fact) => [fact, new Float64Array(size)])
  ) as IndexParts['numbers'];
  const met = new ValuesMet(vocabulary, matching, size);
  const tell = (field: Field, text: string) => met.tell(field, text);
  for (let row = 0; row < size; row++) {
    const person = people.at(row)!;
    ids.push(person.id);
    met.nextPerson();
    for (const fact of numberFacts) numbers[fact][row] = numberOf(person, fact) ?? Number.NaN;
    eachValue(person, tell);
  }
  const parts = { ids, words: vocabulary.words, numbers, ...met.parts() };
  return { ...parts, ...commonWords(parts) };
}
