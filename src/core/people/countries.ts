import iso from 'iso-3166-1';

const english = new Intl.DisplayNames(['en'], { type: 'region' });

/** Everyday short forms that ISO 3166-1 does not list. */
const alsoCalled: Record<string, string[]> = { GB: ['UK', 'Great Britain'], NL: ['Holland'], US: ['USA'] };

interface Country {
  code: string;
  name: string;
  names: string[];
}

/** ISO 3166-1 countries with their everyday English names. */
export const countries: readonly Country[] = iso.all().map(({ alpha2, alpha3, country }) => {
  const name = english.of(alpha2) ?? country;
  return { code: alpha2, name, names: [...new Set([alpha2, name, country, alpha3, ...(alsoCalled[alpha2] ?? [])])] };
});

const byCode = new Map(countries.map((country) => [country.code, country]));
const byName = new Map(countries.flatMap((country) => country.names.map((name) => [name.toLowerCase(), country])));

/** All names a country is found by; what is no ISO code is its own only name. */
export const countryNames = (codeOrText: string): string[] => byCode.get(codeOrText)?.names ?? [codeOrText];

/** The everyday name of an ISO 3166-1 code; other text comes back as it is. */
export const countryName = (codeOrText: string): string => byCode.get(codeOrText)?.name ?? codeOrText;

/** The ISO 3166-1 alpha-2 code of a country written as a code or a name, or undefined. */
export const countryCode = (text: string): string | undefined => byName.get(text.trim().toLowerCase())?.code;
