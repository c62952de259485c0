import { describe, expect, it } from 'vitest';
import type { WordSet } from '$core/persona';
import { addTyped, putInto, refuseIn, takeOutOf } from './word-set-edits';

const set: WordSet = {
  id: 'a',
  name: 'Head of Quality',
  wordings: [
    { text: 'Head of Quality', origin: 'typed', inUse: true },
    { text: 'QA Lead', origin: 'lexicon', inUse: false }
  ],
  refused: ['Quality Boss']
};
const texts = (one: WordSet) => one.wordings.map(({ text, inUse }) => `${text}${inUse ? '' : ' (not in use)'}`);

describe('a word set', () => {
  it('matches wordings by their words in any case, and keeps their origin', () => {
    const put = putInto(set, [
      { text: 'qa lead', origin: 'typed', inUse: true },
      { text: 'Quality Boss', origin: 'lexicon', inUse: true },
      { text: 'Nobody', origin: 'lexicon', inUse: false }
    ]);
    expect(texts(put)).toEqual(['Head of Quality', 'QA Lead', 'Quality Boss']);
    expect(put.wordings[1]!.origin).toBe('lexicon');
    expect(put.refused).toEqual([]);
  });

  it('adds what was typed, and says what was there', () => {
    const { set: more, added, known } = addTyped(set, 'Quality Director\nhead of quality, Kvalitetschef');
    expect([added, known]).toEqual([2, 1]);
    expect(texts(more).slice(2)).toEqual(['Quality Director', 'Kvalitetschef']);
    expect(addTyped(set, '  ')).toEqual({ set, added: 0, known: 0 });
  });

  it('lets wordings go, for good where they are refused', () => {
    expect(texts(takeOutOf(set, ['HEAD OF QUALITY']))).toEqual(['QA Lead (not in use)']);
    const refused = refuseIn(set, ['QA Lead']);
    expect(texts(refused)).toEqual(['Head of Quality']);
    expect(refused.refused).toEqual(['Quality Boss', 'QA Lead']);
  });
});
