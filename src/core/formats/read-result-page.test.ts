import { readdirSync, readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold } from '../language/tokens';
import { personFromPageRow, plainMail, readResultPage } from './read-result-page';
import type { PageField } from './page-fields';
import { pageFields } from './page-fields';
import { laterPages, type Expected } from './testing/later-pages';

/** Invented pages of different make, and who is on each. */
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

interface Page {
  name: string;
  text: string;
  expected: Expected[];
}
/** How right the fields read out of some pages are, with what is wrong. */
function measure(given: readonly Page[]) {
  const tally = new Map(pageFields.map((field) => [field, { right: 0, read: 0, wanted: 0 }]));
  const wrong: string[] = [];
  for (const { name, text, expected: wantedHere } of given) {
    const left = readResultPage(text);
    for (const person of wantedHere) {
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
  return {
    wrong,
    fields: [...tally].map(([field, { right, read, wanted }]) => ({
      field,
      precision: share(right, read),
      recall: share(right, wanted),
      figures: `${field.padEnd(8)} precision ${(100 * share(right, read)).toFixed(1)} % of ${read}, recall ${(100 * share(right, wanted)).toFixed(1)} % of ${wanted}`
    }))
  };
}

const before: Page[] = pages.map((file) => {
  const name = file.replace('.txt', '');
  return { name, text: readFileSync(`tests/pages/${file}`, 'utf8'), expected: expected[name]! };
});
const later: Page[] = laterPages.map(({ make, language, ...page }) => ({ name: `${make}, ${language}`, ...page }));

describe('people read out of result pages', () => {
  it('of 120 pages and more, with precision and recall per field, those written after the code apart', () => {
    expect(before.length + later.length).toBeGreaterThanOrEqual(120);
    expect(new Set(laterPages.map(({ language }) => language)).size).toBeGreaterThanOrEqual(8);
    for (const [what, some] of [
      ['written before', before],
      ['written after the code', later],
      ['all', [...before, ...later]]
    ] as const) {
      const { fields, wrong } = measure(some);
      console.log(`result pages, ${what}: ${some.length}\n${fields.map(({ figures }) => figures).join('\n')}`);
      if (what === 'written after the code') console.log(wrong.join('\n'));
      if (what === 'all')
        for (const { precision, recall } of fields) {
          expect(precision).toBeGreaterThanOrEqual(0.95);
          expect(recall).toBeGreaterThanOrEqual(0.9);
        }
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

  it.each<[string, (name: string, i: number) => string]>([
    ['a line each', (name, i) => `${name} – Head of Quality – Nordkyl ${i} AB – Malmö, Sweden\n`],
    ['a line each with blanks between', (name, i) => `${name} | QA Manager | Nordkyl ${i} AB | Aarhus, Denmark\n\n`],
    ['a line each with a button under it', (name, i) => `${name} · QA Manager · Nordkyl ${i} AB\nMessage\n`],
    ['lines with commas', (name, i) => `${name}, Warehouse Manager, Kold ${i} A/S, Odense\n`],
    ['blocks', (name, i) => `${name}\nJefe de cocina\nHostal ${i} S.L.\nSevilla, Spain\nVer ficha\n\n`]
  ])('of a long page as of a short one made alike: %s', (_, made) => {
    const part = (at: number) =>
      String.fromCharCode(97 + (at % 26), 97 + ((at * 7) % 26), 97 + (Math.floor(at / 26) % 26));
    const text = (many: number) =>
      Array.from({ length: many }, (_, i) => made(`Ana${part(i)} Dahl${part(i + 5)}`, i)).join('');
    const [short, long] = [readResultPage(text(6)), readResultPage(text(1500))];
    expect(short).toHaveLength(6);
    expect(short[0]!.values).toMatchObject({ title: expect.any(String), company: expect.any(String) });
    expect(long.slice(0, 6)).toEqual(short);
    expect(long).toHaveLength(1500);
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
