import { afterEach, describe, expect, it } from 'vitest';
import { addName, addTitle, joinLexicons, readSenses, withoutText } from './add-to-lexicon';
import { fixedTitles, functionOf, functions, lexiconFault } from './lexicon';
import { meanings } from './meanings';
import { ownLexiconShape, type OwnLexicon } from './own-lexicon-shape';
import { takeUpLexicon } from './taken-up';
import { readTitle } from './read-title';
import { ambiguousIn } from './senses';
import { languageOf, wordings } from './wordings';
import { parse } from '../language/parse';
import { personaFromText } from '../persona/persona-from-text';

const none: OwnLexicon = { functions: [], titles: [], meanings: [] };
afterEach(() => takeUpLexicon(none));

// A trade that the lexicon does not know: falconry, and bees.
const own: OwnLexicon = {
  functions: [
    { id: 'beekeeping', near: ['production'], names: { en: ['beekeeping', 'apiary'], de: ['Imkerei'] } },
    { id: 'quality', near: [], names: { en: ['honey grading'] } }
  ],
  titles: [{ rank: 'head', function: 'beekeeping', titles: { en: ['Hive Steward'], es: ['Maestro Colmenero'] } }],
  meanings: [
    {
      word: 'Drone',
      senses: [
        { name: 'male bee', indicators: ['hive', 'queen'] },
        { name: 'aircraft', indicators: ['rotor', 'pilot'] }
      ]
    }
  ]
};

describe('what a user adds to the lexicon', () => {
  it('is read in titles, proposed as wordings, and read in a brief', () => {
    expect(readTitle('Hive Steward')).toMatchObject({ rank: null, function: null });
    takeUpLexicon(own);
    expect(readTitle('Hive Steward')).toEqual({ rank: 'head', function: 'beekeeping', confidence: 0.95 });
    expect(readTitle('Apiary Manager')).toMatchObject({ rank: 'manager', function: 'beekeeping' });
    expect(readTitle('Imkereileiter')).toMatchObject({ function: 'beekeeping' });
    expect(readTitle('Head of Honey Grading')).toMatchObject({ rank: 'head', function: 'quality' });
    const proposed = wordings('Hive Steward');
    const texts = (nearness: string) => proposed.filter((one) => one.nearness === nearness).map(({ text }) => text);
    expect(texts('same')).toContain('Head of Beekeeping');
    expect(texts('translated')).toContain('Maestro Colmenero');
    expect(texts('function').join()).toContain('Production');
    expect(languageOf('Maestro Colmenero')).toBe('es');
    const { facts } = personaFromText('We look for a hive steward at farms in Denmark.');
    expect(facts.map(({ kind, value }) => [kind, value])).toContainEqual(['title', 'Hive Steward']);
  });

  it('says what words mean in place of the lexicon', () => {
    takeUpLexicon(own);
    expect(meanings('drone').map(({ name }) => name)).toEqual(['male bee', 'aircraft']);
    expect(ambiguousIn(parse('title:drone').query!).map(({ word }) => word)).toEqual(['drone']);
    takeUpLexicon(none);
    expect(meanings('drone')).toEqual([]);
    expect(ambiguousIn(parse('title:drone').query!)).toEqual([]);
  });

  it('leaves nothing behind when it is taken out', () => {
    const before = [functions().length, fixedTitles().length, functionOf('quality')!.names.en.length];
    takeUpLexicon(own);
    expect(functions().length).toBe(before[0]! + 1);
    takeUpLexicon(none);
    expect([functions().length, fixedTitles().length, functionOf('quality')!.names.en.length]).toEqual(before);
    expect(readTitle('Hive Steward').function).toBeNull();
  });

  it('is refused with a sentence where it names what is not there', () => {
    expect(lexiconFault(own)).toBeNull();
    const title = own.titles[0]!;
    for (const [wrong, says] of [
      [{ ...own, titles: [{ ...title, rank: 'queen' }] }, /no rank is called “queen”/],
      [{ ...own, titles: [{ ...title, function: 'falconry' }] }, /no function is called “falconry”/],
      [{ ...own, titles: [{ ...title, titles: {} }] }, /has no wording/],
      [{ ...own, functions: [{ id: 'falconry', near: [], names: {} }] }, /has no name/],
      [{ ...own, functions: [own.functions[0]!, own.functions[0]!] }, /is there twice/],
      [{ ...own, functions: [{ ...own.functions[0]!, near: ['falconry'] }] }, /which another is near to/],
      [{ ...own, meanings: [own.meanings[0]!, { ...own.meanings[0]!, word: 'DRONE' }] }, /are there twice/]
    ] as [OwnLexicon, RegExp][])
      expect(lexiconFault(wrong)).toMatch(says);
    expect(ownLexiconShape.safeParse({ meanings: [{ word: 'two words', senses: [] }] }).success).toBe(false);
  });
});

describe('adding to it', () => {
  it('puts names and titles together, each once, whatever their spelling', () => {
    let made = addName(none, 'beekeeping', 'en', 'Beekeeping');
    made = addName(made, 'beekeeping', 'en', 'beekeeping');
    made = addName(made, 'beekeeping', 'de', 'Imkerei');
    made = addTitle(made, { rank: 'head', function: 'beekeeping' }, 'en', 'Hive Steward');
    made = addTitle(made, { rank: 'head', function: 'beekeeping' }, 'en', 'hive  steward');
    expect(made).toEqual({
      functions: [{ id: 'beekeeping', near: [], names: { en: ['Beekeeping'], de: ['Imkerei'] } }],
      titles: [{ rank: 'head', function: 'beekeeping', titles: { en: ['Hive Steward'] } }],
      meanings: []
    });
    expect(joinLexicons(made, made)).toEqual(made);
    expect(joinLexicons(none, own)).toEqual(own);
    made = withoutText(made, { kind: 'title', rank: 'head', function: 'beekeeping' }, 'en', 'Hive Steward');
    expect(made.titles).toEqual([]);
    made = withoutText(made, { kind: 'function', id: 'beekeeping' }, 'en', 'Beekeeping');
    expect(made.functions[0]!.names).toEqual({ en: [], de: ['Imkerei'] });
  });

  it('reads meanings a line each', () => {
    expect(readSenses('male bee: hive, queen\n\naircraft: rotor , pilot\nnothing told:\n: x')).toEqual([
      { name: 'male bee', indicators: ['hive', 'queen'] },
      { name: 'aircraft', indicators: ['rotor', 'pilot'] }
    ]);
  });
});
