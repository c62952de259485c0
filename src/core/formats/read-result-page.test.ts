import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold } from '../language/tokens';
import { personFromPageRow, plainMail, readResultPage } from './read-result-page';
import type { PageField } from './page-fields';
import { pageFields } from './page-fields';

type Expected = Partial<Record<PageField, string>>;
/** Invented pages of different make, and who stands on each. */
const expected = JSON.parse(readFileSync('tests/pages/expected.json', 'utf8')) as Record<string, Expected[]>;
const pages = readdirSync('tests/pages').filter((file) => file.endsWith('.txt'));

const plain = (field: PageField, text: string) =>
  field === 'phone'
    ? text.replaceAll(/\D/g, '').slice(-7)
    : field === 'url'
      ? text.replace(/^(?:https?:\/\/)?(?:www\.)?/, '')
      : fold(text)
          .replaceAll(/[^\p{L}\p{N}@]+/gu, ' ')
          .trim();
/** A place is right when it has the town in it. */
const same = (field: PageField, read: string, wanted: string) =>
  field === 'place' ? plain(field, read).includes(plain(field, wanted)) : plain(field, read) === plain(field, wanted);

describe('people read out of result pages', () => {
  it('of at least 40 makes and contents, with precision and recall per field printed', () => {
    expect(pages.length).toBeGreaterThanOrEqual(40);
    const tally = new Map(pageFields.map((field) => [field, { right: 0, read: 0, wanted: 0 }]));
    const wrong: string[] = [];
    for (const file of pages) {
      const name = file.replace('.txt', '');
      const rows = readResultPage(readFileSync(`tests/pages/${file}`, 'utf8'));
      const left = [...rows];
      for (const person of expected[name]!) {
        const at = left.findIndex(({ values }) => values.name && same('name', values.name, person.name!));
        const row = at < 0 ? null : left.splice(at, 1)[0]!;
        for (const field of pageFields) {
          const one = tally.get(field)!;
          const [read, wanted] = [row?.values[field], person[field]];
          if (read !== undefined) one.read++;
          if (wanted !== undefined) one.wanted++;
          if (read === undefined && wanted === undefined) continue;
          if (read !== undefined && wanted !== undefined && same(field, read, wanted)) one.right++;
          else wrong.push(`${name}: ${field} of ${person.name}: “${read ?? 'nothing'}”, not “${wanted ?? 'anything'}”`);
        }
      }
      tally.get('name')!.read += left.length;
      for (const row of left) wrong.push(`${name}: “${row.values.name}” is nobody`);
    }
    const share = (part: number, whole: number) => (whole ? part / whole : 1);
    console.log(`result pages: ${pages.length}\n${wrong.join('\n')}`);
    for (const [field, { right, read, wanted }] of tally)
      console.log(
        `${field.padEnd(8)} precision ${(100 * share(right, read)).toFixed(0)} % of ${read}, recall ${(100 * share(right, wanted)).toFixed(0)} % of ${wanted}`
      );
    for (const { right, read, wanted } of tally.values()) {
      expect(share(right, read)).toBeGreaterThan(0.85);
      expect(share(right, wanted)).toBeGreaterThan(0.85);
    }
  });

  it('with what was taken by its place alone in doubt', () => {
    const [row] = readResultPage('Anna Ström\nKeeper of the cold\nNordkyl AB\nMalmö, Sweden');
    expect(row).toEqual({
      values: { name: 'Anna Ström', title: 'Keeper of the cold', company: 'Nordkyl AB', place: 'Malmö, Sweden' },
      doubtful: ['title']
    });
    expect(readResultPage('Bo Lindgren')[0]!.doubtful).toEqual(['name']);
  });

  it.each([
    ['anna (at) firm (dot) example', 'anna@firm.example'],
    ['Anna.Strom[at]firm.example', 'anna.strom@firm.example'],
    ['anna at firm dot co dot example', 'anna@firm.co.example']
  ])('with the mail %j as %j', (written, mail) => expect(plainMail(written)).toBe(mail));

  it('become people', () => {
    expect(
      personFromPageRow({ values: { name: 'Anna', title: 'QA', place: 'Malmö, Sweden', mail: 'a@b.example' } }, 'x')
    ).toEqual({
      id: 'x',
      name: 'Anna',
      jobs: [{ title: 'QA', company: '' }],
      place: 'Malmö, Sweden',
      country: 'SE',
      read: ['country'],
      contact: ['a@b.example']
    });
    expect(personFromPageRow({ values: { title: 'QA' } }, 'x')).toBeNull();
  });

  it('never fail, whatever is pasted', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'grapheme' }),
          fc
            .array(
              fc.constantFrom(
                'Anna Ström',
                'QA Manager',
                'at',
                'Firm AB',
                '\n',
                '\t',
                '|',
                ', ',
                ': ',
                'Malmö',
                'a@b.example',
                '+45 31 55 01 23',
                '- ',
                '· '
              )
            )
            .map((pieces) => pieces.join(' '))
        ),
        (text) => {
          for (const { values } of readResultPage(text)) expect(values.name?.trim()).toMatch(/\S/);
        }
      )
    );
  });
});
