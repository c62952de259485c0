import { describe, expect, it } from 'vitest';
import { firmNameVariants, plainFirmName } from './firm-names';

describe('firm names', () => {
  it.each([
    ['Polderkoel B.V.', 'Polderkoel'],
    ['Nordfjeld Systems AB', 'Nordfjeld Systems'],
    ['Weserland Pharma GmbH & Co. KG', 'Weserland Pharma'],
    ['Fjordvang Reefer A/S', 'Fjordvang Reefer'],
    ['Clairval Vaccines, S.A.S.', 'Clairval Vaccines'],
    ['Limited', 'Limited'],
    ['Group Nine', 'Group Nine'],
    ['', '']
  ])('%j is %j', (name, plain) => expect(plainFirmName(name)).toBe(plain));

  it('have their variants', () => {
    expect(firmNameVariants('Marlowe & Vale Ltd')).toEqual(['Marlowe & Vale', 'Marlowe and Vale']);
    expect(firmNameVariants('Kold-Kjede AS')).toEqual(['Kold-Kjede', 'KoldKjede']);
    expect(firmNameVariants('…')).toEqual([]);
  });
});
