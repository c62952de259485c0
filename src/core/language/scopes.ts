/** Scopes that search words in a profile; `any` is all of them together. */
export const textScopes = [
  'any',
  'title',
  'pasttitle',
  'company',
  'pastcompany',
  'about',
  'skill',
  'school',
  'group',
  'contact'
] as const;

/** Facts whose value is a word or a name. */
export const namedFacts = [
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

/** Facts whose value is a number: people, % a year, months, days, days, year. */
export const numberFacts = ['headcount', 'growth', 'tenure', 'moved', 'active', 'founded'] as const;

export const scopes = [...textScopes, ...namedFacts, ...numberFacts] as const;

export type TextScope = (typeof textScopes)[number];
export type NamedFact = (typeof namedFacts)[number];
export type NumberFact = (typeof numberFacts)[number];
export type Scope = (typeof scopes)[number];

const known: ReadonlySet<string> = new Set(scopes);
const numbers: ReadonlySet<string> = new Set(numberFacts);
const texts: ReadonlySet<string> = new Set(textScopes);

export const isScope = (name: string): name is Scope => known.has(name);
export const isNumberFact = (scope: Scope): scope is NumberFact => numbers.has(scope);
export const isTextScope = (scope: Scope): scope is TextScope => texts.has(scope);
