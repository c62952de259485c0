import * as z from 'zod';
import { shortestPrefix } from './limits';
import type { Query } from './query';
import { scopeSchema as scope } from './scope-schema';
import { tokenKeys } from './tokens';

const span = z.object({ from: z.int().min(0), to: z.int().min(0) }).optional();
const set = z.object({ name: z.string(), scope }).optional();
const searchable = z
  .string()
  .max(65536)
  .refine((text) => tokenKeys(text).length > 0, 'needs at least one letter or digit');

/** The tree of a string, as stored and as sent. Needs at least one part in a group. */
export const querySchema: z.ZodType<Query> = z.lazy(() =>
  z.discriminatedUnion('kind', [
    z
      .object({ kind: z.literal('word'), scope, text: searchable, prefix: z.boolean().optional(), at: span, set })
      .refine((word) => !word.prefix || tokenKeys(word.text).at(-1)!.length >= shortestPrefix, 'too short for a *'),
    z.object({ kind: z.literal('phrase'), scope, text: searchable, at: span, set }),
    z.object({
      kind: z.literal('range'),
      scope,
      low: z.number().nullable(),
      high: z.number().nullable(),
      at: span,
      set
    }),
    z.object({ kind: z.literal('and'), parts: z.array(querySchema).min(1), at: span, set }),
    z.object({ kind: z.literal('or'), parts: z.array(querySchema).min(1), at: span, set }),
    z.object({ kind: z.literal('not'), part: querySchema, at: span, set })
  ])
);
