import snowball from 'snowball-stemmers';
import { foldDiacritics } from '../language/fold-diacritics';
import type { Matching } from './exact-matching';
import type { MatchingRules } from './matching-schema';

const same = (key: string) => key;
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
