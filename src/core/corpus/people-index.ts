import { sequenceOf, type Sequence } from '../query/leaf';
import { rangeOf } from '../query/matches';
import { exactMatching, type Matching } from '../query/matching';
import { keyOf } from '../query/key';
import type { And, Phrase, Query, Range, Word } from '../query/query';
import { isNumberFact, numberFacts, type NumberFact, type Scope } from '../query/scopes';
import {
  addAll,
  countBits,
  countCommon,
  emptyBitmap,
  fullBitmap,
  keepCommon,
  rowsOf,
  takeOut,
  type Bitmap
} from './bitmap';
import { GrowingUint32 } from './growing-array';
import type { Person } from './person';
import { Vocabulary } from './vocabulary';
import { eachValue, fields, numberOf, searches, type Field } from './values';

/** Bytes of found sets that an index keeps at most. */
const keptBytes = 64 * 1024 * 1024;
/** A phrase is found along two lists of positions while the longer is up to so many times the shorter; then by looking. */
const mergeUpTo = 12;
/** Texts up to so many letters are kept whole while an index is built, and at most so many of them. */
const longestKept = 48;
const mostKept = 500_000;
/** Bits of a place that hold its field; the rest hold its row. */
const fieldBits = 5;
const fieldMask = (1 << fieldBits) - 1;

/** People in order, each made or at hand when asked for. An array is one. */
export interface PeopleList {
  readonly length: number;
  at(row: number): Person | undefined;
}

/** What an index is made of, as plain arrays. */
export interface IndexParts {
  ids: readonly string[];
  words: readonly string[];
  numbers: Record<NumberFact, Float64Array>;
  stream: Uint32Array;
  start: Uint32Array;
  positions: Uint32Array;
  places: Uint32Array;
}

/**
 * A positional inverted index over people. All words stand in one stream of word numbers, a 0 between values, in the
 * order of the people given, which is also the order of every answer. For each word the index holds where it stands;
 * a phrase starts from its rarest word and looks at the neighbours in the stream.
 *
 * @example
 * const index = PeopleIndex.from(people);
 * index.count(parse('title:"head of quality" NOT software').query!); // 12
 */
export class PeopleIndex {
  readonly size: number;
  /** Ids of the people, in their order. */
  readonly ids: readonly string[];
  private readonly matching: Matching;
  private readonly vocabulary: Vocabulary;
  /** Word numbers in reading order; 0 ends a value. */
  private readonly stream: Uint32Array;
  /** Where the places of word w are: `start[w] .. start[w + 1]` of the two arrays below, field by field, in reading order. */
  private readonly start: Uint32Array;
  /** Position in the stream. */
  private readonly positions: Uint32Array;
  /** Row and field: read one after the other when a word is looked up, with nothing else to fetch. */
  private readonly places: Uint32Array;
  private readonly numbers: Record<NumberFact, Float64Array>;
  private readonly found = new Map<string, Bitmap>();
  private sorted: string[] | null = null;
  private readonly forms = new Map<(key: string) => string, Map<string, number[]>>();

  private constructor(parts: IndexParts, vocabulary: Vocabulary, matching: Matching) {
    this.matching = matching;
    this.size = parts.ids.length;
    this.ids = parts.ids;
    this.numbers = parts.numbers;
    this.vocabulary = vocabulary;
    this.stream = parts.stream;
    this.start = parts.start;
    this.positions = parts.positions;
    this.places = parts.places;
  }

  /**
   * Builds an index over people; `matching` is how their source compares words. A list that makes its people as they are
   * asked for is gone through once, person by person, and none is kept.
   */
  static from(people: PeopleList | Iterable<Person>, matching: Matching = exactMatching): PeopleIndex {
    const list = 'at' in people ? people : [...people];
    const vocabulary = new Vocabulary();
    return new PeopleIndex(buildParts(list, vocabulary, matching), vocabulary, matching);
  }

  /** The index whose parts were kept; `matching` must be the one it was built with. */
  static fromParts(parts: IndexParts, matching: Matching = exactMatching): PeopleIndex {
    return new PeopleIndex(parts, Vocabulary.of(parts.words), matching);
  }

  /** All it is made of, to be kept and read back by `fromParts`. Shared: not to be changed. */
  get parts(): IndexParts {
    const { ids, numbers, stream, start, positions, places } = this;
    return { ids, words: this.vocabulary.words, numbers, stream, start, positions, places };
  }

  /** How many people the query finds. The sets of its parts are kept; their meeting is counted without being made. */
  count(query: Query): number {
    if (query.kind !== 'and') return countBits(this.rows(query));
    const { wanted, excluded } = this.sides(query);
    return countCommon(wanted, excluded);
  }

  /** The ids of the people it finds, in the order the people were given; at most `limit`. */
  find(query: Query, limit = Infinity): string[] {
    return rowsOf(this.rows(query), limit).map((row) => this.ids[row]!);
  }

  /** The people it finds as a set of row numbers. Shared: not to be changed. */
  rows(query: Query): Bitmap {
    const key = keyOf(query);
    const known = this.found.get(key);
    if (known) return known;
    const rows = this.work(query);
    if ((this.found.size + 1) * rows.byteLength > keptBytes) this.found.delete(this.found.keys().next().value!);
    this.found.set(key, rows);
    return rows;
  }

  private work(query: Query): Bitmap {
    switch (query.kind) {
      case 'and': {
        const { wanted, excluded } = this.sides(query);
        const rows = wanted[0]!.slice();
        for (const set of wanted.slice(1)) keepCommon(rows, set);
        for (const set of excluded) takeOut(rows, set);
        return rows;
      }
      case 'or': {
        const rows = emptyBitmap(this.size);
        for (const part of query.parts) addAll(rows, this.rows(part));
        return rows;
      }
      case 'not': {
        const rows = fullBitmap(this.size);
        takeOut(rows, this.rows(query.part));
        return rows;
      }
      default: {
        const range = rangeOf(query);
        if (range === 'never') return emptyBitmap(this.size);
        if (range) return this.between(range);
        const term = query as Word | Phrase;
        return this.saying(term.scope, sequenceOf(term, this.matching));
      }
    }
  }

  /** The sets that an AND wants and those it takes out. */
  private sides(query: And): { wanted: Bitmap[]; excluded: Bitmap[] } {
    const wanted: Bitmap[] = [];
    const excluded: Bitmap[] = [];
    for (const part of query.parts) {
      if (part.kind === 'not') excluded.push(this.rows(part.part));
      else wanted.push(this.rows(part));
    }
    if (!wanted.length) wanted.push(fullBitmap(this.size));
    return { wanted, excluded };
  }

  /** Bytes held by the index itself, without the people and the vocabulary's strings. */
  get bytes(): number {
    return [this.stream, this.start, this.positions, this.places, ...Object.values(this.numbers)].reduce(
      (sum, array) => sum + array.byteLength,
      0
    );
  }

  private between({ scope, low, high }: Range): Bitmap {
    const rows = emptyBitmap(this.size);
    if (!isNumberFact(scope)) return rows;
    const column = this.numbers[scope];
    const from = low ?? -Infinity;
    const to = high ?? Infinity;
    for (let at = 0, row = 0; at < rows.length; at++) {
      let word = 0;
      for (const end = Math.min(row + 32, column.length); row < end; row++) {
        const value = column[row]!;
        // Without a branch, which numbers in no order would mispredict half the time.
        word |= (Number(value >= from) & Number(value <= to)) << (row & 31);
      }
      rows[at] = word;
    }
    return rows;
  }

  private saying(scope: Scope, sequence: Sequence): Bitmap {
    const rows = emptyBitmap(this.size);
    const size = sequence.keys.length;
    if (!size) return rows;
    const choices = sequence.keys.map((key, i) =>
      i === size - 1 && sequence.prefix ? this.beginning(key, sequence.form) : this.wordsLike(key, sequence.form)
    );
    const [low, high] = fieldsOf(scope);
    const weights = choices.map((words) =>
      words.reduce((sum, word) => sum + this.firstAt(word, high + 1) - this.firstAt(word, low), 0)
    );
    const rarest = weights.indexOf(Math.min(...weights));
    for (const word of choices[rarest]!) {
      if (size === 1) this.mark(rows, this.firstAt(word, low), this.firstAt(word, high + 1));
      else for (let field = low; field <= high; field++) this.markPhrases(rows, word, rarest, choices, field);
    }
    return rows;
  }

  /** The first place of a word in a field or a later one. */
  private firstAt(word: number, field: number): number {
    let low = this.start[word]!;
    let high = this.start[word + 1]!;
    while (low < high) {
      const middle = (low + high) >>> 1;
      if ((this.places[middle]! & fieldMask) < field) low = middle + 1;
      else high = middle;
    }
    return low;
  }

  /** Marks the rows of some places. Within a field rows ascend, so most words of the set are written once. */
  private mark(rows: Bitmap, from: number, to: number): void {
    const { places } = this;
    let at = 0;
    let word = 0;
    for (let i = from; i < to; i++) {
      const row = places[i]! >>> fieldBits;
      if (row >>> 5 !== at) {
        rows[at]! |= word;
        at = row >>> 5;
        word = 0;
      }
      word |= 1 << (row & 31);
    }
    if (word) rows[at]! |= word;
  }

  /** Marks the rows where a word, itself at `own` in the phrase, has the other words of the phrase around it. */
  private markPhrases(rows: Bitmap, word: number, own: number, choices: readonly number[][], field: number): void {
    const from = this.firstAt(word, field);
    let candidates = new Uint32Array(this.firstAt(word, field + 1) - from);
    for (let i = 0; i < candidates.length; i++) candidates[i] = from + i;
    choices.forEach((words, i) => {
      if (i === own || !candidates.length) return;
      const other = words.length === 1 ? words[0]! : null;
      const others = other === null ? [0, 0] : [this.firstAt(other, field), this.firstAt(other, field + 1)];
      const left =
        other !== null && others[1]! - others[0]! < candidates.length * mergeUpTo
          ? this.keepBeside(candidates, others[0]!, others[1]!, i - own)
          : this.keepNeighbours(candidates, new Set(words), i - own);
      candidates = candidates.subarray(0, left);
    });
    for (let i = 0; i < candidates.length; i++) {
      const row = this.places[candidates[i]!]! >>> fieldBits;
      rows[row >>> 5]! |= 1 << (row & 31);
    }
  }

  /** Keeps candidates that have a word `offset` away, by going along both lists of positions. */
  private keepBeside(candidates: Uint32Array, from: number, to: number, offset: number): number {
    const { positions } = this;
    let other = from;
    let left = 0;
    for (let i = 0; i < candidates.length; i++) {
      const wanted = positions[candidates[i]!]! + offset;
      while (other < to && positions[other]! < wanted) other++;
      if (other === to) break;
      if (positions[other] === wanted) candidates[left++] = candidates[i]!;
    }
    return left;
  }

  /** Keeps candidates that have one of some words `offset` away, by looking at the stream. */
  private keepNeighbours(candidates: Uint32Array, words: ReadonlySet<number>, offset: number): number {
    const { positions, stream } = this;
    const only = words.size === 1 ? [...words][0]! : 0;
    let left = 0;
    for (let i = 0; i < candidates.length; i++) {
      const neighbour = stream[positions[candidates[i]!]! + offset] ?? 0;
      if (only ? neighbour === only : words.has(neighbour)) candidates[left++] = candidates[i]!;
    }
    return left;
  }

  /** The words of the vocabulary that the matching takes for the same. */
  private wordsLike(key: string, form: (key: string) => string): number[] {
    if (form === exactMatching.word) {
      const word = this.vocabulary.numberOf(key);
      return word === undefined ? [] : [word];
    }
    let groups = this.forms.get(form);
    if (!groups) {
      groups = new Map();
      for (let word = 1; word < this.vocabulary.words.length; word++) {
        const same = form(this.vocabulary.words[word]!);
        const group = groups.get(same);
        if (group) group.push(word);
        else groups.set(same, [word]);
      }
      this.forms.set(form, groups);
    }
    return groups.get(key) ?? [];
  }

  private beginning(prefix: string, form: (key: string) => string): number[] {
    if (form !== exactMatching.word) {
      const words: number[] = [];
      const all = this.vocabulary.words;
      for (let word = 1; word < all.length; word++) if (form(all[word]!).startsWith(prefix)) words.push(word);
      return words;
    }
    this.sorted ??= this.vocabulary.words.slice(1).sort();
    let low = 0;
    let high = this.sorted.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.sorted[middle]! < prefix) low = middle + 1;
      else high = middle;
    }
    const words: number[] = [];
    while (low < this.sorted.length && this.sorted[low]!.startsWith(prefix))
      words.push(this.vocabulary.numberOf(this.sorted[low++]!)!);
    return words;
  }
}

/**
 * Cuts texts that come again and again: titles, firms, towns, and the sentences of longer texts. Each is cut once, and
 * copied from where it stands in the stream. Where sentences hardly ever repeat, texts are cut whole.
 */
class Repeats {
  /** Where a text stands in the stream, and how many words it has. */
  private readonly places = new Map<string, number>();
  private readonly sizes: number[] = [];
  private readonly starts: number[] = [];
  private sentences = 0;
  private repeated = 0;
  private readonly stream: GrowingUint32;
  private readonly vocabulary: Vocabulary;
  private readonly push: (word: number) => void;

  constructor(stream: GrowingUint32, vocabulary: Vocabulary, push: (word: number) => void) {
    this.stream = stream;
    this.vocabulary = vocabulary;
    this.push = push;
  }

  cut(text: string): void {
    if (text.length <= longestKept) this.piece(text);
    else if (this.sentences > 5000 && this.repeated < this.sentences / 3) this.vocabulary.cut(text, this.push);
    else {
      // No word reaches over a space, so that a text may be cut sentence by sentence.
      for (let from = 0; from < text.length;) {
        const end = text.indexOf('. ', from);
        const to = end < 0 ? text.length : end + 2;
        this.sentences++;
        if (this.piece(text.slice(from, to))) this.repeated++;
        from = to;
      }
    }
  }

  /** Whether the text had been cut before. */
  private piece(text: string): boolean {
    const { stream } = this;
    const known = this.places.get(text);
    if (known !== undefined) {
      stream.copy(this.starts[known]!, this.sizes[known]!);
      return true;
    }
    const from = stream.length;
    this.vocabulary.cut(text, this.push);
    if (this.places.size < mostKept) {
      this.places.set(text, this.starts.length);
      this.starts.push(from);
      this.sizes.push(stream.length - from);
    }
    return false;
  }
}

function buildParts(people: PeopleList, vocabulary: Vocabulary, matching: Matching): IndexParts {
  const size = people.length;
  const ids: string[] = [];
  const numbers = Object.fromEntries(
    numberFacts.map((fact) => [fact, new Float64Array(size)])
  ) as IndexParts['numbers'];
  const fieldNumber = new Map(fields.map((field, i) => [field, i]));
  const stream = new GrowingUint32(size * 64);
  /** Place and end of each value, in pairs. */
  const values = new GrowingUint32(size * 32);
  // Words the source drops are met first, so that their numbers are the lowest, and never reach the stream.
  for (const word of matching.stopWords) vocabulary.cut(word, () => {});
  const dropped = vocabulary.words.length - 1;
  const push = dropped
    ? (word: number) => {
        if (word > dropped) stream.push(word);
      }
    : (word: number) => stream.push(word);
  const repeats = new Repeats(stream, vocabulary, push);
  let row = 0;
  const tell = (field: Field, text: string) => {
    if (field === 'name') vocabulary.cut(text, push);
    else repeats.cut(text);
    stream.push(0);
    values.push((row << fieldBits) | fieldNumber.get(field)!);
    values.push(stream.length);
  };
  for (; row < size; row++) {
    const person = people.at(row)!;
    ids.push(person.id);
    for (const fact of numberFacts) numbers[fact][row] = numberOf(person, fact) ?? Number.NaN;
    eachValue(person, tell);
  }
  const sorted = sortPlaces(stream.toArray(), values.view(), vocabulary.words.length);
  return { ids, words: vocabulary.words, numbers, ...sorted };
}

/** Counting sort of the stream's positions by word, and within a word by field; each with its row and field. */
function sortPlaces(stream: Uint32Array, values: Uint32Array, words: number) {
  const total = stream.length - values.length / 2;
  const start = new Uint32Array(words + 1);
  const positions = new Uint32Array(total);
  const places = new Uint32Array(total);
  for (let at = 0; at < stream.length; at++) if (stream[at]) start[stream[at]! + 1]!++;
  for (let word = 1; word < start.length; word++) start[word]! += start[word - 1]!;
  const next = start.slice();
  for (const value of inFieldOrder(values)) {
    const place = values[value]!;
    // The last position of a value is the 0 that ends it.
    const end = values[value + 1]! - 1;
    for (let at = value ? values[value - 1]! : 0; at < end; at++) {
      const to = next[stream[at]!]!++;
      positions[to] = at;
      places[to] = place;
    }
  }
  return { stream, start, positions, places };
}

/** Where each value's pair begins, values of the first field first, otherwise in order. */
function inFieldOrder(values: Uint32Array): Uint32Array {
  const next = new Uint32Array(fields.length + 1);
  for (let value = 0; value < values.length; value += 2) next[(values[value]! & fieldMask) + 1]!++;
  for (let field = 1; field < next.length; field++) next[field]! += next[field - 1]!;
  const order = new Uint32Array(values.length / 2);
  for (let value = 0; value < values.length; value += 2) order[next[values[value]! & fieldMask]!++] = value;
  return order;
}

/** First and last of the fields that a scope searches; `fields` keeps each scope's together. */
function fieldsOf(scope: Scope): [number, number] {
  const searched = fields.map((field) => searches(scope, field));
  return [searched.indexOf(true), searched.lastIndexOf(true)];
}
