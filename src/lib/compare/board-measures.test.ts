import { describe, expect, it } from 'vitest';
import { boardOf, type TriedCell, type Verdict } from '$core/measure';
import { harrowGuild, quillbank } from '$core/dialect';
import type { Answer } from '$api';
import { boardMeasures, headline, sortVersions, type Cell } from './board-measures';

const range = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i);
const verdicts = new Map<number, Verdict>([
  ...range(0, 100).map((person) => [person, 'fit'] as const),
  ...range(100, 400).map((person) => [person, 'miss'] as const)
]);
/** A cell of which so many of 40 judged are fits. */
const tried = (version: number, sourceId: string, fits: number, spent: number | null = null): TriedCell => ({
  version,
  sourceId,
  answers: [{ said: 550, interval: { low: 540, high: 560 }, shown: 540, certain: 540, possible: 540, complete: false }],
  checked: false,
  open: new Set<number>(),
  found: [...range(0, fits), ...range(100, 140 - fits), ...range(400, 900)],
  sampled: range(0, 40),
  spent
});
const received = (...cells: TriedCell[]): Cell[] =>
  boardOf({ cells, people: 900, verdicts, known: new Map() }).map((cell) => ({
    ...cell,
    trialId: '',
    said: [],
    exactness: 'exact',
    searches: cell.version,
    people: 540,
    spent: cell.priceOfFit === null ? null : { amount: 30, unit: 'credit' }
  }));
const source = (sheet: typeof harrowGuild): Answer<'listSources'>[number] => ({
  id: sheet.id,
  kind: 'stand-in',
  name: sheet.name,
  about: '',
  people: 1000,
  sheet,
  revision: 1,
  faults: null,
  hidden: false,
  readiness: { state: 'ready' }
});
const measure = (id: string) => boardMeasures.find((one) => one.id === id)!;

describe('the measures of a board', () => {
  it('sort versions, the best first, those without a figure last', () => {
    const cells = received(tried(1, 'harrow-guild', 10), tried(2, 'harrow-guild', 30), tried(3, 'quillbank', 30));
    const at = source(harrowGuild);
    expect(sortVersions([3, 2, 1], cells, measure('precision'), at)).toEqual([2, 1, 3]);
    expect(sortVersions([3, 2, 1], cells, measure('misses'), at)).toEqual([2, 1, 3]);
    expect(sortVersions([3, 2, 1], cells, measure('searches'), at)).toEqual([1, 2, 3]);
    expect(sortVersions([3, 2, 1], cells, measure('price'), at)).toEqual([3, 2, 1]);
  });
  it('are given in words, or not at all when there is nothing to say', () => {
    const [cell, judgedless] = received(tried(1, 'quillbank', 20, 30), {
      ...tried(2, 'quillbank', 20),
      sampled: []
    }) as [Cell, Cell];
    const at = source(quillbank);
    const words = (id: string, one: Cell) => measure(id).figure(one, at)?.words ?? null;
    expect(words('precision', cell)).toBe('50% fits');
    expect(words('misses', cell)).toBe('50 misses in 100');
    expect(words('price', cell)).toMatch(/credits per fit$/);
    expect(words('searches', cell)).toBe('one search');
    expect(words('age', cell)).toBe('up to 120 months old');
    for (const id of ['precision', 'misses', 'fits', 'price', 'known']) expect(words(id, judgedless)).toBeNull();
  });
});

describe('the headline', () => {
  const names = [
    { id: 'harrow-guild', name: 'Harrow Guild' },
    { id: 'quillbank', name: 'Quillbank' }
  ];
  it('says first where the leader is better, then where it is not decided', () => {
    const cells = received(
      tried(1, 'harrow-guild', 5),
      tried(2, 'harrow-guild', 36),
      tried(1, 'quillbank', 30),
      tried(2, 'quillbank', 33)
    );
    expect(headline(cells, names)).toMatch(
      /^Version 2 is better than 1 at Harrow Guild by \d+ to \d+ points\. Undecided against 1 at Quillbank: \d+ more verdicts would decide it\.$/
    );
    expect(headline(received(tried(1, 'quillbank', 5)), names)).toBe('');
  });
});
