import { randomUUID } from 'node:crypto';
import { parse } from '$core/query/parse';
import type { Query } from '$core/query/query';
import { database } from '../database/connection';
import { models, type VersionRow } from '../database/models';
import { notFound, Refusal } from '../refusal';
import { findBrief } from './briefs';

/** The query of a text that is to be run; refuses, with the first problem, a text that cannot be read whole. */
export function runnable(text: string): Query {
  const { query, problems } = parse(text);
  const error = problems.find((problem) => problem.severity === 'error');
  if (error) throw new Refusal(422, 'The string cannot be read', error.message, { problems });
  if (!query) throw new Refusal(422, 'The string is empty', 'There is nothing to run yet: write a string first.');
  return query;
}

const told = (version: VersionRow) => ({
  number: version.number,
  text: version.text,
  note: version.note,
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

/** Keeps a text as a version. The same text as an earlier version is that version. */
export async function keepVersion(briefId: string, text: string) {
  runnable(text);
  return database().transaction(async (transaction) => {
    const { Brief, Version } = models();
    const brief = await Brief.findByPk(briefId, { transaction, lock: true });
    if (!brief) throw notFound('This brief');
    const same = await Version.findOne({ where: { briefId, text }, transaction });
    if (same) return told(same);
    const last = await Version.max<number, VersionRow>('number', { where: { briefId }, transaction });
    return told(
      await Version.create({ id: randomUUID(), briefId, number: (last ?? 0) + 1, text, note: '' }, { transaction })
    );
  });
}

export async function noteVersion(briefId: string, number: number, note: string) {
  const version = await findVersion(briefId, number);
  await version.update({ note });
  return told(version);
}
