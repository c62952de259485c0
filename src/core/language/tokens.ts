/** One word of a text: its folded form and where it is in the text as given (UTF-16 offsets). */
export interface Token {
  key: string;
  from: number;
  to: number;
}

const ascii = /^[\x00-\x7f]*$/;
/**
 * What is normalised together: a sign with its marks, half-width kana with the marks that stand behind them, Hangul
 * letters that make up syllables.
 */
const cluster =
  /[\u1100-\u11ff\ua960-\ua97f\uac00-\ud7ff]+|[^\p{M}\uff9e\uff9f][\p{M}\uff9e\uff9f]*|[\p{M}\uff9e\uff9f]+/gu;

/**
 * A word: letters, marks and digits; inner `@ . + # & _` keep it together (`r&d`, `name@firm.example`);
 * a leading dot and a closing `++` or `#` after a letter belong to it (`.net`, `c++`, `c#`).
 */
const word =
  /(?:(?<![\p{L}\p{M}\p{N}.])\.(?=\p{L}))?[\p{L}\p{M}\p{N}]+(?:[@.+#&_][\p{L}\p{M}\p{N}]+)*(?:(?<=\p{L})(?:\+\+|#))?/gu;

/** Folds case: lower case, with sharp s written out and one form of sigma. */
export function fold(text: string): string {
  return text.toLowerCase().replaceAll('ß', 'ss').replaceAll('ς', 'σ');
}

/** NFKC with a map from each place in the result to the place in `text` it came from. */
function compatible(text: string): { text: string; origin: number[] | null } {
  if (ascii.test(text)) return { text, origin: null };
  const whole = text.normalize('NFKC');
  if (whole === text) return { text, origin: null };
  let result = '';
  const origin: number[] = [];
  for (const match of text.matchAll(cluster)) {
    const piece = match[0].normalize('NFKC');
    for (let i = 0; i < piece.length; i++) origin.push(match.index + Math.min(i, match[0].length - 1));
    result += piece;
  }
  origin.push(text.length);
  // Characters that compose across clusters: positions are approximated in proportion, words are exact.
  if (result !== whole)
    return {
      text: whole,
      origin: Array.from({ length: whole.length + 1 }, (_, i) => Math.round((i * text.length) / whole.length))
    };
  return { text: result, origin };
}

/** The words of a text in order, by the word rules of the notation (docs/notation.md). */
export function tokens(text: string): Token[] {
  const { text: normal, origin } = compatible(text);
  const found: Token[] = [];
  for (const match of normal.matchAll(word)) {
    const from = match.index;
    const to = from + match[0].length;
    found.push({
      key: fold(match[0]),
      from: origin ? origin[from]! : from,
      to: origin ? Math.max(origin[to]!, origin[to - 1]! + 1) : to
    });
  }
  return found;
}

/** The folded words of a text, without places: what an index needs. */
export function tokenKeys(text: string): string[] {
  const plain = ascii.test(text);
  const normal = plain ? text.toLowerCase() : fold(text.normalize('NFKC'));
  return normal.match(plain ? asciiWord : word) ?? [];
}

const known = new Map<string, readonly string[]>();

/** `tokenKeys` of the short texts that strings are made of, which are asked for again and again; kept. */
export function keysOf(text: string): readonly string[] {
  let keys = known.get(text);
  if (keys === undefined) {
    keys = tokenKeys(text);
    if (known.size > 20_000) known.clear();
    known.set(text, keys);
  }
  return keys;
}

const asciiWord = /(?:(?<![a-z0-9.])\.(?=[a-z]))?[a-z0-9]+(?:[@.+#&_][a-z0-9]+)*(?:(?<=[a-z])(?:\+\+|#))?/g;
