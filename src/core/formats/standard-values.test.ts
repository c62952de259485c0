import { describe, expect, it } from 'vitest';
import type { StandardField } from './standard-fields';
import { isStandard, standardList, standardName, standardOf } from './standard-values';

/** What files write, field by field, and what it represents; written for this test. */
const known: [StandardField, string, string][] = [
  ['country', 'España', 'ES'],
  ['country', 'ITALIA', 'IT'],
  ['country', 'Alemania', 'DE'],
  ['language', 'Portugués', 'pt'],
  ['industry', '55', '55'],
  ['industry', 'Hotelería', '55'],
  ['industry', 'HOTELERIA', '55'],
  ['industry', 'Hotelaria', '55'],
  ['industry', 'Ristorazione collettiva', '56'],
  ['industry', 'Restauração', '56'],
  ['industry', 'Großhandel', '46'],
  ['industry', 'Zdravotnictví', '86'],
  ['industry', 'Manufacture of food products', '10'],
  ['headcount', '50-249', '50-249'],
  ['rank', 'director', 'director'],
  ['rank', 'Geschäftsführer', 'chief'],
  ['function', 'Qualität', 'quality'],
  ['function', 'Calidad', 'quality'],
  ['function', 'logistica', 'logistics']
];
const likely: [StandardField, string, string][] = [
  ['industry', 'Empresas de catering', '56'],
  ['industry', 'Cadenas de hoteles', '55'],
  ['headcount', 'Mediana empresa', '50-249'],
  ['headcount', 'Kleinbedrijf', '10-49'],
  ['rank', 'Head of Quality', 'head'],
  ['function', 'Responsabile qualità', 'quality']
];

describe('values of files on standard lists', () => {
  it.each(known)('%s %s is %s, by its name', (field, text, value) => {
    expect(standardOf(field, text)).toEqual({ value, sure: true });
    if (field !== 'headcount') expect(isStandard(field, value)).toBe(true);
  });

  it.each(likely)('%s %s is likely %s', (field, text, value) =>
    expect(standardOf(field, text)).toEqual({ value, sure: false })
  );

  it.each([
    ['industry', 'Hoteles y restaurantes'],
    ['industry', 'Holding'],
    ['country', 'Zona Norte'],
    ['function', 'Varios'],
    ['rank', 'N3'],
    ['headcount', 'many'],
    ['industry', '']
  ] as [StandardField, string][])('%s “%s” is not guessed', (field, text) =>
    expect(standardOf(field, text)).toBeNull()
  );

  it('lists hold only what is on them, under names', () => {
    for (const field of ['country', 'industry', 'rank', 'function', 'language'] as const) {
      const list = standardList(field);
      expect(list.length).toBeGreaterThan(8);
      for (const { value, name } of list) {
        expect(isStandard(field, value), value).toBe(true);
        expect(name).toBe(standardName(field, value));
      }
    }
    expect(standardName('industry', '55')).toBe('55 Accommodation');
    expect(isStandard('industry', 'Hotelería')).toBe(false);
    expect(isStandard('headcount', '50-249')).toBe(true);
  });
});
