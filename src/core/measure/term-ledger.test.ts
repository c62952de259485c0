import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { emptyBitmap, rowsOf, setBit } from '../corpus/bitmap';
import { PeopleIndex } from '../corpus/people-index';
import type { Person } from '../people/person';
import { matches } from '../semantics/matches';
import { parse } from '../language/parse';
import type { Query } from '../language/query';
import { countedParts, judgedParts, narrowing, type JudgedSets, type PeopleSets } from './term-ledger';

/** The string without one part, taken out by hand; null when nothing is left. */
function leaveOut(node: Query, path: readonly number[]): Query | null {
  if (!path.length) return null;
  if (node.kind === 'not') {
    const part = leaveOut(node.part, path);
    return part && { kind: 'not', part };
  }
  if (node.kind !== 'and' && node.kind !== 'or') throw new Error('no such part');
  const [index, ...rest] = path;
  const parts = node.parts.flatMap((part, i) => {
    const left = i === index ? leaveOut(part, rest) : part;
    return left ? [left] : [];
  });
  return parts.length ? { ...node, parts } : null;
}
function partAt(node: Query, path: readonly number[]): Query {
  if (node.kind === 'not') return partAt(node.part, path);
  if (!path.length) return node;
  return partAt((node as { parts: Query[] }).parts[path[0]!]!, path.slice(1));
}
/** Every group has two parts or more, so that leaving one out leaves its group. */
const isFull = (node: Query): boolean =>
  node.kind === 'not'
    ? isFull(node.part)
    : node.kind === 'and' || node.kind === 'or'
      ? node.parts.length > 1 && node.parts.every(isFull)
      : true;

/** Both halves of a ledger, row by row. */
function ledgerOf(query: Query, people: PeopleSets, judged: JudgedSets) {
  const done = judgedParts(query, people, judged);
  return countedParts(query, people).map((row, i) => ({ ...row, ...done[i]! }));
}

describe('the term ledger', () => {
  it('says for every part what running the string with and without it says', () => {
    fc.assert(
      fc.property(queries().filter(isFull), people(), fc.infiniteStream(fc.boolean()), (asked, crowd, luck) => {
        const index = PeopleIndex.from(crowd);
        const [fits, misses] = [emptyBitmap(crowd.length), emptyBitmap(crowd.length)];
        const verdicts = crowd.map((_, row) => {
          const fit = luck.next().value as boolean;
          setBit(fit ? fits : misses, row);
          return fit;
        });
        const found = (one: Query) => crowd.filter((person) => matches(one, person));
        const judgedAmong = (list: readonly Person[]) => ({
          fits: list.filter((person) => verdicts[crowd.indexOf(person)]).length,
          misses: list.filter((person) => !verdicts[crowd.indexOf(person)]).length
        });
        const whole = found(asked);
        for (const row of ledgerOf(asked, index, { fits, misses })) {
          const part = partAt(asked, row.path);
          expect(row.alone).toBe(found(part).length);
          const rest = leaveOut(asked, row.path);
          expect(row.without).toBe(rest && found(rest).length);
          const without = rest ? found(rest) : [];
          const change = row.excludes
            ? without.filter((person) => !whole.includes(person))
            : whole.filter((person) => !without.includes(person));
          if (rest) expect(row.only).toEqual(judgedAmong(change));
          if (!row.excludes) expect(row.brings).toEqual(judgedAmong(whole.filter((person) => matches(part, person))));
        }
      }),
      { numRuns: 400 }
    );
  });

  it('says what an exclusion throws out, fits and misses apart', () => {
    const person = (id: string, title: string): Person => ({ id, name: id, jobs: [{ title, company: 'C' }] });
    const crowd = [person('a', 'QA'), person('b', 'QA software'), person('c', 'QA software'), person('d', 'QA intern')];
    const index = PeopleIndex.from(crowd);
    const [fits, misses] = [emptyBitmap(4), emptyBitmap(4)];
    setBit(fits, 1);
    setBit(misses, 2);
    setBit(misses, 3);
    const rows = ledgerOf(parse('title:QA NOT (software OR intern)').query!, index, { fits, misses });
    expect(rows.map(({ path }) => path.join('.'))).toEqual(['', '0', '1', '1.0', '1.1']);
    expect(rows[1]).toMatchObject({ alone: 4, without: 1, excludes: false });
    expect(rows[2]).toMatchObject({ alone: 3, without: 4, excludes: true, only: { fits: 1, misses: 2 } });
    expect(rows[3]).toMatchObject({ alone: 2, without: 3, only: { fits: 1, misses: 1 } });
    expect(rows[4]).toMatchObject({ alone: 1, without: 2, only: { fits: 0, misses: 1 } });
  });
});

describe('narrowing', () => {
  it('is the count of the first part, the first two, and so on, in any order', () => {
    fc.assert(
      fc.property(queries(), people(), fc.integer(), (asked, crowd, shuffle) => {
        const index = PeopleIndex.from(crowd);
        const parts = asked.kind === 'and' ? asked.parts : [asked];
        const order = parts.map((_, i) => i).sort((a, b) => ((a * 7 + shuffle) % 5) - ((b * 7 + shuffle) % 5));
        const steps = narrowing(asked, index, order);
        steps.forEach(({ part, count }, i) => {
          expect(part).toBe(order[i]);
          expect(count).toBe(
            crowd.filter((person) => order.slice(0, i + 1).every((at) => matches(parts[at]!, person))).length
          );
        });
        expect(steps.at(-1)!.count).toBe(rowsOf(index.rows(asked)).length);
      })
    );
  });
});
