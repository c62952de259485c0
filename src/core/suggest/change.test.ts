import { describe, expect, it } from 'vitest';
import { equivalent } from '../semantics/equivalent';
import { setQueries } from '../language/named-sets';
import { parse } from '../language/parse';
import { applyChanges } from './change';
import type { Change } from './change-schema';

const span = (text: string, part: string) => {
  const from = text.indexOf(part);
  return { from, to: from + part.length };
};
const one = (text: string) => text.replaceAll(/\s+/g, ' ');

describe('changes of a string', () => {
  const text = 'title:(QA OR "quality manager") AND GDP AND headcount:[51 TO 1000] NOT intern';
  it.each<[string, Change, string]>([
    [
      'exclude',
      { kind: 'exclude', scope: 'title', text: 'software' },
      'title:(QA OR "quality manager") AND GDP AND headcount:[51 TO 1000] NOT (intern OR title:software)'
    ],
    [
      'exclude a phrase',
      { kind: 'exclude', scope: 'any', text: 'test lead' },
      'title:(QA OR "quality manager") AND GDP AND headcount:[51 TO 1000] NOT (intern OR "test lead")'
    ],
    [
      'rescope',
      { kind: 'rescope', at: span(text, 'GDP'), scope: 'title' },
      'title:(QA OR "quality manager") AND title:GDP AND headcount:[51 TO 1000] NOT intern'
    ],
    [
      'drop',
      { kind: 'drop', at: span(text, 'QA') },
      'title:"quality manager" AND GDP AND headcount:[51 TO 1000] NOT intern'
    ],
    [
      'drop an exclusion',
      { kind: 'drop', at: span(text, 'intern') },
      'title:(QA OR "quality manager") AND GDP AND headcount:[51 TO 1000]'
    ],
    [
      'narrow',
      {
        kind: 'narrow',
        at: span(text, 'QA'),
        one: [
          { scope: 'any', text: 'pharma' },
          { scope: 'any', text: 'food' }
        ]
      },
      'title:((QA AND any:(pharma OR food)) OR "quality manager") AND GDP AND headcount:[51 TO 1000] NOT intern'
    ],
    [
      'add to a group',
      { kind: 'add', at: span(text, 'QA'), scope: 'title', text: 'RP' },
      'title:(QA OR RP OR "quality manager") AND GDP AND headcount:[51 TO 1000] NOT intern'
    ],
    [
      'add beside a part',
      { kind: 'add', at: span(text, 'GDP'), scope: 'any', text: 'cold chain' },
      'title:(QA OR "quality manager") AND (GDP OR "cold chain") AND headcount:[51 TO 1000] NOT intern'
    ],
    [
      'widen',
      { kind: 'widen', at: span(text, 'headcount:[51 TO 1000]'), low: 40, high: null },
      'title:(QA OR "quality manager") AND GDP AND headcount:[40 TO *] NOT intern'
    ]
  ])('%s', (_, change, after) => {
    const changed = applyChanges(text, [change]);
    expect(equivalent(parse(changed).query!, parse(after).query!), one(changed)).toBe(true);
  });

  it('quote words that stand by themselves', () => {
    const loose = 'head quality AND denmark';
    expect(
      one(
        applyChanges(loose, [
          { kind: 'quote', at: [span(loose, 'head'), span(loose, 'quality')], scope: 'any', text: 'head quality' }
        ])
      )
    ).toBe('"head quality" AND denmark');
  });

  it('are made one after the other, on places of the text as it was, and leave what is set aside and named sets', () => {
    const sets = setQueries([{ name: 'never', wordings: ['intern', 'student'] }]);
    const written = 'title:(QA OR RP) /* AND Denmark */ NOT @never';
    const changed = applyChanges(
      written,
      [
        { kind: 'exclude', scope: 'any', text: 'software' },
        { kind: 'drop', at: span(written, 'RP') },
        { kind: 'exclude', scope: 'title', text: 'test lead' },
        { kind: 'add', at: span(written, 'QA'), scope: 'title', text: 'quality manager' }
      ],
      sets
    );
    expect(one(changed)).toBe(
      'title:(QA OR "quality manager") /* AND Denmark */ NOT (@never OR software OR title:"test lead")'
    );
  });

  it('exclude from alternatives as a whole', () =>
    expect(one(applyChanges('QA OR RP', [{ kind: 'exclude', scope: 'any', text: 'software' }]))).toBe(
      '(QA OR RP) NOT software'
    ));
});
