import { tokenKeys } from '$core/language';
import { models } from '$server/platform/database/models';

const keyOf = (text: string) => tokenKeys(text).join(' ').slice(0, 200);

/** Wordings added and rejected for a title, in any brief. */
export async function houseWordings(title: string) {
  const rows = await models().HouseWording.findAll({ where: { title: keyOf(title) }, order: ['wording'] });
  return rows.map(({ wording, taken }) => ({ wording, taken }));
}

/** Remembers for the house that wordings of a title were taken or refused. */
export async function rememberWordings(title: string, wordings: readonly string[], taken: boolean) {
  const rows = wordings
    .filter((wording) => keyOf(wording))
    .map((wording) => ({ title: keyOf(title), wording: keyOf(wording), taken }));
  if (keyOf(title) && rows.length)
    await models().HouseWording.bulkCreate(rows, {
      updateOnDuplicate: ['taken'],
      conflictAttributes: ['title', 'wording']
    });
  return houseWordings(title);
}
