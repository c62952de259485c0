import { columnProfileSchema, standardProfile, type ColumnProfile } from '$core/shortlist';
import { models } from '$server/platform/database/models';
import { changedElsewhere, notFound } from '$server/platform/refusals';

/** All column profiles; the shipped one comes first unless it was changed. */
export async function listProfiles() {
  const rows = await models().ColumnProfile.findAll({ order: ['name'] });
  const kept = rows.map(({ name, body, revision }) => ({ name, body: columnProfileSchema.parse(body), revision }));
  return kept.some(({ name }) => name === standardName)
    ? kept
    : [{ name: standardName, body: standardProfile, revision: 0 }, ...kept];
}
const standardName = 'Standard';

/** The profile with a name, or the shipped one without. Refuses an unknown name. */
export async function findProfile(name = standardName): Promise<ColumnProfile> {
  const one = (await listProfiles()).find((profile) => profile.name === name);
  if (!one) throw notFound('This column profile');
  return one.body;
}

/** Keeps a profile if nobody has changed it since `revision`, which is 0 for a new one. */
export async function writeProfile(name: string, { body, revision }: { body: ColumnProfile; revision: number }) {
  const { ColumnProfile: Profile } = models();
  const changed = revision
    ? (await Profile.update({ body, revision: revision + 1 }, { where: { name, revision } }))[0]
    : await Profile.create({ name, body }).then(
        () => 1,
        () => 0
      );
  if (!changed) throw changedElsewhere('This column profile', await Profile.findByPk(name));
  return { revision: revision + 1 };
}

export async function deleteProfile(name: string): Promise<void> {
  await models().ColumnProfile.destroy({ where: { name } });
}
