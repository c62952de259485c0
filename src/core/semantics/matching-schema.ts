import * as z from 'zod';

/** How a source compares words. Stemming touches unquoted words only; folded diacritics and dropped words touch all. */
export const matchingSchema = z.object({
  stemming: z.enum(['english']).nullable().describe('Language whose endings are cut off unquoted words, if any'),
  diacritics: z.enum(['kept', 'folded']),
  stopWords: z
    .array(z.string().regex(/^[\p{Ll}\p{Lo}\p{M}\p{N}]+$/u, 'one word in lower case'))
    .max(200)
    .default([])
    .describe('Words the source drops, from what is asked and from what it holds, in quotes too')
});
export type MatchingRules = z.input<typeof matchingSchema>;
