import { describe, expect, it } from 'vitest';
import { disagreements } from './disagreements';
import type { Person } from './person';

const record = (more: Partial<Person>, title = 'Head of Quality', company = 'Nordkøl A/S'): Person => ({
  id: 'x',
  name: 'Zoë Quillfeather',
  jobs: [{ title, company }],
  ...more
});

describe('records that disagree', () => {
  it('are listed fact by fact, what the leading one says first', () => {
    const received = disagreements([
      record({ country: 'DK', headcount: 80, mail: 'good' }),
      record({ country: 'Sweden', headcount: 80 }, 'QA Manager'),
      record({ country: 'Sverige', headcount: 120 }, 'QA manager', 'NORDKØL')
    ]);
    expect(received).toEqual([
      {
        field: 'title',
        says: [
          { text: 'Head of Quality', records: [0] },
          { text: 'QA Manager', records: [1, 2] }
        ]
      },
      {
        field: 'country',
        says: [
          { text: 'Denmark', records: [0] },
          { text: 'Sweden', records: [1, 2] }
        ]
      },
      {
        field: 'headcount',
        says: [
          { text: '80', records: [0, 1] },
          { text: '120', records: [2] }
        ]
      }
    ]);
  });

  it('spelling, case, order of names and legal form are none, nor is what is not listed', () => {
    expect(
      disagreements([
        record({ name: 'Zoe Quillfeather', place: 'Århus' }),
        record({ name: 'QUILLFEATHER, Zoë' }, 'head of quality', 'Nordkøl'),
        { id: 'y', name: 'Zoë Quillfeather' }
      ])
    ).toEqual([]);
    expect(disagreements([])).toEqual([]);
    expect(disagreements([record({})])).toEqual([]);
  });
});
