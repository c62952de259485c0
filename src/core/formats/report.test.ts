import { describe, expect, it } from 'vitest';
import { precisionOf } from '../measure/precision';
import { readCsvRecords } from './csv';
import { reportCsv, reportMarkdown, unseenOf, type Report } from './report';

const precision = precisionOf(['fit', 'fit', 'fit', 'miss'], 900);
const report: Report = {
  brief: 'Loggers *north* <b>',
  persona: 'Heads of quality at pharma wholesalers.',
  made: '2026-11-25T10:00:00.000Z',
  certainOnly: false,
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
      figures: {
        reported: { low: 2850, middle: 2900, high: 2949 },
        shown: 1000,
        certain: 700,
        possible: 900,
        estimated: {
          certain: { low: 1950, middle: 2030, high: 2100 },
          possible: { low: 2560, middle: 2610, high: 2650 }
        },
        precision: { certain: precisionOf(['fit'], 700), possible: precision },
        fits: { certain: null, possible: { low: 100, middle: 2174, high: 2800 } }
      },
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
    expect(text).toContain('- precision: 75% (');
    expect(text).toContain('- not seen: 1,850 to 1,949 rows beyond what the source shows');
    expect(text).toContain('- shown: 1,000; certain 700, possible 200');
    expect(text).toContain('- estimated result: about 2,610 (2,560 to 2,650)');
    expect(reportMarkdown({ ...report, certainOnly: true })).toContain('- estimated result: about 2,030');
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
      'reported high': '2949',
      'estimated result': '2610',
      certain: '700',
      possible: '200',
      'figures of': 'possible'
    });
  });
  it('names nobody as unseen where all were shown', () =>
    expect(
      unseenOf({ figures: { ...report.entries[0]!.figures, reported: { low: 5, middle: 7, high: 9 }, shown: 9 } })
    ).toEqual({ low: 0, high: 0 }));

  it('says which part of a result was read by hand', () => {
    const [entry] = report.entries;
    const read = (part: 'top' | 'pages') =>
      reportMarkdown({ ...report, entries: [{ ...entry!, figures: { ...entry!.figures, part } }] });
    expect(reportMarkdown(report)).not.toContain('read by hand');
    expect(read('top')).toContain('- read by hand from the top only');
    expect(read('pages')).toContain('- read by hand on pages drawn through the depth');
  });
});
