import { tokenKeys } from '../language/tokens';
import { GrowingUint32 } from './growing-array';

const [dot, plus, hash] = [46, 43, 35];
const [fnvOffset, fnvPrime] = [0x811c9dc5, 0x01000193];

/** What a sign of ASCII is in a word. */
const [digit, letter, joins] = [1, 2, 4];
const kinds = new Uint8Array(128);
/** Each sign of ASCII in small letters. */
const small = Uint8Array.from({ length: 128 }, (_, code) => code);
for (let code = 48; code <= 57; code++) kinds[code] = digit;
for (let code = 97; code <= 122; code++) kinds[code] = letter;
for (let code = 65; code <= 90; code++) {
  kinds[code] = letter;
  small[code] = code + 32;
}
for (const sign of '@.+#&_') kinds[sign.charCodeAt(0)] = joins;
const inWord = digit | letter;

const encoder = new TextEncoder();

/**
 * Numbers for words, from 1 on in the order they are first met. Cuts plain ASCII text into words on the spot, by the
 * rules of `tokenKeys` and with the same outcome, but on bytes, in one pass, and without making a string for a word that
 * is known already: most of the time that building an index takes goes here.
 */
export class Vocabulary {
  /** Word of each number; nothing has the number 0. */
  readonly words: string[] = [''];
  private table = new Uint32Array(1 << 12);
  /** Where the letters of each word begin in `letters`, as bytes; those of word w end where those of the next begin. */
  private readonly starts = new GrowingUint32(1 << 12);
  private letters = new Uint8Array(1 << 14);
  private used = 0;
  /** The text being cut, as bytes. */
  private bytes = new Uint8Array(1 << 12);

  constructor() {
    this.starts.push(0);
    this.starts.push(0);
  }

  /** The vocabulary whose words have the numbers they are at. */
  static of(words: readonly string[]): Vocabulary {
    const vocabulary = new Vocabulary();
    while (vocabulary.table.length < words.length * 2) vocabulary.table = new Uint32Array(vocabulary.table.length * 2);
    for (let number = 1; number < words.length; number++) vocabulary.addText(words[number]!);
    return vocabulary;
  }

  /** The number of a word, or undefined when it was never met. */
  numberOf(word: string): number | undefined {
    const size = this.read(word);
    return this.table[this.slotOf(0, size, hashOf(this.bytes, 0, size))] || undefined;
  }

  /** Tells the number of each word of a text in order, giving new words numbers. */
  cut(text: string, tell: (number: number) => void): void {
    const size = this.read(text);
    // As many bytes as letters: all of them are ASCII.
    if (size === text.length) return this.cutBytes(size, tell);
    // No word reaches over a space: only the pieces with other letters go the slow way.
    for (const piece of text.split(' ')) {
      const length = this.read(piece);
      if (length === piece.length) this.cutBytes(length, tell);
      else for (const key of tokenKeys(piece)) tell(this.addText(key));
    }
  }

  /** Writes a text into `bytes`; gives how many there are. */
  private read(text: string): number {
    if (text.length * 3 > this.bytes.length) this.bytes = new Uint8Array(text.length * 6);
    return encoder.encodeInto(text, this.bytes).written;
  }

  private cutBytes(size: number, tell: (number: number) => void): void {
    const { bytes } = this;
    for (let i = 0; i < size;) {
      const code = bytes[i]!;
      if (!(kinds[code]! & inWord) && !(code === dot && beginsName(bytes, i, size))) {
        i++;
        continue;
      }
      const from = i++;
      let hashed = Math.imul(fnvOffset ^ small[code]!, fnvPrime);
      for (; i < size; i++) {
        const next = bytes[i]!;
        const kind = kinds[next]!;
        if (!(kind & inWord)) {
          if (!(kind & joins) || i + 1 >= size || !(kinds[bytes[i + 1]!]! & inWord)) break;
        }
        hashed = Math.imul(hashed ^ small[next]!, fnvPrime);
      }
      if (i < size && kinds[bytes[i - 1]!]! & letter) {
        const next = bytes[i]!;
        const more = next === hash ? 1 : next === plus && i + 1 < size && bytes[i + 1] === plus ? 2 : 0;
        for (const end = i + more; i < end; i++) hashed = Math.imul(hashed ^ next, fnvPrime);
      }
      tell(this.add(from, i, (hashed ^ (hashed >>> 15)) >>> 0));
    }
  }

  private addText(key: string): number {
    const size = this.read(key);
    return this.add(0, size, hashOf(this.bytes, 0, size), key);
  }

  /** The number of the word whose bytes stand from one place to another; a new one where it is not known. */
  private add(from: number, to: number, hashed: number, key?: string): number {
    let slot = this.slotOf(from, to, hashed);
    const known = this.table[slot]!;
    if (known) return known;
    if (this.words.length * 2 > this.table.length) {
      this.grow();
      slot = this.slotOf(from, to, hashed);
    }
    const number = this.words.length;
    if (this.used + to - from > this.letters.length) {
      const more = new Uint8Array((this.letters.length + to - from) * 2);
      more.set(this.letters);
      this.letters = more;
    }
    const start = this.used;
    for (let i = from; i < to; i++) this.letters[this.used++] = smallOf(this.bytes[i]!);
    this.starts.push(this.used);
    this.words.push(key ?? String.fromCharCode(...this.letters.subarray(start, this.used)));
    this.table[slot] = number;
    return number;
  }

  /** The slot that holds the word, or the free one where it belongs. */
  private slotOf(from: number, to: number, hashed: number): number {
    const { table, letters, bytes, starts } = this;
    const mask = table.length - 1;
    next: for (let slot = hashed & mask; ; slot = (slot + 1) & mask) {
      const number = table[slot]!;
      if (number === 0) return slot;
      const start = starts.at(number);
      if (starts.at(number + 1) - start !== to - from) continue;
      for (let i = from; i < to; i++) if (letters[start + i - from] !== smallOf(bytes[i]!)) continue next;
      return slot;
    }
  }

  private grow(): void {
    this.table = new Uint32Array(this.table.length * 2);
    const mask = this.table.length - 1;
    for (let number = 1; number < this.words.length; number++) {
      let slot = hashOf(this.letters, this.starts.at(number), this.starts.at(number + 1)) & mask;
      while (this.table[slot]) slot = (slot + 1) & mask;
      this.table[slot] = number;
    }
  }
}

/** ASCII in small letters; the bytes of other letters as they are. */
const smallOf = (byte: number): number => (byte < 128 ? small[byte]! : byte);

/** Whether the dot at `at` belongs to the word behind it, as in `.net`. */
function beginsName(bytes: Uint8Array, at: number, size: number): boolean {
  const before = at > 0 ? bytes[at - 1]! : 0;
  return at + 1 < size && (kinds[bytes[at + 1]!]! & letter) !== 0 && !(kinds[before]! & inWord) && before !== dot;
}

function hashOf(bytes: Uint8Array, from: number, to: number): number {
  let hashed = fnvOffset;
  for (let i = from; i < to; i++) hashed = Math.imul(hashed ^ smallOf(bytes[i]!), fnvPrime);
  return (hashed ^ (hashed >>> 15)) >>> 0;
}
