import { describe, expect, it } from 'vitest';
import { customersOf, readCustomerTable } from './customers-file';

describe('a file of customers', () => {
  it('is read with its columns guessed, and a firm replaces a missing name', () => {
    const table = readCustomerTable(
      '\ufeffCompany;Employees;Country;Job title\nPolderkoel B.V.;240;NL;Head of Quality\nDrumlin Ltd;50-249;Ireland;Owner\n'
    );
    expect(table.columns.map(({ field }) => field)).toEqual(['company', 'headcount', 'country', 'title']);
    const { people, faults } = customersOf(table);
    expect(faults).toEqual([]);
    expect(people[0]).toMatchObject({
      name: 'Polderkoel B.V.',
      headcount: 240,
      country: 'NL',
      jobs: [{ title: 'Head of Quality', company: 'Polderkoel B.V.' }]
    });
    expect(people[1]).toMatchObject({ country: 'IE' });
  });

  it('tells cells that cannot be read, by line, and keeps their rows', () => {
    const { people, faults } = customersOf(readCustomerTable('Name,Employees\nIda,many\nJon,12\n'));
    expect(people.map(({ name }) => name)).toEqual(['Ida', 'Jon']);
    expect(faults).toEqual([{ line: 2, error: expect.stringContaining('“many” isn’t a number') }]);
  });

  it.each([
    ['', /empty/],
    ['just one column\nx', /isn’t a table of customers/],
    ['a,b\n', /isn’t a table of customers/],
    ['a,b\n"x,y', /cannot be read/]
  ])('refuses %j in a sentence', (text, sentence) => expect(() => readCustomerTable(text)).toThrow(sentence));
});
