import { randomUUID } from 'node:crypto';
import { setQueries, parse, type SetQueries, type Query } from '$core/query';
import { database } from '../database/connection';
import { models, type VersionRow, type VersionSet } from '../database/models';
import { notFound, Refusal } from '../refusal';
import { findBrief } from './briefs';
import { setsOf } from './word-sets';

/** The query of a text that is to be run; refuses, with the first problem, a text that cannot be read whole. */
export function runnable(text: string, sets?: SetQueries): Query {
  const { query, problems } = parse(text, sets);
  const error = problems.find((problem) => problem.severity === 'error');
  if (error) throw new Refusal(422, 'The string cannot be read', error.message, { problems });
  if (!query) throw new Refusal(422, 'The string is empty', 'There is nothing to run yet: write a string first.');
  return query;
}

/** The query of a kept version, with its word sets as they were when it was kept. */
export const versionQuery = (version: Pick<VersionRow, 'text' | 'sets'>): Query =>
  runnable(version.text, setQueries(version.sets));

const told = (version: VersionRow) => ({
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
  return versions.map(told);
}

export async function findVersion(briefId: string, number: number): Promise<VersionRow> {
  const version = await models().Version.findOne({ where: { briefId, number } });
  if (!version) throw notFound(`Version ${number}`);
  return version;
}

/** Keeps a text as a version, made from `parent`. The same text with the same word sets is the version it was before. */
export async function keepVersion(briefId: string, text: string, parent: number | null = null) {
  const sets = await setsOf(text);
  runnable(text, setQueries(sets));
  return database().transaction(async (transaction) => {
    const { Brief, Version } = models();
    const brief = await Brief.findByPk(briefId, { transaction, lock: true });
    if (!brief) throw notFound('This brief');
    const alike = await Version.findAll({ where: { briefId, text }, transaction });
    const same = alike.find((version) => written(version.sets) === written(sets));
    if (same) return told(same);
    const last = await Version.max<number, VersionRow>('number', { where: { briefId }, transaction });
    const from = parent !== null && parent <= (last ?? 0) ? parent : null;
    return told(
      await Version.create(
        { id: randomUUID(), briefId, number: (last ?? 0) + 1, text, note: '', name: '', parent: from, sets },
        { transaction }
      )
    );
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
  return told(version);
}
