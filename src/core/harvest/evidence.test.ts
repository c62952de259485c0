import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { exactMatching } from '../semantics/exact-matching';
import { evidenceOf } from './evidence';
import { signReader } from './order-by-likelihood';

const strongest = [
  { sign: 'industry 46', weight: 2.4 },
  { sign: 'size 7', weight: -1 },
  { sign: 'title words head of', weight: 2 },
  { sign: 'title word intern', weight: -3 },
  { sign: 'country DK', weight: 0.3 },
  { sign: 'part 0', weight: 9 },
  { sign: 'meets title:QA', weight: 0 }
];

describe('the evidence for a likelihood', () => {
  it('is what the row shows of the strongest signs, in words, the strongest first', () => {
    const read = signReader(parse('title:("head of quality" OR QA) AND pharma').query!, exactMatching);
    const signs = read({
      id: '1',
      name: 'Ana',
      country: 'DK',
      industry: '46',
      headcount: 240,
      jobs: [{ title: 'Head of Quality', company: 'Nordpharma A/S' }]
    });
    expect(evidenceOf(signs, strongest)).toEqual([
      { words: 'industry Wholesale trade, except of motor vehicles and motorcycles', speaksFor: true },
      { words: 'title has “head of”', speaksFor: true },
      { words: '127–254 people', speaksFor: false },
      { words: 'in Denmark', speaksFor: true }
    ]);
  });

  it('is none where the row shows none of them', () => {
    expect(evidenceOf(['title word sales'], strongest)).toEqual([]);
  });
});
