import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';
import { matches } from '../semantics/matches';
import type { Matching } from '../semantics/exact-matching';
import type { Query } from '../language/query';
import { lacksFact } from '../people/values';
import { terms } from '../language/query';
import type { LackingReason } from './lacking-reasons';

/**
 * Why: `there` is the record of the source that doesn’t have them (null where it has none), `here` that of the source that found them,
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
  const unlisted = [...terms(query)].some(
    ({ term }) => lacksFact(there.person, term.scope) && !lacksFact(here.person, term.scope)
  );
  if (unlisted) return there.brought ? 'removed by the left-over part' : 'facts it does not list';
  return there.brought ? 'removed by the left-over part' : 'says less of them';
}

const jobNow = ({ jobs }: Person) => {
  const now = presentJob({ jobs });
  return `${now?.title.trim().toLowerCase()}|${now?.company.trim().toLowerCase()}`;
};
