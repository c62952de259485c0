import { randomUUID } from 'node:crypto';
import type { Transaction } from 'sequelize';
import { database } from '$server/platform/database/connection';
import { models, type VersionRow, type VersionSet } from '$server/platform/database/models';
import { notFound } from '$server/platform/refusals';
import { askPeople } from '$server/workers/people';
import type { StringText } from '$server/workers/people-messages';
import { findBrief } from '$server/features/briefs/briefs';
import { setsOf } from '$server/features/library/word-sets';

/** The string of a kept version, with its word sets as they were when it was kept. */
export const versionString = ({ text, sets }: Pick<VersionRow, 'text' | 'sets'>): StringText => ({ text, sets });

/** A version as the API returns it. */
export const serializeVersion = (version: VersionRow) => ({
  number: version.number,
  text: version.text,
  name: version.name,
  note: version.note,
  parent: version.parent,
  sets: version.sets,
  createdAt: version.createdAt.toISOString()
});

export async function listVersions(briefId: string) {
  await findBrief(briefId);
  const versions = await models().Version.findAll({ where: { briefId }, order: [['number', 'DESC']] });
  return versions.map(serializeVersion);
}

export async function findVersion(briefId: string, number: number): Promise<VersionRow> {
  const version = await models().Version.findOne({ where: { briefId, number } });
  if (!version) throw notFound(`Version ${number}`);
  return version;
}

/** Keeps a text as a version, made from `parent`. The same text with the same word sets is the version it was before. */
export async function keepVersion(briefId: string, text: string, parent: number | null = null) {
  const string = await checkedString(text);
  return database().transaction(async (transaction) =>
    serializeVersion(await keepIn(transaction, briefId, string, parent))
  );
}

/** A string with its word sets as they are now. Refuses one that cannot be run. */
export async function checkedString(text: string): Promise<StringText> {
  const string = { text, sets: await setsOf(text) };
  await askPeople('check-string', string);
  return string;
}

/** Keeps a string as a version within a transaction, which holds the brief until its end. */
export async function keepIn(
  transaction: Transaction,
  briefId: string,
  { text, sets }: StringText,
  parent: number | null
): Promise<VersionRow> {
  const { Brief, Version } = models();
  const brief = await Brief.findByPk(briefId, { transaction, lock: true });
  if (!brief) throw notFound('This brief');
  const alike = await Version.findAll({ where: { briefId, text }, transaction });
  const same = alike.find((version) => written(version.sets) === written(sets));
  if (same) return same;
  const last = await Version.max<number, VersionRow>('number', { where: { briefId }, transaction });
  const from = parent !== null && parent <= (last ?? 0) ? parent : null;
  return Version.create(
    { id: randomUUID(), briefId, number: (last ?? 0) + 1, text, note: '', name: '', parent: from, sets: [...sets] },
    { transaction }
  );
}

/** Keeps a string as a version, and what changes make of it as a version made from that, with a note. Both or neither. */
export async function takeChanges(
  briefId: string,
  { text, changed, parent, note }: { text: string; changed: string; parent: number | null; note: string }
) {
  const [before, after] = await Promise.all([checkedString(text), checkedString(changed)]);
  return database().transaction(async (transaction) => {
    const first = await keepIn(transaction, briefId, before, parent);
    const second = await keepIn(transaction, briefId, after, first.number);
    if (note && !second.note) await second.update({ note }, { transaction });
    return { before: serializeVersion(first), version: serializeVersion(second) };
  });
}

const written = (sets: readonly VersionSet[]) => JSON.stringify(sets.map(({ name, wordings }) => [name, wordings]));

/** Gives a version a name, a note, or both. */
export async function nameVersion(
  briefId: string,
  number: number,
  change: { name?: string | undefined; note?: string | undefined }
) {
  const version = await findVersion(briefId, number);
  await version.update({
    ...(change.name !== undefined && { name: change.name }),
    ...(change.note !== undefined && { note: change.note })
  });
  return serializeVersion(version);
}
