import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv, readCsvRecords, writeCsv } from './csv';

const spaces = fc.string({ unit: fc.constantFrom(' ', '\u00a0', '\ufeff', '\t', '\n', '\u200b', '\u2003', '\u0001') });
const cell = fc
  .tuple(
    fc.string({ unit: fc.constantFrom("'", ' ') }),
    spaces,
    fc.constantFrom('', '=', '+', '-', '@', '＝', '\t', '\r'),
    fc.string()
  )
  .map((parts) => parts.join(''));

describe('a CSV that Eave writes', () => {
  it('has no cell that starts a formula, behind spaces or characters that cannot be seen either, and is read back as it was', () => {
    fc.assert(
      fc.property(cell, (value) => {
        const csv = writeCsv(['Note', 'last'], [[value, 'x']]);
        expect(readCsv(csv)[1]![0]!.replace(/^[\s\p{Cc}\p{Cf}]+/u, '')).not.toMatch(/^[=+\-@＝＋－＠]/u);
        expect(readCsvRecords(csv)).toEqual([{ note: value, last: 'x' }]);
      }),
      { numRuns: 500 }
    );
    expect(writeCsv(['a'], [['  =1+1']])).toBe("a\r\n'  =1+1\r\n");
  });
});
