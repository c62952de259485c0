import type { Person } from '../corpus/person';
import { countryCode, countryName } from '../people/countries';
import { industryCode, industryName } from '../people/industries';
import { matches } from '../query/matches';
import { tokenKeys } from '../query/tokens';
import type { Persona } from './persona';
import type { WordSet } from './word-set';

/** One line of a persona held against one person. */
export interface FactCheck {
  fact: 'Title' | 'Function' | 'Firm size' | 'Country' | 'Industry' | 'Must not';
  outcome: 'met' | 'not met' | 'unknown';
  /** What the person has, in words. */
  has: string;
}

/** Holds a person against a persona, fact by fact. What the source does not know is unknown, never not met. */
export function checkFacts(persona: Persona, wordSets: readonly WordSet[], person: Person): FactCheck[] {
  const checks: FactCheck[] = [];
  const add = (fact: FactCheck['fact'], has: string | undefined, met: (has: string) => boolean) =>
    checks.push({ fact, outcome: has ? (met(has) ? 'met' : 'not met') : 'unknown', has: has || 'not known' });
  const titles = person.jobs?.filter((job) => !job.to).map((job) => job.title) ?? [];
  const wordings = wordSets.flatMap((set) => set.wordings.filter((one) => one.inUse).map((one) => one.text));
  if (wordings.length)
    add('Title', titles.join(', '), () =>
      wordings.some((text) => tokenKeys(text).length > 0 && matches({ kind: 'phrase', scope: 'title', text }, person))
    );
  if (persona.functions.length) {
    const wanted = new Set(persona.functions.map((name) => name.toLowerCase()));
    add('Function', person.function, (has) => wanted.has(has.toLowerCase()));
  }
  const { from, to } = persona.size;
  if (from !== null || to !== null) {
    const { headcount } = person;
    add(
      'Firm size',
      headcount?.toLocaleString('en'),
      () => headcount! >= (from ?? 0) && headcount! <= (to ?? Infinity)
    );
  }
  if (persona.industries.length) {
    const wanted = new Set(persona.industries.map((text) => industryCode(text)));
    const { industry } = person;
    const name = industry && (industryName(industry) ? `${industry} ${industryName(industry)}` : industry);
    add('Industry', name, () => wanted.has(industryCode(industry!)));
  }
  if (persona.countries.length) {
    const wanted = new Set(persona.countries.map(countryCode));
    add('Country', person.country && countryName(person.country), () => wanted.has(countryCode(person.country!)));
  }
  const unwanted = persona.mustNot.filter(
    (text) => tokenKeys(text).length > 0 && matches({ kind: 'phrase', scope: 'any', text }, person)
  );
  if (persona.mustNot.length)
    checks.push({
      fact: 'Must not',
      outcome: unwanted.length ? 'not met' : 'met',
      has: unwanted.join(', ') || 'none of it found'
    });
  return checks;
}
