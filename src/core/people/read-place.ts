import type { Person } from './person';
import { fold } from '../language/tokens';
import { countryCode } from './countries';
import { places } from './places';

/** The one country in which each town of the gazetteer is; null for a name that several have. */
let countryOfTown: Map<string, string | null> | undefined;

function townCountry(text: string): string | null {
  if (!countryOfTown) {
    countryOfTown = new Map();
    for (const { name, country } of places) {
      const key = fold(name);
      const known = countryOfTown.get(key);
      countryOfTown.set(key, known === undefined || known === country ? country : null);
    }
  }
  return countryOfTown.get(fold(text.trim())) ?? null;
}

const pieces = (text: string): string[] =>
  text
    .split(/[,;/|()·–—]+/)
    .map((piece) => piece.trim())
    .filter(Boolean);

/**
 * The same person with the country read out of a place that names it or is known to be in it (`Palma, España`, `Utrecht`),
 * or the place out of a country that holds both; what was read is marked in `read`. Nothing told is overwritten but a
 * country that is none.
 */
export function withPlaceRead(person: Person): Person {
  const { place, country } = person;
  const isCountry = country !== undefined && countryCode(country) !== undefined;
  if (place && !isCountry) {
    const found = countryIn(place);
    if (found) return marked({ ...person, country: found }, 'country');
  }
  if (country && !isCountry) {
    // One text holds both: the town, and the country it is in.
    const found = countryIn(country);
    const town = pieces(country).filter((piece) => countryCode(piece) === undefined);
    if (found && place) return marked({ ...person, country: found }, 'country');
    if (found && town.length) return marked({ ...person, country: found, place: town.join(', ') }, 'place', 'country');
  }
  return person;
}

function countryIn(text: string): string | null {
  const parts = pieces(text);
  // A country stands last if there is one; `Jersey City, US` is not in Jersey.
  for (const part of [...parts].reverse()) {
    const code = part.length > 2 || part === part.toUpperCase() ? countryCode(part) : undefined;
    if (code) return code;
  }
  const towns = [...new Set(parts.map(townCountry).filter((code) => code !== null))];
  return towns.length === 1 ? towns[0]! : null;
}

const marked = (person: Person, ...facts: NonNullable<Person['read']>): Person => ({
  ...person,
  read: [...new Set([...(person.read ?? []), ...facts])]
});
