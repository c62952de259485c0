import { sequenceOf, type Sequence } from '../query/leaf';
import { rangeOf } from '../query/matches';
import { exactMatching, type Matching } from '../query/matching';
import type { Phrase, Query, Range, Word } from '../query/query';
import { isNumberFact, numberFacts, type NumberFact, type Scope } from '../query/scopes';
import { tokenKeys } from '../query/tokens';
import { countBits, emptyBitmap, fullBitmap, intersect, rowsOf, setBit, subtract, unite, type Bitmap } from './bitmap';
import { GrowingUint32 } from './growing-array';
import type { Person } from './person';
import { fields, numberOf, searches, valuesOf } from './values';

/** Bytes of found sets that an index keeps at most. */
const keptBytes = 64 * 1024 * 1024;
/** Every how many positions of the stream the row is written down. */
const landmark = 64;
/** Values up to this many characters are expected to recur (titles, firms, places) and are cut into words once. */
const recurring = 80;

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
  private readonly vocabulary: Map<string, number>;
  /** Word numbers in reading order; 0 ends a value. */
  private readonly stream: Uint32Array;
  /** Field number of each position of the stream. */
  private readonly fieldAt: Uint8Array;
  /** First position of each row, and one past the last. */
  private readonly rowStart: Uint32Array;
  /** Row at every `landmark`th position. */
  private readonly rowAtLandmark: Uint32Array;
  /** Positions of word w: `positions[start[w] .. start[w + 1]]`, ascending. */
  private readonly start: Uint32Array;
  private readonly positions: Uint32Array;
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

    const vocabulary = new Map<string, number>();
    const numberOfWord = (key: string) => {
      let word = vocabulary.get(key);
      if (word === undefined) vocabulary.set(key, (word = vocabulary.size + 1));
      return word;
    };
    const known = new Map<string, number[]>();
    const wordsOf = (text: string) => {
      let words = known.get(text);
      if (!words) {
        words = tokenKeys(text).map(numberOfWord);
        if (text.length <= recurring) known.set(text, words);
      }
      return words;
    };
    const fieldNumber = new Map(fields.map((field, i) => [field, i]));
    const stream = new GrowingUint32(people.length * 64);
    const fieldRuns = new GrowingUint32(people.length * 32);
    this.rowStart = new Uint32Array(people.length + 1);
    people.forEach((person, row) => {
      this.rowStart[row] = stream.length;
      for (const { field, text } of valuesOf(person)) {
        const words = wordsOf(text);
        for (let i = 0; i < words.length; i++) stream.push(words[i]!);
        stream.push(0);
        fieldRuns.push(fieldNumber.get(field)!);
        fieldRuns.push(stream.length);
      }
    });
    this.stream = stream.toArray();
    this.rowStart[people.length] = this.stream.length;
    this.vocabulary = vocabulary;

    this.fieldAt = new Uint8Array(this.stream.length);
    const runs = fieldRuns.toArray();
    for (let i = 0, from = 0; i < runs.length; i += 2) {
      this.fieldAt.fill(runs[i]!, from, runs[i + 1]!);
      from = runs[i + 1]!;
    }
    this.rowAtLandmark = landmarks(this.rowStart, this.stream.length);
    this.start = new Uint32Array(vocabulary.size + 2);
    this.positions = new Uint32Array(this.stream.length - runs.length / 2);
    this.sortPositions();
  }

  /** Builds an index over people; `matching` is how their source compares words. */
  static from(people: Iterable<Person>, matching: Matching = exactMatching): PeopleIndex {
    return new PeopleIndex(Array.isArray(people) ? people : [...people], matching);
  }

  /** How many people the query finds. */
  count(query: Query): number {
    return countBits(this.rows(query));
  }

  /** The ids of the people it finds, in the order the people were given; at most `limit`. */
  find(query: Query, limit = Infinity): string[] {
    return rowsOf(this.rows(query), limit).map((row) => this.ids[row]!);
  }

  /** The people it finds as a set of row numbers. Shared: not to be changed. */
  rows(query: Query): Bitmap {
    switch (query.kind) {
      case 'and': {
        const wanted = query.parts.filter((part) => part.kind !== 'not');
        const base = wanted.length ? wanted.map((part) => this.rows(part)).reduce(intersect) : fullBitmap(this.size);
        return query.parts.reduce(
          (rows, part) => (part.kind === 'not' ? subtract(rows, this.rows(part.part)) : rows),
          base
        );
      }
      case 'or':
        return query.parts.map((part) => this.rows(part)).reduce(unite);
      case 'not':
        return subtract(fullBitmap(this.size), this.rows(query.part));
      default:
        return this.kept(query);
    }
  }

  /** Bytes held by the index itself, without the people and the vocabulary's strings. */
  get bytes(): number {
    return [this.stream, this.fieldAt, this.rowStart, this.rowAtLandmark, this.start, this.positions]
      .concat(Object.values(this.numbers) as never[])
      .reduce((sum, array) => sum + array.byteLength, 0);
  }

  private kept(term: Word | Phrase | Range): Bitmap {
    const key =
      term.kind === 'range'
        ? `${term.scope}[${term.low} ${term.high}`
        : `${term.scope}${term.kind === 'word' && term.prefix ? '*' : term.kind[0]}${term.text}`;
    const known = this.found.get(key);
    if (known) return known;
    const range = rangeOf(term);
    const rows =
      range === 'never'
        ? emptyBitmap(this.size)
        : range
          ? this.between(range)
          : this.saying((term as Word | Phrase).scope, sequenceOf(term as Word | Phrase, this.matching));
    if ((this.found.size + 1) * rows.byteLength > keptBytes) this.found.delete(this.found.keys().next().value!);
    this.found.set(key, rows);
    return rows;
  }

  private between({ scope, low, high }: Range): Bitmap {
    const rows = emptyBitmap(this.size);
    if (!isNumberFact(scope)) return rows;
    const column = this.numbers[scope];
    const from = low ?? -Infinity;
    const to = high ?? Infinity;
    for (let row = 0; row < column.length; row++) {
      const value = column[row]!;
      if (value >= from && value <= to) setBit(rows, row);
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
    if (weights[rarest] === 0) return rows;
    const searched = Uint8Array.from(fields, (field) => (searches(scope, field) ? 1 : 0));
    const others = choices
      .map((words, i) => ({ offset: i - rarest, only: words.length === 1 ? words[0]! : 0, words: new Set(words) }))
      .filter(({ offset }) => offset !== 0);
    const { stream, fieldAt, positions, start, rowStart, rowAtLandmark } = this;
    for (const word of choices[rarest]!) {
      let row = 0;
      next: for (let i = start[word]!; i < start[word + 1]!; i++) {
        const at = positions[i]!;
        if (searched[fieldAt[at]!] === 0) continue;
        for (const other of others) {
          const neighbour = stream[at + other.offset] ?? 0;
          if (other.only ? neighbour !== other.only : !other.words.has(neighbour)) continue next;
        }
        if (rowStart[row + 1]! <= at) {
          row = Math.max(row, rowAtLandmark[(at / landmark) | 0]!);
          while (rowStart[row + 1]! <= at) row++;
        }
        rows[row >>> 5]! |= 1 << (row & 31);
      }
    }
    return rows;
  }

  /** The words of the vocabulary that the matching takes for the same. */
  private wordsLike(key: string, form: (key: string) => string): number[] {
    if (form === exactMatching.word) {
      const word = this.vocabulary.get(key);
      return word === undefined ? [] : [word];
    }
    let groups = this.forms.get(form);
    if (!groups) {
      groups = new Map();
      for (const [text, word] of this.vocabulary) {
        const same = form(text);
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
      for (const [text, word] of this.vocabulary) if (form(text).startsWith(prefix)) words.push(word);
      return words;
    }
    this.sorted ??= [...this.vocabulary.keys()].sort();
    let low = 0;
    let high = this.sorted.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (this.sorted[middle]! < prefix) low = middle + 1;
      else high = middle;
    }
    const words: number[] = [];
    while (low < this.sorted.length && this.sorted[low]!.startsWith(prefix))
      words.push(this.vocabulary.get(this.sorted[low++]!)!);
    return words;
  }

  /** Counting sort of the stream's positions by word. */
  private sortPositions(): void {
    const { stream, start, positions } = this;
    for (let at = 0; at < stream.length; at++) if (stream[at]) start[stream[at]! + 1]!++;
    for (let word = 1; word < start.length; word++) start[word]! += start[word - 1]!;
    const next = start.slice();
    for (let at = 0; at < stream.length; at++) {
      const word = stream[at]!;
      if (word) positions[next[word]!++] = at;
    }
  }
}

function landmarks(rowStart: Uint32Array, length: number): Uint32Array {
  const rows = new Uint32Array(Math.ceil(length / landmark));
  let row = 0;
  for (let i = 0; i < rows.length; i++) {
    while (rowStart[row + 1]! <= i * landmark) row++;
    rows[i] = row;
  }
  return rows;
}
