import { countryCode, countryName } from '../people/countries';
import { industryName } from '../people/industries';
import { regions } from '../people/regions';
import type { Persona } from '../persona/persona';

const few = (items: readonly string[]) =>
  items.length > 2 ? `${items.slice(0, 2).join(', ')} and others` : items.join(', ');

/** The region that holds all of some countries, and is not much larger; else the countries themselves. */
function where(countries: readonly string[]): string {
  const codes = countries.map((country) => countryCode(country) ?? country);
  const [region] = regions
    .filter(({ countries: all }) => codes.length > 2 && codes.every((code) => (all as string[]).includes(code)))
    .sort((a, b) => a.countries.length - b.countries.length);
  return region && region.countries.length <= codes.length * 2 ? region.names[0]! : few(codes.map(countryName));
}

/** A descriptive name for a watch, from the persona's titles, industry, size and place. */
export function watchName(persona: Persona): string {
  const { titles, functions, industries, size, countries } = persona;
  const first = few(titles.length ? titles : functions);
  const sizes =
    size.from !== null && size.to !== null
      ? `${size.from.toLocaleString('en')}–${size.to.toLocaleString('en')}`
      : size.from !== null
        ? `${size.from.toLocaleString('en')} and more`
        : size.to !== null
          ? `up to ${size.to.toLocaleString('en')}`
          : '';
  const parts = [
    first && first[0]!.toUpperCase() + first.slice(1),
    few(industries.map((code) => industryName(code) ?? code)),
    sizes,
    countries.length ? where(countries) : ''
  ].filter(Boolean);
  return parts.join(', ').slice(0, 200) || 'Everybody found';
}
