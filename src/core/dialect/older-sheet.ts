import * as z from 'zod';
import { isScope, isTextScope } from '../language/scopes';

/** A sheet with `lists` under the name that it has now; earlier it was `tells`. */
export function withLists(raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || !('tells' in raw) || 'lists' in raw) return raw;
  const { tells, ...others } = raw;
  return { ...others, lists: tells };
}

/**
 * A sheet written before sheets said which texts are listed (its `lists` has no text, or is missing): its results
 * list titles and firms, what its other boxes search, and the facts it can be asked. Anything else comes back as it is.
 */
export function upgradedSheet(raw: unknown): unknown {
  const named = withLists(raw);
  const read = olderSheet.safeParse(named);
  if (!read.success) return raw;
  const { boxes, facts, lists } = read.data;
  if (lists.some((scope) => isScope(scope) && isTextScope(scope))) return named;
  const texts = boxes.map(({ searches }) => searches).filter((scope) => scope !== 'any');
  return {
    ...(named as object),
    lists: [...new Set(['title', 'company', ...texts, ...facts.map(({ scope }) => scope), ...lists])]
  };
}
const olderSheet = z.object({
  boxes: z.array(z.object({ searches: z.string() })),
  facts: z.array(z.object({ scope: z.string() })),
  lists: z.array(z.string()).default([])
});
