import { countryName } from '../people/countries';
import type { Persona } from './persona';

const list = new Intl.ListFormat('en', { type: 'disjunction' });
const few = (items: readonly string[], most = 3) =>
  list.format(items.length > most ? [...items.slice(0, most), `${items.length - most} more`] : items);

/** A persona in one sentence, for people to read. */
export function describePersona(persona: Persona): string {
  const { from, to } = persona.size;
  const size =
    from !== null && to !== null
      ? `of ${from.toLocaleString('en')} to ${to.toLocaleString('en')} people`
      : from !== null
        ? `of ${from.toLocaleString('en')} people or more`
        : to !== null
          ? `of up to ${to.toLocaleString('en')} people`
          : '';
  const firms = [size, persona.countries.length ? `in ${few(persona.countries.map(countryName))}` : ''].filter(Boolean);
  const clauses = [
    persona.titles.length ? `titled ${few(persona.titles)}` : '',
    persona.functions.length ? `working in ${few(persona.functions)}` : '',
    firms.length ? `at firms ${firms.join(' ')}` : '',
    persona.mustHave.length ? `who speak of ${few(persona.mustHave)}` : '',
    persona.mustNot.length ? `and not of ${few(persona.mustNot)}` : ''
  ].filter(Boolean);
  return clauses.length ? `People ${clauses.join(', ')}.` : 'Nobody is described yet.';
}
