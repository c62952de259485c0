import { describe, expect, it } from 'vitest';
import { readOnto } from './onto';
import { valuesToCheck } from './values-to-check';

describe('what a file is imported as', () => {
  it('is a list of a brief, those who objected, or a source', () => {
    expect(readOnto('contacted b1')).toEqual({ list: 'contacted', briefId: 'b1' });
    expect(readOnto('known b1')).toEqual({ list: 'known', briefId: 'b1' });
    expect(readOnto('objected')).toEqual({ list: 'objected', briefId: null });
    expect(readOnto('')).toBeNull();
    expect(readOnto('file-1')).toBeNull();
  });

  it('shows first the values that are not known, then those that are likely, then those chosen before', () => {
    const values = [
      { text: 'a', by: 'name' as const, rows: 9 },
      { text: 'b', by: 'memory' as const, rows: 8 },
      { text: 'c', by: null, rows: 1 },
      { text: 'd', by: 'likeness' as const, rows: 2 },
      { text: 'e', by: null, rows: 5 }
    ];
    expect(valuesToCheck(values).map(({ text }) => text)).toEqual(['e', 'c', 'd', 'b']);
  });
});
