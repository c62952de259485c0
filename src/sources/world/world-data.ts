import * as z from 'zod';
import countriesData from './data/countries.json';
import firmNamesData from './data/firm-names.json';
import rolesData from './data/roles.json';
import tradesData from './data/trades.json';
import { shipped } from '$core/language';

const words = z.array(z.string().min(1)).min(1);

export const ranks = [
  'owner',
  'chief',
  'director',
  'head',
  'manager',
  'lead',
  'specialist',
  'assistant',
  'intern'
] as const;
const languages = ['en', 'de', 'nl', 'da', 'sv', 'no', 'fr'] as const;

const roleSchema = z.object({
  function: z.string().min(1),
  rank: z.enum(ranks),
  trades: z
    .record(z.string(), z.number().positive())
    .describe('Trades that have it, with a weight each; * is any other'),
  titles: z.partialRecord(z.enum(languages), words).and(z.object({ en: words })),
  says: words.describe('What such a person writes of the work'),
  skills: words
});

const tradeSchema = z.object({
  id: z.string().min(1),
  industry: z.string().regex(/^\d\d$/, 'an ISIC Rev. 4 division'),
  share: z.number().positive().describe('Share of all firms, in thousandths'),
  names: words,
  does: words.describe('What the firm does, for about texts')
});

const countrySchema = z.object({
  code: z.string().regex(/^[A-Z]{2}$/),
  share: z.number().positive(),
  languages: z.array(z.enum(languages)).min(1),
  towns: words,
  legal: words.describe('Legal forms of firms'),
  given: words,
  surname: z.tuple([words, words]).describe('First and last pieces of invented surnames')
});

export type Rank = (typeof ranks)[number];
/** A kind of job with the ways people write it; English is in where a language is missing. */
export type Role = z.infer<typeof roleSchema>;
/** A line of business: how its firms are named and what their people speak of. */
export type Trade = z.infer<typeof tradeSchema>;
export type WorldCountry = z.infer<typeof countrySchema>;

export const roles = shipped(z.array(roleSchema), rolesData);
export const trades = shipped(z.array(tradeSchema), tradesData);
export const worldCountries = shipped(z.array(countrySchema), countriesData);
/** First parts of firms' names. */
export const firmNames = shipped(words, firmNamesData);
