import { describe, expect, it } from 'vitest';
import type { Person } from './person';
import { plainName, plainText } from './person-name';
import { samePeople, type SameDecision, type SourceRecord } from './same-person';

const record = (sourceId: string, name: string, jobs: [string, string, string?][], more: Partial<Person> = {}) => ({
  sourceId,
  person: {
    id: `${sourceId}-${name}-${jobs.join()}`,
    name,
    jobs: jobs.map(([title, company, to]) => ({ title, company, ...(to && { to }) })),
    ...more
  }
});
const groupsOf = (records: SourceRecord[], decisions: SameDecision[] = []) => [
  ...samePeople(records, decisions)!.personOf
];

describe('names without what is written one way here and another there', () => {
  it('folds accents, order, initials and punctuation', () => {
    expect(plainText('Søren  ÆRØ-Straße')).toBe('soren aero strasse');
    expect(plainName('Ström, Anna B.')).toBe('anna strom');
    expect(plainName('Anna Ström')).toBe('anna strom');
    expect(plainName('J. P.')).toBe('j p');
  });
});

describe('the same person', () => {
  it('is known by a mail or page address, if the name is not quite another', () => {
    const mail = { contact: ['Anna.Strom@polderkoel.example'] };
    expect(
      groupsOf([
        record('a', 'Anna Ström', [['QA', 'Polderkoel']], mail),
        record('b', 'Anna Strom-Berg', [['Buyer', 'Elsewhere']], { contact: ['anna.strom@polderkoel.example'] }),
        record('c', 'Jan Peters', [['QA', 'Other']], mail)
      ])
    ).toEqual([0, 0, 1]);
    expect(
      groupsOf([
        record('a', 'A', [], { contact: ['https://www.pages.example/a-1/'] }),
        record('b', 'A', [], { contact: ['pages.example/a-1'] })
      ])
    ).toEqual([0, 0]);
  });
  it('is not known by a mailbox of the firm', () =>
    expect(
      groupsOf([
        record('a', 'Anna Ström', [['QA', 'X']], { contact: ['info@polderkoel.example'] }),
        record('b', 'Anna Ström', [['QA', 'Y']], { contact: ['info@polderkoel.example'] })
      ])
    ).toEqual([0, 1]));
  it('is known by name and firm, now or before, whatever the accents and legal form', () =>
    expect(
      groupsOf([
        record('a', 'Anna Ström', [
          ['Head of Quality', 'Nordkyl AB'],
          ['QA', 'Polderkoel B.V.', '2021']
        ]),
        record('b', 'STROM, Anna', [['Kwaliteit', 'Polderkoel']]),
        record('c', 'Anna Ström', [['QA', 'Somewhere else']])
      ])
    ).toEqual([0, 0, 1]));
  it('is distinguished by title where a source has two of one name at one firm, and asked about where it has none', () => {
    const records = [
      record('a', 'Anna Ström', [['Head of Quality', 'Nordkyl']]),
      record('a', 'Anna Ström', [['Driver', 'Nordkyl']]),
      record('b', 'Anna Ström', [['Driver', 'Nordkyl']]),
      record('c', 'Anna Ström', [['Boss', 'Nordkyl']])
    ];
    const same = samePeople(records)!;
    expect([...same.personOf]).toEqual([0, 1, 1, 2]);
    expect(same.doubtful.map(({ a, b }) => [a, b])).toContainEqual([0, 3]);
    expect(same.doubtful.every(({ why }) => why.includes('another title'))).toBe(true);
  });
  it('is not one where the same firm gave two addresses', () => {
    const same = samePeople([
      record('a', 'Anna Ström', [['QA', 'Nordkyl']], { contact: ['anna.strom@nordkyl.example'] }),
      record('b', 'Anna Ström', [['QA', 'Nordkyl']], { contact: ['anna.strom2@nordkyl.example'] })
    ])!;
    expect([...same.personOf]).toEqual([0, 1]);
    expect(same.doubtful).toHaveLength(1);
  });
  it('may have a name written slightly otherwise', () =>
    expect(
      groupsOf([
        record('a', 'Katharina Lindqvist', [['QA', 'Nordkyl']]),
        record('b', 'Katarina Lindqvist', [['QA', 'Nordkyl AB']])
      ])
    ).toEqual([0, 0]));
  it('is whom someone says it is, and not whom they say it is not', () => {
    const records = [
      record('a', 'Anna Ström', [['QA', 'Nordkyl']]),
      record('b', 'Anna Ström', [['QA', 'Nordkyl']]),
      record('c', 'A. Berg', [['QA', 'Elsewhere']])
    ];
    expect(groupsOf(records, [{ a: 0, b: 1, same: false }])).toEqual([0, 1, 2]);
    expect(groupsOf(records, [{ a: 0, b: 2, same: true }])).toEqual([0, 0, 0]);
    expect(
      groupsOf(records, [
        { a: 0, b: 2, same: true },
        { a: 1, b: 2, same: false }
      ])
    ).toEqual([0, 1, 0]);
  });
  it('says how far it is and can be stopped', () => {
    const records = Array.from({ length: 30 }, (_, i) => record('a', `Person ${i}`, [['QA', 'Nordkyl']]));
    const shares: number[] = [];
    samePeople(records, [], (share) => void shares.push(share));
    expect(shares.at(-1)).toBe(1);
    expect(samePeople(records, [], () => false)).toBeNull();
  });
});
