import { countryNames } from '../people/countries';
import { industryName } from '../people/industries';
import type { NumberFact, Scope } from '../query/scopes';
import type { Person } from './person';

/** The kinds of field that hold words, those that `any` searches first. `name` and `jobtext` have no scope of their own. */
export const fields = [
  'name',
  'title',
  'pasttitle',
  'company',
  'pastcompany',
  'jobtext',
  'about',
  'skill',
  'school',
  'group',
  'contact',
  'place',
  'country',
  'industry',
  'function',
  'rank',
  'hiring',
  'funded',
  'tech',
  'mail'
] as const;
export type Field = (typeof fields)[number];

/** One value of one field: a phrase is looked for inside one of these and never across two. */
export interface Value {
  field: Field;
  text: string;
  /** Which job of the career it belongs to, where it does. */
  job?: number;
}

/** What a profile page tells: every field up to the place. */
const anyFields: ReadonlySet<Field> = new Set(fields.slice(0, fields.indexOf('place') + 1));

/** Whether a scope searches a field. `any` searches all that a profile page tells; facts have their own scopes. */
export function searches(scope: Scope, field: Field): boolean {
  return scope === 'any' ? anyFields.has(field) : scope === field;
}

/** All values of a person that hold words, in the order a profile is read. */
export function valuesOf(person: Person): Value[] {
  const values: Value[] = [{ field: 'name', text: person.name }];
  const add = (field: Field, text: string | undefined, job?: number) => {
    if (text) values.push(job === undefined ? { field, text } : { field, text, job });
  };
  person.jobs?.forEach((job, i) => {
    add(job.to ? 'pasttitle' : 'title', job.title, i);
    add(job.to ? 'pastcompany' : 'company', job.company, i);
    add('jobtext', job.text, i);
  });
  add('about', person.about);
  person.skills?.forEach((text) => add('skill', text));
  person.schools?.forEach((text) => add('school', text));
  person.groups?.forEach((text) => add('group', text));
  person.contact?.forEach((text) => add('contact', text));
  add('place', person.place);
  if (person.country) for (const name of countryNames(person.country)) add('country', name);
  if (person.industry) {
    add('industry', person.industry);
    add('industry', industryName(person.industry));
  }
  add('function', person.function);
  add('rank', person.rank);
  if (person.hiring !== undefined) add('hiring', person.hiring ? 'yes' : 'no');
  if (person.funded !== undefined) add('funded', person.funded ? 'yes' : 'no');
  person.tech?.forEach((text) => add('tech', text));
  add('mail', person.mail);
  return values;
}

/** A person's number for a fact; undefined where the source does not know it. */
export const numberOf = (person: Person, fact: NumberFact): number | undefined => person[fact];
