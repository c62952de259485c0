import { print } from '../language/print';
import { terms, type Phrase, type Query, type Range, type Word } from '../language/query';
import { tokenKeys } from '../language/tokens';
import { firmNameVariants } from '../people/firm-names';
import { buildParts, type BuiltPart } from './build-string';
import type { Persona } from './persona';
import type { WordSet } from './word-set';

/** The line of a persona that a term of a string comes from. */
export interface Origin {
  of: BuiltPart['of'];
  /** As the persona says it: a title, a country, a firm; for a wording, the title it is a wording of. */
  line: string;
}

/** What a line of a persona is called. */
export const originNames: Readonly<Record<BuiltPart['of'], string>> = {
  titles: 'Job titles',
  functions: 'Functions',
  ranks: 'Ranks',
  mustHave: 'Keywords',
  industries: 'Industries',
  size: 'Firm size',
  countries: 'Countries',
  facts: 'Other facts',
  notFirms: 'Excluded firms',
  notIndustries: 'Excluded industries',
  notCountries: 'Excluded countries',
  mustNot: 'Excluded keywords'
};

/** A term by what it asks, however it is written: its scope, its words, and whether it is excluded. */
export const termKey = (scope: string, text: string, excluded: boolean): string =>
  `${excluded ? '-' : ''}${scope} ${tokenKeys(text).join(' ')}`;

const keyOf = (term: Word | Phrase | Range, wanted: boolean) =>
  termKey(term.scope, term.kind === 'range' ? print({ ...term, scope: 'any' }) : term.text, !wanted);

/** Where each term that a persona and its wordings make comes from, by `termKey`. */
export function originsOf(persona: Persona, wordSets: readonly WordSet[]): Map<string, Origin> {
  const origins = new Map<string, Origin>();
  const titles = new Map(
    wordSets.flatMap(({ name, wordings }) => wordings.map(({ text }) => [tokenKeys(text).join(' '), name] as const))
  );
  const firms = new Map(
    persona.notFirms.flatMap((firm) => firmNameVariants(firm).map((text) => [tokenKeys(text).join(' '), firm] as const))
  );
  for (const { of, query } of buildParts(persona, wordSets))
    for (const { term, wanted } of terms(query)) {
      const key = keyOf(term, wanted);
      if (origins.has(key)) continue;
      const text = term.kind === 'range' ? print({ ...term, scope: 'any' }) : term.text;
      const words = tokenKeys(text).join(' ');
      const isSize = term.scope === 'headcount';
      const line = of === 'titles' && !isSize ? titles.get(words) : of === 'notFirms' ? firms.get(words) : undefined;
      origins.set(key, { of: of === 'titles' && isSize ? 'size' : of, line: line ?? text });
    }
  return origins;
}

/** Where a term of a string comes from; undefined for one that was typed by hand. */
export const originOf = (
  term: Word | Phrase | Range,
  wanted: boolean,
  origins: ReadonlyMap<string, Origin>
): Origin | undefined => origins.get(keyOf(term, wanted));

/** How many terms of a string come from each line of the persona, and how many from none: typed by hand. */
export function traced(query: Query, origins: ReadonlyMap<string, Origin>) {
  const counts: Partial<Record<Origin['of'], number>> = {};
  let byHand = 0;
  for (const { term, wanted } of terms(query)) {
    const origin = originOf(term, wanted, origins);
    if (origin) counts[origin.of] = (counts[origin.of] ?? 0) + 1;
    else byHand++;
  }
  return { counts, byHand };
}
