/** A set of row numbers, one bit a row. */
export type Bitmap = Uint32Array;

export const emptyBitmap = (size: number): Bitmap => new Uint32Array((size + 31) >>> 5);

/** Every row below `size`. */
export function fullBitmap(size: number): Bitmap {
  const bits = emptyBitmap(size).fill(0xffffffff);
  if (size & 31) bits[bits.length - 1] = (1 << (size & 31)) - 1;
  return bits;
}

export function setBit(bits: Bitmap, row: number): void {
  bits[row >>> 5]! |= 1 << (row & 31);
}

export const hasBit = (bits: Bitmap, row: number): boolean => (bits[row >>> 5]! & (1 << (row & 31))) !== 0;

export function intersect(a: Bitmap, b: Bitmap): Bitmap {
  const result = new Uint32Array(a.length);
  for (let i = 0; i < a.length; i++) result[i] = a[i]! & b[i]!;
  return result;
}

export function unite(a: Bitmap, b: Bitmap): Bitmap {
  const result = new Uint32Array(a.length);
  for (let i = 0; i < a.length; i++) result[i] = a[i]! | b[i]!;
  return result;
}

/** What is in `a` and not in `b`. */
export function subtract(a: Bitmap, b: Bitmap): Bitmap {
  const result = new Uint32Array(a.length);
  for (let i = 0; i < a.length; i++) result[i] = a[i]! & ~b[i]!;
  return result;
}

/** How many rows are in the set: bits counted in parallel, as in Warren, Hacker's Delight, chapter 5 (from memory). */
export function countBits(bits: Bitmap): number {
  let total = 0;
  for (let i = 0; i < bits.length; i++) {
    let word = bits[i]!;
    if (word === 0) continue;
    word -= (word >>> 1) & 0x55555555;
    word = (word & 0x33333333) + ((word >>> 2) & 0x33333333);
    total += Math.imul((word + (word >>> 4)) & 0x0f0f0f0f, 0x01010101) >>> 24;
  }
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
