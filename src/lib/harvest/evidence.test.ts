import { describe, expect, it } from 'vitest';
import { evidenceOf } from './evidence';

const strongest = [
  { sign: 'title word quality', weight: 1.2 },
  { sign: 'title words head of', weight: 2 },
  { sign: 'title word intern', weight: -3 },
  { sign: 'firm word pharma', weight: 0.4 },
  { sign: 'country DK', weight: 0.3 },
  { sign: 'meets pharma', weight: 5 }
];

describe('the evidence for a likelihood', () => {
  it('is what the row shows of the strongest signs, the strongest first', () => {
    const row = { title: 'Head of Quality', company: 'Nord Pharma', country: 'DK' };
    expect(evidenceOf(row, strongest)).toEqual([
      { words: 'head of', speaksFor: true },
      { words: 'quality', speaksFor: true },
      { words: 'pharma', speaksFor: true }
    ]);
  });

  it('says what speaks against a fit, and nothing that the row does not show', () => {
    const row = { title: 'Intern, headof quality-control', company: 'Nordpharma', country: null };
    expect(evidenceOf(row, strongest)).toEqual([
      { words: 'intern', speaksFor: false },
      { words: 'quality', speaksFor: true }
    ]);
    expect(evidenceOf({ title: '', company: '', country: null }, strongest)).toEqual([]);
  });
});
