import { CompletionContext } from '@codemirror/autocomplete';
import { EditorState } from '@codemirror/state';
import { describe, expect, it } from 'vitest';
import { complete, type Offers } from './complete';

const offers: Offers = {
  sets: [
    { name: 'quality-heads', kind: 'wanted', wordings: ['a', 'b'] },
    { name: 'never-interns', kind: 'unwanted', wordings: ['intern'] }
  ],
  titles: ['Head of Quality', 'QA']
};
const offered = (text: string, explicit = false) => {
  const state = EditorState.create({ doc: text });
  const found = complete(new CompletionContext(state, text.length, explicit), offers);
  return found && { from: found.from, labels: found.options.map(({ label }) => label), options: found.options };
};

describe('completion', () => {
  it('offers word sets after @, with what they hold', () => {
    const found = offered('title:@qu')!;
    expect(found.from).toBe(6);
    expect(found.labels).toEqual(['@quality-heads', '@never-interns']);
    expect(found.options.map(({ detail }) => detail)).toEqual(['2 wordings', 'to exclude']);
  });

  it('offers scopes, operators and the titles of the brief, quoted where they need it', () => {
    const found = offered('ti')!;
    expect(found.labels).toEqual(expect.arrayContaining(['title:', 'headcount:', 'AND', 'Head of Quality', 'QA']));
    expect(found.options.find(({ label }) => label === 'Head of Quality')!.apply).toBe('"Head of Quality"');
    expect(found.options.find(({ label }) => label === 'QA')!.apply).toBe('QA');
  });

  it.each([
    ['country:De', 'Denmark'],
    ['country:(Denmark OR Sw', 'Sweden'],
    ['country:("United Kingdom" OR Sw', 'Sweden'],
    ['mail:v', 'verified'],
    ['rank:he', 'head'],
    ['industry:4', '46'],
    ['a AND hiring:y', 'yes']
  ])('offers the values of the fact in %s', (text, value) => expect(offered(text)!.labels).toContain(value));

  it('writes a country of several words in quotes', () => {
    const kingdom = offered('country:U')!.options.find(({ label }) => label === 'United Kingdom')!;
    expect(kingdom.apply).toBe('"United Kingdom"');
  });

  it('offers ranges for a number when asked', () => {
    expect(offered('headcount:', true)!.labels).toContain('[51 TO 1000]');
    expect(offered('headcount:', true)!.options.find(({ label }) => label === '[51 TO 1000]')!.apply).toBe(
      '[51 TO 1000]'
    );
  });

  it('keeps silent inside quotes, after one letter, and behind a closed bracket of another scope', () => {
    expect(offered('title:"head of qua')).toBeNull();
    expect(offered('q')).toBeNull();
    expect(offered('')).toBeNull();
    expect(offered('country:(Denmark) ti')!.labels).toContain('title:');
  });
});
