import fc from 'fast-check';
import { expect, it } from 'vitest';
import { tokenKeys } from '../language/tokens';
import { Vocabulary } from './vocabulary';

const pieces = fc.array(
  fc.oneof(
    fc.constantFrom('c++', '.net', 'R&D', 'a..b', 'x#', '#', '++', '.', ' ', '@', '_', 'Søren', '-', 'QA', '10+', '/'),
    fc.string({ unit: 'grapheme', maxLength: 4 })
  )
);

it('cuts any text as tokenKeys does, with one number a word', () => {
  const vocabulary = new Vocabulary();
  fc.assert(
    fc.property(pieces, (list) => {
      const text = list.join('');
      const numbers: number[] = [];
      vocabulary.cut(text, (number) => numbers.push(number));
      expect(numbers.map((number) => vocabulary.words[number])).toEqual(tokenKeys(text));
      for (const number of numbers) expect(vocabulary.numberOf(vocabulary.words[number]!)).toBe(number);
    }),
    { numRuns: 3000 }
  );
  expect(new Set(vocabulary.words).size).toBe(vocabulary.words.length);
  expect(vocabulary.numberOf('never met')).toBeUndefined();
});
