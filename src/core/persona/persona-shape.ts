import * as z from 'zod';
import { ownScopeSchema } from '../language/scope-schema';

const line = z.string().trim().min(1, 'cannot be empty').max(200, 'is longer than 200 characters');
const lines = z.array(line).max(500, 'holds more than 500 lines');

const size = z
  .number({ error: 'is written in digits' })
  .int('is a whole number')
  .min(0, 'cannot be negative')
  .max(10_000_000, 'is larger than any firm')
  .nullable();

const sizes = z.object({ from: size, to: size }).refine(({ from, to }) => from === null || to === null || from <= to, {
  error: 'The smallest firm is larger than the largest.',
  path: ['to']
});

/** Facts of a persona that have no field: number ranges, or values from a list. */
export const otherFacts = [
  'place',
  'growth',
  'founded',
  'tenure',
  'moved',
  'active',
  'hiring',
  'funded',
  'tech',
  'mail',
  'group',
  'skill',
  'school',
  'language'
] as const;
/** Own fields that a persona asks of at most. */
const maxOwnFacts = 50;
const number = z.number({ error: 'is written in digits' }).nullable();
const otherFact = z
  .object({
    scope: z.union([z.enum(otherFacts), ownScopeSchema]),
    from: number.default(null),
    to: number.default(null),
    values: lines.default([])
  })
  .refine(({ from, to }) => from === null || to === null || from <= to, 'The lower bound comes first.');

/** Who is wanted: what a string is built from. `isCountry` and `isIndustry` say which lines name one. */
export const personaOf = (isCountry: (text: string) => boolean, isIndustry: (text: string) => boolean) => {
  const countries = z.array(line.refine(isCountry, 'is no country of ISO 3166-1')).max(250);
  const industries = z.array(line.refine(isIndustry, 'is no division of ISIC Rev. 4')).max(100);
  return z.object({
    offer: z.string().max(2000, 'is longer than 2,000 characters').default('').describe('What is sold, in a sentence'),
    titles: lines.default([]),
    functions: lines.default([]),
    countries: countries.default([]),
    industries: industries.default([]),
    notIndustries: industries.default([]).describe('Industries to leave out, one’s own among them'),
    notCountries: countries
      .default([])
      .describe('Countries to leave out, such as those that ask consent before a mail'),
    size: sizes.default({ from: null, to: null }),
    ranks: lines.default([]),
    bands: z
      .array(sizes.safeExtend({ titles: lines.default([]) }))
      .max(20)
      .default([])
      .describe('Firm sizes with their own titles: who decides depends on the size'),
    facts: z
      .array(otherFact)
      .max(otherFacts.length + maxOwnFacts)
      .default([]),
    notFirms: lines.default([]).describe('Firms to leave out: competitors, customers, one’s own'),
    mustHave: lines.default([]),
    mustNot: lines.default([])
  });
};

/** A persona before its countries and industries are looked up. */
export const personaShape = personaOf(
  () => true,
  () => true
);
