import type { Person } from '../people/person';
import { searches, valuesOf } from '../people/values';
import { indexOfSequence, sequencesOf, tokensHeld } from './leaf';
import { exactMatching, type Matching } from './exact-matching';
import { terms, type Query } from '../language/query';
import { isNumberFact } from '../language/scopes';

/** A top-level part of a string: what is joined by the outermost AND. */
export interface Part {
  index: number;
  query: Query;
  excludes: boolean;
}

/** The top-level parts of a query, in order; a query that is no AND is one part. */
export function partsOf(query: Query): Part[] {
  const parts = query.kind === 'and' ? query.parts : [query];
  return parts.map((part, index) => ({ index, query: part, excludes: part.kind === 'not' }));
}

/** A place in one value of a person where a wanted term stands. `value` counts along `valuesOf(person)`. */
export interface Highlight {
  value: number;
  from: number;
  to: number;
  /** Index of the part of the string that it answers. */
  part: number;
}

/** Every place where a wanted term of the query is in a person, in reading order and without overlaps. */
export function highlightsOf(query: Query, person: Person, matching: Matching = exactMatching): Highlight[] {
  const values = valuesOf(person).map((value) => ({
    ...value,
    tokens: tokensHeld(value.field, value.text, matching)
  }));
  const marks: Highlight[] = [];
  for (const part of partsOf(query))
    for (const { term, wanted } of terms(part.query)) {
      if (!wanted || term.kind === 'range' || isNumberFact(term.scope)) continue;
      const sequenceIn = sequencesOf(term, matching);
      values.forEach((value, index) => {
        if (!searches(term.scope, value.field)) return;
        const words = value.tokens.map((token) => token.key);
        const sequence = sequenceIn(value.field);
        let at = indexOfSequence(words, sequence);
        while (at >= 0) {
          const last = value.tokens[at + sequence.keys.length - 1]!;
          marks.push({ value: index, from: value.tokens[at]!.from, to: last.to, part: part.index });
          at = indexOfSequence(words, sequence, at + 1);
        }
      });
    }
  return withoutOverlaps(marks);
}

function withoutOverlaps(marks: Highlight[]): Highlight[] {
  marks.sort((a, b) => a.value - b.value || a.from - b.from || b.to - a.to || a.part - b.part);
  const kept: Highlight[] = [];
  for (const mark of marks) {
    const last = kept.at(-1);
    if (!last || last.value !== mark.value || last.to <= mark.from) kept.push(mark);
  }
  return kept;
}
