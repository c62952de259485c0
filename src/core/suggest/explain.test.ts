import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { people, queries } from '../../../tests/generate/queries-and-people';
import type { Person } from '../people/person';
import { matches } from '../semantics/matches';
import { parse } from '../language/parse';
import { print } from '../language/print';
import { causesOf, explain } from './explain';

const text =
  'title:(QA OR "quality manager") AND (GDP OR pharma) AND headcount:[51 TO 1000] AND country:(Denmark OR Sweden) NOT (intern OR title:software)';
const query = parse(text).query!;
const anna: Person = {
  id: 'a',
  name: 'Anna',
  jobs: [
    { title: 'QA Manager', company: 'Firm' },
    { title: 'Intern', company: 'Pharma House', to: '2019' }
  ],
  country: 'NO',
  headcount: 40
};

describe('why a person was found or not', () => {
  it('is explained part by part, with the words and the fields', () => {
    const { found, parts } = explain(text, query, anna);
    expect(found).toBe(false);
    expect(parts.map(({ met }) => met)).toEqual([true, true, false, false, false]);
    expect(parts[0]!.by).toEqual([{ term: 'title:QA', fields: ['title'] }]);
    expect(parts[1]!.by).toEqual([{ term: 'pharma', fields: ['pastcompany'] }]);
    expect(parts[4]!.by).toEqual([{ term: 'intern', fields: ['pasttitle'] }]);
    expect(explain(text, query, { id: 'x', name: 'X' }).parts[2]!.unlisted).toEqual(['headcount']);
  });

  it('comes with the smallest change that lets them in', () => {
    const { letIn } = explain(text, query, anna);
    expect(letIn!.says).toEqual(['let headcount reach 40', 'add country “Norway”', 'no longer exclude intern']);
    expect(matches(parse(letIn!.text).query!, anna)).toBe(true);
    expect(letIn!.text.replaceAll(/\s+/g, ' ')).toBe(
      'title:(QA OR "quality manager") AND (GDP OR pharma) AND headcount:[40 TO 1000] AND country:(Denmark OR Sweden OR Norway) NOT title:software'
    );
    const buyer: Person = { ...anna, jobs: [{ title: 'Head of GDP', company: 'Firm' }], country: 'DK', headcount: 90 };
    expect(explain(text, query, buyer).letIn!.says).toEqual(['add title “Head of GDP”']);
  });

  it('lets in anybody who it says it lets in, for any string', () => {
    fc.assert(
      fc.property(queries(), people(3), (asked, crowd) => {
        const written = print(asked);
        const read = parse(written).query!;
        for (const person of crowd) {
          const { found, letIn } = explain(written, read, person);
          expect(found).toBe(matches(read, person));
          if (found) expect(letIn).toBeNull();
          else if (letIn) expect(matches(parse(letIn.text).query!, person)).toBe(true);
        }
      }),
      { numRuns: 500 }
    );
  });
});

describe('causes of misses', () => {
  it('are the terms and fields by which they came, the most frequent first', () => {
    const other: Person = { ...anna, id: 'b', about: 'pharma' };
    expect(causesOf(query, [anna, other]).slice(0, 2)).toEqual([
      { part: 0, term: 'title:QA', field: 'title', people: 2 },
      { part: 1, term: 'pharma', field: 'pastcompany', people: 2 }
    ]);
  });
});
