import * as z from 'zod';
import { countryCode } from './countries';

/** A country as it is written, read as its code of ISO 3166-1. */
export const countryWritten = z
  .string()
  .trim()
  .refine((text) => countryCode(text) !== undefined, 'is no country of ISO 3166-1')
  .transform((text) => countryCode(text)!);
