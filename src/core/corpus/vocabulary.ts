import { tokenKeys } from '../query/tokens';

const [zero, nine, upperA, upperZ, lowerA, lowerZ] = [48, 57, 65, 90, 97, 122];
const [dot, plus, hash] = [46, 43, 35];
const [fnvOffset, fnvPrime] = [0x811c9dc5, 0x01000193];

const isLetter = (code: number) => (code >= lowerA && code <= lowerZ) || (code >= upperA && code <= upperZ);
const isWord = (code: number) => isLetter(code) || (code >= zero && code <= nine);
/** `@ . + # & _` */
const joins = (code: number) =>
  code === 64 || code === dot || code === plus || code === hash || code === 38 || code === 95;
const lower = (code: number) => (code >= upperA && code <= upperZ ? code + 32 : code);

/**
 * Numbers for words, from 1 on in the order they are first met. Cuts plain ASCII text into words on the spot, by the
 * rules of `tokenKeys` and with the same outcome, but without making a string for a word that is known already: most
 * of the time that building an index takes goes here.
 */
export class Vocabulary {
  /** Word of each number; nothing has the number 0. */
  readonly words: string[] = [''];
  private table = new Uint32Array(1 << 12);

  /** The vocabulary whose words have the numbers they stand at. */
  static of(words: readonly string[]): Vocabulary {
    const vocabulary = new Vocabulary();
    vocabulary.words.length = 0;
    for (const word of words) vocabulary.words.push(word);
    while (vocabulary.table.length < words.length * 2) vocabulary.table = new Uint32Array(vocabulary.table.length * 2);
    vocabulary.grow();
    return vocabulary;
  }

  /** The number of a word, or undefined when it was never met. */
  numberOf(word: string): number | undefined {
    const number = this.table[this.slotOf(word, 0, word.length, hashOf(word, 0, word.length))];
    return number || undefined;
  }

  /** Tells the number of each word of a text in order, giving new words numbers. */
  cut(text: string, tell: (number: number) => void): void {
    const size = text.length;
    let plain = 0;
    for (let i = 0; i < size; i++)
      if (text.charCodeAt(i) > 127) {
        // No word reaches over a space: only the piece with such a letter goes the slow way.
        const from = text.lastIndexOf(' ', i) + 1;
        const next = text.indexOf(' ', i);
        const to = next < 0 ? size : next;
        if (from > plain) this.cutPlain(text, plain, from, tell);
        for (const key of tokenKeys(text.slice(from, to))) tell(this.add(key, 0, key.length));
        plain = i = to;
      }
    if (plain < size) this.cutPlain(text, plain, size, tell);
  }

  private cutPlain(text: string, start: number, size: number, tell: (number: number) => void): void {
    for (let i = start; i < size;) {
      const code = text.charCodeAt(i);
      if (!isWord(code) && !(code === dot && beginsName(text, i))) {
        i++;
        continue;
      }
      const from = i++;
      for (;;) {
        while (i < size && isWord(text.charCodeAt(i))) i++;
        if (i + 1 < size && joins(text.charCodeAt(i)) && isWord(text.charCodeAt(i + 1))) i += 2;
        else break;
      }
      if (isLetter(text.charCodeAt(i - 1))) {
        if (text.charCodeAt(i) === plus && text.charCodeAt(i + 1) === plus) i += 2;
        else if (text.charCodeAt(i) === hash) i++;
      }
      tell(this.add(text, from, i));
    }
  }

  private add(text: string, from: number, to: number): number {
    const hashed = hashOf(text, from, to);
    let slot = this.slotOf(text, from, to, hashed);
    const known = this.table[slot]!;
    if (known) return known;
    if (this.words.length * 2 > this.table.length) {
      this.grow();
      slot = this.slotOf(text, from, to, hashed);
    }
    const number = this.words.length;
    this.words.push(text.slice(from, to).toLowerCase());
    this.table[slot] = number;
    return number;
  }

  /** The slot that holds the word, or the free one where it belongs. */
  private slotOf(text: string, from: number, to: number, hashed: number): number {
    const mask = this.table.length - 1;
    for (let slot = hashed & mask; ; slot = (slot + 1) & mask) {
      const number = this.table[slot]!;
      if (number === 0 || isSame(this.words[number]!, text, from, to)) return slot;
    }
  }

  private grow(): void {
    this.table = new Uint32Array(this.table.length * 2);
    for (let number = 1; number < this.words.length; number++) {
      const word = this.words[number]!;
      this.table[this.slotOf(word, 0, word.length, hashOf(word, 0, word.length))] = number;
    }
  }
}

/** Whether the dot at `at` belongs to the word behind it, as in `.net`. */
function beginsName(text: string, at: number): boolean {
  const before = at > 0 ? text.charCodeAt(at - 1) : 0;
  return at + 1 < text.length && isLetter(text.charCodeAt(at + 1)) && !isWord(before) && before !== dot;
}

function hashOf(text: string, from: number, to: number): number {
  let hashed = fnvOffset;
  for (let i = from; i < to; i++) hashed = Math.imul(hashed ^ lower(text.charCodeAt(i)), fnvPrime);
  return (hashed ^ (hashed >>> 15)) >>> 0;
}

function isSame(word: string, text: string, from: number, to: number): boolean {
  if (word.length !== to - from) return false;
  for (let i = from; i < to; i++) if (word.charCodeAt(i - from) !== lower(text.charCodeAt(i))) return false;
  return true;
}
