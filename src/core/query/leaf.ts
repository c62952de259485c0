import type { Matching } from './matching';
import type { Phrase, Word } from './query';
import { tokenKeys } from './tokens';

/** What a word or phrase asks of a row of words: each test in turn, side by side. */
export interface Sequence {
  keys: string[];
  /** The last word needs only begin so. */
  prefix: boolean;
  form: (key: string) => string;
}

/**
 * Compiles a word or phrase under a source's matching. A word that the word rules split is matched as a phrase. Dropped
 * words are gone; what has no other is an empty sequence, which stands nowhere.
 */
export function sequenceOf(term: Word | Phrase, matching: Matching): Sequence {
  const keys = tokenKeys(term.text);
  const prefix = term.kind === 'word' && term.prefix === true;
  const form = term.kind === 'word' && keys.length === 1 && !prefix ? matching.word : matching.phrase;
  const kept = matching.stopWords.size
    ? keys.filter((key, i) => (prefix && i === keys.length - 1) || !matching.stopWords.has(key))
    : keys;
  return { keys: kept.map(form), prefix, form };
}

/** The first place, from `start` on, where the sequence stands in a row of words; −1 where it does not. */
export function indexOfSequence(words: readonly string[], sequence: Sequence, start = 0): number {
  const { keys, prefix, form } = sequence;
  const size = keys.length;
  if (size === 0) return -1;
  for (let at = start; at + size <= words.length; at++) {
    let i = 0;
    while (i < size) {
      const key = form(words[at + i]!);
      if (prefix && i === size - 1 ? !key.startsWith(keys[i]!) : key !== keys[i]) break;
      i++;
    }
    if (i === size) return at;
  }
  return -1;
}
