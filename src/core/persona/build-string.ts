import { countryName } from '../people/countries';
import { firmNameVariants } from '../people/firm-names';
import { industryCode } from '../people/industries';
import { join, type Query } from '../language/query';
import { simplify } from '../semantics/simplify';
import { takesRange, type Scope } from '../language/scopes';
import { tokenKeys } from '../language/tokens';
import type { Persona } from './persona';
import type { WordSet } from './word-set';

/** A part of the string of a persona, and the line of the persona it comes from. */
export interface BuiltPart {
  of:
    | 'titles'
    | 'functions'
    | 'ranks'
    | 'mustHave'
    | 'industries'
    | 'size'
    | 'countries'
    | 'facts'
    | 'notFirms'
    | 'notIndustries'
    | 'notCountries'
    | 'mustNot';
  query: Query;
}

/** The parts of a persona's string in the order researchers narrow: person, firm, place, exclusions. */
export function buildParts(persona: Persona, wordSets: readonly WordSet[]): BuiltPart[] {
  const parts: { of: BuiltPart['of']; query: Query | null }[] = [
    ...who(persona, wordSets),
    { of: 'functions', query: anyOf('function', persona.functions) },
    { of: 'ranks', query: anyOf('rank', persona.ranks) },
    { of: 'mustHave', query: anyOf('any', persona.mustHave) },
    { of: 'industries', query: industriesOf(persona.industries) },
    ...(persona.bands.length ? [] : [{ of: 'size' as const, query: sizeOf(persona.size) }]),
    { of: 'countries', query: anyOf('country', persona.countries.map(countryName)) },
    ...persona.facts.map((fact) => ({ of: 'facts' as const, query: factOf(fact) })),
    { of: 'notFirms', query: excluded(anyOf('company', persona.notFirms.flatMap(firmNameVariants))) },
    { of: 'notIndustries', query: excluded(industriesOf(persona.notIndustries)) },
    { of: 'notCountries', query: excluded(anyOf('country', persona.notCountries.map(countryName))) },
    { of: 'mustNot', query: excluded(anyOf('any', persona.mustNot)) }
  ];
  return parts.filter((part): part is BuiltPart => part.query !== null);
}

/**
 * The string of a persona, in its shortest equivalent form. Wordings of several words are phrases; size bands are
 * alternatives, each with its own titles. Null when the persona says nothing yet.
 */
export function buildString(persona: Persona, wordSets: readonly WordSet[]): Query | null {
  const parts = buildParts(persona, wordSets).map(({ query }) => query);
  return parts.length ? simplify(join('and', parts), 'any source') : null;
}

/** Titles with their wordings; where there are bands, each band's titles at its sizes. */
function who(persona: Persona, wordSets: readonly WordSet[]): { of: 'titles'; query: Query | null }[] {
  const titled = (titles: readonly string[]) => {
    const wanted = new Set(titles.map((title) => title.toLowerCase()));
    return anyOf(
      'title',
      wordSets
        .filter(({ name }) => wanted.has(name.toLowerCase()))
        .flatMap((set) => set.wordings.filter((one) => one.inUse).map((one) => one.text))
    );
  };
  if (!persona.bands.length) return [{ of: 'titles', query: titled(persona.titles) }];
  const bands = persona.bands.flatMap((band) => {
    const titles = titled(band.titles);
    const sizes = sizeOf(band);
    return titles ? [join('and', [...(sizes ? [sizes] : []), titles])] : [];
  });
  const anySize = titled(persona.titles);
  const all = anySize
    ? [...bands, join('and', [anySize, ...[sizeOf(persona.size)].filter((one) => one !== null)])]
    : bands;
  return [{ of: 'titles', query: all.length ? join('or', all) : null }];
}

function anyOf(scope: Scope, texts: readonly string[]): Query | null {
  const seen = new Set<string>();
  const found: Query[] = [];
  for (const text of texts) {
    const words = tokenKeys(text);
    const key = words.join(' ');
    if (!words.length || seen.has(key)) continue;
    seen.add(key);
    found.push(words.length === 1 ? { kind: 'word', scope, text } : { kind: 'phrase', scope, text });
  }
  return found.length ? join('or', found) : null;
}

function sizeOf({ from, to }: Persona['size']): Query | null {
  return from === null && to === null ? null : { kind: 'range', scope: 'headcount', low: from, high: to };
}

/** What a persona asks of one of its other facts: of an own field its values, or else its bounds. Null where it asks nothing yet. */
export function factOf({ scope, from, to, values }: Persona['facts'][number]): Query | null {
  if (values.length || !takesRange(scope)) return anyOf(scope, values);
  return from === null && to === null ? null : { kind: 'range', scope, low: from, high: to };
}

const industriesOf = (texts: readonly string[]) =>
  anyOf(
    'industry',
    texts.map((text) => industryCode(text) ?? text)
  );

const excluded = (part: Query | null): Query | null => part && { kind: 'not', part };
