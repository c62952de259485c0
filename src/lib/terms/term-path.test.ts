import { describe, expect, it } from 'vitest';
import { termAnchor, termPath } from './term-path';
import { details } from './terms-page-words';
import { meanings, termNames, type Term } from './words';

describe('a term', () => {
  it('has a name and one sentence', () => {
    expect(Object.keys(meanings).sort()).toEqual(Object.keys(termNames).sort());
    for (const [term, meaning] of Object.entries(meanings)) expect(meaning, term).toMatch(/^[A-Z][^.]*(\.\d[^.]*)?\.$/);
    for (const term of Object.keys(details)) expect(Object.keys(meanings)).toContain(term);
  });

  it('has its own address on the page of all terms', () => {
    expect(termPath('estimatedFits')).toBe('/terms#estimated-fits');
    const anchors = (Object.keys(meanings) as Term[]).map(termAnchor);
    expect(new Set(anchors).size).toBe(anchors.length);
  });
});
