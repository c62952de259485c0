import fc from 'fast-check';
import Logic from 'logic-solver';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import { constantOf, equivalent, tellApart } from './equivalent';
import { matches } from './matches';
import { matchingOf } from './matching';
import { parse } from '../language/parse';
import { print } from '../language/print';
import { terms, type Query } from '../language/query';
import { simplify } from './simplify';

const query = (text: string) => parse(text).query!;
const same = (a: string, b: string) => equivalent(query(a), query(b));

describe('equivalent', () => {
  it.each([
    ['a OR b', 'b OR a'],
    ['NOT (a OR b)', 'NOT a AND NOT b'],
    ['a AND (b OR c)', '(a b) OR (a c)'],
    ['"senior quality manager" OR "quality manager"', '"quality manager"'],
    ['title:quality OR quality', 'quality'],
    ['headcount:[1 TO 50] OR headcount:[20 TO 100]', 'headcount:[1 TO 100]'],
    ['headcount:[1 TO 50] AND headcount:[20 TO *]', 'headcount:[20 TO 50]'],
    ['headcount:[0 TO *]', 'headcount:[* TO *]'],
    ['pharma* OR pharmacy', 'pharma*'],
    ['"cold chain" AND chain', '"cold chain"'],
    ['cold-chain', '"cold chain"'],
    ['a AND NOT a', 'headcount:[5 TO 1]'],
    ['mail:good OR mail:uncertain', 'mail:(uncertain OR good)'],
    ['mail:good AND mail:none', 'title:x AND NOT title:x']
  ])('%s is %s', (a, b) => expect(same(a, b)).toBe(true));

  it.each([
    ['a OR b', 'a'],
    ['"quality manager"', 'quality manager'],
    ['"quality manager" OR "manager quality"', 'quality manager'],
    ['title:quality', 'quality'],
    ['headcount:[1 TO 50] OR headcount:[51 TO 100]', 'headcount:[1 TO 100]'],
    ['NOT headcount:[1 TO 50]', 'headcount:[51 TO *]'],
    ['pharma*', 'pharmacy'],
    ['title:a AND title:b', 'title:"a b"'],
    ['mail:good OR mail:uncertain OR mail:none', 'a OR NOT a'],
    ['growth:[-5 TO *]', 'growth:[* TO *]']
  ])('%s is not %s, and a person shows it', (a, b) => {
    expect(same(a, b)).toBe(false);
    const witness = tellApart(query(a), query(b));
    if (witness === null || witness === 'undecided') throw new Error('no witness');
    expect(matches(query(a), witness)).not.toBe(matches(query(b), witness));
  });

  it('never says the same of two that a person tells apart, and shows one where it says different', () => {
    const said = { same: 0, different: 0 };
    fc.assert(
      fc.property(queries(2), queries(2), people(6), fc.boolean(), (a, other, list, kin) => {
        const b: Query = kin ? { kind: 'or', parts: [a, { kind: 'and', parts: [other, a] }] } : other;
        const witness = tellApart(a, b);
        if (witness === 'undecided') throw new Error('undecided');
        said[witness ? 'different' : 'same']++;
        if (witness) expect(matches(a, witness), `${print(a)} | ${print(b)}`).not.toBe(matches(b, witness));
        else for (const person of list) expect(matches(a, person)).toBe(matches(b, person));
      }),
      { numRuns: 2000 }
    );
    expect(said.same).toBeGreaterThan(300);
    expect(said.different).toBeGreaterThan(300);
  });

  /** Unscoped words only, so that atoms are independent and a formula says all that is to be known. */
  const formulas = (depth: number): fc.Arbitrary<Query> =>
    depth === 0
      ? fc.record({
          kind: fc.constant('word' as const),
          scope: fc.constant('title' as const),
          text: fc.constantFrom(...'abcdef')
        })
      : fc.oneof(
          formulas(0),
          fc.record({
            kind: fc.constantFrom('and' as const, 'or' as const),
            parts: fc.array(formulas(depth - 1), { minLength: 1, maxLength: 3 })
          }),
          formulas(depth - 1).map((part) => ({ kind: 'not' as const, part }))
        );

  it('agrees with two-valued truth tables', () => {
    const holds = (formula: Query, row: number): boolean => {
      if (formula.kind === 'and') return formula.parts.every((part) => holds(part, row));
      if (formula.kind === 'or') return formula.parts.some((part) => holds(part, row));
      if (formula.kind === 'not') return !holds(formula.part, row);
      return Boolean(row & (1 << 'abcdef'.indexOf((formula as { text: string }).text)));
    };
    fc.assert(
      fc.property(formulas(3), formulas(3), (a, b) => {
        const table = Array.from({ length: 64 }, (_, row) => holds(a, row) === holds(b, row));
        expect(equivalent(a, b)).toBe(table.every(Boolean));
      }),
      { numRuns: 1000 }
    );
  });

  it('agrees with a SAT solver', () => {
    const write = (formula: Query): Logic.Formula | string => {
      if (formula.kind === 'and') return Logic.and(formula.parts.map(write));
      if (formula.kind === 'or') return Logic.or(formula.parts.map(write));
      if (formula.kind === 'not') return Logic.not(write(formula.part));
      return (formula as { text: string }).text;
    };
    fc.assert(
      fc.property(formulas(4), formulas(4), fc.boolean(), (a, other, kin) => {
        const b: Query = kin ? { kind: 'and', parts: [a, { kind: 'or', parts: [a, other] }] } : other;
        const solver = new Logic.Solver();
        solver.require(Logic.xor(write(a), write(b)));
        expect(equivalent(a, b)).toBe(solver.solve() === null);
      }),
      { numRuns: 200 }
    );
  });

  it('says that it cannot decide rather than hang', () => {
    const hostile = (sign: string) =>
      Array.from(
        { length: 60 },
        (_, i) => `((w${i} OR v${(i * 37) % 60}) AND (u${(i * 17) % 60} OR w${(i * 23) % 60}))`
      ).join(` ${sign} `);
    expect(['undecided', false]).toContain(same(hostile('OR'), hostile('AND')));
    const many = Array.from({ length: 4000 }, (_, i) => `w${i}`).join(' OR ');
    expect(same(many, many)).toBe('undecided');
  });
});

describe('constantOf', () => {
  it.each([
    ['a AND NOT a', 'never'],
    ['(a OR b) NOT a NOT b', 'never'],
    ['"quality manager" AND NOT quality', 'never'],
    ['headcount:[1 TO 5] AND headcount:[6 TO 9]', 'never'],
    ['a OR NOT a', 'always'],
    ['quality OR NOT "quality manager"', 'always'],
    ['a OR b', null]
  ])('%s: %s', (text, constant) => expect(constantOf(query(text))).toBe(constant));
});

describe('simplify', () => {
  const simple = (text: string) => print(simplify(query(text)));
  it.each([
    ['"senior quality manager" OR "quality manager"', '"quality manager"'],
    ['a OR b OR a', 'a OR b'],
    ['NOT NOT a', 'a'],
    ['a AND (a OR b)', 'a'],
    ['a OR (a AND b)', 'a'],
    ['title:(a OR (b OR (c)))', 'title:(a OR b OR c)'],
    ['pharma* OR pharmacy OR title:pharmacist', 'pharma*'],
    ['headcount:[1 TO 50] OR headcount:[50 TO 90]', 'headcount:[1 TO 90]'],
    ['headcount:[1 TO 50] AND headcount:[20 TO 90]', 'headcount:[20 TO 50]'],
    ['headcount:[9 TO 1] OR a', 'a'],
    ['NOT (intern OR "senior intern")', 'NOT intern'],
    ['(a b) OR (b a)', 'a AND b']
  ])('%s becomes %s', (text, shorter) => expect(simple(text)).toBe(shorter));

  it('keeps the meaning and never grows; under any source’s matching where asked', () => {
    const stems = matchingOf({ stemming: 'english', diacritics: 'folded' });
    fc.assert(
      fc.property(queries(), people(8), (one, list) => {
        const shorter = simplify(one);
        const careful = simplify(one, 'any source');
        expect(equivalent(one, shorter)).toBe(true);
        expect([...terms(shorter)].length).toBeLessThanOrEqual([...terms(one)].length);
        for (const person of list) {
          expect(matches(shorter, person)).toBe(matches(one, person));
          expect(matches(careful, person, stems)).toBe(matches(one, person, stems));
        }
      }),
      { numRuns: 1500 }
    );
  });
});
