import * as z from 'zod';
import { fold } from '../language/tokens';
import degreesData from './data/degrees.json';
import fixedData from './data/fixed-titles.json';
import functionsData from './data/functions.json';
import iscoData from './data/isco-08.json';
import ranksData from './data/ranks.json';
import { languages, type Language } from './languages';
import type { OwnLexicon } from './own-lexicon-shape';
import { fromLexicon, ownLexicon } from './taken-up';
import { shipped } from '../language/shipped-data';

export * from './languages';

const text = z.string().regex(/^\S(?:.*\S)?$/);
const texts = z.array(text);
const byLanguage = z.object(
  Object.fromEntries(languages.map((language) => [language, texts])) as Record<Language, typeof texts>
);
const isco: ReadonlySet<string> = new Set(shipped(z.array(z.string().regex(/^\d{4}$/)), iscoData));

const rankSchema = z.object({
  id: text,
  level: z.int().min(1).describe('1 stands highest'),
  patterns: byLanguage.describe('How the rank joins a function: {f} its name, {s} its stem in a compound'),
  words: texts.min(1).describe('Words that tell the rank in any title, of all languages')
});
const functionSchema = z.object({
  id: text,
  isco: z.string().refine((code) => isco.has(code), 'is no unit group of ISCO-08'),
  near: texts.describe('Neighbouring functions'),
  names: byLanguage,
  stems: z.partialRecord(z.enum(languages), texts).describe('How it begins a compound')
});
const fixedSchema = z.object({ rank: text, function: text, titles: z.partialRecord(z.enum(languages), texts.min(1)) });
const degreesSchema = z.object({
  degree: texts,
  abbreviations: z.array(z.tuple([text, text])),
  gendered: z.array(z.tuple([text, text]))
});

export type RankEntry = z.infer<typeof rankSchema>;
/** Without a unit group where a user added it. */
export type FunctionEntry = Omit<z.infer<typeof functionSchema>, 'isco'> & { isco: string | null };
/** Titles that mean the same job and follow no pattern, by language. */
export type FixedTitle = z.infer<typeof fixedSchema>;

/** Ranks, the highest first. Common practice, no published source. */
export const ranks: readonly RankEntry[] = shipped(z.array(rankSchema), ranksData);
export const rankOf = new Map(ranks.map((rank) => [rank.id, rank]));

const shippedFunctions: readonly FunctionEntry[] = shipped(z.array(functionSchema), functionsData);
const isShipped = new Set(shippedFunctions.map(({ id }) => id));
const shippedTitles: readonly FixedTitle[] = shipped(
  z.array(
    fixedSchema.refine(
      ({ rank, function: name }) => rankOf.has(rank) && isShipped.has(name),
      'names a rank and a function'
    )
  ),
  fixedData
);

const byId = fromLexicon((): ReadonlyMap<string, FunctionEntry> => {
  const namesOf = (names: OwnLexicon['functions'][number]['names'], more?: FunctionEntry['names']) =>
    Object.fromEntries(
      languages.map((language) => [language, [...new Set([...(more?.[language] ?? []), ...(names[language] ?? [])])]])
    ) as FunctionEntry['names'];
  const merged = new Map(shippedFunctions.map((entry) => [entry.id, entry]));
  for (const { id, near, names } of ownLexicon().functions) {
    const entry = merged.get(id);
    merged.set(id, {
      id,
      isco: entry?.isco ?? null,
      near: [...new Set([...(entry?.near ?? []), ...near])],
      names: namesOf(names, entry?.names),
      stems: entry?.stems ?? {}
    });
  }
  return merged;
});

/** Functions, each with its ISCO-08 unit group (ILO, 2012; the list of groups is from memory), those of the user last. */
export const functions = fromLexicon((): readonly FunctionEntry[] => [...byId().values()]);
export const functionOf = (id: string): FunctionEntry | undefined => byId().get(id);
/** Titles that follow no pattern, those of the user first. Common practice, no published source. */
export const fixedTitles = fromLexicon((): readonly FixedTitle[] => [...ownLexicon().titles, ...shippedTitles]);

/** Why something cannot be added to the lexicon, in a sentence; null where it can. */
export function lexiconFault({ functions: added, titles, meanings }: OwnLexicon): string | null {
  const ids = added.map(({ id }) => id);
  const twice = ids.find((id, i) => ids.indexOf(id) !== i);
  if (twice) return `The function “${twice}” is there twice. Put its names together.`;
  const known = (id: string) => isShipped.has(id) || ids.includes(id);
  const nameless = added.find(
    ({ id, names }) => !isShipped.has(id) && !Object.values(names).some((texts) => texts.length)
  );
  if (nameless) return `The function “${nameless.id}” has no name in any language.`;
  for (const { near } of added)
    for (const id of near) if (!known(id)) return `No function is called “${id}”, which another is near to.`;
  for (const { rank, function: name, titles: texts } of titles) {
    const first = Object.values(texts).flat()[0];
    if (first === undefined) return `A title of ${rank} and ${name} has no wording.`;
    if (!rankOf.has(rank))
      return `“${first}”: no rank is called “${rank}”. The ranks are ${[...rankOf.keys()].join(', ')}.`;
    if (!known(name)) return `“${first}”: no function is called “${name}”. Add it first.`;
  }
  const words = meanings.map(({ word }) => fold(word));
  const again = words.find((word, i) => words.indexOf(word) !== i);
  return again === undefined ? null : `The meanings of “${again}” are there twice. Put them together.`;
}

const degrees = shipped(degreesSchema, degreesData);
/** Words of degree, such as senior, deputy or group, that usually need no separate wording. */
export const degreeWords: ReadonlySet<string> = new Set(degrees.degree.map(fold));
/** Short and long forms. */
export const abbreviations: readonly (readonly [string, string])[] = degrees.abbreviations;
/** Forms for men and women. */
export const gendered: readonly (readonly [string, string])[] = degrees.gendered;

/** The ISCO-08 unit groups, four digits each. From memory. */
export const iscoUnitGroups: ReadonlySet<string> = isco;
