import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filterNames, readQuery, sortedBy, writeQuery } from './list-query';
import { plainColumns } from './words';

describe('how a list is looked at', () => {
  it('comes back from the address as it was', () => {
    const text = fc.string({ maxLength: 12 });
    fc.assert(
      fc.property(
        fc.record({
          filter: fc.record(
            Object.fromEntries(filterNames.map((name) => [name, text])) as Record<
              (typeof filterNames)[number],
              typeof text
            >
          ),
          sort: fc.subarray(['name', '-title', 'own.score']),
          columns: fc.subarray(Object.keys(plainColumns), { minLength: 1 }),
          group: fc.constantFrom('country' as const, 'tag' as const, 'mail' as const)
        }),
        (query) => {
          expect(readQuery(writeQuery(query))).toEqual(query);
        }
      )
    );
  });

  it('is put in order by several columns', () => {
    expect(sortedBy([], 'name', false)).toEqual(['name']);
    expect(sortedBy(['name'], 'name', false)).toEqual(['-name']);
    expect(sortedBy(['-name'], 'name', false)).toEqual([]);
    expect(sortedBy(['name'], 'company', false)).toEqual(['company']);
    expect(sortedBy(['name'], 'company', true)).toEqual(['name', 'company']);
    expect(sortedBy(['name', 'company'], 'name', true)).toEqual(['-name', 'company']);
    expect(sortedBy(['-name', 'company'], 'name', true)).toEqual(['company']);
  });
});
