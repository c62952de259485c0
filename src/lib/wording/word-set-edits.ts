import { quoted, tokenKeys } from '$core/language';
import { readWordingList, type Wording, type WordSet } from '$core/persona';

/** The key of a wording, ignoring case and punctuation. */
export const wordingName = (text: string): string => tokenKeys(text).join(' ');
const namesOf = (texts: readonly string[]) => new Set(texts.map(wordingName));

/** Puts wordings into a set: those that are there are in use or not as given, new ones come behind them where they are in use. */
export function putInto(set: WordSet, fresh: readonly Wording[]): WordSet {
  const byName = new Map(fresh.map((one) => [wordingName(one.text), one]));
  const there = namesOf(set.wordings.map(({ text }) => text));
  return {
    ...set,
    wordings: [
      ...set.wordings.map((one) => {
        const given = byName.get(wordingName(one.text));
        return given ? { ...one, inUse: given.inUse } : one;
      }),
      ...fresh.filter(({ text, inUse }) => inUse && !there.has(wordingName(text)))
    ],
    refused: set.refused.filter((text) => !byName.has(wordingName(text)))
  };
}

/** Takes wordings out of a set. */
export function takeOutOf(set: WordSet, texts: readonly string[]): WordSet {
  const names = namesOf(texts);
  return { ...set, wordings: set.wordings.filter(({ text }) => !names.has(wordingName(text))) };
}

/** Takes them out, and has them proposed no more. */
export const refuseIn = (set: WordSet, texts: readonly string[]): WordSet => ({
  ...takeOutOf(set, texts),
  refused: [...new Set([...set.refused, ...texts])]
});

/** Adds wordings that were typed or pasted, and says how many were there already. */
export function addTyped(set: WordSet, typed: string): { set: WordSet; added: number; known: number } {
  const list = readWordingList(typed);
  const there = namesOf(set.wordings.map(({ text }) => text));
  const fresh = list.filter((text) => !there.has(wordingName(text)));
  return {
    set: putInto(
      set,
      fresh.map((text) => ({ text, origin: 'typed', inUse: true }))
    ),
    added: fresh.length,
    known: list.length - fresh.length
  };
}

/** A wording as a string has it: several words in quotes. */
export const written = (text: string): string => (tokenKeys(text).length > 1 ? quoted(text) : text);
