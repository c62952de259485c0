import { describe, expect, it } from 'vitest';
import { checkFacts } from './check-facts';
import { personaSchema } from './persona';
import { ruledOut } from './rule-verdict';

const persona = personaSchema.parse({
  titles: ['Head of Quality'],
  size: { from: 50, to: 500 },
  countries: ['DK'],
  notIndustries: ['62'],
  notFirms: ['Polderkoel B.V.'],
  mustNot: ['intern']
});
const person = (more: object, company = 'Firm') => ({
  id: '1',
  name: 'A',
  jobs: [{ title: 'Intern', company }],
  ...more
});
const rule = (more: object, company?: string) => ruledOut(checkFacts(persona, [], person(more, company)));

describe('what facts alone decide', () => {
  it('is a firm too small, a country, an industry or a firm that is not wanted', () => {
    expect(rule({ headcount: 12, country: 'DK' })).toBe('firm size: 12');
    expect(rule({ headcount: 100, country: 'SE' })).toBe('country: Sweden');
    expect(rule({ country: 'DK', industry: '62' })).toMatch(/^industry: 62/);
    expect(rule({ country: 'DK' }, 'Polderkoel')).toBe('firm: Polderkoel');
    expect(rule({ headcount: 12, country: 'SE' })).toBe('firm size: 12; country: Sweden');
  });
  it('is nothing where a country or an industry is written as nobody knows it: a spelling is no other fact', () => {
    const { outcome } = checkFacts(persona, [], person({ country: 'Danmarkk' })).find(
      ({ fact }) => fact === 'Country'
    )!;
    expect(outcome).toBe('unknown');
    expect(rule({ country: 'Danmarkk', industry: 'Softwarre' })).toBeNull();
    expect(rule({ country: 'danmark' })).toBeNull();
    expect(rule({ country: 'Sverige' })).toBe('country: Sverige');
  });
  it('is nothing where facts are met or unknown, and never a title or a word', () => {
    expect(rule({ headcount: 100, country: 'DK', industry: '46' })).toBeNull();
    expect(rule({})).toBeNull();
  });
});
