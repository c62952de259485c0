import { render, read, sourceProblems } from '$core/dialect';
import { wilson } from '$core/measure';
import { parse, print } from '$core/query';
import { meanings, ambiguousIn, tellApart } from '$core/titles';
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

/** How many people each of some strings finds at a source, in their order; null where one cannot be read or asked. */
export async function countTexts(texts: readonly string[], sourceId: string) {
  const source = await readySource(sourceId);
  const queries = texts.map((text) => parse(text).query);
  const asked = queries.filter((query) => query !== null);
  const counts = await askPeople('count-each', { sourceId: source.id, queries: asked });
  let at = 0;
  return { counts: queries.map((query) => (query ? counts[at++]! : null)), people: source.people };
}

/** What the ambiguous words of a string mean among the people it finds at a source, and what telling them apart would do. */
export async function sensesOf(text: string, sourceId: string) {
  const query = runnable(text, await queriesOf(text));
  const source = await readySource(sourceId);
  const words = ambiguousIn(query);
  const changes = words.flatMap((word) =>
    meanings(word.word).flatMap((_, sense) =>
      Object.entries(tellApart(text, query, word, sense)).flatMap(([how, changed]) =>
        changed === null ? [] : [{ word: word.word, sense, how: how as 'asking' | 'excluding', text: changed }]
      )
    )
  );
  const queries = await Promise.all(changes.map(async (change) => runnable(change.text, await queriesOf(change.text))));
  const [now, ...then] = await askPeople('senses', {
    sourceId: source.id,
    queries: [query, ...queries],
    words: words.map(({ word }) => word)
  });
  return {
    estimated: now!.estimated,
    words: words.map(({ word }, i) => {
      const { people, senses } = now!.words[i]!;
      return {
        word,
        people,
        senses: meanings(word).map(({ name }, sense) => ({
          name,
          people: senses[sense]!,
          interval: wilson(senses[sense]!, people),
          changes: changes.flatMap((change, at) => {
            if (change.word !== word || change.sense !== sense) return [];
            const after = then[at]!.words[i]!;
            const others = (counts: readonly number[]) =>
              counts.reduce((sum, n, j) => (j === sense ? sum : sum + n), 0);
            return [
              {
                how: change.how,
                text: change.text,
                estimated: then[at]!.estimated,
                kept: after.senses[sense]!,
                othersLeft: others(after.senses)
              }
            ];
          })
        }))
      };
    })
  };
}
