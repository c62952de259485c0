import { judgedSource } from '$core/suggest';
import { isTerm, type Query } from '$core/language';
import { termLedger, type Both, type Estimate } from '$core/measure';
import type { IndexedSource } from '$sources/indexed-source';
import { inProportion, leftOverTerms, partEstimate, peopleOf, type Way } from '$sources/reading';
import type { FitOrMiss } from '../people-messages';

/** The judged people of a source as sets. */
export const judgedAt = (source: IndexedSource, verdicts: readonly FitOrMiss[]) =>
  judgedSource(peopleOf(source, 'possible'), verdicts, (id) => source.rowOf(id));

/** What every part of a string is worth at a source: the source brings some people, of whom some stay. */
export function worthOf(
  query: Query,
  leftover: Query | null,
  whole: Both<Estimate>,
  source: IndexedSource,
  verdicts: readonly FitOrMiss[]
) {
  const nodes = new Map<string, Query>();
  const note = (node: Query, path: number[]): void => {
    if (node.kind === 'not') return note(node.part, path);
    nodes.set(path.join('.'), node);
    if (!isTerm(node)) node.parts.forEach((part, i) => note(part, [...path, i]));
  };
  note(query, []);
  const leftOver = leftOverTerms(leftover);
  const { fits, misses } = judgedAt(source, verdicts);
  const rowsFor = (way: Way) =>
    termLedger(
      query,
      peopleOf(source, way, (term) => leftOver.has(term)),
      { fits, misses }
    );
  const possible = rowsFor('possible');
  const [certain, asked] = leftOver.size ? [rowsFor('certain'), rowsFor('asked')] : [possible, possible];
  const guessed = source.sheet.counting.kind === 'guess';
  const told = (rows: typeof possible, estimated: Estimate) =>
    rows.map(({ path, excludes, alone, without, only, brings }, i) => {
      const node = nodes.get(path.join('.'))!;
      const from = asked[i]!;
      const found = rows[0]!.alone;
      return {
        path,
        excludes,
        alone: partEstimate(from.alone, alone, node, source),
        without:
          without === null || from.without === null
            ? null
            : guessed && found
              ? inProportion(estimated, without, found)
              : partEstimate(from.without, without, { kind: 'not', part: node }, source),
        only,
        brings
      };
    });
  const forPossible = told(possible, whole.possible);
  return { certain: leftOver.size ? told(certain, whole.certain) : forPossible, possible: forPossible };
}
