import ICAL from 'ical.js';
import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { matcher } from '../semantics/matches';
import type { Person } from '../people/person';
import { cellsOf, dateWritten, standardProfile, type LineOfList } from './column-profile';
import { firmSaid } from './firm-said';
import { e164 } from '../people/telephone';
import { hashedContact, normalContact, sha256Hex } from './hashed-audience';
import { joinRecords, type KeptRecord } from './joined-record';
import { leaveOutReader } from './left-out';
import { guessAddress, patternOf, readMail } from './mail-address';
import { mergePreview } from './merge-preview';
import { firmsLike, moreLike } from './more-like';
import { tidyTitle } from './tidy-title';
import { vcardOf } from './vcard';

describe('a firm in a sentence', () => {
  it.each([
    ['NORDKØL LOGISTIK A/S', 'Nordkøl Logistik'],
    ['BASALT GmbH & Co. KG', 'Basalt'],
    ['SKF AB', 'SKF'],
    ['Nordkøl (Denmark) ApS', 'Nordkøl'],
    ['Nordkøl Deutschland GmbH', 'Nordkøl'],
    ['Nordkøl - Aarhus', 'Nordkøl'],
    ['frisk fisk a/s', 'Frisk Fisk'],
    ['Polar, Inc.', 'Polar'],
    ['van der Meer Koeltransport B.V.', 'van der Meer Koeltransport'],
    ['COCINAS Y HORNOS DEL SUR, S.L.U.', 'Cocinas y Hornos del Sur'],
    ['Denmark', 'Denmark']
  ])('%s is %s', (written, said) => expect(firmSaid(written)).toBe(said));

  it('is never empty where a name is given, and stays as it is once tidied', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1, maxLength: 40 }), (text) => {
        const said = firmSaid(text);
        if (/\p{L}/u.test(text.replaceAll(/\p{Cf}|\p{Co}/gu, ''))) expect(said.length).toBeGreaterThan(0);
      })
    );
  });
});

describe('a tidied title', () => {
  it.each([
    ['HEAD OF QUALITY (GDP) | Speaker', 'Head of Quality (GDP)'],
    ['head of QA', 'Head of QA'],
    ['quality manager at Nordkøl', 'Quality Manager'],
    ['VP Operations 🚀', 'VP Operations'],
    ['LEITER QUALITÄTSSICHERUNG', 'Leiter Qualitätssicherung'],
    ['Manager, ', 'Manager'],
    ['Head of Quality @ Polar', 'Head of Quality'],
    ['Jefe de Calidad en España', 'Jefe de Calidad en España'],
    ['CEO', 'CEO']
  ])('%s is %s', (written, tidy) => expect(tidyTitle(written, 'Nordkøl')).toBe(tidy));
});

describe('mail addresses', () => {
  it('are read as lists write them', () => {
    expect(readMail('Anna Berg <Anna.Berg@Firm.example>')).toEqual({
      address: 'anna.berg@firm.example',
      wellFormed: true,
      role: false,
      throwAway: false
    });
    expect(readMail('mailto:info@firm.example')).toMatchObject({ role: true, wellFormed: true });
    expect(readMail('someone@mailinator.com').throwAway).toBe(true);
    for (const text of ['a b@c', 'a@', '@b.example', 'a@b', '']) expect(readMail(text).wellFormed).toBe(false);
  });

  it('have a pattern a firm, from which a missing one is guessed and never called valid', () => {
    expect(patternOf('Søren Ågård', 'soeren.aagaard@k.example')).toBe('first.last');
    expect(patternOf('Anna Berg', 'aberg@k.example')).toBe('flast');
    expect(patternOf('Anna Berg', 'boss@k.example')).toBeNull();
    const known = [
      { name: 'Anna Berg', address: 'anna.berg@k.example' },
      { name: 'Ole Dahl', address: 'ole.dahl@k.example' },
      { name: 'Eva Lund', address: 'evalund@k.example' },
      { name: 'Info', address: 'info@k.example' }
    ];
    expect(guessAddress('Dr. Per Holm', 'k.example', known)).toEqual({
      address: 'per.holm@k.example',
      pattern: 'first.last',
      seen: 2,
      of: 3
    });
    expect(guessAddress('Per Holm', 'other.example', known)).toBeNull();
    expect(guessAddress('Per', 'k.example', known)).toBeNull();
  });

  it('by a pattern lead back to the pattern', () => {
    const name = fc.constantFrom('Anna Berg', 'Ole van Dahl', 'Zoë Smit-Jansen', 'Jürgen Groß');
    fc.assert(
      fc.property(name, fc.constantFrom('Mia Holt', 'Tom Falk'), (one, other) => {
        const [first, last] = other.toLowerCase().split(' ') as [string, string];
        const known = [
          { name: other, address: `${first}.${last}@x.example` },
          { name: 'Ida Munk', address: 'ida.munk@x.example' }
        ];
        const guess = guessAddress(one, 'x.example', known)!;
        expect(patternOf(one, guess.address)).toBe('first.last');
      })
    );
  });
});

describe('a hashed audience', () => {
  // FIPS 180-4 test vectors, as NIST publishes them with the Cryptographic Standards and Guidelines examples (SHA256.pdf).
  it('hashes as FIPS 180-4 says', () => {
    expect(sha256Hex('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
    expect(sha256Hex('')).toBe('e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855');
    expect(sha256Hex('abcdbcdecdefdefgefghfghighijhijkijkljklmklmnlmnomnopnopq')).toBe(
      '248d6a61d20638b8e5c026930c3e6039a33ce45964ff2167f6ecedd419db06c1'
    );
    expect(sha256Hex('a'.repeat(1_000_000))).toBe('cdc76e5c9914fb9281a1c7e284d73e67f1809a48a497200e046d39ccc7112cd0');
  });
  it('takes addresses in small letters and numbers in E.164, and nothing else', () => {
    expect(normalContact(' Anna.Berg@Firm.Example ')).toBe('anna.berg@firm.example');
    expect(normalContact('33 12 34 56', 'DK')).toBe('+4533123456');
    expect(e164('0031 20 123 4567', 'DE')).toBe('+31201234567');
    expect(normalContact('firm.example/anna')).toBeNull();
    expect(normalContact('12')).toBeNull();
    expect(hashedContact('a@b.example', 'salt')).toBe(sha256Hex('salta@b.example'));
  });
});

describe('leaving out', () => {
  const read = leaveOutReader(
    {
      customers: ['Kunde A/S', ''],
      competitors: ['rivaal.example', 'https://www.andre.example/om'],
      own: ['Vores & Co']
    },
    ['Germany', 'DK']
  );
  const one = { company: '', country: '', mail: 'a.b@x.example', contacted: false, takenBefore: false };
  it.each([
    [{ company: 'KUNDE ApS' }, ['customer']],
    [{ mail: 'p@rivaal.example' }, ['competitor']],
    [{ mail: 'p@andre.example' }, ['competitor']],
    [{ company: 'Vores og Co' }, ['own firm']],
    [{ country: 'DE' }, ['consent']],
    [{ country: 'Denmark' }, ['consent']],
    [{ mail: 'sales@x.example' }, ['shared mailbox']],
    [{ mail: '' }, ['no address']],
    [{ contacted: true, takenBefore: true }, ['contacted', 'already exported']],
    [{}, []]
  ])('%j for %j', (more, reasons) => expect(read({ ...one, ...more })).toEqual(reasons));
});

describe('joined records', () => {
  const record = (seenAt: string, person: Partial<Person>): KeptRecord => ({
    sourceId: seenAt,
    seenAt,
    person: { id: 'x', name: 'Anna Berg', ...person }
  });
  it('take the newest that tells a field, keep a title with its firm, and go by what is chosen', () => {
    const records = [
      record('2026-01-01', { jobs: [{ title: 'QA', company: 'Old' }], place: 'Delft', headcount: 50 }),
      record('2026-06-01', {
        jobs: [{ title: 'Head of QA', company: '' }],
        contact: ['+45 33 12 34 56', 'x.example/anna', 'A@B.example']
      })
    ];
    const joined = joinRecords(records);
    expect(joined.title).toMatchObject({ value: 'Head of QA', from: 1, why: 'the newest' });
    expect(joined.company).toMatchObject({ value: 'Old', from: 0, why: 'the only one' });
    expect(joined.mail.value).toBe('a@b.example');
    expect(joined.phone.value).toBe('+45 33 12 34 56');
    expect(joined.page.value).toBe('x.example/anna');
    expect(joined.industry).toMatchObject({ value: '', why: 'nothing listed' });
    expect(joinRecords(records, { title: { record: 0 }, place: { text: 'Utrecht' } })).toMatchObject({
      title: { value: 'QA', why: 'chosen' },
      place: { value: 'Utrecht', from: null, why: 'chosen' }
    });
  });
});

describe('a merge preview', () => {
  const headers = ['Name', 'Company', 'Mail', 'Title'];
  it('tells new, same, changed and conflicting lines apart, field by field', () => {
    const there = {
      headers: ['Full name', 'Account', 'E-mail', 'Title', 'Owner'],
      rows: [
        ['Anna Berg', 'Nordkøl', 'a@n.example', 'QA', 'me'],
        ['Ole Dahl', 'Frisk A/S', '', 'Boss', ''],
        ['Bo Holm', 'X', 'shared@x.example', '', ''],
        ['Dobbel Gaard', 'Y', '', '', ''],
        ['Dobbel Gaard', 'Y', '', '', '']
      ]
    };
    const merged = mergePreview(
      headers,
      [
        ['Anna Berg', 'Nordkøl', 'a@n.example', 'QA'],
        ['DAHL, Ole', 'Frisk', 'o@f.example', 'Head'],
        ['Ida Skov', 'X', 'shared@x.example', ''],
        ['Ny Person', 'Z', '', ''],
        ['Dobbel Gaard', 'Y', '', ''],
        ['Anna Berg', 'Nordkøl', '', '']
      ],
      there
    );
    expect(merged.lines.map(({ what }) => what)).toEqual([
      'same',
      'would change',
      'conflict',
      'new',
      'conflict',
      'conflict'
    ]);
    expect(merged.lines[1]!.changes).toEqual([{ header: 'Title', there: 'Boss', here: 'Head' }]);
    expect(merged.onlyThere).toEqual(['Full name', 'Account', 'E-mail', 'Owner']);
    expect(merged.counts).toEqual({ new: 1, same: 1, 'would change': 1, conflict: 3 });
  });

  it('compares columns that hold the same under other headers, and calls nothing the same that it did not compare', () => {
    const mine = ['Email', 'Title', 'City'];
    const rows = [1, 2, 3, 4, 5].map((n) => [`p${n}@x.example`, `Title ${n}`, 'Aarhus']);
    const there = {
      headers: ['E-mail address', 'Job title', 'Town'],
      rows: rows.map(([mail, title, city], i) => [mail!, i ? 'Other' : title!, city!])
    };
    const field = (header: string) => (/title/i.test(header) ? 'title' : /mail/i.test(header) ? 'mail' : null);
    const merged = mergePreview(mine, rows, there, field);
    expect(merged.counts).toMatchObject({ same: 1, 'would change': 4 });
    expect(merged.compared).toEqual([
      { here: 'Email', there: 'E-mail address' },
      { here: 'Title', there: 'Job title' }
    ]);
    expect(merged.onlyThere).toEqual(['Town']);
    expect(mergePreview(mine, rows, there).counts).toMatchObject({ same: 0, conflict: 5 });
  });
});

describe('more like these', () => {
  const someone = (i: number, title: string, country: string, headcount: number): Person => ({
    id: String(i),
    name: `P ${i}`,
    country,
    headcount,
    industry: '46',
    jobs: [{ title, company: `Firm ${i % 7}` }]
  });
  const good = Array.from({ length: 12 }, (_, i) =>
    someone(i, i % 3 ? 'Quality Manager' : 'Head of Quality Assurance', i % 2 ? 'DK' : 'NL', 100 + i)
  );
  const rest = Array.from({ length: 200 }, (_, i) =>
    someone(
      100 + i,
      ['Sales Manager', 'Driver', 'Quality Manager', 'Buyer'][i % 4]!,
      ['US', 'DK', 'FR', 'GB'][i % 4]!,
      10 + i * 30
    )
  );
  it('answers with a string that finds the good ones and tells them from the rest', () => {
    const { query, traits } = moreLike(good, rest);
    const finds = matcher(query!);
    expect(good.filter(finds)).toHaveLength(12);
    expect(rest.filter(finds).length).toBeLessThan(20);
    expect(traits.every(({ lift }) => lift > 1)).toBe(true);
    expect(parse(traits.map(({ text }) => `(${text})`).join(' AND ')).query).not.toBeNull();
    expect(firmsLike(good, rest).every(({ company }) => !good.some((one) => one.jobs![0]!.company === company))).toBe(
      true
    );
  });
  it('answers nothing where they tell no title', () => {
    expect(
      moreLike(
        [
          { id: '1', name: 'A' },
          { id: '2', name: 'B' }
        ],
        rest
      ).query
    ).toBeNull();
  });
});

describe('what leaves', () => {
  const line: LineOfList = {
    name: 'Anna; Berg, x',
    greeting: 'Anna;',
    title: 'QA',
    tidyTitle: 'Head; of, Quality',
    company: 'A; B',
    firmSaid: 'A; B',
    country: 'DK',
    place: 'Aarhus',
    mail: 'a@b.example',
    mailState: 'good',
    phone: '+4533123456',
    page: 'x.example/a',
    industry: '',
    headcount: '',
    verdict: 'fit',
    likelihood: 0.87654,
    tags: ['a,b', 'c'],
    priority: 2,
    nextStep: 'call',
    nextOn: '2026-05-31',
    note: 'one\ntwo',
    keptAt: '2026-01-02T00:00:00Z',
    keptWhy: 'why',
    sources: ['S'],
    own: { score: 1.5, called: true, when: '2026-02-03', no: null }
  };
  it('as a vCard 4.0 is read again by a kept parser (RFC 6350)', () => {
    const text = vcardOf({ ...line, note: 'long '.repeat(40) });
    expect(text.split('\r\n').every((row) => new TextEncoder().encode(row).length <= 75)).toBe(true);
    const card = new ICAL.Component(ICAL.parse(text) as [string, unknown[], unknown[]]);
    expect(card.getFirstPropertyValue('version')).toBe('4.0');
    expect(card.getFirstPropertyValue('fn')).toBe('Anna; Berg, x');
    expect(card.getFirstPropertyValue('n')).toEqual(['Berg, x', 'Anna;', '', '', '']);
    expect(card.getFirstProperty('categories')!.getValues()).toEqual(['a,b', 'c']);
    expect(text).toContain('ORG:A\\; B');
  });
  it('by a profile has its columns, dates and numbers', () => {
    const columns = (['likelihood', 'next date', 'country', 'given name', 'family name'] as const).map((from) => ({
      header: from,
      from,
      of: ''
    }));
    const own = ['score', 'called', 'when', 'no', 'unknown'].map((of) => ({
      header: of,
      from: 'own column' as const,
      of
    }));
    expect(cellsOf(line, { columns: [...columns, ...own], dates: '31/05/2026', numbers: '1234,5' })).toEqual([
      '0,877',
      '31/05/2026',
      'Denmark',
      'Anna;',
      'Berg, x',
      '1,5',
      'yes',
      '03/02/2026',
      '',
      ''
    ]);
    expect(cellsOf(line, standardProfile)).toHaveLength(standardProfile.columns.length);
    expect(dateWritten('2026-05-31T10:00:00Z', '05/31/2026')).toBe('05/31/2026');
  });
});
