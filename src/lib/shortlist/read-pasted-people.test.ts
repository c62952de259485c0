import { describe, expect, it } from 'vitest';
import { readPastedPeople } from './read-pasted-people';

describe('rows that are pasted', () => {
  const columns = [
    { name: 'Wave', type: 'choice', choices: ['first', 'second'] },
    { name: 'Score', type: 'number', choices: [] },
    { name: 'Called', type: 'yes/no', choices: [] },
    { name: 'When', type: 'date', choices: [] }
  ] as const;
  it('become people and cells of the list’s own columns, in any language of the heading', () => {
    const text =
      'Nombre\tCargo\tEmpresa\tCorreo electrónico\tWave\tScore\tCalled\tWhen\nAna Ruiz\tJefa de calidad\tFrío S.L.\tana@frio.example\tFIRST\t3,5\tsí\t2026-02-03\nLuis Gil\tQA\tSur\t\tthird\tmany\tno\tsoon\n';
    const { people, own, problem } = readPastedPeople(text, columns);
    expect(problem).toBe('');
    expect(people).toMatchObject([
      { name: 'Ana Ruiz', jobs: [{ title: 'Jefa de calidad', company: 'Frío S.L.' }], contact: ['ana@frio.example'] },
      { name: 'Luis Gil' }
    ]);
    expect(own).toEqual([
      { Wave: 'first', Score: 3.5, Called: true, When: '2026-02-03' },
      { Wave: null, Score: null, Called: false, When: null }
    ]);
  });
  it('offer extra columns to the list, typed by their values', () => {
    const text =
      'Name,Company,Vans,Seen on,Cold store,Remark,Score\nAda Nord,A,12,2026-02-03,yes,likes ice,3\nBo West,B,"3,5",2026-03-01,no,2026-01-01,\n';
    const { fresh, own } = readPastedPeople(text, columns);
    expect(fresh.map(({ name, type }) => [name, type])).toEqual([
      ['Vans', 'number'],
      ['Seen on', 'date'],
      ['Cold store', 'yes/no'],
      ['Remark', 'text']
    ]);
    expect(own[1]).toMatchObject({
      Vans: 3.5,
      'Seen on': '2026-03-01',
      'Cold store': false,
      Remark: '2026-01-01',
      Score: null
    });
  });
  it('say what is wrong where they cannot be read', () => {
    expect(readPastedPeople('Name;Company', columns).problem).toContain('no rows below the header');
    expect(readPastedPeople('Colour,Size\nred,4', columns).problem).toContain('Couldn’t find a name column');
    expect(readPastedPeople('Name,Company\n"unclosed,x', columns).problem).toContain('cannot be read');
  });
});
