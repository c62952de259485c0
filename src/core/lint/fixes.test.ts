import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readString } from './read-string';
import { applyEdits, type Problem } from '../language/problem';
import { print } from '../language/print';
import { terms } from '../language/query';

/** Pieces of which people's strings, and their mistakes, are made. */
const pieces = fc.constantFrom(
  ...['QA', 'quality', 'manager', '"head of quality"', 'software', 'intern', 'cold', 'chain', 'RP', 'organisation'],
  ...['AND', 'OR', 'NOT', 'and', 'or', 'not', '&&', '||', '!', '-', '–', '-intern', '–intern', '!intern'],
  ...[
    '(',
    ')',
    '((',
    '))',
    '"',
    '“',
    '”',
    '“cold chain”',
    '"cold *"',
    '"c*ld *"',
    '*',
    'qual*',
    'q*',
    'qu*lity',
    '""',
    '()'
  ],
  ...['title:', 'company:', 'color:', 'title:title:', 'headcount:', 'country:', 'mail:', 'hiring:', 'growth:'],
  ...[
    '[50 TO 249]',
    '[50-249]',
    '[200 TO 51]',
    '[1.000 TO 5.000]',
    '[1,000 TO 5,000]',
    '[a TO b]',
    '[',
    ']',
    '50-249',
    '50+'
  ],
  ...['Denmrk', 'Denmark', 'true', 'valid', '/*', '*/', '/* x */', '\u200b', '…', '@none', '1e21', '-5', '\n', '<b>'],
  ...[',', ', ', ';', '(a, b)', 'NOT(consultor, ', 'AND NOT OR ', ')manager', 'buyer""']
);
const strings = fc
  .array(fc.tuple(pieces, fc.constantFrom(' ', ' ', ' ', '')), { minLength: 1, maxLength: 9 })
  .map((list) =>
    list
      .map(([piece, gap]) => piece + gap)
      .join('')
      .trimEnd()
  );

const same = (a: Problem, b: Problem) => a.code === b.code && a.message === b.message;
const times = (problems: readonly Problem[], one: Problem) => problems.filter((other) => same(one, other)).length;
const errors = (problems: readonly Problem[]) => problems.filter(({ severity }) => severity === 'error').length;

/** Where the terms of a text stand, and whether each is wanted or excluded. */
const wantedAt = (text: string) => {
  const { query } = readString(text);
  return query ? [...terms(query)].map(({ term, wanted }) => ({ ...term.at!, wanted })) : [];
};

/** What a text excludes and wants. */
const sides = (text: string) => {
  const { query } = readString(text);
  const all = query ? [...terms(query)] : [];
  const side = (wanted: boolean) =>
    all.flatMap((one) => (one.wanted === wanted && one.term.kind !== 'range' ? [one.term.text] : []));
  return { wanted: side(true), excluded: side(false) };
};
/** A text after all its fixes, one after the other. */
function fixedWhole(text: string): string {
  for (let times = 0; times < 30; times++) {
    const fix = readString(text).problems.find((problem) => problem.fix)?.fix;
    if (!fix) return text;
    text = applyEdits(text, fix.edits);
  }
  return text;
}

describe('what the writer plainly meant', () => {
  it.each([
    ['quality NOT )manager', ['quality', 'manager'], []],
    ['quality NOT or', ['quality'], ['or']],
    ['buyer""manager', ['buyer', 'manager'], []],
    ['AND NOT OR consultor', [], ['consultor']],
    ['a OR NOT AND b', ['a'], ['b']],
    ['NOT(consultor, estudiante)', [], ['consultor', 'estudiante']],
    ['NOT (consultor;"agente inmobiliario" , estudiante,)', [], ['consultor', 'agente inmobiliario', 'estudiante']],
    ['"pha*rma"', ['pharma'], []]
  ])('of %j is neither lost nor turned round, before its fixes nor after', (text, wanted, excluded) => {
    expect(sides(text)).toEqual({ wanted, excluded });
    // A quote around the words, or none, is all that may differ.
    const plain = ({ wanted: w, excluded: e }: ReturnType<typeof sides>) => [w.join(' '), e.join(' ')];
    expect(plain(sides(fixedWhole(text)))).toEqual(plain({ wanted, excluded }));
    expect(readString(fixedWhole(text)).problems.filter(({ severity }) => severity === 'error')).toEqual([]);
  });

  it('of a list between commas in brackets is any of it', () => {
    expect(print(readString('NOT(consultor, estudiante)').query!)).toBe('NOT (consultor OR estudiante)');
    expect(fixedWhole('NOT(consultor,estudiante)')).toBe('NOT(consultor OR estudiante)');
    expect(print(readString('own.score:(1,000)').query!)).not.toContain('OR');
  });
});

describe('every fix', () => {
  it('fixes what it is for and breaks nothing', () => {
    const tried = new Map<string, number>();
    fc.assert(
      fc.property(strings, (text) => {
        const { problems } = readString(text);
        for (const problem of problems) {
          if (!problem.fix) continue;
          tried.set(problem.code, (tried.get(problem.code) ?? 0) + 1);
          const fixed = applyEdits(text, problem.fix.edits);
          const after = readString(fixed).problems;
          const received = JSON.stringify({ text, problem: problem.code, fix: problem.fix.label, fixed, after });
          expect(times(after, problem), received).toBeLessThan(times(problems, problem));
          expect(errors(after), received).toBeLessThanOrEqual(errors(problems));
          if (/^not$/i.test(text.slice(problem.from, problem.to))) continue;
          const { edits } = problem.fix;
          const was = wantedAt(text).filter(({ from, to }) =>
            edits.every((edit) => edit.to <= from || edit.from >= to)
          );
          const shifted = (from: number) =>
            from +
            edits.reduce((sum, edit) => sum + (edit.to <= from ? edit.insert.length - edit.to + edit.from : 0), 0);
          const is = new Map(wantedAt(fixed).map((term) => [term.from, term.wanted]));
          for (const { from, wanted } of was) expect(is.get(shifted(from)), received).toBe(wanted);
        }
      }),
      { numRuns: 5000 }
    );
    expect(tried.size).toBeGreaterThan(20);
  }, 120_000);
});
