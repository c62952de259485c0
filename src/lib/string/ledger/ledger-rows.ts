import { isTerm, type Query, print } from '$core/language';
import type { Interval } from '$core/measure';
import type { Answer } from '$api';

type Reading = 'certain' | 'possible';
type Figures = NonNullable<Answer<'ledger'>['rows']>[Reading][number];
/** A count with the number to go by. */
type Counted = Interval & { middle: number };

/** A line of the ledger: a part of the string, with its figures at each source where they are there. */
export interface LedgerLine {
  key: string;
  /** Index of the outermost part it belongs to. */
  part: number;
  level: number;
  text: string;
  /** What it says, without the NOT around it. */
  node: Query;
  excludes: boolean;
  isGroup: boolean;
  figures: Record<string, Figures>;
}

/** The lines of a string in its own order: outermost parts, and the terms and groups in those that are not folded. */
export function ledgerLines(
  query: Query,
  unfolded: ReadonlySet<string>,
  answers: Readonly<Record<string, Answer<'ledger'> | undefined>>,
  reading: Reading = 'possible'
): LedgerLine[] {
  const figures = new Map<string, Record<string, Figures>>();
  for (const [sourceId, answer] of Object.entries(answers))
    for (const row of answer?.rows?.[reading] ?? []) {
      const key = row.path.join('.');
      figures.set(key, { ...figures.get(key), [sourceId]: row });
    }
  const lines: LedgerLine[] = [];
  const walk = (node: Query, path: number[], excludes: boolean) => {
    if (node.kind === 'not') return walk(node.part, path, !excludes);
    const key = path.join('.');
    const isGroup = !isTerm(node);
    // A string that is one group or one term has no level above it.
    const level = root.kind === 'and' ? path.length : path.length + 1;
    if (level > 0)
      lines.push({
        key,
        part: root.kind === 'and' ? path[0]! : 0,
        level,
        text: print(node),
        node,
        excludes,
        isGroup,
        figures: figures.get(key) ?? {}
      });
    if (!isTerm(node) && (level === 0 || unfolded.has(key)))
      node.parts.forEach((part, i) => walk(part, [...path, i], excludes));
  };
  const root = query;
  walk(query, [], false);
  return lines;
}

/** Judged people of a part, summed over the sources: a person judged at two sources is counted at each. */
export interface Judged {
  fits: number;
  misses: number;
}

const sumOf = (counts: readonly Judged[]): Judged => ({
  fits: counts.reduce((sum, { fits }) => sum + fits, 0),
  misses: counts.reduce((sum, { misses }) => sum + misses, 0)
});

/** The judged people that a part brings or, for an exclusion, removes. */
export const broughtBy = (line: LedgerLine): Judged => sumOf(Object.values(line.figures).map(({ brings }) => brings));

/** The baseline of the ledger's changes: the whole string. */
export const wholeOf = (answer: Answer<'ledger'> | undefined, reading: Reading = 'possible'): Counted | undefined =>
  answer?.rows ? answer.found.estimated[reading] : undefined;

/** The change in the count when a part is left out; null where nothing is left, or where that cannot be asked. */
export const changeOf = (figures: Figures, whole: Counted): number | null =>
  figures.without && figures.without.middle - whole.middle;

/** How many more people would match without a part, over all sources that can be asked without it; null where none can. */
export function keptOutBy(line: LedgerLine, whole: (sourceId: string) => Counted | undefined): number | null {
  const changes = Object.entries(line.figures).flatMap(([sourceId, figures]) => {
    const of = whole(sourceId);
    const change = of && changeOf(figures, of);
    return change === null || change === undefined ? [] : [change];
  });
  return changes.length ? Math.max(0, Math.round(changes.reduce((sum, change) => sum + change, 0))) : null;
}

/**
 * What stands out about a part: it matches nobody and changes nothing anywhere (`idle`), matches nobody and so shuts
 * everyone out (`blocking`), brings misses and hardly a fit, or excludes fits. An exclusion that matches nobody for certain
 * can still remove people whose facts are unknown: it is neither.
 */
export function standsOut(
  line: LedgerLine,
  whole: (sourceId: string) => Counted | undefined
): 'idle' | 'blocking' | 'harmful' | 'costs fits' | null {
  const all = Object.values(line.figures);
  if (!all.length) return null;
  if (all.every(({ alone }) => alone?.high === 0)) {
    const changes = Object.entries(line.figures).map(([sourceId, figures]) => {
      const of = whole(sourceId);
      return (of && changeOf(figures, of)) ?? 0;
    });
    if (changes.every((change) => change === 0)) return 'idle';
    return line.excludes ? null : 'blocking';
  }
  const fits = all.reduce((sum, { only }) => sum + only.fits, 0);
  const misses = all.reduce((sum, { only }) => sum + only.misses, 0);
  if (line.excludes) return fits > 0 && fits >= misses / 4 ? 'costs fits' : null;
  return misses >= 2 && misses > 3 * fits ? 'harmful' : null;
}

/** Lines sorted by their change at a source, the largest first, each with its fellows only; the order of the string otherwise. */
export function sortLines(
  lines: readonly LedgerLine[],
  by: { sourceId: string; what: 'alone' | 'change' | 'misses' } | null,
  whole: (sourceId: string) => Counted | undefined
): LedgerLine[] {
  if (!by) return [...lines];
  const value = (line: LedgerLine): number => {
    const figures = line.figures[by.sourceId];
    const count = whole(by.sourceId);
    if (!figures || !count) return -Infinity;
    if (by.what === 'alone') return figures.alone?.middle ?? -Infinity;
    if (by.what === 'misses') return figures.only.misses;
    return Math.abs(changeOf(figures, count) ?? -1);
  };
  const parentOf = (key: string) => key.split('.').slice(0, -1).join('.');
  const children = new Map<string, LedgerLine[]>();
  for (const line of lines) children.set(parentOf(line.key), [...(children.get(parentOf(line.key)) ?? []), line]);
  const sorted: LedgerLine[] = [];
  const put = (parent: string) => {
    for (const line of [...(children.get(parent) ?? [])].sort((a, b) => value(b) - value(a))) {
      sorted.push(line);
      if (line.key !== parent) put(line.key);
    }
  };
  const top = lines[0]?.key ?? '';
  if (top === '') {
    // The string is one group: it stands above its parts.
    sorted.push(lines[0]!);
    children.set(
      '',
      (children.get('') ?? []).filter(({ key }) => key !== '')
    );
  }
  put('');
  return sorted;
}
