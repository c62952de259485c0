import { z } from 'zod';
import { countryCode } from '../people/countries';
import { industryCode } from '../people/industries';

const line = z.string().trim().min(1, 'cannot be empty').max(200, 'is longer than 200 characters');
const lines = z.array(line).max(500, 'holds more than 500 lines');

const countryList = z
  .array(line.refine((text) => countryCode(text) !== undefined, 'is no country of ISO 3166-1'))
  .max(250);
const industryList = z
  .array(line.refine((text) => industryCode(text) !== undefined, 'is no division of ISIC Rev. 4'))
  .max(100);

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

/** Facts of a persona besides those with a field of their own: numbers from–to, or values to choose from. */
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
  'school'
] as const;
const number = z.number({ error: 'is written in digits' }).nullable();
const otherFact = z
  .object({
    scope: z.enum(otherFacts),
    from: number.default(null),
    to: number.default(null),
    values: lines.default([])
  })
  .refine(({ from, to }) => from === null || to === null || from <= to, 'The lower bound comes first.');

/** Who is wanted: what a string is built from. */
export const personaSchema = z.object({
  offer: z.string().max(2000, 'is longer than 2,000 characters').default('').describe('What is sold, in a sentence'),
  titles: lines.default([]),
  functions: lines.default([]),
  countries: countryList.default([]),
  industries: industryList.default([]),
  notIndustries: industryList.default([]).describe('Industries to leave out, one’s own among them'),
  notCountries: countryList
    .default([])
    .describe('Countries to leave out, such as those that ask consent before a mail'),
  size: sizes.default({ from: null, to: null }),
  ranks: lines.default([]),
  bands: z
    .array(sizes.safeExtend({ titles: lines.default([]) }))
    .max(20)
    .default([])
    .describe('Sizes of firm with titles of their own: who decides depends on the size'),
  facts: z.array(otherFact).max(otherFacts.length).default([]),
  notFirms: lines.default([]).describe('Firms to leave out: competitors, customers, one’s own'),
  mustHave: lines.default([]),
  mustNot: lines.default([])
});
export type Persona = z.infer<typeof personaSchema>;

/** Every wanted title, those of the size bands too, each once. */
export const allTitles = ({ titles, bands }: Persona): string[] => {
  const all = [...titles, ...bands.flatMap((band) => band.titles)];
  return all.filter((title, i) => all.findIndex((other) => other.toLowerCase() === title.toLowerCase()) === i);
};

export const emptyPersona: Persona = personaSchema.parse({});
