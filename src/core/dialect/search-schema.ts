import * as z from 'zod';
import { scopeSchema } from '../language/scope-schema';

/** One search as a person would enter it at a source: a text in each box, and values or a range for each fact. */
export const searchSchema = z.object({
  boxes: z.record(z.string(), z.string()),
  facts: z.array(
    z.object({
      scope: scopeSchema,
      include: z.array(z.string()).optional(),
      exclude: z.array(z.string()).optional(),
      range: z.object({ low: z.number().nullable(), high: z.number().nullable() }).optional()
    })
  )
});
export type Search = z.infer<typeof searchSchema>;
