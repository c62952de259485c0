/** A set of row numbers, one bit a row. */
export type Bitmap = Int32Array;

export const emptyBitmap = (size: number): Bitmap => new Int32Array((size + 31) >>> 5);

/** Every row below `size`. */
export const fullBitmap = (size: number): Bitmap => setAll(emptyBitmap(size), size);

/** Puts every row below `size` into a set made for that many. */
export function setAll(bits: Bitmap, size: number): Bitmap {
  bits.fill(-1);
  if (size & 31) bits[bits.length - 1] = (1 << (size & 31)) - 1;
  return bits;
}

export function setBit(bits: Bitmap, row: number): void {
  bits[row >>> 5]! |= 1 << (row & 31);
}

export const hasBit = (bits: Bitmap, row: number): boolean => (bits[row >>> 5]! & (1 << (row & 31))) !== 0;

/** Keeps in `rows` what is also in `others`. */
export function keepCommon(rows: Bitmap, others: Bitmap): void {
  for (let i = 0; i < rows.length; i++) rows[i]! &= others[i]!;
}

/** Adds to `rows` what is in `others`. */
export function addAll(rows: Bitmap, others: Bitmap): void {
  for (let i = 0; i < rows.length; i++) rows[i]! |= others[i]!;
}

/** Takes out of `rows` what is in `others`. */
export function takeOut(rows: Bitmap, others: Bitmap): void {
  for (let i = 0; i < rows.length; i++) rows[i]! &= ~others[i]!;
}

/** Bits of one word, counted in parallel, as in Warren, Hacker's Delight, chapter 5 (from memory). */
export function bitsOf(word: number): number {
  word = (word - ((word >>> 1) & 0x55555555)) | 0;
  word = (word & 0x33333333) + ((word >>> 2) & 0x33333333);
  return Math.imul((word + (word >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
}

/** How many rows are in the set. */
export function countBits(rows: Bitmap): number {
  let total = 0;
  for (let i = 0; i < rows.length; i++) total += bitsOf(rows[i]!);
  return total;
}

/** How many rows go and come from one set to another. Most changes touch few: words that are the same are passed over. */
export function countChanged(from: Bitmap, to: Bitmap): { gone: number; come: number } {
  let [gone, come] = [0, 0];
  for (let i = 0; i < from.length; i++) {
    const differs = from[i]! ^ to[i]!;
    if (differs === 0) continue;
    gone += bitsOf(differs & from[i]!);
    come += bitsOf(differs & to[i]!);
  }
  return { gone, come };
}

/**
 * How many rows are in every wanted set and in no excluded one. At least one set is wanted. Most strings have a few
 * parts: up to three wanted sets and one excluded are met in one pass that writes nothing.
 */
export function countCommon(wanted: readonly Bitmap[], excluded: readonly Bitmap[]): number {
  const a = folded(wanted, 3, keepCommon);
  const b = wanted[1] ?? a;
  const c = wanted[2] ?? b;
  if (!excluded.length) return met(a, b, c);
  return metWithout(a, b, c, folded(excluded, 1, addAll));
}

/** The first set, joined with those from `from` on. */
function folded(sets: readonly Bitmap[], from: number, joinTo: (rows: Bitmap, others: Bitmap) => void): Bitmap {
  if (sets.length <= from) return sets[0]!;
  const rows = sets[0]!.slice();
  for (let i = from; i < sets.length; i++) joinTo(rows, sets[i]!);
  return rows;
}

function met(a: Bitmap, b: Bitmap, c: Bitmap): number {
  const size = a.length;
  let total = 0;
  for (let i = 0; i < size; i++) total = (total + bitsOf(a[i]! & b[i]! & c[i]!)) | 0;
  return total;
}

function metWithout(a: Bitmap, b: Bitmap, c: Bitmap, x: Bitmap): number {
  const size = a.length;
  let total = 0;
  for (let i = 0; i < size; i++) total = (total + bitsOf(a[i]! & b[i]! & c[i]! & ~x[i]!)) | 0;
  return total;
}

/** The rows of the set, ascending; at most `limit` of them. */
export function rowsOf(bits: Bitmap, limit = Infinity): number[] {
  const rows: number[] = [];
  for (let i = 0; i < bits.length && rows.length < limit; i++) {
    let word = bits[i]!;
    while (word !== 0 && rows.length < limit) {
      rows.push(i * 32 + (31 - Math.clz32(word & -word)));
      word &= word - 1;
    }
  }
  return rows;
}

/** The first `limit` rows of a set. */
export function firstOf(bits: Bitmap, limit: number): Bitmap {
  const first = emptyBitmap(bits.length * 32);
  let left = limit;
  for (let i = 0; i < bits.length && left > 0; i++) {
    let word = bits[i]!;
    const count = bitsOf(word);
    if (count > left) {
      let kept = 0;
      for (let n = 0; n < left; n++) {
        kept |= word & -word;
        word &= word - 1;
      }
      word = kept;
    }
    first[i] = word;
    left -= count;
  }
  return first;
}
