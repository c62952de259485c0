import { describe, expect, it } from 'vitest';
import { parse } from '../language/parse';
import { partsOf } from '../semantics/parts';
import { partName } from './part-name';
import { termKey } from './trace';

const named = (text: string, origins = new Map()) =>
  partsOf(parse(text).query!).map(({ query }) => partName(query, origins));

describe('a part of a string', () => {
  it('is named by what it asks about, in plain words', () => {
    expect(
      named(
        'title:("head of quality" OR QA) AND ("cold chain" OR pharma) AND headcount:[51 TO 1000] AND country:Denmark NOT (intern OR title:software)'
      )
    ).toEqual([
      { asks: 'Who', for: 'head of quality or 1 more' },
      { asks: 'What', for: 'cold chain or 1 more' },
      { asks: 'How big', for: '[51 TO 1000]' },
      { asks: 'Where', for: 'Denmark' },
      { asks: 'Not', for: 'intern or 1 more' }
    ]);
  });
  it('is named by two scopes, or by the line of the persona where there are more', () => {
    expect(named('(title:QA OR rank:director)')[0]!.asks).toBe('Who and which rank');
    const text = '(title:a OR company:b OR c)';
    expect(named(text)[0]!.asks).toBe('Several things');
    const keys = [termKey('title', 'a', false), termKey('company', 'b', false), termKey('any', 'c', false)];
    const origins = new Map(keys.map((key) => [key, { of: 'mustHave' as const, line: '' }]));
    expect(named(text, origins)[0]!.asks).toBe('Keywords');
  });
});
