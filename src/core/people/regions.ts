import type * as z from 'zod';
import { countryWritten } from './country-written';
import { regionsOf } from './house-list-shapes';

/** Regions as a house speaks of them, with their countries by code of ISO 3166-1. */
export const regionsSchema = regionsOf(countryWritten);
export type Regions = z.output<typeof regionsSchema>;

/** Regions that people in the trade speak of, to begin with. Common practice, no published source. */
export const regions: Regions = [
  { names: ['Nordics', 'Nordic countries', 'the Nordic region', 'Nordic'], countries: ['DK', 'SE', 'NO', 'FI', 'IS'] },
  { names: ['Scandinavia', 'Scandinavian'], countries: ['DK', 'SE', 'NO'] },
  { names: ['Benelux', 'Low Countries'], countries: ['BE', 'NL', 'LU'] },
  { names: ['DACH', 'German-speaking countries'], countries: ['DE', 'AT', 'CH'] },
  { names: ['Baltics', 'Baltic states', 'Baltic countries'], countries: ['EE', 'LV', 'LT'] },
  { names: ['British Isles', 'UK and Ireland', 'UKI', 'Britain and Ireland'], countries: ['GB', 'IE'] },
  { names: ['Iberia', 'Iberian peninsula'], countries: ['ES', 'PT'] },
  {
    names: ['north-west Europe', 'northwest Europe', 'north-western Europe', 'northwestern Europe'],
    countries: ['DK', 'SE', 'NO', 'NL', 'BE', 'DE', 'GB', 'IE', 'FR']
  },
  { names: ['Visegrad', 'Visegrád countries'], countries: ['PL', 'CZ', 'SK', 'HU'] },
  { names: ['North America'], countries: ['US', 'CA'] }
];

/** What the people and things of a country are called in English, where briefs speak of them so. */
export const demonyms: Readonly<Record<string, readonly string[]>> = {
  DK: ['Danish', 'Danes'],
  SE: ['Swedish', 'Swedes'],
  NO: ['Norwegian', 'Norwegians'],
  FI: ['Finnish', 'Finns'],
  NL: ['Dutch'],
  BE: ['Belgian', 'Belgians'],
  DE: ['German', 'Germans'],
  AT: ['Austrian'],
  CH: ['Swiss'],
  FR: ['French'],
  GB: ['British', 'Britain', 'England', 'Scotland', 'Wales', 'the UK'],
  IE: ['Irish'],
  ES: ['Spanish'],
  PT: ['Portuguese'],
  IT: ['Italian'],
  PL: ['Polish'],
  US: ['American', 'the US', 'the States']
};
