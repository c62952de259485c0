import type { Person } from '../people/person';
import { numberOf, searches, valuesOf, type Value } from '../people/values';
import { indexOfSequence, keysHeld, sequencesOf } from './leaf';
import { exactMatching, type Matching } from './exact-matching';
import type { Query, Range, Word, Phrase } from '../language/query';
import { isNumberFact, takesRange } from '../language/scopes';
import { checkpoint } from '../language/checkpoint';

/**
 * Whether a query holds for a person: the one definition of what a string means. A fact the source does not know
 * satisfies no term, and so satisfies every exclusion of one. `matching` is the source's way of comparing words.
 */
export function matches(query: Query, person: Person, matching: Matching = exactMatching): boolean {
  return matcher(query, matching)(person);
}

/** `matches` for many people: the query's words are folded once. */
export function matcher(query: Query, matching: Matching = exactMatching): (person: Person) => boolean {
  const test = compile(query, matching);
  return (person) => {
    checkpoint();
    return test({ person, values: valuesOf(person).map((value) => ({ value, words: null })) });
  };
}

interface Profile {
  person: Person;
  values: { value: Value; words: string[] | null }[];
}
type Test = (profile: Profile) => boolean;

function compile(query: Query, matching: Matching): Test {
  switch (query.kind) {
    case 'and': {
      const tests = query.parts.map((part) => compile(part, matching));
      return (profile) => tests.every((test) => test(profile));
    }
    case 'or': {
      const tests = query.parts.map((part) => compile(part, matching));
      return (profile) => tests.some((test) => test(profile));
    }
    case 'not': {
      const test = compile(query.part, matching);
      return (profile) => !test(profile);
    }
    default: {
      const range = rangeOf(query);
      return range === 'never' ? () => false : range ? inRange(range) : says(query as Word | Phrase, matching);
    }
  }
}

/** A term on a number fact as a range; `never` for a term that no person can satisfy. */
export function rangeOf(term: Range | Word | Phrase): Range | 'never' | null {
  if (term.kind === 'range') return takesRange(term.scope) ? term : 'never';
  if (!isNumberFact(term.scope)) return null;
  const value = Number(term.text);
  return Number.isFinite(value) ? { kind: 'range', scope: term.scope, low: value, high: value } : 'never';
}

function inRange({ scope, low, high }: Range): Test {
  return ({ person }) => {
    const value = takesRange(scope) ? numberOf(person, scope) : undefined;
    return value !== undefined && value >= (low ?? -Infinity) && value <= (high ?? Infinity);
  };
}

function says(term: Word | Phrase, matching: Matching): Test {
  const sequenceIn = sequencesOf(term, matching);
  return ({ values }) =>
    values.some((entry) => {
      if (!searches(term.scope, entry.value.field)) return false;
      entry.words ??= keysHeld(entry.value.field, entry.value.text, matching);
      return indexOfSequence(entry.words, sequenceIn(entry.value.field)) >= 0;
    });
}
