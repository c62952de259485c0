import * as z from 'zod';
import { countingSchema } from './count';
import { withLists } from './older-sheet';
import { matchingSchema } from '../semantics/matching-schema';
import { scopes, textScopes, type Scope } from '../language/scopes';
import { scopeSchema } from '../language/scope-schema';
import { maxOwn } from '../people/own-fields';
import type { ListedScopes } from '../semantics/truth';

const count = z
  .number({ error: 'is written in digits' })
  .int('is a whole number')
  .min(1, 'is at least 1')
  .max(1_000_000, 'is at most 1,000,000');
const label = z
  .string()
  .trim()
  .min(1)
  .max(100)
  .regex(/^[^:\n]*$/, 'no colon and no line break');

/** A text box of a source: what it searches and how things are written in it. */
export const boxSchema = z.object({
  id: z.string().regex(/^[a-z][a-z0-9-]*$/, 'small letters, digits and hyphens'),
  label,
  searches: z.enum(textScopes).describe('The scope that every word in the box has'),
  scoped: z.boolean().default(false).describe('Takes the whole notation, scopes, facts and ranges among it'),
  and: z.enum(['AND', '&', '+']).nullable().describe('How "and" is written; null where it cannot be'),
  or: z.enum(['OR', '|', ',', ';']).nullable().describe('How "or" is written; null where it cannot be'),
  not: z
    .enum(['NOT', '-', '!'])
    .nullable()
    .describe('What stands before an exclusion; null where nothing can be excluded'),
  phrase: z.boolean().describe('Words in quotes are found side by side'),
  group: z.boolean().describe('Brackets make groups'),
  prefix: z.boolean().describe('A * ends a word beginning'),
  beside: z.enum(['and', 'or', 'phrase']).default('and').describe('What words side by side, without quotes, mean'),
  binding: z
    .enum(['standard', 'or-first', 'left-to-right'])
    .default('standard')
    .describe('What binds first without brackets: AND (standard), OR, or the operator further left'),
  excludesAlone: z.boolean().default(true).describe('Answers when the box contains exclusions only'),
  opening: z
    .string()
    .trim()
    .max(200)
    .default('')
    .describe('What Eave writes before every search, such as a site to stay on')
});

const unique = (names: readonly string[]) => new Set(names).size === names.length;

export const factSchema = z.object({
  scope: scopeSchema,
  label: label.optional(),
  include: z.boolean().default(false),
  exclude: z.boolean().default(false),
  range: z.boolean().default(false),
  values: z
    .array(z.string().trim().min(1).max(200))
    .max(1000)
    .nullable()
    .default(null)
    .describe('The values to choose from; null where any can be typed'),
  most: count.nullable().default(null).describe('Most values in one search'),
  buckets: z
    .array(
      z.object({
        label: z
          .string()
          .trim()
          .min(1)
          .max(100)
          .regex(/^[^;\n]*$/, 'no semicolon and no line break'),
        low: z.number().nullable(),
        high: z.number().nullable()
      })
    )
    .min(1)
    .max(100)
    .refine((buckets) => unique(buckets.map(({ label }) => label)), 'every range needs a different name')
    .nullable()
    .optional()
    .describe('Named ranges of a number to choose from, as 10–49, where no bounds can be typed')
});

/** What a source can be asked, how it matches, counts and where it ends: all that Eave knows of it, as data. */
const sheetShape = z.object({
  id: z.string().min(1).max(100),
  name: z.string().trim().min(1).max(100),
  about: z.string().max(500),
  boxes: z
    .array(boxSchema)
    .max(20)
    .refine((boxes) => unique(boxes.map(({ id }) => id)), 'every box needs a different id')
    .refine((boxes) => unique(boxes.map(({ label }) => label.toLowerCase())), 'every box needs a different label'),
  facts: z
    .array(factSchema)
    .max(scopes.length + maxOwn)
    .refine((facts) => unique(facts.map(({ scope }) => scope)), 'every fact is named once'),
  lists: z
    .array(scopeSchema)
    .max(scopes.length + maxOwn)
    .default([])
    .describe(
      'The texts and facts that its results list. What it does not list is unknown of its people, not missing; `any` is the whole profile'
    ),
  listsAll: z.boolean().default(false).describe('Shows everybody where nothing is asked'),
  limits: z.object({
    characters: count.nullable().describe('Longest text of one box'),
    words: count.nullable().describe('Most words in one search'),
    operators: count.nullable().describe('Most AND, OR and NOT in one search'),
    nesting: count.nullable().default(null).describe('Most brackets within brackets'),
    shown: count.nullable().describe('Results shown of a longer list'),
    page: count.nullable().default(null).describe('Results on a page'),
    perMinute: count.nullable().default(null).describe('Requests a minute before it slows down or refuses'),
    searches: count.max(200).describe('Most searches that one string may be shared out to')
  }),
  price: z
    .object({
      perSearch: z.number().min(0).max(10_000),
      perRecord: z.number().min(0).max(10_000),
      unit: z.string().trim().min(1).max(20)
    })
    .nullable()
    .default(null),
  age: z
    .int('is a whole number')
    .min(0)
    .max(1200)
    .nullable()
    .default(null)
    .describe('Months that its data may be old; null if unknown'),
  matching: matchingSchema,
  counting: countingSchema
});

/** A sheet as it is received, also from an adapter written when `lists` was called `tells`. */
export const sheetSchema = z.preprocess(withLists, sheetShape);

export type Sheet = z.infer<typeof sheetShape>;

/** What a sheet's source lists, as the three-valued reading takes it. Worked out once for each sheet. */
export function listedBy(sheet: Pick<Sheet, 'lists'>): ListedScopes {
  let listed = listedSets.get(sheet.lists);
  if (!listed) listedSets.set(sheet.lists, (listed = new Set(sheet.lists)));
  return listed;
}
const listedSets = new WeakMap<readonly Scope[], ListedScopes>();

export type Box = Sheet['boxes'][number];
export type Fact = Sheet['facts'][number];
/** A limit that a written search is compared with. */
export const limitKinds = ['characters', 'words', 'operators', 'nesting'] as const;
export type LimitKind = (typeof limitKinds)[number];

/** Whether a box takes nothing but words, all of which must be found. */
export const wordsOnly = (box: Box) =>
  !box.or && !box.not && !box.phrase && !box.group && !box.prefix && box.beside === 'and';

/** The word a person sees beside a fact. */
export const factLabel = (fact: Fact): string => fact.label ?? fact.scope;
