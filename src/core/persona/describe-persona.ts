import { countryName } from '../people/countries';
import { industryName } from '../people/industries';
import type { Persona } from './persona';

const list = new Intl.ListFormat('en', { type: 'disjunction' });
const few = (items: readonly string[], most = 3) =>
  list.format(items.length > most ? [...items.slice(0, most), `${items.length - most} more`] : items);

function sizeWords({ from, to }: Persona['size']): string {
  if (from !== null && to !== null) return `of ${from.toLocaleString('en')} to ${to.toLocaleString('en')} people`;
  if (from !== null) return `of ${from.toLocaleString('en')} people or more`;
  return to !== null ? `of up to ${to.toLocaleString('en')} people` : '';
}

/** A persona in one sentence, for people to read. */
export function describePersona(persona: Persona): string {
  const firms = [
    sizeWords(persona.size),
    persona.countries.length ? `in ${few(persona.countries.map(countryName))}` : ''
  ].filter(Boolean);
  const clauses = [
    persona.titles.length ? `titled ${few(persona.titles)}` : '',
    persona.functions.length ? `working in ${few(persona.functions)}` : '',
    persona.ranks.length ? `of the rank ${few(persona.ranks)}` : '',
    ...persona.bands
      .filter(({ titles }) => titles.length)
      .map((band) => [few(band.titles), sizeWords(band) && `at firms ${sizeWords(band)}`].filter(Boolean).join(' ')),
    firms.length ? `at firms ${firms.join(' ')}` : '',
    persona.mustHave.length ? `who mention ${few(persona.mustHave)}` : '',
    persona.notIndustries.length
      ? `outside ${few(persona.notIndustries.map((code) => industryName(code) ?? code))}`
      : '',
    persona.notCountries.length ? `not in ${few(persona.notCountries.map(countryName))}` : '',
    persona.mustNot.length ? `excluding ${few(persona.mustNot)}` : ''
  ].filter(Boolean);
  return clauses.length ? `People ${clauses.join(', ')}.` : 'No persona yet.';
}
