import type { Person } from '../corpus/person';
import { matches } from '../query/matches';
import type { Matching } from '../query/matching';
import type { Query } from '../query/query';
import { isNumberFact, type Scope } from '../query/scopes';
import { terms } from '../query/query';

/** Why a source does not show someone whom another finds by the same string. */
export const lackingReasons = [
  'not in it',
  'beyond what it shows',
  'removed by the left-over part',
  'compares words otherwise',
  'another job in its record',
  'facts it does not tell',
  'says less of them'
] as const;
export type LackingReason = (typeof lackingReasons)[number];

/**
 * Why: `there` is the record of the source that lacks them (null where it has none), `here` that of the source that found them,
 * each with how that source compares words. `brought` says whether the searches asked there find the record at all.
 */
export function whyLacking(
  query: Query,
  here: { person: Person; matching: Matching },
  there: { person: Person; matching: Matching; brought: boolean } | null
): LackingReason {
  if (!there) return 'not in it';
  if (matches(query, there.person, there.matching)) return 'beyond what it shows';
  if (matches(query, there.person, here.matching) || !matches(query, here.person, there.matching))
    return 'compares words otherwise';
  if (jobNow(there.person) !== jobNow(here.person)) return 'another job in its record';
  const untold = [...terms(query)].some(
    ({ term }) => isUntold(term.scope, there.person) && !isUntold(term.scope, here.person)
  );
  if (untold) return there.brought ? 'removed by the left-over part' : 'facts it does not tell';
  return there.brought ? 'removed by the left-over part' : 'says less of them';
}

const isUntold = (scope: Scope, person: Person) =>
  isNumberFact(scope)
    ? person[scope] === undefined
    : (['place', 'country', 'industry', 'function', 'rank', 'hiring', 'funded', 'tech', 'mail'] as const).some(
        (fact) => fact === scope && person[fact] === undefined
      );

const jobNow = ({ jobs }: Person) => {
  const now = jobs?.find(({ to }) => !to);
  return `${now?.title.trim().toLowerCase()}|${now?.company.trim().toLowerCase()}`;
};
