import { describe, expect, it } from 'vitest';
import { valuesToCheck } from './values-to-check';

const value = (by: 'name' | 'likeness' | 'memory' | null, rows: number) => ({ by, rows });

describe('values of a file that are worth a look', () => {
  it('are not those known by name; those not known come first, the most rows before fewer', () => {
    const values = [
      value('name', 900),
      value('memory', 5),
      value('likeness', 3),
      value(null, 1),
      value('likeness', 30),
      value(null, 40)
    ];
    expect(valuesToCheck(values)).toEqual([
      value(null, 40),
      value(null, 1),
      value('likeness', 30),
      value('likeness', 3),
      value('memory', 5)
    ]);
    expect(values[0]).toEqual(value('name', 900));
  });

  it('are none where all are known', () => {
    expect(valuesToCheck([value('name', 1)])).toEqual([]);
  });
});
