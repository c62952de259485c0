import type { Person } from '../people/person';
import { numberOf, searches, valuesOf, type Value } from '../people/values';
import type { Field } from '../people/fields';
import { indexOfSequence, inFormed, keysHeld, sequencesOf, type Sequence } from './leaf';
import { rangeOf } from './matches';
import { exactMatching, type Matching } from './exact-matching';
import { terms, type Phrase, type Query, type Range, type Term, type Word } from '../language/query';
import { isTextScope, scopes, takesRange, type Scope } from '../language/scopes';

/** What can be said of a query and a record: it holds, it does not, or the record does not tell. */
export type Truth = 'met' | 'not met' | 'unknown';

/** The scopes that a source's results tell: its sheet's `tells`. */
export type ListedScopes = ReadonlySet<Scope>;
export const everythingListed: ListedScopes = new Set(scopes);

const rank: Record<Truth, number> = { 'not met': 0, unknown: 1, met: 2 };

/** Kleene's strong conjunction: the least of the two. Kleene, Introduction to Metamathematics (1952), § 64. */
export const bothOf = (a: Truth, b: Truth): Truth => (rank[a] <= rank[b] ? a : b);
/** Kleene's strong disjunction: the greatest of the two. */
export const eitherOf = (a: Truth, b: Truth): Truth => (rank[a] >= rank[b] ? a : b);
/** Kleene's negation: unknown stays unknown. */
export const notOf = (a: Truth): Truth => (a === 'unknown' ? a : a === 'met' ? 'not met' : 'met');

/**
 * Reads a query on a record by Kleene's strong three-valued logic. A fact that the record doesn’t have is unknown. Words in a
 * text that the source does not tell are unknown unless they are in what it does tell; a text it tells and that doesn’t have
 * them does not meet them. What is `met` is found by `matches`, and what is `not met` isn't.
 */
export function truthOf(
  query: Query,
  person: Person,
  listed: ListedScopes = everythingListed,
  matching: Matching = exactMatching
): Truth {
  return truthReader(query, listed, matching)(person);
}

/** `truthOf` for many people: the query's words are folded once. */
export function truthReader(
  query: Query,
  listed: ListedScopes = everythingListed,
  matching: Matching = exactMatching
): (person: Person) => Truth {
  const test = compile(query, listed, matching);
  return (person) => test(recordOf(person));
}

/** A value, and its words by the form that they are compared in: made once, however many terms look for theirs. */
interface Entry {
  value: Value;
  words: Map<Sequence['form'], string[]>;
}
interface Profile {
  person: Person;
  values: Entry[];
  fields: ReadonlySet<Field>;
}
type Test = (record: Profile) => Truth;

function recordOf(person: Person): Profile {
  const values = valuesOf(person);
  return {
    person,
    values: values.map((value) => ({ value, words: new Map() })),
    fields: new Set(values.map(({ field }) => field))
  };
}

function compile(query: Query, listed: ListedScopes, matching: Matching): Test {
  switch (query.kind) {
    case 'and': {
      const tests = query.parts.map((part) => compile(part, listed, matching));
      return (record) => all(tests, record, 'not met');
    }
    case 'or': {
      const tests = query.parts.map((part) => compile(part, listed, matching));
      return (record) => all(tests, record, 'met');
    }
    case 'not': {
      const test = compile(query.part, listed, matching);
      return (record) => notOf(test(record));
    }
    default: {
      const range = rangeOf(query);
      if (range === 'never') return () => 'not met';
      return range ? inRange(range) : says(query as Word | Phrase, listed, matching);
    }
  }
}

/** The outcome of a group: `decides` where one of its parts is that, else unknown where one is, else the other. */
function all(tests: readonly Test[], record: Profile, decides: 'met' | 'not met'): Truth {
  let unknown = false;
  for (const test of tests) {
    const truth = test(record);
    if (truth === decides) return decides;
    unknown ||= truth === 'unknown';
  }
  return unknown ? 'unknown' : notOf(decides);
}

function inRange({ scope, low, high }: Range): Test {
  if ((low ?? -Infinity) > (high ?? Infinity)) return () => 'not met';
  return ({ person }) => {
    const value = takesRange(scope) ? numberOf(person, scope) : undefined;
    if (value === undefined) return 'unknown';
    return value >= (low ?? -Infinity) && value <= (high ?? Infinity) ? 'met' : 'not met';
  };
}

function wordsOf({ value, words }: Entry, form: Sequence['form'], matching: Matching): string[] {
  let formed = words.get(form);
  if (!formed) words.set(form, (formed = keysHeld(value.field, value.text, matching).map(form)));
  return formed;
}

function says(term: Word | Phrase, listed: ListedScopes, matching: Matching): Test {
  const sequenceIn = sequencesOf(term, matching);
  const formed = new Map<Sequence, Sequence>();
  const { scope } = term;
  // A source that drops all of its words from texts will not find them in those it does not tell either.
  const dropped = !sequenceIn(scope === 'any' ? 'name' : (scope as Field)).keys.length;
  const isText = isTextScope(scope);
  return ({ values, fields }) => {
    const found = values.some((entry) => {
      if (!searches(scope, entry.value.field)) return false;
      const sequence = sequenceIn(entry.value.field);
      const known = formed.get(sequence) ?? inFormed(sequence);
      formed.set(sequence, known);
      return indexOfSequence(wordsOf(entry, sequence.form, matching), known) >= 0;
    });
    if (found) return 'met';
    if (dropped) return 'not met';
    if (isText) return listed.has(scope) ? 'not met' : 'unknown';
    return fields.has(scope as Field) ? 'not met' : 'unknown';
  };
}

/** The terms of a query whose truth a record leaves open while the whole is open too: what is not listed of that person. */
export function unlistedIn(
  query: Query,
  person: Person,
  listed: ListedScopes = everythingListed,
  matching: Matching = exactMatching
): Term[] {
  const record = recordOf(person);
  const open: Term[] = [];
  const walk = (part: Query): void => {
    if (compile(part, listed, matching)(record) !== 'unknown') return;
    if (part.kind === 'not') walk(part.part);
    else if (part.kind === 'and' || part.kind === 'or') part.parts.forEach(walk);
    else open.push(part);
  };
  walk(query);
  return open;
}

/** Whether a term can be unknown for a record: a fact always, a text only where the source doesn't list it. */
export const canBeUnknown = (term: Term, listed: ListedScopes): boolean =>
  !isTextScope(term.scope) || !listed.has(term.scope);

/** Whether a record can leave a query open, as far as its terms tell. */
export function mayBeUnknown(query: Query, listed: ListedScopes): boolean {
  for (const { term } of terms(query)) if (canBeUnknown(term, listed)) return true;
  return false;
}
