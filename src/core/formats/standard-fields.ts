import * as z from 'zod';

/** Columns whose cells are brought to a standard list before they are kept. */
export const standardFields = ['country', 'industry', 'headcount', 'rank', 'function', 'language'] as const;
export const standardFieldSchema = z.enum(standardFields);
export type StandardField = (typeof standardFields)[number];
export const isStandardField = (field: string): field is StandardField =>
  (standardFields as readonly string[]).includes(field);
