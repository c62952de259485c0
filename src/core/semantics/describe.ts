import { countryName } from '../people/countries';
import { industryName } from '../people/industries';
import { languageName } from '../people/languages';
import { nameOfOwn } from '../people/own-fields';
import { writeDay } from '../language/days';
import { isTerm, type Query, type Range, type Term } from '../language/query';
import { rangeOf } from './matches';
import { isNumberFact, isOwnScope, type NumberFact, type OwnScope, type Scope } from '../language/scopes';

/** How a person reads each scope: `whose title has …`. */
const havings: Record<Exclude<Scope, NumberFact | OwnScope>, string> = {
  any: 'whose profile has',
  title: 'whose current title has',
  pasttitle: 'whose earlier title has',
  company: 'whose current firm is called',
  pastcompany: 'whose earlier firm was called',
  about: 'whose own words have',
  skill: 'whose skills have',
  school: 'whose school is called',
  group: 'who are in a group called',
  contact: 'whose contact data has',
  place: 'in the place',
  country: 'in the country',
  industry: 'in the industry',
  function: 'working in',
  rank: 'of the rank',
  hiring: 'whose firm is hiring:',
  funded: 'whose firm was funded:',
  tech: 'whose firm uses',
  mail: 'whose mail address is',
  language: 'whose profile is in the language'
};
const having = (scope: Scope): string =>
  isOwnScope(scope) ? `whose “${nameOfOwn(scope).replaceAll('_', ' ')}” has` : havings[scope as keyof typeof havings];

const bounds = (low: number | null, high: number | null, unit: string, from: string, upTo: string) => {
  const number = (value: number) => value.toLocaleString('en');
  if (low !== null && high !== null)
    return low === high ? `${number(low)}${unit}` : `${number(low)} to ${number(high)}${unit}`;
  if (low !== null) return `${number(low)}${unit} ${from}`;
  return high !== null ? `${upTo} ${number(high)}${unit}` : 'any known number';
};
const numbers: Record<NumberFact, (range: Range) => string> = {
  headcount: ({ low, high }) => `at firms of ${bounds(low, high, ' people', 'or more', 'up to')}`,
  growth: ({ low, high }) => `at firms that grew by ${bounds(low, high, '%', 'or more', 'up to')} in a year`,
  tenure: ({ low, high }) => `in the role for ${bounds(low, high, ' months', 'or more', 'up to')}`,
  moved: ({ low, high }) => `who changed jobs ${bounds(low, high, ' days', 'or more', 'up to')} ago`,
  active: ({ low, high }) => `whose last post is ${bounds(low, high, ' days', 'or more', 'up to')} old`,
  founded: ({ low, high }) =>
    `at firms founded ${
      low !== null && high !== null
        ? low === high
          ? `in ${low}`
          : `from ${low} to ${high}`
        : low !== null
          ? `in ${low} or later`
          : high !== null
            ? `in ${high} or earlier`
            : 'in a known year'
    }`
};

/**
 * A query in plain words, for people who do not read strings.
 *
 * @example describe(parse('title:"head of quality" headcount:[51 TO 500] NOT intern').query!)
 * // People whose current title has “head of quality”, at firms of 51 to 500 people, but nobody whose profile has “intern”.
 */
export function describe(query: Query): string {
  const parts = query.kind === 'and' ? query.parts : [query];
  const wanted = parts.filter((part) => part.kind !== 'not').map((part) => clause(part));
  const unwanted = parts.flatMap((part) => (part.kind === 'not' ? [clause(part.part)] : []));
  const who = wanted.length ? `People ${wanted.join(', ')}` : 'Everybody';
  return `${who}${unwanted.length ? `, but nobody ${unwanted.join(', nor anybody ')}` : ''}.`;
}

/** A part as a clause after “people”. */
function clause(query: Query): string {
  if (isTerm(query)) return term(query);
  if (query.kind === 'not') return `not ${clause(query.part)}`;
  const scope = commonScope(query);
  if (scope && !isNumberFact(scope)) return `${having(scope)} ${values(query, false)}`;
  const parts = query.parts.map((part) => (isTerm(part) ? clause(part) : bracketed(part)));
  return query.kind === 'or' ? `either ${parts.join(' or ')}` : parts.join(' and ');
}

const bracketed = (query: Query) => (commonScope(query) ? clause(query) : `(${clause(query)})`);

/** The words of a group in which all terms have one scope. */
function values(query: Query, inner: boolean): string {
  if (isTerm(query)) return value(query);
  if (query.kind === 'not') return `not ${values(query.part, true)}`;
  const text = query.parts.map((part) => values(part, true)).join(query.kind === 'or' ? ' or ' : ' and ');
  return inner && query.parts.length > 1 ? `(${text})` : text;
}

function term(one: Term): string {
  const range = rangeOf(one);
  if (range === 'never') return 'in an impossible range';
  return range && isNumberFact(range.scope)
    ? numbers[range.scope](range)
    : `${range ? having(one.scope).replace(/has$/, 'is') : having(one.scope)} ${value(one)}`;
}

function value(one: Term): string {
  if (one.kind === 'range') return ownBounds(one);
  if (one.scope === 'country') return countryName(one.text);
  if (one.scope === 'language') return languageName(one.text);
  if (one.scope === 'industry') return industryName(one.text) || one.text;
  if (one.scope === 'hiring' || one.scope === 'funded' || one.scope === 'mail') return one.text;
  const text = one.text.replaceAll(/\s+/g, ' ').trim();
  return one.kind === 'word' && one.prefix ? `a word beginning with “${text}”` : `“${text}”`;
}

/** The bounds of a range on an own field: numbers, or days. */
function ownBounds({ low, high }: Range): string {
  const days = [low, high].map((one) => (one === null ? null : writeDay(one)));
  if (days.every((day, i) => (day === null) === ([low, high][i] === null)) && days.some(Boolean))
    return days[0] && days[1] ? `${days[0]} to ${days[1]}` : days[0] ? `${days[0]} or later` : `${days[1]} or earlier`;
  return bounds(low, high, '', 'or more', 'up to');
}

/** The scope that all terms of a query share. */
function commonScope(query: Query): Scope | null {
  if (isTerm(query)) return query.scope;
  const parts = query.kind === 'not' ? [query.part] : query.parts;
  const first = commonScope(parts[0]!);
  return first && parts.every((part) => commonScope(part) === first) ? first : null;
}
