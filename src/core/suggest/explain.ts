import type { Person } from '../people/person';
import { presentJob } from '../people/present-job';
import { lacksFact, numberOf, searches, valuesOf } from '../people/values';
import type { Field } from '../people/fields';
import { indexOfSequence, keysHeld, sequencesOf } from '../semantics/leaf';
import { matches, rangeOf } from '../semantics/matches';
import { exactMatching, type Matching } from '../semantics/exact-matching';
import { partsOf, type Part } from '../semantics/parts';
import { print } from '../language/print';
import { terms, type Query, type Range, type Span, type Term } from '../language/query';
import { writeDay } from '../language/days';
import { isOwnScope, takesRange } from '../language/scopes';
import { tokenKeys } from '../language/tokens';
import { countryName } from '../people/countries';
import { applyChanges } from './change';
import type { Change } from './change-schema';
import { parse, type SetQueries } from '../language/parse';

/** A term that is in a person, and where. */
export interface TermMatch {
  term: string;
  fields: (Field | 'fact')[];
}

/** One outermost part of a string compared with a person. */
export interface PartExplained {
  part: number;
  excludes: boolean;
  met: boolean;
  /** Terms of the part found in the person: by which a wanted part is met, or an exclusion hit. */
  by: TermMatch[];
  /** What of the person the part asks for and the source does not tell. */
  unlisted: string[];
}

export interface Explanation {
  found: boolean;
  parts: PartExplained[];
  /** What would let in a person who is not found, and the text it makes; null for one who is found, or where nothing would be left to ask. */
  letIn: { changes: Change[]; text: string; says: string[] } | null;
}

/** Why a string finds a person or not, part by part, and the smallest change that would let in one it does not. */
export function explain(
  text: string,
  query: Query,
  person: Person,
  matching: Matching = exactMatching,
  sets?: SetQueries
): Explanation {
  const parts = partsOf(query).map((part) => explainPart(part, person, matching));
  const failing = parts.filter(({ met }) => !met);
  if (!failing.length) return { found: true, parts, letIn: null };
  const all = partsOf(query);
  const whole = failing.map(({ part }) => leavingOut(all[part]!.query));
  const small = failing.map(({ part }) => wayIn(all[part]!, person, matching) ?? leavingOut(all[part]!.query));
  for (const ways of [small, whole]) {
    const changes = ways.flatMap((way) => way.changes);
    const changed = applyChanges(text, changes, sets);
    const after = parse(changed, sets).query;
    if (after && matches(after, person, matching))
      return { found: false, parts, letIn: { changes, text: changed, says: ways.map(({ says }) => says) } };
  }
  return { found: false, parts, letIn: null };
}

function explainPart({ index, query, excludes }: Part, person: Person, matching: Matching): PartExplained {
  const by = new Map<string, TermMatch>();
  const unlisted = new Set<string>();
  for (const { term } of terms(query)) {
    const fields = fieldsAnswering(term, person, matching);
    if (fields.length) by.set(print(term), { term: print(term), fields });
    else if (lacksFact(person, term.scope)) unlisted.add(term.scope);
  }
  return {
    part: index,
    excludes,
    met: matches(query, person, matching),
    by: [...by.values()],
    unlisted: [...unlisted]
  };
}

/** The fields of a person in which a term stands; `fact` for a number. */
export function fieldsAnswering(term: Term, person: Person, matching: Matching): TermMatch['fields'] {
  const range = rangeOf(term);
  if (range) return range !== 'never' && matches(term, person, matching) ? ['fact'] : [];
  const sequenceIn = sequencesOf(term as Exclude<Term, Range>, matching);
  const fields = new Set<Field>();
  for (const { field, text } of valuesOf(person)) {
    if (fields.has(field) || !searches(term.scope, field)) continue;
    if (indexOfSequence(keysHeld(field, text, matching), sequenceIn(field)) >= 0) fields.add(field);
  }
  return [...fields];
}

interface Way {
  changes: Change[];
  says: string;
}

const leavingOut = (query: Query): Way => ({
  changes: query.at ? [{ kind: 'drop', at: query.at }] : [],
  says: `leave out ${print(query)}`
});

/** The smaller change of one part that lets a person in: a wording more, a wider number, a value more, or what hits them taken out. */
export function wayIn({ query, excludes }: Part, person: Person, matching: Matching): Way | null {
  const leaves = [...terms(query)].map(({ term }) => term);
  if (excludes) {
    const hitting = leaves.filter((term) => fieldsAnswering(term, person, matching).length);
    if (!hitting.length) return null;
    return {
      changes: hitting.flatMap(({ at }) => (at ? [{ kind: 'drop' as const, at }] : [])),
      says: `no longer exclude ${hitting.map((term) => print(term)).join(', ')}`
    };
  }
  const first = leaves[0]!;
  const at = first.at;
  if (!at || leaves.length !== sameScope(leaves)) return null;
  const { scope } = first;
  if (first.kind === 'range' && takesRange(scope)) {
    const value = numberOf(person, scope);
    if (value === undefined) return null;
    const { low, high } = first;
    const wider = {
      low: low === null ? null : Math.min(low, value),
      high: high === null ? null : Math.max(high, value)
    };
    return {
      changes: [{ kind: 'widen', at, ...wider }],
      says: `let ${scope} reach ${(isOwnScope(scope) && writeDay(value)) || value.toLocaleString('en')}`
    };
  }
  const listed =
    scope === 'title' || scope === 'company'
      ? presentJob(person)?.[scope]
      : scope === 'country' && person.country
        ? countryName(person.country)
        : isOwnScope(scope) || ['place', 'industry', 'function', 'rank', 'language'].includes(scope)
          ? valuesOf(person).find(({ field }) => field === scope)?.text
          : undefined;
  if (!listed || !tokenKeys(listed).length) return null;
  return {
    changes: [{ kind: 'add', at: lastPlace(leaves) ?? at, scope, text: listed }],
    says: `add ${scope} “${listed}”`
  };
}

const sameScope = (leaves: readonly Term[]) => leaves.filter(({ scope }) => scope === leaves[0]!.scope).length;
const lastPlace = (leaves: readonly Term[]): Span | undefined => leaves.at(-1)?.at;

/** How often each part of a string was answered in which field, among people: the causes of misses, summed up. */
export interface Cause {
  part: number;
  /** The term that answered, as written. */
  term: string;
  field: Field | 'fact';
  /** People this term in this field let in. */
  people: number;
}

/** Sums up by which terms, in which fields, people came: the most frequent first. Numbers and exclusions are left out. */
export function causesOf(query: Query, people: readonly Person[], matching: Matching = exactMatching): Cause[] {
  const counts = new Map<string, Cause>();
  const parts = partsOf(query).filter(({ excludes }) => !excludes);
  for (const person of people)
    for (const part of parts)
      for (const { term, fields } of explainPart(part, person, matching).by)
        for (const field of fields) {
          if (field === 'fact') continue;
          const key = `${part.index} ${field} ${term}`;
          const cause = counts.get(key) ?? { part: part.index, term, field, people: 0 };
          cause.people++;
          counts.set(key, cause);
        }
  return [...counts.values()].sort((a, b) => b.people - a.people);
}
