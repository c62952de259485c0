import { describe, expect, it } from 'vitest';
import { print } from '../language/print';
import { buildParts, buildString } from './build-string';
import { checkFacts } from './check-facts';
import { describePersona } from './describe-persona';
import { allTitles, emptyPersona, personaSchema } from './persona';
import { personaFromText } from './persona-from-text';
import { bandNotes, missingFrom } from './persona-notes';
import { takeFacts } from './take-facts';
import { fitWordSets, readWordingList } from './word-set';

const persona = personaSchema.parse({
  titles: ['Head of Quality', 'QA'],
  functions: ['quality'],
  countries: ['Denmark', 'GB'],
  industries: ['46'],
  size: { from: 51, to: 1000 },
  mustHave: ['cold chain', 'pharma'],
  mustNot: ['intern', 'test engineer']
});

describe('persona', () => {
  it('refuses what cannot be, with a sentence', () => {
    const wrong = (change: object) => personaSchema.safeParse({ ...emptyPersona, ...change }).error!.issues[0]!.message;
    expect(wrong({ countries: ['Atlantis'] })).toBe('is no country of ISO 3166-1');
    expect(wrong({ industries: ['cold things'] })).toBe('is no division of ISIC Rev. 4');
    expect(wrong({ size: { from: 100, to: 5 } })).toBe('The smallest firm is larger than the largest.');
    expect(wrong({ size: { from: Number.NaN, to: null } })).toBe('is written in digits');
    expect(wrong({ titles: ['x'.repeat(201)] })).toContain('longer than 200');
  });

  it('reads back as a sentence', () => {
    expect(describePersona(persona)).toBe(
      'People titled Head of Quality or QA, working in quality, at firms of 51 to 1,000 people in Denmark or United Kingdom, who mention cold chain or pharma, excluding intern or test engineer.'
    );
    expect(describePersona(emptyPersona)).toBe('No persona yet.');
  });
});

describe('facts that a source does not tell', () => {
  it('are read from the title where it is plain', () => {
    const wanted = { ...emptyPersona, functions: ['quality'], ranks: ['head'] };
    const check = (title: string, more: object = {}) =>
      checkFacts(wanted, [], { id: '1', name: 'x', jobs: [{ title, company: 'y' }], ...more }).map(
        ({ fact, outcome, has }) => [fact, outcome, has]
      );
    expect(check('Kvalitetschef')).toEqual([
      ['Function', 'met', 'quality, by the title'],
      ['Rank', 'met', 'head, by the title']
    ]);
    expect(check('Warehouse Operative')[0]).toEqual(['Function', 'not met', 'warehouse, by the title']);
    expect(check('Keeper of the keys')).toEqual([
      ['Function', 'unknown', 'not known'],
      ['Rank', 'unknown', 'not known']
    ]);
    expect(check('Kvalitetschef', { function: 'sales' })[0]).toEqual(['Function', 'not met', 'sales']);
  });
});

describe('other facts and firms', () => {
  it('become ranges, values and exclusions of the current firm', () => {
    const more = personaSchema.parse({
      titles: ['QA'],
      facts: [
        { scope: 'growth', from: 10, to: null },
        { scope: 'place', values: ['Aarhus', 'Den Haag'] },
        { scope: 'moved', from: null, to: null }
      ],
      notFirms: ['Marlowe & Vale Ltd', 'Polderkoel B.V.']
    });
    expect(print(buildString(more, fitWordSets(more.titles, []))!)).toBe(
      'title:QA AND growth:[10 TO *] AND place:(Aarhus OR "Den Haag") NOT company:("Marlowe & Vale" OR "Marlowe and Vale" OR Polderkoel)'
    );
    expect(personaSchema.safeParse({ facts: [{ scope: 'growth', from: 5, to: 1 }] }).success).toBe(false);
  });
});

describe('size bands', () => {
  const banded = personaSchema.parse({
    bands: [
      { from: 1, to: 49, titles: ['Owner', 'Managing Director'] },
      { from: 50, to: 500, titles: ['Head of Quality'] }
    ],
    countries: ['Denmark'],
    ranks: ['head']
  });

  it('are alternatives of the string, each with its own titles, and each gets word sets', () => {
    const sets = fitWordSets(allTitles(banded), []);
    expect(sets.map(({ name }) => name)).toEqual(['Owner', 'Managing Director', 'Head of Quality']);
    expect(print(buildString(banded, sets)!)).toBe(
      '((headcount:[1 TO 49] AND title:(Owner OR "Managing Director")) OR (headcount:[50 TO 500] AND title:"Head of Quality")) AND rank:head AND country:Denmark'
    );
    expect(buildParts(banded, sets).map(({ of }) => of)).toEqual(['titles', 'ranks', 'countries']);
    expect(describePersona(banded)).toBe(
      'People of the rank head, Owner or Managing Director at firms of 1 to 49 people, Head of Quality at firms of 50 to 500 people, at firms in Denmark.'
    );
    expect(
      checkFacts(banded, sets, { id: '1', name: 'x', headcount: 700 }).find(({ fact }) => fact === 'Firm size')!.outcome
    ).toBe('not met');
  });

  it('that leave a gap, overlap or are incomplete are pointed out', () => {
    const notes = (...bands: [number | null, number | null, string[]][]) =>
      bandNotes({ ...emptyPersona, bands: bands.map(([from, to, titles]) => ({ from, to, titles })) });
    expect(notes([1, 49, ['a']], [50, null, ['b']])).toEqual([]);
    expect(notes([1, 49, ['a']], [60, null, ['b']])).toEqual(['Firms of 50 to 59 people aren’t in any band.']);
    expect(notes([1, 49, ['a']], [51, null, ['b']])).toEqual(['Firms of 50 people aren’t in any band.']);
    expect(notes([1, 60, ['a']], [50, null, ['b']])).toEqual([
      'The bands from 1 and from 50 overlap: a firm of 50 people is in both.'
    ]);
    expect(notes([null, null, []])).toEqual(['Band 1 has no sizes yet.', 'Band 1 has no titles yet.']);
  });
});

describe('a persona', () => {
  it('says what is missing that usually matters', () => {
    expect(missingFrom(persona)).toEqual([]);
    expect(missingFrom(emptyPersona)).toHaveLength(5);
    expect(missingFrom({ ...persona, countries: [] })).toEqual(['No country: the whole world is searched.']);
  });

  it('takes facts read from a text, and keeps what it has', () => {
    const { facts } = personaFromText(
      'We sell loggers. Heads of quality at pharma wholesalers in Sweden, 20 to 2,000 staff. No interns.'
    );
    const taken = takeFacts(persona, facts);
    expect(taken.offer).toBe('loggers');
    expect(taken.titles).toEqual(persona.titles);
    expect(taken.countries).toEqual(['Denmark', 'GB', 'Sweden']);
    expect(taken.size).toEqual({ from: 20, to: 2000 });
    expect(taken.mustNot).toEqual(['intern', 'test engineer', 'interns']);
    expect(takeFacts(emptyPersona, facts)).toMatchObject({
      titles: ['Head of Quality'],
      industries: ['46'],
      size: { from: 20, to: 2000 }
    });
    expect(personaSchema.safeParse(taken).success).toBe(true);
  });
});

describe('word sets', () => {
  it('read a pasted list, a line or a comma each, without bullets, quotes or repeats', () => {
    expect(readWordingList('• "Head of Quality"\n- QA Manager, qa manager;Kvalitetschef\t\n ,, —')).toEqual([
      'Head of Quality',
      'QA Manager',
      'Kvalitetschef'
    ]);
  });

  it('follow the titles and keep what is known of those that stay', () => {
    const [first] = fitWordSets(['QA'], []);
    const kept = {
      ...first!,
      wordings: [...first!.wordings, { text: 'Quality Assurance', origin: 'typed' as const, inUse: false }]
    };
    const fitted = fitWordSets(['Head of Quality', 'qa'], [kept]);
    expect(fitted.map(({ name, wordings }) => [name, wordings.length])).toEqual([
      ['Head of Quality', 1],
      ['QA', 2]
    ]);
  });
});

describe('build-string', () => {
  it('says who, what firm, where and who not, with phrases quoted', () => {
    const sets = fitWordSets(persona.titles, []);
    sets[0]!.wordings.push(
      { text: 'Kvalitetschef', origin: 'typed', inUse: true },
      { text: 'idle', origin: 'typed', inUse: false }
    );
    expect(print(buildString(persona, sets)!)).toBe(
      'title:("Head of Quality" OR Kvalitetschef OR QA) AND function:quality AND ("cold chain" OR pharma) AND industry:46 AND headcount:[51 TO 1000] AND country:(Denmark OR "United Kingdom") NOT (intern OR "test engineer")'
    );
  });
  it('is nothing while the persona says nothing', () => expect(buildString(emptyPersona, [])).toBeNull());
});

describe('check-facts', () => {
  it('tells met, not met and unknown apart', () => {
    const person = { id: 'p', name: 'N', jobs: [{ title: 'QA Lead', company: 'C' }], country: 'SE', headcount: 240 };
    const outcomes = Object.fromEntries(
      checkFacts(persona, fitWordSets(persona.titles, []), person).map(({ fact, outcome }) => [fact, outcome])
    );
    expect(outcomes).toEqual({
      Title: 'met',
      Function: 'unknown',
      'Firm size': 'met',
      Industry: 'unknown',
      Country: 'not met',
      'Must not': 'met'
    });
  });
});
