import snowball from 'snowball-stemmers';
import { z } from 'zod';

/** How a source compares words. Stemming touches unquoted words only; folded diacritics and dropped words touch all. */
export const matchingSchema = z.object({
  stemming: z.enum(['english']).nullable().describe('Language whose endings are cut off unquoted words, if any'),
  diacritics: z.enum(['kept', 'folded']),
  stopWords: z
    .array(z.string().regex(/^[\p{Ll}\p{Lo}\p{M}\p{N}]+$/u, 'one word in lower case'))
    .max(200)
    .default([])
    .describe('Words the source drops, from what is asked and from what it holds, in quotes too')
});
export type MatchingRules = z.input<typeof matchingSchema>;

/** Turns a folded word into what is compared: one form for words, one inside quotes. */
export interface Matching {
  /** Names the rules, so that sets found under them can be kept apart. */
  id: string;
  word(key: string): string;
  phrase(key: string): string;
  /** Words that are dropped before anything is compared. */
  stopWords: ReadonlySet<string>;
}

const same = (key: string) => key;

/** The notation's own matching: words as they are. */
export const exactMatching: Matching = { id: 'exact', word: same, phrase: same, stopWords: new Set() };

const strokes: Record<string, string> = { ø: 'o', đ: 'd', ł: 'l', æ: 'ae', œ: 'oe', ð: 'd', þ: 'th', ı: 'i' };
const plain = /^[\x00-\x7f]*$/;

/** Takes accents and strokes off letters. */
export function foldDiacritics(key: string): string {
  if (plain.test(key)) return key;
  return key
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .replaceAll(/[øđłæœðþı]/g, (letter) => strokes[letter]!);
}

const letters = /^[a-z]+$/;
const english = snowball.newStemmer('english');
const stems = new Map<string, string>();

/** The Snowball English stem of a word of plain letters; other words stay as they are. */
export function stemEnglish(key: string): string {
  if (!letters.test(key)) return key;
  let stem = stems.get(key);
  if (stem === undefined) {
    stem = english.stem(key);
    if (stems.size > 200_000) stems.clear();
    stems.set(key, stem);
  }
  return stem;
}

/** The matching that a source's sheet describes. */
export function matchingOf(rules: MatchingRules): Matching {
  const phrase = rules.diacritics === 'folded' ? foldDiacritics : same;
  const word = rules.stemming === 'english' ? (key: string) => stemEnglish(phrase(key)) : phrase;
  const stopWords = new Set(rules.stopWords);
  return {
    id: `${rules.stemming ?? 'plain'}-${rules.diacritics} ${[...stopWords].join(' ')}`,
    word,
    phrase,
    stopWords
  };
}
