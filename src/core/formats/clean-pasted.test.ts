import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { cleanPasted } from './clean-pasted';

describe('cleanPasted', () => {
  it.each([
    ['title:(“head of quality” OR „QA“) –intern', 'title:("head of quality" OR "QA") -intern'],
    ['«cold chain»\u00a0OR\u2009chilled', '"cold chain" OR chilled'],
    ['a && b || !c', 'a AND b OR NOT c'],
    ['(a | b)', '(a OR b)'],
    ['"head of\n  quality" OR QA', '"head of quality" OR QA'],
    ['title:QA\r\n\r\n  AND pharma ', 'title:QA\nAND pharma'],
    ['co\u00adld ch\u200bain', 'cold chain'],
    ['Head of Quality\nQA Manager\n• Kvalitetschef', '("Head of Quality" OR "QA Manager" OR Kvalitetschef)'],
    ['Head of Quality, QA Manager; QA', '("Head of Quality" OR "QA Manager" OR QA)'],
    ['QA Manager\tHead of Quality', '("QA Manager" OR "Head of Quality")'],
    ['"Head of Quality"\n"QA Manager",', '("Head of Quality" OR "QA Manager")'],
    ['sales and marketing\nR&D', '("sales and marketing" OR "R&D")'],
    ['title:QA, pharma', 'title:QA, pharma'],
    ['(QA OR RP),\npharma', '(QA OR RP),\npharma'],
    [
      'one long line of text about what we sell and to whom, and then another such long line of it',
      'one long line of text about what we sell and to whom, and then another such long line of it'
    ],
    ['l’Oréal-like d’or', 'l’Oréal-like d’or'],
    ['', '']
  ])('%j becomes %j', (pasted, text) => expect(cleanPasted(pasted).text).toBe(text));

  it('says what it changed, and nothing where it changed nothing', () => {
    expect(cleanPasted('“a” && b').changes).toEqual(['curly quotes made plain', '&& written as AND']);
    expect(cleanPasted('a, b').changes).toEqual(['a list of 2 made a group']);
    expect(cleanPasted('title:(QA OR RP) NOT intern')).toEqual({
      text: 'title:(QA OR RP) NOT intern',
      changes: [],
      ask: null
    });
  });

  it('asks about lower-case operators and changes none unasked', () => {
    const { text, ask } = cleanPasted('(QA or RP) and not intern');
    expect(text).toBe('(QA or RP) and not intern');
    expect(ask).toEqual({
      question: 'Read “or”, “and”, “not” as operators? As pasted they are words to find.',
      text: '(QA OR RP) AND NOT intern'
    });
    expect(cleanPasted('"sales and marketing"').ask).toBeNull();
  });

  it('never loses a word, whatever is pasted', () => {
    const piece = fc.constantFrom(
      'a',
      'Head of',
      '“x”',
      '\n',
      ', ',
      ' ',
      '–',
      '&&',
      'or',
      '(',
      ')',
      '"',
      'title:',
      '!',
      '\u00a0'
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 20 }), (pieces) => {
        const pasted = pieces.join('');
        const letters = (text: string) => new Set(text.toLowerCase().match(/head|of|x|\ba\b/g));
        const { text } = cleanPasted(pasted);
        for (const word of letters(pasted)) expect(letters(text)).toContain(word);
        parse(text);
      })
    );
  });
});
