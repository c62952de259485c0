import { judgedSource } from '$core/suggest';
import { isTerm, type Query, type Term } from '$core/language';
import { countedParts, judgedParts, type Estimate } from '$core/measure';
import type { Counted } from '$sources/count-string';
import type { IndexedSource } from '$sources/indexed-source';
import { inProportion, leftOverTerms, partEstimate, peopleOf, type Way } from '$sources/reading';
import type { JudgedIds } from '../people-messages';

/** The judged people of a source as sets. */
export const judgedAt = (source: IndexedSource, { fits, misses }: JudgedIds) =>
  judgedSource(
    peopleOf(source, 'possible'),
    [...fits.map((id) => ({ id, fit: true })), ...misses.map((id) => ({ id, fit: false }))],
    (id) => source.rowOf(id)
  );

/** What every part of a string finds at a source among the judged: the people the source returns, and those that remain after filtering. */
export function partsCounted(query: Query, { rendering, found }: Counted, source: IndexedSource) {
  const nodes = new Map<string, Query>();
  const note = (node: Query, path: number[]): void => {
    if (node.kind === 'not') return note(node.part, path);
    nodes.set(path.join('.'), node);
    if (!isTerm(node)) node.parts.forEach((part, i) => note(part, [...path, i]));
  };
  note(query, []);
  const leftOver = leftOverTerms(rendering.leftover);
  const rowsFor = (way: Way) => countedParts(query, peopleFor(way, leftOver, source));
  const possible = rowsFor('possible');
  const [certain, asked] = leftOver.size ? [rowsFor('certain'), rowsFor('asked')] : [possible, possible];
  const guessed = source.sheet.counting.kind === 'guess';
  const reply = (rows: typeof possible, estimated: Estimate) =>
    rows.map(({ path, excludes, alone, without }, i) => {
      const node = nodes.get(path.join('.'))!;
      const from = asked[i]!;
      const whole = rows[0]!.alone;
      return {
        path,
        excludes,
        alone: partEstimate(from.alone, alone, node, source),
        without:
          without === null || from.without === null
            ? null
            : guessed && whole
              ? inProportion(estimated, without, whole)
              : partEstimate(from.without, without, { kind: 'not', part: node }, source)
      };
    });
  const forPossible = reply(possible, found.estimated.possible);
  return { certain: leftOver.size ? reply(certain, found.estimated.certain) : forPossible, possible: forPossible };
}

/** The same with what every part does to the people judged there. */
export function partsJudged(
  query: Query,
  leftover: Query | null,
  counted: ReturnType<typeof partsCounted>,
  source: IndexedSource,
  ids: JudgedIds
) {
  const leftOver = leftOverTerms(leftover);
  const judged = judgedAt(source, ids);
  const rowsFor = (way: 'certain' | 'possible') => {
    const done = judgedParts(query, peopleFor(way, leftOver, source), judged);
    return counted[way].map((row, i) => ({ ...row, ...done[i]! }));
  };
  const possible = rowsFor('possible');
  return { certain: leftOver.size ? rowsFor('certain') : possible, possible };
}

const peopleFor = (way: Way, leftOver: ReadonlySet<Term>, source: IndexedSource) =>
  peopleOf(source, way, (term) => leftOver.has(term));
