import type { Matching } from '../semantics/exact-matching';
import { numberFacts } from '../language/scopes';
import { commonWords } from './common-words';
import { ValuesMet } from './values-met';
import { ownNumber, ownScopeOf } from '../people/own-fields';
import { eachValue, numberOf } from '../people/values';
import type { Field } from '../people/fields';
import type { Vocabulary } from './vocabulary';
import type { IndexParts, PeopleList } from './index-parts';

/** Reads people into the parts of an index, filling a vocabulary that holds no word yet. */
export function buildIndexParts(people: PeopleList, vocabulary: Vocabulary, matching: Matching): IndexParts {
  const size = people.length;
  const ids: string[] = [];
  const numbers = Object.fromEntries(
    numberFacts.map((fact) => [fact, new Float64Array(size)])
  ) as IndexParts['numbers'];
  const met = new ValuesMet(vocabulary, matching, size);
  const tell = (field: Field, text: string) => met.tell(field, text);
  for (let row = 0; row < size; row++) {
    const person = people.at(row)!;
    ids.push(person.id);
    met.nextPerson();
    for (const fact of numberFacts) numbers[fact][row] = numberOf(person, fact) ?? Number.NaN;
    eachValue(person, tell);
    for (const name in person.own) {
      const number = ownNumber(person.own[name]);
      if (number !== undefined) (numbers[ownScopeOf(name)] ??= new Float64Array(size).fill(Number.NaN))[row] = number;
    }
  }
  const parts = { ids, words: vocabulary.words, numbers, own: met.own, ...met.parts() };
  return { ...parts, ...commonWords(parts) };
}
