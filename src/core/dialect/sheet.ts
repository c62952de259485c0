import { z } from 'zod';
import { countingSchema } from '../measure/count';
import { matchingSchema } from '../query/matching';
import { scopes, textScopes } from '../query/scopes';

const count = z.int().min(1);

/** A text box of a source: what it searches and what can be written in it. */
const boxSchema = z.object({
  id: z.string().regex(/^[a-z][a-z0-9-]*$/),
  label: z.string().min(1).max(100),
  searches: z.enum(textScopes).describe('The scope that every word in the box has'),
  scoped: z.boolean().default(false).describe('Takes the whole notation, scopes, facts and ranges among it'),
  or: z.boolean(),
  not: z.boolean(),
  phrase: z.boolean(),
  group: z.boolean(),
  prefix: z.boolean()
});

const factSchema = z.object({
  scope: z.enum(scopes),
  include: z.boolean().default(false),
  exclude: z.boolean().default(false),
  range: z.boolean().default(false)
});

/** What a source can be asked, how it matches, counts and where it ends: all that Eave knows of it, as data. */
export const sheetSchema = z.object({
  id: z.string().min(1).max(100),
  name: z.string().trim().min(1).max(100),
  about: z.string().max(500),
  boxes: z.array(boxSchema).min(1),
  facts: z.array(factSchema),
  limits: z.object({
    characters: count.nullable().describe('Longest text of one box'),
    words: count.nullable().describe('Most words in one search'),
    operators: count.nullable().describe('Most AND, OR and NOT in one search'),
    shown: count.nullable().describe('Results shown of a longer list'),
    searches: count.describe('Most searches that one string may be shared out to')
  }),
  matching: matchingSchema,
  counting: countingSchema
});

export type Sheet = z.infer<typeof sheetSchema>;
export type Box = Sheet['boxes'][number];
