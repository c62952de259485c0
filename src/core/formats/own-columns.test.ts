import { describe, expect, it } from 'vitest';
import { guessAllColumns, mappingFault } from './columns';
import { guessOwnColumn, ownNamesOf, readDate, readDecimal, readOwn } from './own-columns';
import { personFromRow } from './person-from-row';

describe('columns of a file’s own', () => {
  it.each([
    ['dates', ['12.03.2026', '1.4.2026', ''], 'ownDate'],
    ['dates in words', ['3 de mayo de 2025', '14 junio 2025'], 'ownDate'],
    ['yes or no', ['Sí', 'no', 'sí'], 'ownYesNo'],
    ['numbers', ['1.200', '85', '12,5'], 'ownNumber'],
    ['codes, which are no numbers', ['0012', '0450'], 'ownText'],
    ['ones and noughts', ['1', '0', '1'], 'ownNumber'],
    ['texts', ['Menú diario', '12'], 'ownText'],
    ['nothing at all', ['', ' '], 'ownText']
  ])('are known by their cells: %s', (_, cells, column) => expect(guessOwnColumn(cells)).toBe(column));

  it.each([
    ['1.234,5', 1234.5],
    ['1,234.5', 1234.5],
    ['1,234,567', 1234567],
    ['1.200', 1200],
    ['3.75', 3.75],
    ['0,5', 0.5],
    ['€ 45', 45],
    ['12 %', 12],
    ['-3', -3],
    ['1 250', 1250],
    ['1.2.3', null],
    ['about 5', null],
    ['', null]
  ])('read %s as a number', (text, value) => expect(readDecimal(text)).toBe(value));

  it.each([
    ['2026-02-03', '2026-02-03'],
    ['03/02/2026', '2026-02-03'],
    ['02/25/2026', '2026-02-25'],
    ['3. Februar 2026', '2026-02-03'],
    ['febrero 2026', '2026-02-01'],
    ['31.02.2026', null],
    ['2026', null],
    ['soon', null]
  ])('read %s as a day', (text, day) => expect(readDate(text)).toBe(day));

  it('keep what matches nothing under its heading, and never take a field twice', () => {
    const names = ['Nombre', 'Puesto', 'N.º de cubiertos', 'Última visita', 'Vegano', 'Vegano', ''];
    const cells = [['Ana'], ['Chef'], ['120', '80'], ['2026-01-05'], ['sí', 'no'], ['x', 'no'], ['1']];
    const mapping = guessAllColumns(names, cells);
    expect(mapping).toEqual(['name', 'title', 'ownNumber', 'ownDate', 'ownYesNo', 'ownYesNo', 'ignore']);
    expect(mappingFault(mapping)).toBeNull();
    const own = ownNamesOf(names, mapping);
    expect(own).toEqual([null, null, 'n_o_de_cubiertos', 'última_visita', 'vegano', 'vegano_2', null]);
    expect(personFromRow(['Ana', 'Chef', '1.200', '5/1/2026', 'sí', 'quizás', '1'], mapping, 'k', own)).toEqual({
      person: {
        id: 'k',
        name: 'Ana',
        jobs: [{ title: 'Chef', company: '' }],
        own: { n_o_de_cubiertos: 1200, última_visita: '2026-01-05', vegano: true }
      },
      faults: [{ field: 'ownYesNo', message: '“quizás” in “vegano 2” is not yes or no.' }]
    });
  });

  it('say what a cell is not', () => {
    expect(readOwn('ownNumber', 'many')).toEqual({ fault: 'is not a number' });
    expect(readOwn('ownDate', 'soon')).toEqual({ fault: 'is not a date' });
    expect(readOwn('ownText', 'x')).toEqual({ value: 'x' });
  });
});
