import { sequencesOf, type Sequence } from '../semantics/leaf';
import { rangeOf } from '../semantics/matches';
import { exactMatching, type Matching } from '../semantics/exact-matching';
import { keyOf } from '../language/key';
import { isTerm, type And, type Phrase, type Query, type Range, type Term, type Word } from '../language/query';
import type { ListedScopes } from '../semantics/truth';
import {
  isNumberFact,
  isTextScope,
  takesRange,
  type NamedFact,
  type NumberFact,
  type OwnScope,
  type Scope,
  type TextScope
} from '../language/scopes';
import {
  addAll,
  countBits,
  countCommon,
  emptyBitmap,
  fullBitmap,
  hasBit,
  keepCommon,
  rowsOf,
  setBit,
  takeOut,
  type Bitmap
} from './bitmap';
import { buildIndexParts } from './build-index-parts';
import type { IndexParts, PeopleList } from './index-parts';
import type { Person } from '../people/person';
import type { Field } from '../people/fields';
import { addHolders, valuesIn, valuesWith } from './postings';
import { valuesHeld, type ValueHeld } from './values-held';
import { Vocabulary } from './vocabulary';
import { checkpoint } from '../language/checkpoint';

/** The people that a query finds for certain, and those it finds certainly or possibly. */
export interface Readings {
  certain: Bitmap;
  possible: Bitmap;
}

/** A field that a scope searches: of several, a text. */
const fieldOf = (scope: Scope): Field => (scope === 'any' ? 'name' : (scope as Field));

/** Bytes of found sets that an index keeps at most. */
const maxCacheBytes = 64 * 1024 * 1024;
/** The candidates for a phrase are filtered by its other words first, except those whose posting list is more than so many times the rarest word's. */
const maxFilterWeight = 12;

/**
 * An inverted index over people. Each different value (a title, a firm, a text about oneself) is held once, as a row of word
 * numbers; for each word the index knows the values that hold it, and for each value the people who have it. A phrase is
 * looked for in the values that hold its rarest word, however many people have them. People keep the order given, which
 * is also the order of every answer.
 *
 * @example
 * const index = PeopleIndex.from(people);
 * index.count(parse('title:"head of quality" NOT software').query!); // 12
 */
export class PeopleIndex {
  readonly size: number;
  /** Ids of the people, in their order. */
  readonly ids: readonly string[];
  private readonly found = new Map<string, Bitmap>();
  private readonly unlisted = new Map<Scope, Bitmap>();
  private sorted: string[] | null = null;
  private readonly forms = new Map<(key: string) => string, Map<string, number[]>>();

  private constructor(
    /** All it is made of, to be kept and read back by `fromParts`. Shared: not to be changed. */
    readonly parts: IndexParts,
    private readonly vocabulary: Vocabulary,
    private readonly matching: Matching
  ) {
    this.ids = parts.ids;
    this.size = parts.ids.length;
    this.everybody = fullBitmap(this.size);
  }

  /**
   * Builds an index over people; `matching` is how their source compares words. A list that makes its people as they are
   * asked for is gone through once, person by person, and none is kept.
   */
  static from(people: PeopleList | Iterable<Person>, matching: Matching = exactMatching): PeopleIndex {
    const list = 'at' in people ? people : [...people];
    const vocabulary = new Vocabulary();
    return new PeopleIndex(buildIndexParts(list, vocabulary, matching), vocabulary, matching);
  }

  /** The index whose parts were kept; `matching` must be the one it was built with. */
  static fromParts(parts: IndexParts, matching: Matching = exactMatching): PeopleIndex {
    return new PeopleIndex(parts, Vocabulary.of(parts.words), matching);
  }

  /** Groups the words that its matching takes for the same, which the first question would wait for otherwise. */
  prepare(): void {
    for (const form of [this.matching.word, this.matching.phrase]) this.wordsLike('', form);
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

  /**
   * Values of a scope that most people have, those with a word that begins with `begins` (folded; empty for all). Numbers are no
   * values, and the whole profile has none of its own.
   */
  valuesHeld(scope: Scope, begins: string, limit: number): ValueHeld[] {
    if (scope === 'any' || isNumberFact(scope)) return [];
    const words = begins ? this.beginning(begins, exactMatching.word) : null;
    return valuesHeld(this.parts, valuesIn(scope, this.parts), words, limit);
  }

  /** People with an unknown fact. Shared: don't modify. */
  lacking(scope: Exclude<Scope, TextScope>): Bitmap {
    let rows = this.unlisted.get(scope);
    if (!rows) this.unlisted.set(scope, (rows = isNumberFact(scope) ? this.withoutNumber(scope) : this.without(scope)));
    return rows;
  }

  private withoutNumber(fact: NumberFact): Bitmap {
    const rows = emptyBitmap(this.size);
    this.parts.numbers[fact].forEach((value, row) => {
      if (Number.isNaN(value)) setBit(rows, row);
    });
    return rows;
  }

  private without(scope: NamedFact | OwnScope): Bitmap {
    const { holderStarts, holders } = this.parts;
    const [from, to] = valuesIn(scope, this.parts);
    const rows = fullBitmap(this.size);
    const has = emptyBitmap(this.size);
    for (let at = holderStarts[from]!, end = holderStarts[to]!; at < end; at++) setBit(has, holders[at]!);
    takeOut(rows, has);
    return rows;
  }

  /** The people it finds as a set of row numbers. Shared: not to be changed. */
  rows(query: Query): Bitmap {
    checkpoint();
    const key = keyOf(query);
    const known = this.found.get(key);
    if (known) return known;
    const rows = this.work(query);
    this.keep(key, rows);
    return rows;
  }

  private keep(key: string, rows: Bitmap): void {
    if ((this.found.size + 1) * rows.byteLength > maxCacheBytes) this.found.delete(this.found.keys().next().value!);
    this.found.set(key, rows);
  }

  /**
   * The people that a query finds certainly and possibly, by Kleene's three values (`truthOf`): `possible` includes the
   * certain ones and everybody that nothing listed contradicts. `ofTerm` overrides how a term is read. Shared: don't modify.
   */
  readings(query: Query, listed: ListedScopes, ofTerm: (term: Term) => Readings | null = () => null): Readings {
    if (isTerm(query)) {
      const given = ofTerm(query);
      if (given) return given;
      const certain = this.rows(query);
      return { certain, possible: this.leftOpen(query, certain, listed) };
    }
    const parts = query.kind === 'not' ? [query.part] : query.parts;
    const sides = parts.map((part) => this.readings(part, listed, ofTerm));
    // Where nothing is left open the sets of the whole are kept, and counted as ever.
    if (sides.every(({ certain, possible }) => certain === possible)) {
      const certain = this.rows(query);
      return { certain, possible: certain };
    }
    const [first] = sides;
    if (query.kind === 'not') return { certain: this.others(first!.possible), possible: this.others(first!.certain) };
    const combined = (which: keyof Readings) => {
      const rows = first![which].slice();
      for (const side of sides.slice(1)) (query.kind === 'and' ? keepCommon : addAll)(rows, side[which]);
      return rows;
    };
    return { certain: combined('certain'), possible: combined('possible') };
  }

  private leftOpen(term: Term, met: Bitmap, listed: ListedScopes): Bitmap {
    const range = rangeOf(term);
    const { scope } = term;
    if (range === 'never' || (range && (range.low ?? -Infinity) > (range.high ?? Infinity))) return met;
    if (range === null && !sequencesOf(term as Word | Phrase, this.matching)(fieldOf(scope)).keys.length) return met;
    if (isTextScope(scope)) return listed.has(scope) ? met : this.everybody;
    const unknown = this.lacking(scope);
    if (!countBits(unknown)) return met;
    const key = `${keyOf(term)}?`;
    let open = this.found.get(key);
    if (!open) {
      open = met.slice();
      addAll(open, unknown);
      this.keep(key, open);
    }
    return open;
  }

  private others(rows: Bitmap): Bitmap {
    const others = fullBitmap(this.size);
    takeOut(others, rows);
    return others;
  }

  private readonly everybody: Bitmap;

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
        const { scope } = term;
        const sequenceIn = sequencesOf(term, this.matching);
        const inText = sequenceIn(fieldOf(scope));
        const inPlace = scope === 'any' ? sequenceIn('place') : inText;
        const [from, to] = valuesIn(scope, this.parts);
        if (inPlace.keys.length === inText.keys.length) return this.saying(inText, from, to, scope === 'any');
        // Nothing is dropped in a place, which is a fact, though `any` searches it too: it is the last that it searches.
        const [place] = valuesIn('place', this.parts);
        const rows = this.saying(inPlace, place, to, false).slice();
        addAll(rows, this.saying(inText, from, place, false));
        return rows;
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
    const { stream, begins, wordStarts, values, holderStarts, holders, commonRows, numbers } = this.parts;
    const columns = Object.values(numbers);
    return [stream, begins, wordStarts, values, holderStarts, holders, commonRows, ...columns].reduce(
      (sum, array) => sum + array!.byteLength,
      0
    );
  }

  private between({ scope, low, high }: Range): Bitmap {
    const rows = emptyBitmap(this.size);
    if (!takesRange(scope)) return rows;
    const column = this.parts.numbers[scope];
    if (!column) return rows;
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

  /** Those who say a sequence in the values from one to before another, which may be all that `any` searches. */
  private saying(sequence: Sequence, from: number, to: number, anywhere: boolean): Bitmap {
    const size = sequence.keys.length;
    const choices = sequence.keys.map((key, i) =>
      i === size - 1 && sequence.prefix ? this.beginning(key, sequence.form) : this.wordsLike(key, sequence.form)
    );
    if (size === 1) return this.union(choices[0]!, from, to, anywhere);
    const rows = emptyBitmap(this.size);
    if (!size) return rows;
    // For each position of the phrase, the values with a word that may stand there.
    const holding = choices.map((words) => words.map((word) => valuesWith(word, from, to, this.parts)));
    for (const values of this.candidates(holding, from, to))
      addHolders(rows, this.keepSequence(values, choices), this.parts);
    return rows;
  }

  /** Those who say one of some words in the values from one to before another, which may be all that `any` searches. */
  private union(words: readonly number[], from: number, to: number, anywhere: boolean): Bitmap {
    const common = words.map((word) => (anywhere ? this.common(word) : null));
    if (words.length === 1 && common[0]) return common[0];
    const rows = emptyBitmap(this.size);
    words.forEach((word, i) => {
      if (common[i]) addAll(rows, common[i]);
      else addHolders(rows, valuesWith(word, from, to, this.parts), this.parts);
    });
    return rows;
  }

  /** Those who say a word that is common; null where it is not. */
  private common(word: number): Bitmap | null {
    const { commonWords, commonRows } = this.parts;
    const at = commonWords.indexOf(word);
    if (at < 0) return null;
    const width = commonRows.length / commonWords.length;
    return commonRows.subarray(at * width, (at + 1) * width);
  }

  /** Values that may hold a phrase: those with its rarest word, without those that can't have the others in place. */
  private candidates(holding: readonly Uint32Array[][], from: number, to: number): Uint32Array[] {
    const weights = holding.map((lists) => lists.reduce((sum, { length }) => sum + length, 0));
    const weight = Math.min(...weights);
    const rarest = weights.indexOf(weight);
    let left = holding[rarest]!;
    if (!weight) return [];
    holding.forEach((lists, i) => {
      if (i === rarest || weights[i]! > weight * maxFilterWeight) return;
      const sieve = emptyBitmap(to - from);
      for (const values of lists) for (let at = 0; at < values.length; at++) setBit(sieve, values[at]! - from);
      left = left.map((values) => {
        const kept = new Uint32Array(values.length);
        let length = 0;
        for (let at = 0; at < values.length; at++) if (hasBit(sieve, values[at]! - from)) kept[length++] = values[at]!;
        return kept.subarray(0, length);
      });
    });
    return left;
  }

  /** The values among some in which words stand side by side, one of the choices at each place. */
  private keepSequence(values: Uint32Array, choices: readonly number[][]): Uint32Array {
    const { stream, begins } = this.parts;
    const only = Uint32Array.from(choices, (words) => (words.length === 1 ? words[0]! : 0));
    const sets = choices.map((words) => new Set(words));
    const size = only.length;
    const first = only[0]!;
    const kept = new Uint32Array(values.length);
    let length = 0;
    for (let i = 0; i < values.length; i++) {
      for (let at = begins[values[i]!]!; stream[at] !== 0; at++) {
        const word = stream[at]!;
        if (first ? word !== first : !sets[0]!.has(word)) continue;
        let place = 1;
        // A value ends with a 0, which is no word: nothing is looked at behind it.
        while (
          place < size &&
          (only[place] ? stream[at + place] === only[place] : sets[place]!.has(stream[at + place]!))
        )
          place++;
        if (place < size) continue;
        kept[length++] = values[i]!;
        break;
      }
    }
    return kept.subarray(0, length);
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
