import { describe, expect, it } from 'vitest';
import { generalSheets, standInSheets } from '$core/dialect';
import { asking, counting, readiness } from './source-words';

const sheetOf = (id: string) => standInSheets.find((sheet) => sheet.id === id)!;

describe('a source in words', () => {
  it('says how it is asked and how it counts', () => {
    expect(asking(sheetOf('marlow-register'))).toBe('Boxes: words (words joined by AND only).');
    expect(asking(sheetOf('lanternfield'))).toContain('OR binds first');
    expect(asking(sheetOf('quillbank'))).toMatch(/^No free text: lists and facts. Facts: Titles, Firms/);
    expect(generalSheets.map(asking).every((words) => words.endsWith('.'))).toBe(true);
    expect(counting(sheetOf('harrow-guild'))).toBe('Rounds counts over 1,000 to 2 figures; shows the first 1,200.');
    expect(counting(sheetOf('lanternfield'))).toBe('Guesses counts, up to 3 times off; shows the first 300.');
    expect(counting(sheetOf('marlow-register'))).toBe('Counts exactly; shows everyone.');
  });

  it('says whether it can be asked now', () => {
    const source = (kind: string, now: object) => ({ kind, readiness: now }) as Parameters<typeof readiness>[0];
    expect(readiness(source('by-hand', { state: 'ready' }))).toBe('run by you');
    expect(readiness(source('connected', { state: 'ready' }))).toBe('searched online');
    expect(readiness(source('file', { state: 'ready' }))).toBe('ready');
    expect(readiness(source('file', { state: 'preparing', done: 2000, of: 9000 }))).toBe(
      'preparing its people (2,000 of 9,000 people)'
    );
    expect(readiness(source('stand-in', { state: 'preparing' }))).toBe('preparing its people');
    expect(readiness(source('stand-in', { state: 'failed', reason: 'No room.' }))).toBe('not ready: No room.');
  });
});
