import * as z from 'zod';
import { languages } from './languages';

const name = z.string().trim().min(1).max(100);
const wordings = z.array(z.string().trim().min(1).max(200)).max(200);
const byLanguage = z.partialRecord(z.enum(languages), wordings);

/** What a user adds to the lexicon of titles, for all briefs. Open to be written by hand, and taken from one Eave to another. */
export const ownLexiconShape = z.object({
  functions: z
    .array(z.object({ id: name, near: z.array(name).max(50).default([]), names: byLanguage }))
    .max(500)
    .default([])
    .describe('Fields of work, or more names of one that the lexicon has'),
  titles: z
    .array(z.object({ rank: name, function: name, titles: byLanguage }))
    .max(2000)
    .default([])
    .describe('Titles that mean one job, by language'),
  meanings: z
    .array(
      z.object({
        word: z
          .string()
          .trim()
          .regex(/^\p{L}{2,30}$/u, 'is one word of letters'),
        senses: z
          .array(z.object({ name, indicators: wordings.min(1) }))
          .min(2)
          .max(20)
      })
    )
    .max(500)
    .default([])
    .describe('Words with several meanings, each with the words that indicate it')
});
export type OwnLexicon = z.output<typeof ownLexiconShape>;
