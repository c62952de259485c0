import * as z from 'zod';
import { fold } from '../language/tokens';
import degreesData from './data/degrees.json';
import fixedData from './data/fixed-titles.json';
import functionsData from './data/functions.json';
import iscoData from './data/isco-08.json';
import ranksData from './data/ranks.json';

export const languages = ['en', 'de', 'nl', 'da', 'sv', 'no', 'fr', 'es', 'pt', 'it', 'pl', 'fi', 'cs'] as const;
export type Language = (typeof languages)[number];
/** The languages of the lexicon as people call them. */
export const languageNames: Record<Language, string> = {
  en: 'English',
  de: 'German',
  nl: 'Dutch',
  da: 'Danish',
  sv: 'Swedish',
  no: 'Norwegian',
  fr: 'French',
  es: 'Spanish',
  pt: 'Portuguese',
  it: 'Italian',
  pl: 'Polish',
  fi: 'Finnish',
  cs: 'Czech'
};

const text = z.string().trim().min(1);
const texts = z.array(text);
const byLanguage = z.object(
  Object.fromEntries(languages.map((language) => [language, texts])) as Record<Language, typeof texts>
);
const isco: ReadonlySet<string> = new Set(z.array(z.string().regex(/^\d{4}$/)).parse(iscoData));

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
export type FunctionEntry = z.infer<typeof functionSchema>;
/** Titles that mean the same job and follow no pattern, by language. */
export type FixedTitle = z.infer<typeof fixedSchema>;

/** Ranks, the highest first. Common practice, no published source. */
export const ranks: readonly RankEntry[] = z.array(rankSchema).parse(ranksData);
/** Functions, each with its ISCO-08 unit group (ILO, 2012; the list of groups is from memory). */
export const functions: readonly FunctionEntry[] = z.array(functionSchema).parse(functionsData);
export const rankOf = new Map(ranks.map((rank) => [rank.id, rank]));
export const functionOf = new Map(functions.map((entry) => [entry.id, entry]));

/** Titles that follow no pattern. Common practice, no published source. */
export const fixedTitles: readonly FixedTitle[] = z
  .array(
    fixedSchema.refine(
      ({ rank, function: name }) => rankOf.has(rank) && functionOf.has(name),
      'names a rank and a function'
    )
  )
  .parse(fixedData);

const degrees = degreesSchema.parse(degreesData);
/** Words of degree, such as senior, deputy or group, that usually need no wording of their own. */
export const degreeWords: ReadonlySet<string> = new Set(degrees.degree.map(fold));
/** Short and long forms. */
export const abbreviations: readonly (readonly [string, string])[] = degrees.abbreviations;
/** Forms for men and women. */
export const gendered: readonly (readonly [string, string])[] = degrees.gendered;

/** The ISCO-08 unit groups, four digits each. From memory. */
export const iscoUnitGroups: ReadonlySet<string> = isco;
