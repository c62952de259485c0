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
  'mail',
  'language'
] as const;

/** Facts whose value is a number: people, % a year, months, days, days, year. */
export const numberFacts = ['headcount', 'growth', 'tenure', 'moved', 'active', 'founded'] as const;

export const scopes = [...textScopes, ...namedFacts, ...numberFacts] as const;

export type TextScope = (typeof textScopes)[number];
export type NamedFact = (typeof namedFacts)[number];
export type NumberFact = (typeof numberFacts)[number];
/** A field of a file's own, as its column is called: `own.diet`. It may hold words, numbers and dates. */
export type OwnScope = `own.${string}`;
export type Scope = (typeof scopes)[number] | OwnScope;

const known: ReadonlySet<string> = new Set(scopes);
const numbers: ReadonlySet<string> = new Set(numberFacts);
const texts: ReadonlySet<string> = new Set(textScopes);

/** Letters in small, digits and underscores: what the name of an own field is made of. */
const ownName = String.raw`[\p{L}\p{M}\p{N}_]{1,60}`;
export const ownNamePattern = new RegExp(`^${ownName}$`, 'u');
export const ownScopePattern = new RegExp(String.raw`^own\.${ownName}$`, 'u');
export const isOwnScope = (name: string): name is OwnScope => ownScopePattern.test(name);
export const isScope = (name: string): name is Scope => known.has(name) || isOwnScope(name);
export const isNumberFact = (scope: Scope): scope is NumberFact => numbers.has(scope);
/** Whether a range can be asked of a scope. */
export const takesRange = (scope: Scope): scope is NumberFact | OwnScope => isNumberFact(scope) || isOwnScope(scope);
export const isTextScope = (scope: Scope): scope is TextScope => texts.has(scope);
