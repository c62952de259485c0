import { describe, expect, it } from 'vitest';
import type { Person } from '../people/person';
import { wilson } from '../measure/wilson';
import { parse } from '../language/parse';
import { liftOf, personaFromCustomers } from './persona-from-customers';

const customer = (i: number, title: string, headcount: number, country = 'DK'): Person => ({
  id: String(i),
  name: `Customer ${i}`,
  jobs: [{ title, company: `Firm ${i}` }],
  headcount,
  country,
  ...(i % 4 && { industry: '46' })
});
const rows = [
  ...Array.from({ length: 6 }, (_, i) => customer(i, 'Owner', 12)),
  ...Array.from({ length: 8 }, (_, i) => customer(10 + i, 'Head of Quality', 300)),
  ...Array.from({ length: 2 }, (_, i) => customer(20 + i, 'Kvalitetschef', 400, 'SE')),
  customer(30, 'Warehouse Manager', 2000, 'NO')
];
const { traits, pairs } = personaFromCustomers(rows);
const trait = (kind: string, words: string) => traits.find((one) => one.kind === kind && one.words === words)!;

describe('personaFromCustomers', () => {
  it('tells shares with their intervals, of those of whom a fact is known', () => {
    expect(trait('title', 'Head of Quality')).toMatchObject({ count: 8, of: 17, thin: false });
    expect(trait('title', 'Head of Quality').interval).toEqual(wilson(8, 17));
    expect(trait('rank', 'head')).toMatchObject({ count: 10, of: 17 });
    expect(trait('function', 'quality').count).toBe(10);
    expect(trait('size', '250 to 999 people')).toMatchObject({ value: { from: 250, to: 999 }, count: 10 });
    expect(trait('industry', '46 Wholesale trade, except of motor vehicles and motorcycles').of).toBe(12);
    expect(trait('country', 'Norway')).toMatchObject({ count: 1, thin: true, value: 'NO' });
  });

  it('asks a source for each in a string that can be read', () => {
    for (const { query } of traits)
      expect(parse(query).problems.filter(({ severity }) => severity === 'error')).toEqual([]);
    expect(trait('country', 'Denmark').query).toBe('country:"Denmark"');
  });

  it('finds which sizes and ranks go together', () => {
    expect(pairs.map(({ size, rank, count }) => [size, rank, count])).toEqual([
      ['10 to 49 people', 'owner', 6],
      ['250 to 999 people', 'head', 10]
    ]);
    expect(pairs[0]!.expected).toBeCloseTo((6 * 6) / 17);
  });

  it('says how much more frequent a trait is than at a source, and nothing where that cannot be said', () => {
    const owner = trait('rank', 'owner');
    expect(liftOf(owner, { count: 10, of: 1000 })).toBeCloseTo(6 / 17 / 0.01);
    expect(liftOf(owner, { count: 0, of: 1000 })).toBeNull();
    expect(liftOf(owner, null)).toBeNull();
  });

  it('says nothing of nobody', () => expect(personaFromCustomers([])).toEqual({ traits: [], pairs: [] }));
});
