import { describe, expect, it } from 'vitest';
import { personSchema, type Person } from '../people/person';
import { valuesOf } from '../people/values';
import { matchingOf } from './matching';
import { matches } from './matches';
import { parse } from '../language/parse';
import { highlightsOf } from './parts';

const signe: Person = personSchema.parse({
  id: 'p1',
  name: 'Signe Overbeck-Lund',
  jobs: [
    { title: 'QA Lead, Release Trains', company: 'Nordfjeld Systems', from: '2022-01' },
    { title: 'Test Coordinator', company: 'Halvor Retail', to: '2022-01' },
    { title: 'Quality Agent', company: 'Kølehuset', to: 'past' }
  ],
  about: 'Head of nothing. Quality in all managers.',
  country: 'DK',
  industry: '62',
  headcount: 240
});
const holds = (text: string, person = signe) => matches(parse(text).query!, person);

describe('matches', () => {
  it.each([
    ['title:QA', true],
    ['title:quality', false],
    ['pasttitle:quality', true],
    ['"coordinator quality"', false],
    ['"release trains"', true],
    ['"trains release"', false],
    ['trains release', true],
    ['"qa lead release"', true],
    ['company:nordfjeld NOT pastcompany:nordfjeld', true],
    ['country:Denmark', true],
    ['country:dk', true],
    ['country:Sweden', false],
    ['denmark', false],
    ['industry:62', true],
    ['industry:"computer programming"', true],
    ['headcount:[51 TO 1000]', true],
    ['headcount:[* TO 239]', false],
    ['headcount:240', true],
    ['tenure:[* TO *]', false],
    ['NOT tenure:[0 TO 12]', true],
    ['over*', true],
    ['overbeck-lund', true],
    ['title:[1 TO 2]', false]
  ])('%s is %s', (text, expected) => expect(holds(text)).toBe(expected));

  it('compares words as the source does', () => {
    const english = matchingOf({ stemming: 'english', diacritics: 'folded' });
    const under = (text: string) => matches(parse(text).query!, signe, english);
    expect(under('manager')).toBe(true);
    expect(under('"manager"')).toBe(false);
    expect(under('kolehuset')).toBe(true);
    expect(holds('kolehuset')).toBe(false);
  });
});

describe('marks', () => {
  it('are on the words that answer each part', () => {
    const query = parse('title:(QA OR "release trains") AND quality NOT software').query!;
    const values = valuesOf(signe);
    const said = highlightsOf(query, signe).map(
      ({ value, from, to, part }) => `${part} ${values[value]!.field}: ${values[value]!.text.slice(from, to)}`
    );
    expect(said).toEqual(['0 title: QA', '0 title: Release Trains', '1 pasttitle: Quality', '1 about: Quality']);
  });
});
