import { z } from 'zod';
import { countryCode } from '../people/countries';
import { industryCode } from '../people/industries';

const line = z.string().trim().min(1, 'cannot be empty').max(200, 'is longer than 200 characters');
const lines = z.array(line).max(500, 'holds more than 500 lines');

const size = z
  .number({ error: 'is written in digits' })
  .int('is a whole number')
  .min(0, 'cannot be negative')
  .max(10_000_000, 'is larger than any firm')
  .nullable();

/** Who is wanted: what a string is built from. */
export const personaSchema = z.object({
  offer: z.string().max(2000, 'is longer than 2,000 characters').default('').describe('What is sold, in a sentence'),
  titles: lines.default([]),
  functions: lines.default([]),
  countries: z
    .array(line.refine((text) => countryCode(text) !== undefined, 'is no country of ISO 3166-1'))
    .max(250)
    .default([]),
  industries: z
    .array(line.refine((text) => industryCode(text) !== undefined, 'is no division of ISIC Rev. 4'))
    .max(100)
    .default([]),
  size: z
    .object({ from: size, to: size })
    .refine(({ from, to }) => from === null || to === null || from <= to, {
      error: 'The smallest firm is larger than the largest.',
      path: ['to']
    })
    .default({ from: null, to: null }),
  mustHave: lines.default([]),
  mustNot: lines.default([])
});
export type Persona = z.infer<typeof personaSchema>;

export const emptyPersona: Persona = personaSchema.parse({});
