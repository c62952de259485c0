import type { Person } from '../people/person';
import { plainFirmName } from '../people/firm-names';
import { countryCode, countryName } from '../people/countries';
import { industryCode, industryName } from '../people/industries';
import { takesRange } from '../language/scopes';
import { numberOf, valuesOf } from '../people/values';
import { matches } from '../semantics/matches';
import { truthOf } from '../semantics/truth';
import { factOf } from './build-string';
import { tokenKeys } from '../language/tokens';
import { meanings } from '../titles/meanings';
import { readTitle } from '../titles/read-title';
import type { Persona } from './persona';
import type { WordSet } from './word-set';

/** Confidence from which what a title says is taken for a fact. */
const surelyRead = 0.7;
/** Letters of an acronym at the most. */
const acronym = 4;

/** One of a persona’s other facts, by its scope. */
type OtherFact = Persona['facts'][number]['scope'];

/** One line of a persona compared with one person. */
export interface FactCheck {
  fact: 'Title' | 'Function' | 'Rank' | 'Firm size' | 'Country' | 'Industry' | 'Firm' | 'Must not' | OtherFact;
  outcome: 'met' | 'not met' | 'unknown';
  /** What the person has, in words. */
  has: string;
}

/** Holds a person against a persona, fact by fact. What the source does not know is unknown, never not met. */
export function checkFacts(persona: Persona, wordSets: readonly WordSet[], person: Person): FactCheck[] {
  const checks: FactCheck[] = [];
  /** `met` ignores what it can't read: an unknown spelling isn't a different fact. */
  const add = (fact: FactCheck['fact'], has: string | undefined, met: (has: string) => boolean | undefined) => {
    const said = has ? met(has) : undefined;
    checks.push({
      fact,
      outcome: said === undefined ? 'unknown' : said ? 'met' : 'not met',
      has: has || 'not known'
    });
  };
  const titles = person.jobs?.filter((job) => !job.to).map((job) => job.title) ?? [];
  const wordings = wordSets.flatMap((set) => set.wordings.filter((one) => one.inUse).map((one) => one.text));
  if (wordings.length)
    add('Title', titles.join(', '), () =>
      wordings.some((text) => tokenKeys(text).length > 0 && matches({ kind: 'phrase', scope: 'title', text }, person))
    );
  // Where the source tells no function or rank, the title may.
  const read = readTitle(titles[0] ?? '');
  // QA tests software for some: an acronym of several meanings tells no function.
  const ambiguous = tokenKeys(titles[0] ?? '').some((key) => key.length <= acronym && meanings(key).length > 0);
  for (const [fact, wanted, reply, inTitle] of [
    ['Function', persona.functions, person.function, ambiguous ? null : read.function],
    ['Rank', persona.ranks, person.rank, read.rank]
  ] as const) {
    if (!wanted.length) continue;
    const names = new Set(wanted.map((name) => name.toLowerCase()));
    const known = reply ?? (read.confidence >= surelyRead && inTitle ? inTitle : undefined);
    add(fact, known && (reply ? known : `${known}, by the title`), () => names.has(known!.toLowerCase()));
  }
  const sizes = [persona.size, ...persona.bands].filter(({ from, to }) => from !== null || to !== null);
  if (sizes.length) {
    const { headcount } = person;
    add('Firm size', headcount?.toLocaleString('en'), () =>
      sizes.some(({ from, to }) => headcount! >= (from ?? 0) && headcount! <= (to ?? Infinity))
    );
  }
  if (persona.industries.length || persona.notIndustries.length) {
    const codes = (list: readonly string[]) => new Set(list.map((text) => industryCode(text)));
    const [wanted, unwanted] = [codes(persona.industries), codes(persona.notIndustries)];
    const { industry } = person;
    const name = industry && (industryName(industry) ? `${industry} ${industryName(industry)}` : industry);
    add('Industry', name, () => {
      const code = industryCode(industry!);
      return code === undefined ? undefined : (!wanted.size || wanted.has(code)) && !unwanted.has(code);
    });
  }
  if (persona.countries.length || persona.notCountries.length) {
    const [wanted, unwanted] = [persona.countries, persona.notCountries].map((list) => new Set(list.map(countryCode)));
    add('Country', person.country && countryName(person.country), () => {
      const code = countryCode(person.country!);
      return code === undefined ? undefined : (!wanted!.size || wanted!.has(code)) && !unwanted!.has(code);
    });
  }
  if (persona.notFirms.length) {
    const left = new Set(persona.notFirms.map((firm) => tokenKeys(plainFirmName(firm)).join(' ')));
    const firms = person.jobs?.filter((job) => !job.to && job.company).map((job) => job.company) ?? [];
    add('Firm', firms.join(', '), () => !firms.some((firm) => left.has(tokenKeys(plainFirmName(firm)).join(' '))));
  }
  for (const fact of persona.facts) {
    const query = factOf(fact);
    if (!query) continue;
    const number = takesRange(fact.scope) ? numberOf(person, fact.scope) : undefined;
    const has = valuesOf(person).flatMap(({ field, text }) => (field === fact.scope ? [text] : []));
    checks.push({
      fact: fact.scope,
      outcome: truthOf(query, person),
      has: has.join(', ') || number?.toLocaleString('en') || 'not known'
    });
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
