import * as z from 'zod';
import { scopeSchema } from '../language/scope-schema';

const span = z.object({ from: z.int().min(0), to: z.int().min(0) });
const wording = { scope: scopeSchema, text: z.string().min(1).max(1000) };
const bound = z.number().nullable();

/** One change of a string. Places are those of the text that the change was made for. */
export const changeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('exclude'), ...wording }),
  z
    .object({ kind: z.literal('quote'), at: z.array(span).min(1), ...wording })
    .describe('Words that stand by themselves become a phrase, in place of the first'),
  z.object({ kind: z.literal('rescope'), at: span, scope: scopeSchema }),
  z.object({ kind: z.literal('drop'), at: span }),
  z
    .object({ kind: z.literal('narrow'), at: span, one: z.array(z.object(wording)).min(1).max(100) })
    .describe('Also requires one of some words'),
  z.object({ kind: z.literal('add'), at: span, ...wording }).describe('Adds an alternative'),
  z.object({ kind: z.literal('widen'), at: span, low: bound, high: bound })
]);
export type Change = z.infer<typeof changeSchema>;
