import { describe, expect, it } from 'vitest';
import { precisionOf } from '../measure/precision';
import { readCsvRecords } from './csv';
import { reportCsv, reportMarkdown, unseenOf, type Report } from './report';

const precision = precisionOf(['fit', 'fit', 'fit', 'miss'], 900);
const report: Report = {
  brief: 'Loggers *north* <b>',
  persona: 'Heads of quality at pharma wholesalers.',
  made: '2026-11-25T10:00:00.000Z',
  people: 1234,
  judged: 4,
  agreement: { judge: 'Berit', judged: 40, kappa: 0.71, interval: { low: 0.5, high: 0.92 } },
  entries: [
    {
      source: 'Harrow Guild',
      version: 2,
      name: '=no software',
      note: 'finds *most*',
      chosen: true,
      text: 'title:QA NOT software',
      searches: ['QA\n```\nNOT software'],
      exactness: 'wider',
      leftOver: 'headcount:[51 TO *]',
      count: { low: 2850, high: 2949 },
      shown: 1000,
      precision,
      estimatedFits: { low: 100, middle: 2174, high: 2800 },
      known: { found: 3, inSource: 5 },
      spent: { amount: 41, unit: 'credit' },
      run: '2026-11-24T10:00:00.000Z',
      standing: 'highest precision of the versions run there'
    }
  ]
};

describe('a report', () => {
  it('as Markdown holds string, evidence and what was not seen, and no text of it is markup', () => {
    const text = reportMarkdown(report);
    expect(text).toContain('# Loggers \\*north\\* \\<b\\>');
    expect(text).toContain('````\nQA\n```\nNOT software\n````');
    expect(text).toContain('- precision: 75 % (');
    expect(text).toContain('- not seen: 1,850 to 1,949 people beyond what the source shows');
    expect(text).toContain('finds \\*most\\*');
    expect(text).toContain('- known-goods: 3 of 5');
    expect(text).toContain('kappa 0.71 (0.50 to 0.92)');
    expect(text).toContain('headcount:[51 TO *]');
  });
  it('as CSV has a row for each source and starts no formula', () => {
    const csv = reportCsv(report);
    expect(csv).toContain("'=no software");
    const [row] = readCsvRecords(csv);
    expect(row).toMatchObject({
      source: 'Harrow Guild',
      name: '=no software',
      precision: '0.75',
      'count high': '2949'
    });
  });
  it('names nobody as unseen where all were shown', () =>
    expect(unseenOf({ count: { low: 5, high: 9 }, shown: 9 })).toEqual({ low: 0, high: 0 }));
});
