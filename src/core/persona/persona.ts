import type * as z from 'zod';
import { countryCode } from '../people/countries';
import { industryCode } from '../people/industries';
import { personaOf } from './persona-shape';

export { otherFacts } from './persona-shape';

/** Who is wanted, by countries of ISO 3166-1 and industries of ISIC Rev. 4. */
export const personaSchema = personaOf(
  (text) => countryCode(text) !== undefined,
  (text) => industryCode(text) !== undefined
);
export type Persona = z.infer<typeof personaSchema>;

/** Every wanted title, those of the size bands too, each once. */
export const allTitles = ({ titles, bands }: Persona): string[] => {
  const all = [...titles, ...bands.flatMap((band) => band.titles)];
  return all.filter((title, i) => all.findIndex((other) => other.toLowerCase() === title.toLowerCase()) === i);
};

export const emptyPersona: Persona = personaSchema.parse({});
