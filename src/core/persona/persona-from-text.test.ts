import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fold } from '../language/tokens';
import { personaFromText, type FactKind } from './persona-from-text';

interface Brief {
  text: string;
  expected: Partial<Record<FactKind, (string | [number | null, number | null])[] | 1>>;
}
const readBriefs = (file: string) => JSON.parse(readFileSync(`tests/briefs/${file}.json`, 'utf8')) as Brief[];

const kinds: FactKind[] = [
  'title',
  'function',
  'rank',
  'industry',
  'country',
  'place',
  'size',
  'revenue',
  'must have',
  'exclusion'
];
const written = (value: unknown): string =>
  typeof value === 'string'
    ? fold(value)
    : Array.isArray(value)
      ? value.join('–')
      : [(value as { from: unknown }).from, (value as { to: unknown }).to].join('–');

describe('personaFromText', () => {
  it.each([
    ['written-briefs', 25],
    // Written after the reader was; the share read at first sight is in docs/measures.md.
    ['later-briefs', 12]
  ])('reads the invented briefs of %s, and prints precision and recall per kind of fact', (file, least) => {
    const briefs = readBriefs(file);
    expect(briefs.length).toBeGreaterThanOrEqual(least);
    const tally = new Map(kinds.map((kind) => [kind, { right: 0, read: 0, wanted: 0 }]));
    const wrong: string[] = [];
    for (const { text, expected } of briefs) {
      const { facts } = personaFromText(text);
      for (const kind of kinds) {
        const read = new Set(facts.filter((fact) => fact.kind === kind).map(({ value }) => written(value)));
        const wanted = new Set(((expected[kind] as unknown[]) ?? []).map(written));
        const one = tally.get(kind)!;
        one.read += read.size;
        one.wanted += wanted.size;
        for (const value of read) {
          if (wanted.has(value)) one.right++;
          else wrong.push(`${kind} “${value}” read wrongly: ${text.slice(0, 80)}`);
        }
        for (const value of wanted)
          if (!read.has(value)) wrong.push(`${kind} “${value}” not read: ${text.slice(0, 80)}`);
      }
    }
    const share = (part: number, whole: number) => (whole ? part / whole : 1);
    console.log(`written briefs: ${briefs.length}\n${wrong.join('\n')}`);
    for (const [kind, { right, read, wanted }] of tally) {
      console.log(
        `${kind.padEnd(10)} precision ${(100 * share(right, read)).toFixed(0)} % of ${read}, recall ${(100 * share(right, wanted)).toFixed(0)} % of ${wanted}`
      );
    }
    for (const { right, read, wanted } of tally.values()) {
      expect(share(right, read)).toBeGreaterThan(0.8);
      expect(share(right, wanted)).toBeGreaterThan(0.8);
    }
  });

  it('tells the words each fact was read from, and the sentences it could not read', () => {
    const text = 'We sell loggers. Heads of quality in the Nordics. The weather was fine last year.';
    const { facts, unread } = personaFromText(text);
    expect(facts.find(({ kind }) => kind === 'title')).toMatchObject({ value: 'Head of Quality', from: 17, to: 33 });
    expect(
      facts.filter(({ kind }) => kind === 'country').every(({ from, to }) => text.slice(from, to) === 'Nordics')
    ).toBe(true);
    expect(unread.map((one) => one.text)).toEqual(['The weather was fine last year.']);
  });

  it('takes anything, and places everything inside the text', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'grapheme' }),
          fc
            .array(
              fc.constantFrom(
                'not ',
                'heads of quality ',
                '50 to 500 staff ',
                'in the Nordics',
                ', ',
                '. ',
                '"x y" ',
                'we sell ',
                '12'
              )
            )
            .map((pieces) => pieces.join(''))
        ),
        (text) => {
          const { facts, unread } = personaFromText(text);
          for (const { from, to } of [...facts, ...unread])
            expect(from >= 0 && from <= to && to <= text.length).toBe(true);
        }
      )
    );
  });

  it.each([
    ['Consultancies and agencies are not wanted.', ['Consultancies', 'agencies']],
    ['Ignore agencies. Freelancers do not count.', ['agencies', 'Freelancers']],
    ['Recruiters are out of scope, and so are interns.', ['Recruiters', 'interns']],
    ['Leave out our own customers, and no hospitals.', ['hospitals']]
  ])('%s rules out just what is named', (text, wanted) => {
    const { facts } = personaFromText(text);
    expect(facts.filter(({ kind }) => kind === 'exclusion').map(({ value }) => value)).toEqual(wanted);
  });

  it('reads titles, countries and sizes in other languages of the lexicon', () => {
    const { facts } = personaFromText(
      'Directores de compras y jefes de cocina en España, Portugal e Italia, de 50 a 500 empleados.'
    );
    expect(facts.map(({ kind, value }) => [kind, value])).toEqual(
      expect.arrayContaining([
        ['title', 'Jefe de cocina'],
        ['country', 'ES'],
        ['country', 'PT'],
        ['country', 'IT'],
        ['size', { from: 50, to: 500 }]
      ])
    );
  });
});

// Written for this test, in the languages that titles, trades and parts of countries are known in.
describe('briefs that name titles, trades and places of other languages', () => {
  const read = (text: string) => personaFromText(text).facts.map(({ kind, value }) => `${kind}: ${written(value)}`);

  it.each([
    [
      'We want the Jefe de Cocina at hotels in Catalonia and Lombardy, and the Diretor de Compras in Lisbon. Consultancies and agencies are not wanted. Ignore recruiters. Interns do not count. Not our own customers.',
      [
        'title: jefe de cocina',
        'industry: 55',
        'place: catalonia',
        'place: lombardy',
        'title: diretor de compras',
        'place: lisbon',
        'exclusion: consultancies',
        'exclusion: agencies',
        'exclusion: recruiters',
        'exclusion: interns'
      ]
    ],
    [
      'Buscamos jefes de cocina y directores de compras en hoteles y empresas de catering de Andalucía y Portugal, de 50 a 500 empleados. Las consultoras no cuentan.',
      [
        'title: jefe de cocina',
        'title: director de compras',
        'industry: 55',
        'industry: 56',
        'place: andalucía',
        'country: pt',
        'size: 50–500',
        'exclusion: consultoras'
      ]
    ],
    [
      'Responsabili qualità in aziende alimentari della Lombardia, da 50 a 250 dipendenti, escluse le agenzie.',
      ['title: responsabile qualità', 'industry: 10', 'place: lombardia', 'size: 50–250', 'exclusion: agenzie']
    ],
    [
      'Wir suchen Einkaufsleiter in Hotels in Bayern, keine Agenturen.',
      ['title: einkaufsleiter', 'industry: 55', 'place: bayern', 'exclusion: agenturen']
    ],
    ['Buyers at caterers in Île-de-France.', ['title: buyer', 'industry: 56', 'place: île-de-france']],
    [
      'Chefs de cuisine en Bretagne, sauf les traiteurs.',
      ['title: chef de cuisine', 'place: bretagne', 'exclusion: traiteurs']
    ]
  ])('%s', (text, facts) => expect(read(text)).toEqual(facts));
});
