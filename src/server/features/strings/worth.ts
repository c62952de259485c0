import type { Scope } from '$core/language';
import { models } from '$server/platform/database/models';
import { notFound } from '$server/platform/refusals';
import { askForJson, askPeople } from '$server/workers/people';
import { readySource } from '$server/features/sources/sources';
import { stringOf } from '$server/features/library/word-sets';

async function sheetOf(sourceId: string) {
  const source = await models().Source.findByPk(sourceId);
  if (!source) throw notFound('This source');
  return source.sheet;
}

/** Reads a string in the notation, with the word sets it names as they are now. */
export const parseText = async (text: string) => askForJson('read-string', await stringOf(text));

/** Translates a string for a source, with what is worth saying about it there. */
export async function renderFor(text: string, sourceId: string) {
  const [sheet, string] = await Promise.all([sheetOf(sourceId), stringOf(text)]);
  return askForJson('render-with-problems', { ...string, sheet });
}

/** Reads a text copied from a source by that source's rules. */
export const readFrom = async (text: string, sourceId: string) =>
  askForJson('read-copied', { text, sheet: await sheetOf(sourceId) });

/** How many people each of some strings finds at a source, in their order; null where one cannot be read or asked. */
export async function countTexts(texts: readonly string[], sourceId: string) {
  const source = await readySource(sourceId);
  return { counts: await askPeople('count-each', { sourceId: source.id, texts }), people: source.people };
}

/** Values told for completion at most. */
const maxValues = 20;

/** Values of a scope that most people of a source have, those of which a word begins so. */
export async function valuesAt(sourceId: string, scope: Scope, begins: string) {
  const source = await readySource(sourceId);
  return askPeople('values-at', { sourceId: source.id, scope, begins, limit: maxValues });
}

/** What the ambiguous words of a string mean among the people it finds at a source, and what telling them apart would do. */
export async function sensesOf(text: string, sourceId: string) {
  const [string, source] = await Promise.all([stringOf(text), readySource(sourceId)]);
  return askForJson('senses', { ...string, sourceId: source.id });
}
