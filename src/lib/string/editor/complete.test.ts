import { CompletionContext } from '@codemirror/autocomplete';
import { EditorState } from '@codemirror/state';
import { describe, expect, it } from 'vitest';
import { complete, type Offers } from './complete';

const offers: Offers = {
  sets: [
    { name: 'quality-heads', kind: 'wanted', wordings: ['a', 'b'] },
    { name: 'never-interns', kind: 'unwanted', wordings: ['intern'] }
  ],
  titles: ['Head of Quality', 'QA'],
  own: ['own.diet', 'own.covers'],
  valuesOf: (scope, begins) =>
    Promise.resolve(
      (
        { 'own.diet': ['vegan', 'vegetarian', 'no pork'], country: ['DK', 'SE'], title: ['QA Lead'] }[
          scope as 'title'
        ] ?? []
      )
        .filter((text) => text.toLowerCase().startsWith(begins.toLowerCase()))
        .map((text, i) => ({ text, people: 1200 - i }))
    )
};
const offered = async (text: string, explicit = false) => {
  const state = EditorState.create({ doc: text });
  const found = await complete(new CompletionContext(state, text.length, explicit), offers);
  return found && { from: found.from, labels: found.options.map(({ label }) => label), options: found.options };
};

describe('completion', () => {
  it('offers word sets after @, with what they hold', async () => {
    const found = (await offered('title:@qu'))!;
    expect(found.from).toBe(6);
    expect(found.labels).toEqual(['@quality-heads', '@never-interns']);
    expect(found.options.map(({ detail }) => detail)).toEqual(['2 wordings', 'to exclude']);
  });

  it('offers scopes, operators and the titles of the brief, quoted where they need it', async () => {
    const found = (await offered('ti'))!;
    expect(found.labels).toEqual(expect.arrayContaining(['title:', 'headcount:', 'AND', 'Head of Quality', 'QA']));
    expect(found.options.find(({ label }) => label === 'Head of Quality')!.apply).toBe('"Head of Quality"');
    expect(found.options.find(({ label }) => label === 'QA')!.apply).toBe('QA');
  });

  it.each([
    ['country:De', 'Denmark'],
    ['country:(Denmark OR Sw', 'Sweden'],
    ['country:("United Kingdom" OR Sw', 'Sweden'],
    ['mail:g', 'good'],
    ['rank:he', 'head'],
    ['industry:4', '46'],
    ['a AND hiring:y', 'yes']
  ])('offers the values of the fact in %s', async (text, value) =>
    expect((await offered(text))!.labels).toContain(value)
  );

  it('writes a country of several words in quotes', async () => {
    const kingdom = (await offered('country:U'))!.options.find(({ label }) => label === 'United Kingdom')!;
    expect(kingdom.apply).toBe('"United Kingdom"');
  });

  it('offers ranges for a number when asked', async () => {
    expect((await offered('headcount:', true))!.labels).toContain('[51 TO 1000]');
    expect((await offered('headcount:', true))!.options.find(({ label }) => label === '[51 TO 1000]')!.apply).toBe(
      '[51 TO 1000]'
    );
  });

  it('keeps silent inside quotes, after one letter, and behind a closed bracket of another scope', async () => {
    expect(await offered('title:"head of qua')).toBeNull();
    expect(await offered('q')).toBeNull();
    expect(await offered('')).toBeNull();
    expect((await offered('country:(Denmark) ti'))!.labels).toContain('title:');
  });

  it('offers own fields, and the values that most people of the chosen sources have, first', async () => {
    expect((await offered('own.di'))!.labels).toContain('own.diet:');
    const diet = (await offered('own.diet:ve'))!;
    expect(diet.from).toBe(9);
    expect(diet.options.map(({ label, detail }) => [label, detail])).toEqual([
      ['vegan', '1,200 people'],
      ['vegetarian', '1,199 people']
    ]);
    expect((await offered('own.diet:(vegan OR no'))!.options[0]!.apply).toBe('"no pork"');
    const country = (await offered('country:D'))!;
    expect(country.options.slice(0, 1).map(({ label, detail }) => [label, detail])).toEqual([
      ['Denmark', 'DK 1,200 people']
    ]);
    expect(country.labels.filter((label) => label === 'Denmark')).toHaveLength(1);
    expect((await offered('title:q'))!.labels).toEqual(['Head of Quality', 'QA', 'QA Lead']);
  });
});
