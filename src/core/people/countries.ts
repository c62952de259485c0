import iso from 'iso-3166-1';
import { lettersKey } from './letters-key';

/** Everyday forms that neither ISO 3166-1 nor the languages' own names list. Common practice, no published source. */
const alsoCalled: Record<string, string[]> = {
  GB: ['UK', 'U.K.', 'Great Britain', 'Britain', 'England', 'Scotland', 'Wales', 'Northern Ireland'],
  NL: ['Holland', 'The Netherlands'],
  US: ['USA', 'U.S.', 'U.S.A.', 'United States of America', 'The United States'],
  CZ: ['Czech Republic'],
  KR: ['South Korea'],
  KP: ['North Korea'],
  RU: ['Russia'],
  IE: ['Republic of Ireland'],
  CI: ['Ivory Coast'],
  MK: ['Macedonia'],
  TR: ['Turkey']
};

/** The languages of the title lexicon and their neighbours: countries are known by their names in all of them. */
const languages = ['en', 'da', 'sv', 'nb', 'nl', 'de', 'fr', 'es', 'it', 'pt', 'pl', 'fi'] as const;

interface Country {
  /** ISO 3166-1 alpha-2. */
  code: string;
  /** The everyday English name. */
  name: string;
  names: string[];
}

/** What follows from all names in all languages: made when it is first asked for, as most pages never do. */
let made: { countries: readonly Country[]; byName: ReadonlyMap<string, Country> } | undefined;

function make() {
  const displayNames = languages.map((language) => new Intl.DisplayNames([language], { type: 'region' }));
  const countries = iso.all().map(({ alpha2, alpha3, country }): Country => {
    const [name = country, ...others] = displayNames.map((names) => names.of(alpha2) ?? country);
    return {
      code: alpha2,
      name,
      names: [...new Set([alpha2, name, country, alpha3, ...(alsoCalled[alpha2] ?? []), ...others])]
    };
  });
  const byName = new Map<string, Country>();
  // Codes and English names first: a name that another language gives another country never takes their place.
  for (let place = 0; place < Math.max(...countries.map(({ names }) => names.length)); place++)
    for (const country of countries) {
      const name = country.names[place];
      const key = name === undefined ? '' : lettersKey(name);
      if (key && !byName.has(key)) byName.set(key, country);
    }
  return { countries, byName };
}

/** ISO 3166-1 countries with their everyday names in English, and then in the other languages. */
export const countries = (): readonly Country[] => (made ??= make()).countries;

const codes = new Map(iso.all().map(({ alpha2, country }) => [alpha2, country]));
const english = new Intl.DisplayNames(['en'], { type: 'region' });

/** The everyday name of an ISO 3166-1 code; other text comes back as it is. */
export const countryName = (codeOrText: string): string => {
  const country = codes.get(codeOrText);
  return country === undefined ? codeOrText : (english.of(codeOrText) ?? country);
};

const known = new Map<string, string | undefined>();

/** The ISO 3166-1 alpha-2 code of a country written as a code or as a name in one of the languages, or undefined. */
export function countryCode(text: string): string | undefined {
  if (known.has(text)) return known.get(text);
  const code = text.length > 100 ? undefined : (made ??= make()).byName.get(lettersKey(text))?.code;
  if (known.size > 10_000) known.clear();
  known.set(text, code);
  return code;
}
