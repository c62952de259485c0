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
import { fields, numberOf, searches, valuesOf } from './values';

/** Bytes of found sets that an index keeps at most. */
const keptBytes = 64 * 1024 * 1024;
/** A phrase is found along two lists of positions while the longer is up to so many times the shorter; then by looking. */
const mergeUpTo = 12;
/** Bits of a place that hold its field; the rest hold its row. */
const fieldBits = 5;
const fieldMask = (1 << fieldBits) - 1;

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
  private readonly ids: string[];
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

  private constructor(people: readonly Person[], matching: Matching) {
    this.matching = matching;
    this.size = people.length;
    this.ids = people.map((person) => person.id);
    this.numbers = Object.fromEntries(
      numberFacts.map((fact) => [fact, Float64Array.from(people, (person) => numberOf(person, fact) ?? Number.NaN)])
    ) as Record<NumberFact, Float64Array>;

    const vocabulary = new Vocabulary();
    const fieldNumber = new Map(fields.map((field, i) => [field, i]));
    const stream = new GrowingUint32(people.length * 64);
    /** Place and end of each value, in pairs. */
    const values = new GrowingUint32(people.length * 32);
    // Words the source drops are met first, so that their numbers are the lowest, and never reach the stream.
    for (const word of matching.stopWords) vocabulary.cut(word, () => {});
    const dropped = vocabulary.words.length - 1;
    const push = dropped ? (word: number) => word > dropped && stream.push(word) : (word: number) => stream.push(word);
    people.forEach((person, row) => {
      for (const { field, text } of valuesOf(person)) {
        vocabulary.cut(text, push);
        stream.push(0);
        values.push((row << fieldBits) | fieldNumber.get(field)!);
        values.push(stream.length);
      }
    });
    this.stream = stream.toArray();
    this.vocabulary = vocabulary;
    const total = this.stream.length - values.length / 2;
    this.start = new Uint32Array(vocabulary.words.length + 1);
    this.positions = new Uint32Array(total);
    this.places = new Uint32Array(total);
    this.sortPlaces(values.toArray());
  }

  /** Builds an index over people; `matching` is how their source compares words. */
  static from(people: Iterable<Person>, matching: Matching = exactMatching): PeopleIndex {
    return new PeopleIndex(Array.isArray(people) ? people : [...people], matching);
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
    const weights = choices.map((words) =>
      words.reduce((sum, word) => sum + this.start[word + 1]! - this.start[word]!, 0)
    );
    const rarest = weights.indexOf(Math.min(...weights));
    const [low, high] = fieldsOf(scope);
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

  /** Counting sort of the stream's positions by word, and within a word by field; each with its row and field. */
  private sortPlaces(values: Uint32Array): void {
    const { stream, start, positions, places } = this;
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
  }
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
