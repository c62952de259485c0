import { isTerm, type Query } from '$core/language';

/** The smallest meaningful part of a query at a position in its text. */
export function partAt(query: Query, at: number): Query | null {
  const { from = 0, to = Infinity } = query.at ?? {};
  if (at < from || at > to) return null;
  if (isTerm(query) || query.set) return query;
  const parts = query.kind === 'not' ? [query.part] : query.parts;
  for (const part of parts) {
    const found = partAt(part, at);
    if (found) return found;
  }
  return null;
}
