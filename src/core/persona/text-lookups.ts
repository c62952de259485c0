import * as z from 'zod';
import { countries } from '../people/countries';
import { places, type Place } from '../people/places';
import { demonyms } from '../people/regions';
import { tradeWordCodes } from '../people/industries';
import { composeTitles } from '../titles/compose-title';
import { fixedTitles, functions, languages, ranks } from '../titles/lexicon';
import { fromLexicon } from '../titles/taken-up';
import { fold, tokens } from '../language/tokens';
import tradesData from './data/trades.json';
import { shipped } from '../language/shipped-data';

// What words of a written brief represent: titles, functions, ranks, industries, countries and places.

const trades = shipped(z.record(z.string().regex(/^\d\d$/), z.array(z.string().min(1)).min(1)), tradesData);

/** Words in the singular, as far as English makes plurals by an s: both sides are cut alike. */
export function singular(key: string): string {
  if (key.length <= 3 || /(ss|us|is)$/.test(key)) return key;
  if (/ies$/.test(key) && key.length > 4) return `${key.slice(0, -3)}y`;
  if (/(ches|shes|xes|sses)$/.test(key)) return key.slice(0, -2);
  return key.endsWith('s') ? key.slice(0, -1) : key;
}
export const keysOf = (text: string) => tokens(text).map(({ key }) => singular(key));

/** A phrase that was found: where in the words, how many of them, and what it represents. */
export interface Found<T> {
  at: number;
  size: number;
  value: T;
}

/** Phrases by their first word, the longest found first. */
export class Lookup<T> {
  private readonly byFirst = new Map<string, { keys: string[]; value: T }[]>();
  /** First words whose phrases are in order. */
  private readonly sorted = new Set<string>();

  add(text: string, value: T): void {
    const keys = keysOf(text);
    if (!keys.length) return;
    const list = this.byFirst.get(keys[0]!) ?? [];
    list.push({ keys, value });
    this.byFirst.set(keys[0]!, list);
    this.sorted.delete(keys[0]!);
  }

  at(words: readonly string[], from: number): Found<T> | null {
    const first = words[from]!;
    const list = this.byFirst.get(first);
    // Put in order when first asked: thousands of phrases begin alike, and most are never looked for.
    if (list && !this.sorted.has(first)) {
      list.sort((a, b) => b.keys.length - a.keys.length);
      this.sorted.add(first);
    }
    const found = list?.find(({ keys }) => keys.every((key, i) => words[from + i] === key));
    return found ? { at: from, size: found.keys.length, value: found.value } : null;
  }
}

/** A title as several people have it, where the plural is no s: `directores de compras`, `responsabili qualità`. */
export function pluralOf(title: string, language: string): string | null {
  const [first, ...rest] = title.split(' ');
  const many =
    language === 'it'
      ? first!.replace(/(?:[oe])$/u, 'i').replace(/a$/u, 'e')
      : language === 'es' || language === 'pt'
        ? first!
            .replace(/(?<=[rnl])$/u, 'es')
            .replace(/ón(?:es)?$/u, 'ones')
            .replace(/ão$/u, 'ões')
        : first!;
  return many === first ? null : [many, ...rest].join(' ');
}

/** Two letters alone, and these, are more often something else in running text. */
const ofRunningText = ['Partner', 'Directeur', 'Commercial', 'President', 'Driver', 'Chair', 'Controller'];

export const titleLookup = fromLexicon(() => {
  const lookup = new Lookup<string>();
  const add = (text: string, language: string) => {
    lookup.add(text, text);
    const plural = pluralOf(text, language);
    if (plural) lookup.add(plural, text);
  };
  for (const { titles } of fixedTitles())
    for (const [language, texts] of Object.entries(titles))
      for (const text of texts) if (text.length > 2 && !ofRunningText.includes(text)) add(text, language);
  for (const rank of ranks)
    for (const entry of functions())
      for (const language of languages) for (const text of composeTitles(rank, entry, language)) add(text, language);
  return lookup;
});

export const functionLookup = fromLexicon(() => {
  const lookup = new Lookup<string>();
  for (const { id, names } of functions()) for (const name of names.en) lookup.add(name, id);
  return lookup;
});
export const rankLookup = new Lookup<string>();
for (const [id, words] of [
  ['owner', ['owners', 'founders', 'proprietors', 'shareholders']],
  ['chief', ['C-level', 'C-suite', 'top management', 'board level', 'managing directors', 'chief executives']],
  ['vp', ['vice presidents', 'VPs']],
  ['director', ['directors', 'director level']],
  ['head', ['department heads', 'heads of department', 'head of department', 'heads']],
  ['manager', ['managers', 'middle management', 'management level']],
  ['lead', ['team leads', 'team leaders']]
] as const)
  for (const word of words) rankLookup.add(word, id);

/** Words before a rank that say how high or which, and name no field of work. */
export const rankWords =
  /^(?:senior|junior|middle|upper|lower|their|your|these|those|some|other|many|most|only|good|general|also|executive|managing|both|such|different)$/i;

const alsoOther =
  /^(?:building|power|property|health|energy|fashion|paper|shops|plastics|repair|sports?|culture|travel|post|drinks|metals|steel|research|schools)$/;
const beforeTrade = ['empresas de', 'empresas', 'aziende di', 'aziende', 'imprese di', 'entreprises de'];
const afterTrade = ['companies', 'firms', 'Unternehmen', 'Firmen', 'bedrijven', 'virksomheder', 'företag', 'bedrifter'];

export const industryLookup = fromLexicon(() => {
  const lookup = new Lookup<string>();
  for (const [code, names] of Object.entries(trades)) for (const name of names) lookup.add(name, code);
  // What firms call their trade at home, unless it is what a department is called too.
  const departments = new Set(
    functions().flatMap(({ names }) =>
      Object.values(names)
        .flat()
        .map((name) => fold(name))
    )
  );
  for (const [word, code] of tradeWordCodes()) {
    if (word.length > 4 && !departments.has(word) && !alsoOther.test(word)) lookup.add(word, code);
    for (const firms of beforeTrade) lookup.add(`${firms} ${word}`, code);
    for (const firms of afterTrade) lookup.add(`${word} ${firms}`, code);
  }
  return lookup;
});

/** Made when it is first asked for: most of those who load this read no text. */
const made = <T>(make: (lookup: Lookup<T>) => void): (() => Lookup<T>) => {
  let lookup: Lookup<T> | undefined;
  return () => {
    if (!lookup) make((lookup = new Lookup<T>()));
    return lookup;
  };
};

export const countryLookup = made<readonly string[]>((lookup) => {
  for (const { code, names } of countries()) for (const name of names) if (name.length > 3) lookup.add(name, [code]);
  for (const [code, names] of Object.entries(demonyms)) for (const name of names) lookup.add(name, [code]);
  for (const name of ['UK', 'USA']) lookup.add(name, [name === 'UK' ? 'GB' : 'US']);
});

export const placeLookup = made<Place>((lookup) => {
  for (const place of places) if (place.name.length > 2) lookup.add(place.name, place);
});
/** Places of several words, which may name a country among them: `Île-de-France`. */
export const longPlaceLookup = made<Place>((lookup) => {
  for (const place of places) if (keysOf(place.name).length > 2) lookup.add(place.name, place);
});
