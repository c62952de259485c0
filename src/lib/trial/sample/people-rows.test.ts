import { describe, expect, it } from 'vitest';
import { readCsvRecords } from '$core/formats';
import { peopleCsv, rowOf, type Listed } from './people-rows';

const listed = (name: string, more: Partial<Listed> = {}): Listed => ({
  rank: 7,
  person: {
    id: 'x1',
    name,
    country: 'DK',
    jobs: [
      { title: 'Earlier', company: 'Old', to: '2020-01' },
      { title: 'QA, Lead', company: 'Nordkyl' }
    ]
  },
  verdict: { verdict: 'miss', reason: 'wrong rank', by: 'person', revision: 1 },
  ...more
});

describe('a list of people', () => {
  it('shows the job of now, and the country by name', () => {
    expect(rowOf(listed('Anna'))).toEqual({
      id: 'x1',
      rank: 7,
      name: 'Anna',
      title: 'QA, Lead',
      company: 'Nordkyl',
      country: 'Denmark',
      verdict: 'miss'
    });
    expect(rowOf({ rank: 1, person: { id: 'y', name: 'Bo' }, verdict: null })).toMatchObject({
      title: '',
      verdict: ''
    });
  });

  it('is saved with verdict, reason and note, and no cell starts a formula', () => {
    const text = peopleCsv([listed('=HYPERLINK("x")', { note: 'ask in March' })]);
    expect(text).not.toMatch(/(^|,)"?=/m);
    expect(readCsvRecords(text)).toEqual([
      {
        'shown at': '7',
        id: 'x1',
        name: '=HYPERLINK("x")',
        title: 'QA, Lead',
        firm: 'Nordkyl',
        country: 'Denmark',
        verdict: 'miss',
        reason: 'wrong rank',
        by: 'person',
        note: 'ask in March'
      }
    ]);
  });

  it('is saved with the own fields some people have', () => {
    const text = peopleCsv([
      listed('Anna', { person: { id: 'a', name: 'Anna', own: { covers: 120, vegan: true } } }),
      listed('Bo', { person: { id: 'b', name: 'Bo', own: { seen: '2026-03-05', covers: 8 } } }),
      listed('Cai')
    ]);
    expect(readCsvRecords(text).map(({ name, covers, vegan, seen }) => [name, covers, vegan, seen])).toEqual([
      ['Anna', '120', 'yes', ''],
      ['Bo', '8', '', '2026-03-05'],
      ['Cai', '', '', '']
    ]);
  });
});
