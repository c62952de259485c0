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
