import { render } from '$core/dialect/render';
import { read } from '$core/dialect/search-text';
import { sourceProblems } from '$core/dialect/source-problems';
import { parse } from '$core/query/parse';
import { print } from '$core/query/print';
import { models } from '../database/models';
import { notFound } from '../refusal';
import { askPeople } from '../workers/people';
import { readySource } from './sources';
import { runnable } from './versions';
import { queriesOf } from './word-sets';

async function sheetOf(sourceId: string) {
  const source = await models().Source.findByPk(sourceId);
  if (!source) throw notFound('This source');
  return source.sheet;
}

/** Reads a string in the notation, with the word sets it names as they are now. */
export async function parseText(text: string) {
  const { query, problems } = parse(text, await queriesOf(text));
  return { query, problems, printed: query && print(query) };
}

/** Translates a string for a source, with what is worth saying about it there. */
export async function renderFor(text: string, sourceId: string) {
  const [sheet, sets] = await Promise.all([sheetOf(sourceId), queriesOf(text)]);
  const query = runnable(text, sets);
  const rendering = render(query, sheet);
  return { ...rendering, problems: sourceProblems(text, query, sheet, rendering) };
}

/** Reads a text copied from a source by that source's rules. */
export async function readFrom(text: string, sourceId: string) {
  const { query, problems } = read(text, await sheetOf(sourceId));
  return { query, problems, printed: query && print(query) };
}

/** Counts a string at a source: as a whole, and each top-level part alone and left out. */
export async function worthOf(text: string, sourceId: string) {
  const query = runnable(text, await queriesOf(text));
  const source = await readySource(sourceId);
  return askPeople('worth', { sourceId: source.id, query });
}

/** How many people each of some strings finds at a source, in their order; null where one cannot be read or asked. */
export async function countTexts(texts: readonly string[], sourceId: string) {
  const source = await readySource(sourceId);
  const queries = texts.map((text) => parse(text).query);
  const asked = queries.filter((query) => query !== null);
  const counts = await askPeople('count-each', { sourceId: source.id, queries: asked });
  let at = 0;
  return { counts: queries.map((query) => (query ? counts[at++]! : null)), people: source.people };
}
