import { countryCode } from './countries';
import { industryName } from './industries';
import { isOwnScope, isTextScope, type NumberFact, type OwnScope, type Scope } from '../language/scopes';
import { languageCode } from './languages';
import { nameOfOwn, ownNumber, ownScopeOf, ownText } from './own-fields';
import { fields, type Field } from './fields';
import type { Person } from './person';

/** One value of one field: a phrase is looked for inside one of these and never across two. */
export interface Value {
  field: Field;
  text: string;
  /** Which job of the career it belongs to, where it does. */
  job?: number;
}

/** What a profile page lists: every field up to the place. */
const anyFields: ReadonlySet<Field> = new Set<Field>(fields.slice(0, fields.indexOf('place') + 1));

/** Whether a scope searches a field. `any` searches all that a profile page tells; facts have their own scopes. */
export function searches(scope: Scope, field: Field): boolean {
  return scope === 'any' ? anyFields.has(field) : scope === field;
}

type TellValue = (field: Field, text: string, job?: number) => void;

/** Calls back with every text value of a person, in the order of a profile. Made for going through many people. */
export function eachValue(person: Person, tell: TellValue): void {
  tell('name', person.name);
  const { jobs } = person;
  if (jobs)
    for (let i = 0; i < jobs.length; i++) {
      const { title, company, text, to } = jobs[i]!;
      if (title) tell(to ? 'pasttitle' : 'title', title, i);
      if (company) tell(to ? 'pastcompany' : 'company', company, i);
      if (text) tell('jobtext', text, i);
    }
  if (person.about) tell('about', person.about);
  tellAll('skill', person.skills, tell);
  tellAll('school', person.schools, tell);
  tellAll('group', person.groups, tell);
  tellAll('contact', person.contact, tell);
  if (person.place) tell('place', person.place);
  // As its code where it is a country: countries are compared as countries and not by the words of their names.
  if (person.country) tell('country', countryCode(person.country) ?? person.country);
  if (person.industry) {
    tell('industry', person.industry);
    const name = industryName(person.industry);
    if (name) tell('industry', name);
  }
  if (person.function) tell('function', person.function);
  if (person.rank) tell('rank', person.rank);
  if (person.hiring !== undefined) tell('hiring', person.hiring ? 'yes' : 'no');
  if (person.funded !== undefined) tell('funded', person.funded ? 'yes' : 'no');
  tellAll('tech', person.tech, tell);
  if (person.mail) tell('mail', person.mail);
  if (person.language) tell('language', languageCode(person.language) ?? person.language);
  if (person.own) for (const name of Object.keys(person.own)) tell(ownScopeOf(name), ownText(person.own[name]!));
}

function tellAll(field: Field, texts: readonly string[] | undefined, tell: TellValue): void {
  if (texts) for (const text of texts) if (text) tell(field, text);
}

/** All values of a person that hold words, in the order a profile is read. */
export function valuesOf(person: Person): Value[] {
  const values: Value[] = [];
  eachValue(person, (field, text, job) => values.push(job === undefined ? { field, text } : { field, text, job }));
  return values;
}

/** Facts that may be missing from a person's record: own fields, and the fields of `Person` named like a scope. */
export function lacksFact(person: Person, scope: Scope): boolean {
  if (isOwnScope(scope)) return person.own?.[nameOfOwn(scope)] === undefined;
  if (isTextScope(scope)) return false;
  return person[scope] === undefined;
}

/** A person's number for a fact; undefined where the source does not know it. */
export const numberOf = (person: Person, fact: NumberFact | OwnScope): number | undefined =>
  isOwnScope(fact) ? ownNumber(person.own?.[nameOfOwn(fact)]) : person[fact];
