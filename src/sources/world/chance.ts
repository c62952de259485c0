import { hashText } from '$core/measure';

const questions = new Map<string, number>();

/** 32 bits that belong to one thing, by its number, and one question: the same every time. Mixed as in MurmurHash3's end (from memory). */
export function bitsOf(number: number, question: string, time = 0): number {
  let asked = questions.get(question);
  if (asked === undefined) questions.set(question, (asked = hashText(question)));
  let mixed = (asked ^ Math.imul(number + 1, 0x9e3779b1) ^ Math.imul(time, 0x27d4eb2f)) >>> 0;
  mixed = Math.imul(mixed ^ (mixed >>> 16), 0x85ebca6b);
  mixed = Math.imul(mixed ^ (mixed >>> 13), 0xc2b2ae35);
  return (mixed ^ (mixed >>> 16)) >>> 0;
}

/** The same as a number in [0, 1). */
export const chance = (number: number, question: string, time = 0): number =>
  bitsOf(number, question, time) / 4294967296;

/** A chooser that takes items in proportion to their weights. */
export function weighted<T>(items: readonly T[], weight: (item: T) => number, random: () => number): () => T {
  const ends: number[] = [];
  let total = 0;
  for (const item of items) ends.push((total += weight(item)));
  return () => {
    const at = random() * total;
    let low = 0;
    let high = ends.length - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (ends[middle]! <= at) low = middle + 1;
      else high = middle;
    }
    return items[low]!;
  };
}

/** In small letters of ASCII, as names are written in addresses. */
export const plainLetters = (text: string): string =>
  text
    .toLowerCase()
    .replaceAll('ø', 'o')
    .replaceAll('æ', 'ae')
    .replaceAll('ß', 'ss')
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '');
