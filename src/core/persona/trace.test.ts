import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { layOut } from '../language/outline';
import { buildString } from './build-string';
import { personaSchema } from './persona';
import { originsOf, termKey, traced } from './trace';
import type { WordSet } from './word-set';

const persona = personaSchema.parse({
  titles: ['Head of Quality'],
  bands: [{ from: 1, to: 49, titles: ['Owner'] }],
  countries: ['DK'],
  mustHave: ['cold chain'],
  notFirms: ['Polderkoel B.V.'],
  notIndustries: ['86'],
  notCountries: ['Germany'],
  mustNot: ['intern']
});
const set = (name: string, ...texts: string[]): WordSet => ({
  id: name,
  name,
  wordings: texts.map((text) => ({ text, origin: 'typed', inUse: true })),
  refused: []
});
const sets = [set('Head of Quality', 'Head of Quality', 'Kvalitetschef'), set('Owner', 'Owner')];
const origins = originsOf(persona, sets);

describe('the line of the persona a term comes from', () => {
  it.each([
    ['title', 'kvalitetschef', false, { of: 'titles', line: 'Head of Quality' }],
    ['title', '"Head of quality"', false, { of: 'titles', line: 'Head of Quality' }],
    ['headcount', '[1 TO 49]', false, { of: 'size', line: '[1 TO 49]' }],
    ['country', 'Denmark', false, { of: 'countries', line: 'Denmark' }],
    ['any', '"cold chain"', false, { of: 'mustHave', line: 'cold chain' }],
    ['company', 'Polderkoel', true, { of: 'notFirms', line: 'Polderkoel B.V.' }],
    ['industry', '86', true, { of: 'notIndustries', line: '86' }],
    ['country', 'Germany', true, { of: 'notCountries', line: 'Germany' }],
    ['any', 'intern', true, { of: 'mustNot', line: 'intern' }],
    ['any', 'intern', false, undefined],
    ['company', 'Polderkoel', false, undefined]
  ])('%s:%s', (scope, text, excluded, origin) => expect(origins.get(termKey(scope, text, excluded))).toEqual(origin));

  it('is known for every term of the string that persona and wordings make, and for none added by hand', () => {
    const text = layOut(buildString(persona, sets)!);
    expect(traced(parse(text).query!, origins).byHand).toBe(0);
    const { counts, byHand } = traced(parse(`${text}\nNOT student`).query!, origins);
    expect(byHand).toBe(1);
    expect(counts).toEqual({
      titles: 3,
      size: 1,
      countries: 1,
      mustHave: 1,
      notFirms: 1,
      notIndustries: 1,
      notCountries: 1,
      mustNot: 1
    });
  });
});
