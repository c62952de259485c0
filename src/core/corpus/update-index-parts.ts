import type { NumberFact } from '../language/scopes';
import { fields } from '../people/fields';
import { commonWords } from './common-words';
import type { IndexParts } from './index-parts';
import { sumUp, valueParts } from './value-parts';

/** What has become of the people of an index. */
export interface PeopleChanged {
  /**
   * For each person there is now, in their order: the row they had before where they are as they were, or else `-1 - row`
   * of the row that they have in `remade`.
   */
  from: Int32Array;
  /** An index of those only who are new or have changed, built with the same matching. */
  remade: IndexParts;
  /** What is added to a number of those who are as they were, as days to a time since: nothing where left out. */
  aged?: Partial<Record<NumberFact, number>>;
}

/**
 * The parts of an index after some of its people have changed, come or gone: what one rebuilt over all of them would find,
 * without making anybody again who is as they were. Linear in the size of the index, in a few passes over its arrays.
 */
export function updateIndexParts(base: IndexParts, { from, remade, aged = {} }: PeopleChanged): IndexParts {
  const { words, wordOf } = joinWords(base.words, remade.words);
  const known = base.begins.length;
  const { stream, begins } = joinStreams(base, remade, wordOf);
  const own = [...new Set([...base.own, ...remade.own])];
  const fieldOf = new Uint32Array(begins.length);
  fieldOf.set(fieldsOf(base));
  fieldOf.set(
    fieldsOf(remade).map((field) => {
      const name = remade.own[field - fields.length];
      return name === undefined ? field : fields.length + own.indexOf(name);
    }),
    known
  );
  const same = sameValues({ stream, begins, fieldOf }, known);
  const had = joinHad(from, valuesOf(base), valuesOf(remade), (value) => same[value]!);
  const ids = Array.from(from, (row) => (row >= 0 ? base.ids[row]! : remade.ids[-1 - row]!));
  const numbers = {} as IndexParts['numbers'];
  const facts = new Set([...Object.keys(base.numbers), ...Object.keys(remade.numbers)]) as Set<NumberFact>;
  for (const fact of facts) {
    const column = base.numbers[fact] as Float64Array | undefined;
    const more = aged[fact] ?? 0;
    const now = (numbers[fact] = new Float64Array(from.length));
    const rebuilt = remade.numbers[fact] as Float64Array | undefined;
    for (let row = 0; row < from.length; row++) {
      const before = from[row]!;
      now[row] = (before >= 0 ? column && column[before]! + more : rebuilt?.[-1 - before]) ?? Number.NaN;
    }
  }
  const held = onlyHeld({ stream, begins, fieldOf, ...had });
  const parts = { ids, words, numbers, own, ...valueParts(held, words.length, own.length) };
  return { ...parts, ...commonWords(parts) };
}

/** The words of both, those of the first under their numbers; `wordOf` gives the number of each word of the second. */
function joinWords(first: readonly string[], second: readonly string[]) {
  const words = [...first];
  const numbers = new Map(first.map((word, number) => [word, number]));
  const wordOf = Uint32Array.from(second, (word) => {
    let number = numbers.get(word);
    if (number === undefined) {
      numbers.set(word, (number = words.length));
      words.push(word);
    }
    return number;
  });
  return { words, wordOf };
}

function joinStreams(base: IndexParts, remade: IndexParts, wordOf: Uint32Array) {
  const stream = new Uint32Array(base.stream.length + remade.stream.length);
  stream.set(base.stream);
  remade.stream.forEach((word, at) => (stream[base.stream.length + at] = wordOf[word]!));
  const begins = new Uint32Array(base.begins.length + remade.begins.length);
  begins.set(base.begins);
  remade.begins.forEach((at, value) => (begins[base.begins.length + value] = at + base.stream.length));
  return { stream, begins };
}

/** The number of each value's field. */
function fieldsOf({ begins, fieldStarts }: IndexParts): Uint32Array {
  const fieldOf = new Uint32Array(begins.length);
  for (let field = 0; field + 1 < fieldStarts.length; field++)
    fieldOf.fill(field, fieldStarts[field], fieldStarts[field + 1]);
  return fieldOf;
}

/** For each value, the one of the first `known` that says the same words in the same field, or itself where there is none. */
function sameValues(
  { stream, begins, fieldOf }: { stream: Uint32Array; begins: Uint32Array; fieldOf: Uint32Array },
  known: number
): Uint32Array {
  const same = Uint32Array.from(begins, (_, value) => value);
  const hashOf = (value: number) => {
    let hash = Math.imul(fieldOf[value]! + 1, 0x9e3779b1);
    for (let at = begins[value]!; stream[at] !== 0; at++) hash = Math.imul(hash ^ stream[at]!, 0x01000193);
    return (hash ^ (hash >>> 15)) >>> 0;
  };
  const isSame = (a: number, b: number) => {
    if (fieldOf[a] !== fieldOf[b]) return false;
    let i = begins[a]!;
    let j = begins[b]!;
    while (stream[i] !== 0 && stream[i] === stream[j]) {
      i++;
      j++;
    }
    return stream[i] === stream[j];
  };
  // A hash table of the few that are remade, in plain arrays: those known are many, and are only looked up.
  const mask = 2 ** Math.ceil(Math.log2(begins.length - known + 2)) * 4 - 1;
  const heads = new Int32Array(mask + 1).fill(-1);
  const next = new Int32Array(begins.length - known);
  for (let value = known; value < begins.length; value++) {
    const slot = hashOf(value) & mask;
    next[value - known] = heads[slot]!;
    heads[slot] = value;
  }
  for (let value = 0; value < known; value++)
    for (let other = heads[hashOf(value) & mask]!; other >= 0; other = next[other - known]!)
      if (same[other] === other && isSame(value, other)) same[other] = value;
  return same;
}

/** The values of each person, one person after the other: the holders of each value, the other way round. */
function valuesOf({ holders, holderStarts, ids }: IndexParts) {
  const rowStarts = new Uint32Array(ids.length + 1);
  for (let at = 0; at < holders.length; at++) rowStarts[holders[at]! + 1]!++;
  sumUp(rowStarts);
  const next = rowStarts.slice();
  const had = new Uint32Array(holders.length);
  for (let value = 0; value + 1 < holderStarts.length; value++)
    for (let at = holderStarts[value]!, end = holderStarts[value + 1]!; at < end; at++)
      had[next[holders[at]!]!++] = value;
  return { had, rowStarts, values: holderStarts.length - 1 };
}

function joinHad(
  from: Int32Array,
  base: ReturnType<typeof valuesOf>,
  remade: ReturnType<typeof valuesOf>,
  sameAs: (value: number) => number
) {
  const rowStarts = new Uint32Array(from.length);
  let length = 0;
  from.forEach((before, row) => {
    const [{ rowStarts: starts }, at] = before >= 0 ? [base, before] : [remade, -1 - before];
    rowStarts[row] = length;
    length += starts[at + 1]! - starts[at]!;
  });
  const had = new Uint32Array(length);
  from.forEach((before, row) => {
    let to = rowStarts[row]!;
    if (before >= 0) had.set(base.had.subarray(base.rowStarts[before], base.rowStarts[before + 1]), to);
    else
      for (let i = remade.rowStarts[-1 - before]!, end = remade.rowStarts[-before]!; i < end; i++)
        had[to++] = sameAs(base.values + remade.had[i]!);
  });
  return { had, rowStarts };
}

/** Without the values that nobody has any more. */
function onlyHeld(values: Parameters<typeof valueParts>[0]): Parameters<typeof valueParts>[0] {
  const { had, rowStarts } = values;
  const number = new Uint32Array(values.begins.length);
  for (let i = 0; i < had.length; i++) number[had[i]!] = 1;
  let kept = 0;
  let length = 0;
  for (let value = 0; value < number.length; value++) {
    if (!number[value]) continue;
    number[value] = ++kept;
    for (let at = values.begins[value]!; values.stream[at] !== 0; at++) length++;
    length++;
  }
  const stream = new Uint32Array(length);
  const begins = new Uint32Array(kept);
  const fieldOf = new Uint32Array(kept);
  let to = 0;
  for (let value = 0; value < number.length; value++) {
    const now = number[value]! - 1;
    if (now < 0) continue;
    begins[now] = to;
    fieldOf[now] = values.fieldOf[value]!;
    for (let at = values.begins[value]!, word = -1; word !== 0; at++) stream[to++] = word = values.stream[at]!;
  }
  return { stream, begins, fieldOf, had: had.map((value) => number[value]! - 1), rowStarts };
}
