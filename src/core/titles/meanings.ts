import * as z from 'zod';
import data from './data/meanings.json';
import { fold, tokenKeys } from '../language/tokens';
import { fromLexicon, ownLexicon } from './taken-up';
import { shipped } from '../language/shipped-data';

/** One of several things a word can mean in a title or a profile. */
export interface Sense {
  name: string;
  /** Words, folded, that stand near it when it means this. */
  indicators: readonly string[];
}

const shape = z.record(
  z.string().regex(/^[a-z]+$/),
  z
    .record(z.string().min(1), z.array(z.string().regex(/^[a-z]+$/)).min(1))
    .refine((senses) => Object.keys(senses).length > 1, 'needs two senses or more')
);

const ofLexicon: readonly [string, readonly Sense[]][] = Object.entries(shipped(shape, data)).map(([word, senses]) => [
  word,
  Object.entries(senses).map(([name, indicators]) => ({ name, indicators }))
]);
/** What the user says of a word is in the place of what the lexicon says. */
const known = fromLexicon(
  (): ReadonlyMap<string, readonly Sense[]> =>
    new Map([
      ...ofLexicon,
      ...ownLexicon().meanings.map(
        ({ word, senses }) =>
          [
            fold(word),
            senses.map(({ name, indicators }) => ({
              name,
              indicators: indicators.flatMap((word) => tokenKeys(word).map(fold))
            }))
          ] as const
      )
    ])
);

/** The senses of a word or acronym that is known to have several; none for other words. Common practice, no published source. */
export const meanings = (word: string): readonly Sense[] => known().get(fold(word.trim())) ?? [];

/** Every word that is known to have several senses. */
export const ambiguousWords = (): string[] => [...known().keys()];
