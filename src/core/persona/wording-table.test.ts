import { describe, expect, it } from 'vitest';
import { readWordingsCsv, writeWordingsCsv } from '../formats/wordings-file';
import { wordSetSchema, type WordSet } from './word-set';
import { groupOf, wordingTable } from './wording-table';

const set = (texts: string[], more: Partial<WordSet> = {}): WordSet =>
  wordSetSchema.parse({ id: 'a', name: 'Head of Quality', wordings: texts.map((text) => ({ text })), ...more });
const row = (one: WordSet, text: string) => wordingTable(one).find((other) => other.text === text);

describe('the table of wordings', () => {
  it('has what is in the set first, then what is proposed and not there', () => {
    const rows = wordingTable(set(['Head of Quality', 'Kvalitetschef', 'Keeper of Goodness']));
    expect(rows.slice(0, 3).map(({ text, state }) => [text, state])).toEqual([
      ['Head of Quality', 'in use'],
      ['Kvalitetschef', 'in use'],
      ['Keeper of Goodness', 'in use']
    ]);
    expect(rows[1]).toMatchObject({ nearness: 'translated', language: 'Danish' });
    expect(rows[2]).toMatchObject({ nearness: 'own', why: 'typed' });
    expect(rows.slice(3).every(({ state }) => state === 'proposed')).toBe(true);
    expect(rows.filter(({ text }) => text === 'Kvalitetschef')).toHaveLength(1);
  });

  it('says what a shorter wording in use finds already', () => {
    const one = set(['Head of Quality', 'Head of Quality Assurance']);
    expect(row(one, 'Head of Quality Assurance')!.coveredBy).toBe('Head of Quality');
    expect(row(one, 'Head of Quality Control')!.coveredBy).toBe('Head of Quality');
    expect(row(one, 'Head of QA')!.coveredBy).toBeNull();
    expect(row(one, 'Head of Quality')!.coveredBy).toBeNull();
  });

  it('remembers what was refused and what was set aside', () => {
    const one = set(['Head of Quality'], { refused: ['head of qa'] });
    expect(row(one, 'Head of QA')!.state).toBe('refused');
    one.wordings[0]!.inUse = false;
    expect(row(one, 'Head of Quality')!.state).toBe('set aside');
    expect(row(one, 'Head of Quality Control')!.coveredBy).toBeNull();
  });

  it('writes a quoted group', () => {
    expect(groupOf(['Head of Quality', 'QA', '—'])).toBe('("Head of Quality" OR QA)');
  });
});

describe('wordings as CSV', () => {
  it('come back as they were, and start no formula', () => {
    const one = set(['Head of Quality', '=SUM(A1)', 'Chef, kvalitet "nord"', "'=0"]);
    one.wordings[1]!.inUse = false;
    one.wordings[2]!.origin = 'translated';
    const csv = writeWordingsCsv([one]);
    expect(csv).toContain("'=SUM(A1)");
    expect(readWordingsCsv(csv)).toEqual(new Map([['Head of Quality', one.wordings]]));
  });

  it.each([
    ['', /empty/],
    ['name,words\nx,y', /columns title and wording/],
    ['title,wording\n"a,b', /cannot be read/]
  ])('refuse %j in a sentence', (text, sentence) => expect(() => readWordingsCsv(text)).toThrow(sentence));
});
