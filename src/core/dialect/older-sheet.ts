import * as z from 'zod';
import { isScope, isTextScope } from '../language/scopes';

/**
 * A sheet written before sheets said which texts are listed (its `tells` has no text, or is missing): its results
 * tell titles and firms, what its other boxes search, and the facts it can be asked. Anything else comes back as it is.
 */
export function upgradedSheet(raw: unknown): unknown {
  const read = olderSheet.safeParse(raw);
  if (!read.success) return raw;
  const { boxes, facts, tells } = read.data;
  if (tells.some((scope) => isScope(scope) && isTextScope(scope))) return raw;
  const texts = boxes.map(({ searches }) => searches).filter((scope) => scope !== 'any');
  return {
    ...(raw as object),
    tells: [...new Set(['title', 'company', ...texts, ...facts.map(({ scope }) => scope), ...tells])]
  };
}
const olderSheet = z.object({
  boxes: z.array(z.object({ searches: z.string() })),
  facts: z.array(z.object({ scope: z.string() })),
  tells: z.array(z.string()).default([])
});
