import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readString } from './read-string';
import { applyEdits, type Problem } from '../language/problem';

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
    '[51 TO 200]',
    '[51-200]',
    '[200 TO 51]',
    '[1.000 TO 5.000]',
    '[1,000 TO 5,000]',
    '[a TO b]',
    '[',
    ']',
    '51-200',
    '50+'
  ],
  ...['Denmrk', 'Denmark', 'true', 'valid', '/*', '*/', '/* x */', '\u200b', '…', '@none', '1e21', '-5', '\n', '<b>']
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

describe('every fix', () => {
  it('mends what it is for and breaks nothing', () => {
    const tried = new Map<string, number>();
    fc.assert(
      fc.property(strings, (text) => {
        const { problems } = readString(text);
        for (const problem of problems) {
          if (!problem.fix) continue;
          tried.set(problem.code, (tried.get(problem.code) ?? 0) + 1);
          const mended = applyEdits(text, problem.fix.edits);
          const after = readString(mended).problems;
          const told = JSON.stringify({ text, problem: problem.code, fix: problem.fix.label, mended, after });
          expect(times(after, problem), told).toBeLessThan(times(problems, problem));
          expect(errors(after), told).toBeLessThanOrEqual(errors(problems));
        }
      }),
      { numRuns: 5000 }
    );
    expect(tried.size).toBeGreaterThan(20);
  }, 120_000);
});
