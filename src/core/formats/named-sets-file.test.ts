import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { matches } from '../semantics/matches';
import { namedSetSchema, setNamesIn, setQueries, type NamedSet } from '../language/named-sets';
import { parse } from '../language/parse';
import { print } from '../language/print';
import { readSets, writeSetsCsv, writeSetsJson } from './named-sets-file';

const sets: NamedSet[] = [
  {
    name: 'never-interns',
    kind: 'unwanted',
    wordings: ['intern', 'working student', 'stagiaire*'],
    note: 'juniors, of every kind'
  },
  {
    name: 'quality',
    kind: 'wanted',
    wordings: ['"head of quality"', '=SUM(A1)', '-minus', 'a "quoted" word'],
    note: ''
  }
];

describe('named word sets', () => {
  it('represent their wordings, in the scope of the place they are in', () => {
    const { query, problems } = parse(
      'title:@heads NOT @never-interns',
      setQueries([{ name: 'heads', wordings: ['head of quality', 'QA'] }, sets[0]!])
    );
    expect(problems.filter(({ severity }) => severity === 'error')).toEqual([]);
    expect(print(query!)).toBe('title:("head of quality" OR QA) NOT (intern OR "working student" OR stagiaire*)');
    const person = { id: '1', name: 'x', jobs: [{ title: 'Head of Quality', company: 'y' }] };
    expect(matches(query!, person)).toBe(true);
    expect(matches(query!, { ...person, about: 'a working student' })).toBe(false);
  });

  it('are found by name in a text', () => {
    expect(setNamesIn('@Heads OR title:@heads NOT "@no" x@y.example @never-interns')).toEqual([
      'heads',
      'never-interns'
    ]);
  });

  it.each(['', 'two words', '@at', 'a'.repeat(61)])('may not be called %j', (name) =>
    expect(namedSetSchema.safeParse({ name, kind: 'wanted', wordings: ['a'] }).success).toBe(false)
  );
});

describe('files of word sets', () => {
  it('come back as they were, from JSON and from CSV', () => {
    expect(readSets(writeSetsJson(sets))).toEqual(sets);
    expect(readSets(writeSetsCsv(sets))).toEqual(sets);
    const wordings = fc.array(
      fc
        .string({ minLength: 1, maxLength: 30 })
        .filter((text) => namedSetSchema.shape.wordings.safeParse([text]).success),
      { minLength: 1, maxLength: 5 }
    );
    fc.assert(
      fc.property(wordings, (list) => {
        const one = [{ name: 'set', kind: 'wanted' as const, wordings: list.map((text) => text.trim()), note: '' }];
        expect(readSets(writeSetsCsv(one))).toEqual(one);
        expect(readSets(writeSetsJson(one))).toEqual(one);
      })
    );
  });

  it('start no formula in a spreadsheet', () => {
    const cells = writeSetsCsv(sets).split(/\r\n|,/);
    expect(cells.filter((cell) => /^"?[=+\-@]/.test(cell))).toEqual([]);
    expect(writeSetsCsv(sets)).toContain("'=SUM(A1)");
  });

  it('are read from a CSV made elsewhere', () => {
    expect(readSets('\ufeffSet;Wording\nheads;Head of Quality\nHeads;QA\n')).toEqual([
      { name: 'heads', kind: 'wanted', wordings: ['Head of Quality', 'QA'], note: '' }
    ]);
  });

  it.each([
    ['', /empty/],
    ['{"name":', /looks like JSON but isn’t valid/],
    ['name,words\na,b', /needs a header row/],
    ['set,wording\n"a,b', /cannot be read/],
    ['[{"name":"two words","kind":"wanted","wordings":["a"]}]', /In the set “two words”/],
    ['set,wording\nheads,&&&', /In the set “heads”/],
    ['[1]', /set/]
  ])('refuse %j in a sentence', (text, sentence) => expect(() => readSets(text)).toThrow(sentence));
});
