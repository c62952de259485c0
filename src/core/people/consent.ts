import type * as z from 'zod';
import { countryWritten } from './country-written';
import { consentOf } from './house-list-shapes';

/** Countries whose mail rules ask prior consent, by their codes of ISO 3166-1. */
export const consentSchema = consentOf(countryWritten);
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
