import type * as z from 'zod';
import { consentCountries, regions } from '$core/people';
import { houseListSchemas } from '$api/documents';
import { models, type HouseListName } from '$server/platform/database/models';
import { changedElsewhere } from '$server/platform/refusals';
import { keepable } from '$server/features/briefs/kept-schemas';

const shipped = {
  regions,
  consent: consentCountries,
  lexicon: { functions: [], titles: [], meanings: [] }
} as const;
const names = {
  lexicon: 'What was added to the lexicon',
  regions: 'The list of regions',
  consent: 'The list of countries that ask consent'
} as const;

/** A list that the house keeps for all briefs; as shipped until it is first changed. */
export async function readHouseList<K extends HouseListName>(name: K) {
  const [row] = await models().HouseList.findOrCreate({ where: { name }, defaults: { name, body: shipped[name] } });
  return {
    body: houseListSchemas[name].parse(row.body) as z.output<(typeof houseListSchemas)[K]>,
    revision: row.revision
  };
}

/** Writes a list of the house if nobody has since `revision`. */
export async function writeHouseList(name: HouseListName, { body, revision }: { body: unknown; revision: number }) {
  const [changed] = await models().HouseList.update(
    { body: keepable(name, body), revision: revision + 1 },
    { where: { name, revision } }
  );
  if (!changed) throw changedElsewhere(names[name], await readHouseList(name));
  return { revision: revision + 1 };
}
