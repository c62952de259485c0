import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyPersona } from './persona';
import { readSixAnswers, sixQuestions, type SixAnswers } from './six-questions';
import { takeFacts } from './take-facts';

const none = Object.fromEntries(sixQuestions.map(({ id }) => [id, ''])) as Record<keyof SixAnswers, string>;
const factsOf = (answers: Partial<SixAnswers>) =>
  readSixAnswers({ ...none, ...answers }).reading.facts.map(({ kind, value }) => [kind, value]);

describe('the answers to six questions', () => {
  it('are read each as what was asked for', () => {
    const facts = factsOf({
      sold: 'Ovens for large kitchens',
      day: 'Head of Catering\nQuality Manager',
      signs: 'directors at hotels in Spain with 50 to 500 employees',
      unfit: 'food trucks, staffing agencies',
      served: 'Costa Blava Hoteles, Mar i Terra S.L.; costa blava hoteles'
    });
    expect(facts).toContainEqual(['offer', 'ovens for large kitchens']);
    expect(facts).toContainEqual(['title', 'Quality Manager']);
    expect(facts).toContainEqual(['country', 'ES']);
    expect(facts).toContainEqual(['size', { from: 50, to: 500 }]);
    expect(facts).toContainEqual(['exclusion', 'food trucks']);
    expect(facts).toContainEqual(['exclusion', 'staffing agencies']);
    expect(facts.filter(([kind]) => kind === 'firm left out')).toEqual([
      ['firm left out', 'Costa Blava Hoteles'],
      ['firm left out', 'Mar i Terra S.L.']
    ]);
  });

  it('go into a persona, the firms served among those left out', () => {
    const { reading } = readSixAnswers({ ...none, served: 'Brisk Foods', day: 'QA Manager' });
    const persona = takeFacts(emptyPersona, reading.facts);
    expect(persona.notFirms).toEqual(['Brisk Foods']);
    expect(persona.titles).toEqual(['QA Manager']);
  });

  it('are where their facts say they were read', () => {
    fc.assert(
      fc.property(fc.record(Object.fromEntries(sixQuestions.map(({ id }) => [id, fc.string()]))), (answers) => {
        const { text, reading } = readSixAnswers(answers as unknown as SixAnswers);
        for (const fact of reading.facts)
          if (fact.kind === 'firm left out') expect(text.slice(fact.from, fact.to)).toBe(fact.value);
      })
    );
  });
});
