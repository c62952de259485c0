import type { Person } from '$core/people';
import type { Query } from '$core/language';
import { matchingOf, type MatchingRules } from '$core/semantics';
import { causesOf } from '$core/suggest';

/** The terms of a string that each sampled person matched, by the person's id, under a source's rules of matching. */
export function causesByPerson(
  query: Query,
  sample: readonly { person: Person }[],
  rules: MatchingRules
): Map<string, string[]> {
  const matching = matchingOf(rules);
  return new Map(
    sample.map(({ person }) => [person.id, [...new Set(causesOf(query, [person], matching).map(({ term }) => term))]])
  );
}
