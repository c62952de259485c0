import { fields } from '../people/fields';

/** Values in any order, and who has them. */
export interface Values {
  /** The word numbers of each value, in reading order and ended by a 0. */
  stream: Uint32Array;
  /** Where each value begins in the stream. */
  begins: Uint32Array;
  /** The number of each value's field. */
  fieldOf: Uint32Array;
  /** The values of each person, one person after the other. */
  had: Uint32Array;
  /** Where the values of each person begin among those. */
  rowStarts: Uint32Array;
}

/**
 * The parts of an index that describe values: numbered field by field, found by word, each with its holders. `own` is how
 * many own fields the people have.
 */
export function valueParts({ stream: met, begins: metAt, fieldOf, had, rowStarts }: Values, words: number, own = 0) {
  const size = fieldOf.length;
  const fieldStarts = new Uint32Array(fields.length + own + 1);
  for (let value = 0; value < size; value++) fieldStarts[fieldOf[value]! + 1]!++;
  sumUp(fieldStarts);
  const next = fieldStarts.slice();
  const numberOf = new Uint32Array(size);
  const inOrder = new Uint32Array(size);
  for (let value = 0; value < size; value++) inOrder[(numberOf[value] = next[fieldOf[value]!]!++)] = value;
  const stream = new Uint32Array(met.length);
  const begins = new Uint32Array(size);
  for (let value = 0, to = 0; value < size; value++) {
    begins[value] = to;
    for (let from = metAt[inOrder[value]!]!, word = -1; word !== 0; from++) stream[to++] = word = met[from]!;
  }
  return {
    stream,
    begins,
    fieldStarts,
    ...valuesByWord(stream, words),
    ...holdersByValue(had, rowStarts, numberOf)
  };
}

/** Counting sort of values by the words they hold; a value that holds a word twice is there once. */
function valuesByWord(stream: Uint32Array, words: number) {
  const wordStarts = new Uint32Array(words + 1);
  eachWordOfEachValue(stream, words, (word) => wordStarts[word + 1]!++);
  sumUp(wordStarts);
  const values = new Uint32Array(wordStarts[words]!);
  const next = wordStarts.slice();
  eachWordOfEachValue(stream, words, (word, value) => (values[next[word]!++] = value));
  return { wordStarts, values };
}

/** Tells each word of each value once. */
function eachWordOfEachValue(stream: Uint32Array, words: number, tell: (word: number, value: number) => void): void {
  /** The last value in which each word was met, counted from 1. */
  const last = new Uint32Array(words);
  for (let at = 0, value = 0; at < stream.length; at++) {
    const word = stream[at]!;
    if (word === 0) value++;
    else if (last[word] !== value + 1) {
      last[word] = value + 1;
      tell(word, value);
    }
  }
}

/** Counting sort of rows by the values they have. */
function holdersByValue(had: Uint32Array, rowStarts: Uint32Array, numberOf: Uint32Array) {
  const holderStarts = new Uint32Array(numberOf.length + 1);
  for (let i = 0; i < had.length; i++) holderStarts[numberOf[had[i]!]! + 1]!++;
  sumUp(holderStarts);
  const holders = new Uint32Array(had.length);
  const next = holderStarts.slice();
  for (let row = 0, i = 0; row < rowStarts.length; row++)
    for (const end = rowStarts[row + 1] ?? had.length; i < end; i++) holders[next[numberOf[had[i]!]!]!++] = row;
  return { holderStarts, holders };
}

/** Turns how many there are of each, told one place on, into where each begins. */
export function sumUp(counts: Uint32Array): void {
  for (let i = 1; i < counts.length; i++) counts[i]! += counts[i - 1]!;
}
