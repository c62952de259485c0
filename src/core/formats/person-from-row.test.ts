import { describe, expect, it } from 'vitest';
import { guessColumns, mappingFault } from './columns';
import { personFromRow, readNumber } from './person-from-row';

describe('columns', () => {
  it('are guessed from headings in several languages', () => {
    expect(
      guessColumns(['Full Name', 'Job-Title', 'virksomhed', 'Land', 'Employees', 'E-mail', 'Shoe size', 'Name'])
    ).toEqual(['name', 'title', 'company', 'country', 'headcount', 'mail', 'ignore', 'ignore']);
  });
  it('need a name, and no field twice', () => {
    expect(mappingFault(['title'])).toContain('name column');
    expect(mappingFault(['name', 'title', 'title'])).toContain('current title');
    expect(mappingFault(['firstName', 'lastName', 'ignore', 'ignore'])).toBeNull();
  });
});

describe('person-from-row', () => {
  it('makes a person of cells, leaving empty ones out', () => {
    const result = personFromRow(
      ['Ann', 'Ash', 'QA Lead', '', 'Danmark', '50-249', 'a@b.example'],
      ['firstName', 'lastName', 'title', 'about', 'country', 'headcount', 'mail'],
      'row-1'
    );
    expect(result).toEqual({
      person: {
        id: 'row-1',
        name: 'Ann Ash',
        jobs: [{ title: 'QA Lead', company: '' }],
        contact: ['a@b.example'],
        country: 'DK',
        headcount: 150
      },
      faults: []
    });
  });
  it('turns known countries and industries into codes', () => {
    const result = personFromRow(
      ['B', 'uk', 'Retail trade, except of motor vehicles and motorcycles'],
      ['name', 'country', 'industry'],
      'k'
    );
    expect(result).toMatchObject({ person: { country: 'GB', industry: '47' } });
  });
  it('leaves out what is said not to be known, and reads a country out of a place and a start out of a date', () => {
    expect(
      personFromRow(
        ['Marta', 'Cheffe', 'n/a', 'Palma, Spain', '03/2021', 'unknown'],
        ['name', 'title', 'headcount', 'place', 'jobFrom', 'company'],
        'k'
      )
    ).toMatchObject({
      person: { country: 'ES', jobs: [{ title: 'Cheffe', company: '', from: '2021-03' }] },
      faults: []
    });
  });
  it('keeps the row of a bad cell, and says what is wrong with the cell', () => {
    expect(personFromRow(['A', 'about fifty', 'QA', 'soon'], ['name', 'headcount', 'title', 'jobFrom'], 'k')).toEqual({
      person: { id: 'k', name: 'A', jobs: [{ title: 'QA', company: '' }] },
      faults: [
        {
          field: 'headcount',
          message: 'The company size “about fifty” isn’t a number. Use digits, as in 240 or 50-249.'
        },
        { field: 'jobFrom', message: '“soon” isn’t a date. Write it like 2021-03.' }
      ]
    });
    expect(personFromRow(['  '], ['name'], 'k')).toEqual({ error: 'The name is empty.' });
    expect(personFromRow([{ name: 4 }], ['person'], 'k')).toHaveProperty('error');
  });
  it.each([
    ['1,200', 1200],
    ['1.200', 1200],
    ['1 200', 1200],
    ['5000+', 5000],
    ['10–49 employees', 30],
    ['250–999', 625],
    ['~50', 50],
    ['ca. 1.200', 1200],
    ['50 Mitarbeiter', 50],
    ['de 51', null],
    ['10,001+', 10001],
    ['50 to 249', 150],
    ['', undefined],
    ['ten', null],
    ['-5', null]
  ])('reads the number %j', (text, value) => expect(readNumber(text)).toBe(value));
});
