import { z } from 'zod';
import { countryCode } from './countries';

/** Countries whose mail rules ask that a person agrees before the first mail, with a note on each. */
export const consentSchema = z
  .array(
    z.object({
      country: z
        .string()
        .trim()
        .refine((text) => countryCode(text) !== undefined, 'is no country of ISO 3166-1')
        .transform((text) => countryCode(text)!),
      note: z.string().trim().max(200).default('')
    })
  )
  .max(250)
  .refine(
    (rows) => new Set(rows.map((row) => row.country)).size === rows.length,
    'A country is named twice. Take one of the two out.'
  );
export type ConsentCountries = z.output<typeof consentSchema>;

/**
 * Where the trade holds that a first mail to a person at a firm needs that person's prior consent. Common practice, no
 * published source, and no legal advice: a house edits it to what its own lawyers say.
 */
export const consentCountries: ConsentCountries = [
  { country: 'AT', note: 'firms and persons alike' },
  { country: 'CH', note: 'mass mail' },
  { country: 'DE', note: 'firms and persons alike' },
  { country: 'DK', note: 'firms and persons alike' },
  { country: 'ES', note: 'unless a customer already' },
  { country: 'GR', note: '' },
  { country: 'IT', note: 'firms and persons alike' },
  { country: 'NO', note: 'a named person’s address' },
  { country: 'PL', note: '' }
];
