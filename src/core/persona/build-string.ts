import { countryName } from '../people/countries';
import { industryCode } from '../people/industries';
import { join, type Query } from '../query/query';
import type { Scope } from '../query/scopes';
import { tokenKeys } from '../query/tokens';
import type { Persona } from './persona';
import type { WordSet } from './word-set';

/**
 * The string of a persona: who, then what firm, then where, then what must not come. Wordings of several words are
 * phrases. Null when the persona says nothing yet.
 */
export function buildString(persona: Persona, wordSets: readonly WordSet[]): Query | null {
  const wordings = wordSets.flatMap((set) => set.wordings.filter((one) => one.inUse).map((one) => one.text));
  const parts = [
    anyOf('title', wordings),
    anyOf('function', persona.functions),
    anyOf('any', persona.mustHave),
    anyOf(
      'industry',
      persona.industries.map((text) => industryCode(text) ?? text)
    ),
    sizeOf(persona),
    anyOf('country', persona.countries.map(countryName)),
    excluded(persona.mustNot)
  ].filter((part) => part !== null);
  return parts.length ? join('and', parts) : null;
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

function sizeOf({ size: { from, to } }: Persona): Query | null {
  return from === null && to === null ? null : { kind: 'range', scope: 'headcount', low: from, high: to };
}

function excluded(texts: readonly string[]): Query | null {
  const part = anyOf('any', texts);
  return part && { kind: 'not', part };
}
