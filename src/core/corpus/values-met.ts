import { dropsStopWords } from '../semantics/leaf';
import type { Matching } from '../semantics/matching';
import { GrowingUint32 } from './growing-array';
import type { Field } from '../people/fields';
import { fields } from '../people/fields';
import type { Vocabulary } from './vocabulary';

/** Texts up to so many letters are told apart, so that each is held once; longer ones hardly ever come again. */
const longestToldApart = 48;
/** So many texts are told apart at most in each field. */
const mostToldApart = 500_000;

/** The values met so far, numbered as they come, and who has them. */
export class ValuesMet {
  private readonly stream: GrowingUint32;
  private readonly begins: GrowingUint32;
  private readonly fieldOf: GrowingUint32;
  /** The values of each person, one person after the other. */
  private readonly had: GrowingUint32;
  /** Where the values of each person begin among those. */
  private readonly rowStarts: GrowingUint32;
  private readonly known = new Map<Field, { number: number; values: Map<string, number> }>(
    fields.map((field, number) => [field, { number, values: new Map() }])
  );
  private readonly push: (word: number) => void;
  private readonly pushAll: (word: number) => void;

  /** Room is made for the people there will be with so much to tell as most have: growing copies it all. */
  constructor(
    private readonly vocabulary: Vocabulary,
    matching: Matching,
    people: number
  ) {
    const stream = (this.stream = new GrowingUint32(people * 48));
    this.begins = new GrowingUint32(people * 2);
    this.fieldOf = new GrowingUint32(people * 2);
    this.had = new GrowingUint32(people * 12);
    this.rowStarts = new GrowingUint32(people + 1);
    // Words the source drops are met first, so that their numbers are the lowest, and never reach the stream of a text.
    for (const word of matching.stopWords) vocabulary.cut(word, () => {});
    const dropped = vocabulary.words.length - 1;
    this.pushAll = (word) => stream.push(word);
    this.push = dropped
      ? (word: number) => {
          if (word > dropped) stream.push(word);
        }
      : this.pushAll;
  }

  /** The values told from here on are those of the next person. */
  nextPerson(): void {
    this.rowStarts.push(this.had.length);
  }

  tell(field: Field, text: string): void {
    const { number, values } = this.known.get(field)!;
    const short = text.length <= longestToldApart;
    let value = short ? values.get(text) : undefined;
    if (value === undefined) {
      value = this.begins.length;
      this.begins.push(this.stream.length);
      this.fieldOf.push(number);
      this.vocabulary.cut(text, dropsStopWords(field) ? this.push : this.pushAll);
      this.stream.push(0);
      if (short && values.size < mostToldApart) values.set(text, value);
    }
    this.had.push(value);
  }

  /** All of it, values numbered field by field. */
  parts() {
    const fieldOf = this.fieldOf.view();
    const size = fieldOf.length;
    const fieldStarts = new Uint32Array(fields.length + 1);
    for (let value = 0; value < size; value++) fieldStarts[fieldOf[value]! + 1]!++;
    sumUp(fieldStarts);
    const next = fieldStarts.slice();
    const numberOf = new Uint32Array(size);
    const inOrder = new Uint32Array(size);
    for (let value = 0; value < size; value++) inOrder[(numberOf[value] = next[fieldOf[value]!]!++)] = value;
    const met = this.stream.view();
    const stream = new Uint32Array(met.length);
    const begins = new Uint32Array(size);
    for (let value = 0, to = 0; value < size; value++) {
      begins[value] = to;
      for (let from = this.begins.at(inOrder[value]!), word = -1; word !== 0; from++) stream[to++] = word = met[from]!;
    }
    return {
      stream,
      begins,
      fieldStarts,
      ...valuesByWord(stream, this.vocabulary.words.length),
      ...holdersByValue(this.had.view(), this.rowStarts.view(), numberOf)
    };
  }
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
function sumUp(counts: Uint32Array): void {
  for (let i = 1; i < counts.length; i++) counts[i]! += counts[i - 1]!;
}
