import type { Field } from '../people/fields';
import { countryCode } from '../people/countries';
import { languageCode } from '../people/languages';
import type { Matching } from './exact-matching';
import type { Phrase, Word } from '../language/query';
import { isTextScope, type Scope } from '../language/scopes';
import { keysOf, tokenKeys, tokens, type Token } from '../language/tokens';

/** What a word or phrase asks of a row of words: each test in turn, side by side. */
export interface Sequence {
  keys: string[];
  /** The last word needs only begin so. */
  prefix: boolean;
  form: (key: string) => string;
}

/** Whether a source drops its stop words in a field: in texts, never in facts, where `AT` and `IN` are countries. */
export const dropsStopWords = (field: Field): boolean =>
  field === 'name' || field === 'jobtext' || isTextScope(field as Scope);

/**
 * The folded words that a term searches. A country is searched as a country and a language as a language, by whichever
 * name: the code represents it here as it does in what people have (`valuesOf`).
 */
export function keysAsked(term: Word | Phrase): readonly string[] {
  if (term.scope === 'country' && !(term.kind === 'word' && term.prefix)) {
    const code = countryCode(term.text);
    if (code) return [code.toLowerCase()];
  }
  if (term.scope === 'language' && !(term.kind === 'word' && term.prefix)) {
    const code = languageCode(term.text);
    if (code) return [code];
  }
  return keysOf(term.text);
}

/**
 * Compiles a word or phrase under a source's matching, for a field that it searches. A word that the word rules split is
 * matched as a phrase. Dropped words are gone; what has no other is an empty sequence, which stands nowhere.
 */
export function sequenceOf(term: Word | Phrase, matching: Matching, field?: Field): Sequence {
  const keys = keysAsked(term);
  const prefix = term.kind === 'word' && term.prefix === true;
  const form = term.kind === 'word' && keys.length === 1 && !prefix ? matching.word : matching.phrase;
  const drops = matching.stopWords.size > 0 && isTextScope(term.scope) && (!field || dropsStopWords(field));
  const kept = drops
    ? keys.filter((key, i) => (prefix && i === keys.length - 1) || !matching.stopWords.has(key))
    : keys;
  return { keys: kept.map(form), prefix, form };
}

/** A term's sequences: in texts, and in the facts that `any` searches too, where nothing is dropped. */
export function sequencesOf(term: Word | Phrase, matching: Matching): (field: Field) => Sequence {
  const inText = sequenceOf(term, matching);
  if (!matching.stopWords.size || term.scope !== 'any') return () => inText;
  const inFact = sequenceOf(term, matching, 'place');
  return (field) => (dropsStopWords(field) ? inText : inFact);
}

/** The folded words of a text of a field, without those that its source drops there. */
export function keysHeld(field: Field, text: string, matching: Matching): string[] {
  const keys = tokenKeys(text);
  return matching.stopWords.size && dropsStopWords(field) ? keys.filter((key) => !matching.stopWords.has(key)) : keys;
}

/** `keysHeld` with the places of the words. */
export function tokensHeld(field: Field, text: string, matching: Matching): Token[] {
  const all = tokens(text);
  return matching.stopWords.size && dropsStopWords(field) ? all.filter(({ key }) => !matching.stopWords.has(key)) : all;
}

/** The first place, from `start` on, where the sequence is in a row of words; −1 where it does not. */
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

const asItIs = (key: string) => key;
/** The same sequence, to be looked for among words that its form was made of already. */
export const inFormed = (sequence: Sequence): Sequence => ({ ...sequence, form: asItIs });
