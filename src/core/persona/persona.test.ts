import { describe, expect, it } from 'vitest';
import { print } from '../query/print';
import { buildString } from './build-string';
import { checkFacts } from './check-facts';
import { describePersona } from './describe-persona';
import { emptyPersona, personaSchema } from './persona';
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
      'People titled Head of Quality or QA, working in quality, at firms of 51 to 1,000 people in Denmark or United Kingdom, who speak of cold chain or pharma, and not of intern or test engineer.'
    );
    expect(describePersona(emptyPersona)).toBe('Nobody is described yet.');
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
