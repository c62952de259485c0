import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Verdict } from '../measure/precision';
import { readQrels, readRuns, writeQrels, writeRuns } from './trec';

describe('qrels', () => {
  // Written by hand after the published format: TOPIC ITERATION DOCUMENT# RELEVANCY, here with what such files hold besides.
  const published =
    '1 0 harrow-guild/hg-1x 1\n1 0  quillbank/qb-7-2\t0\r\n\n1 Q0 hand-3/anna%20str%C3%B6m 2\n1 0 a/b -1\n';
  it('are read as published', () =>
    expect(readQrels(published)).toEqual({
      rows: [
        { sourceId: 'harrow-guild', personId: 'hg-1x', verdict: 'fit' },
        { sourceId: 'quillbank', personId: 'qb-7-2', verdict: 'miss' },
        { sourceId: 'hand-3', personId: 'anna ström', verdict: 'fit' },
        { sourceId: 'a', personId: 'b', verdict: 'unsure' }
      ],
      unread: []
    }));
  it('say of each line why it cannot be read', () =>
    expect(readQrels('1 0 FT911-3 1\n1 0 a/b\n1 0 a/b yes\n1 0 a/%zz 1').unread).toEqual([
      { line: 1, why: 'the document is not written source/record' },
      { line: 2, why: 'it has 3 fields, not 4' },
      { line: 3, why: 'the relevance is no whole number' },
      { line: 4, why: 'the document is not written source/record' }
    ]));
});

describe('runs', () => {
  it('are read as published, and name version and source', () => {
    expect(readRuns('1 Q0 harrow-guild/hg-1x 1 9.5 version-2/harrow-guild\n').rows).toEqual([
      { sourceId: 'harrow-guild', personId: 'hg-1x', version: 2, rank: 1 }
    ]);
    expect(readRuns('1 Q0 a/b 1 9 mine\n1 Q0 a/b 1 9 version-2/c\n1 Q0 a/b x 9 version-2/a').unread).toHaveLength(3);
  });
  it('are ranked by score, the first highest', () => {
    const lines = writeRuns([
      { version: 1, sourceId: 's', personId: 'a', rank: 1 },
      { version: 1, sourceId: 's', personId: 'b', rank: 2 }
    ]).split('\n');
    const scores = lines.slice(0, 2).map((line) => Number(line.split(' ')[4]));
    expect(scores[0]).toBeGreaterThan(scores[1]!);
    expect(lines[0]!.split(' ')).toHaveLength(6);
  });
});

describe('both', () => {
  const id = fc.string({ minLength: 1, unit: 'grapheme' }).filter((text) => text.isWellFormed());
  it('come back as they left', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ sourceId: id, personId: id, verdict: fc.constantFrom<Verdict>('fit', 'miss', 'unsure') })),
        (rows) => {
          expect(readQrels(writeQrels(rows))).toEqual({ rows, unread: [] });
          const run = rows.map(({ sourceId, personId }, i) => ({ sourceId, personId, version: 3, rank: i + 1 }));
          expect(readRuns(writeRuns(run))).toEqual({ rows: run, unread: [] });
        }
      )
    );
  });
  it('never break on any text', () => {
    fc.assert(fc.property(fc.string(), (text) => void [readQrels(text), readRuns(text)]));
  });
});
