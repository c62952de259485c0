import type { Precision } from '../measure/precision';
import type { Interval } from '../measure/wilson';
import { writeCsv } from './csv';

/** What is reported of one source: the version to use there, and what speaks for it. */
export interface ReportEntry {
  source: string;
  version: number;
  name: string;
  note: string;
  /** Somebody chose it; otherwise it is the newest that was run there. */
  chosen: boolean;
  /** In Eave's notation, and as the source is to be asked: a text for each search. */
  text: string;
  searches: string[];
  exactness: 'exact' | 'wider' | 'impossible';
  /** What Eave takes out of what comes, since the source cannot be asked it. */
  leftOver: string | null;
  count: Interval;
  shown: number;
  precision: Precision;
  estimatedFits: (Interval & { middle: number }) | null;
  known: { found: number; inSource: number };
  spent: { amount: number; unit: string } | null;
  run: string;
  /** How it stands to the other versions there. */
  standing: string;
}
export interface Report {
  brief: string;
  persona: string;
  made: string;
  entries: ReportEntry[];
  people: number;
  judged: number;
  /** How far two judges agree, where there are two. */
  agreement: { judge: string; judged: number; kappa: number | null; interval: Interval } | null;
}

const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 });
const number = (value: number) => whole.format(value);
export const reportedRange = ({ low, high }: Interval) =>
  Math.round(low) === Math.round(high) ? number(low) : `${number(low)} to ${number(high)}`;
export const reportedShare = ({ share, interval, fits, misses }: Precision) =>
  share === null
    ? 'nobody judged'
    : `${Math.round(share * 100)} % (${Math.round(interval.low * 100)}–${Math.round(interval.high * 100)} %), ${fits} of ${fits + misses} judged`;

/** What nobody saw: people beyond what a source shows. */
export const unseenOf = ({ count, shown }: Pick<ReportEntry, 'count' | 'shown'>): Interval => ({
  low: Math.max(0, count.low - shown),
  high: Math.max(0, count.high - shown)
});

/** How the figures were come by, sentence by sentence. */
export const reportMethod: readonly string[] = [
  'Counts are what each source said, with what a rounded or guessed figure may stand for.',
  'Precision is the share of fits among people judged, out of a sample drawn by lot through the whole depth that the source shows; Wilson’s 95 % interval, corrected for small results. Unsure verdicts are left out of the share.',
  'Estimated fits are count times precision with both uncertainties carried; they take people who were not shown to be like those who were.',
  'Known-goods are people who must be found; told is how many of those the source has were found.'
];

// Signs that begin or make up markup in Markdown (CommonMark 0.31): imported text is never markup.
const plain = (text: string) =>
  text
    .replaceAll(/\s+/g, ' ')
    .replaceAll(/[\\`*_{}[\]()<>!|~&]/g, '\\$&')
    .replace(/^(?=[#+-])/, '\\');
function fenced(text: string): string {
  const longest = Math.max(0, ...(text.match(/`+/g) ?? []).map((run) => run.length));
  const fence = '`'.repeat(Math.max(3, longest + 1));
  return `${fence}\n${text}\n${fence}`;
}

/** A report as Markdown, to be pasted where colleagues read. */
export function reportMarkdown(report: Report): string {
  const lines = [
    `# ${plain(report.brief)}`,
    '',
    plain(report.persona),
    '',
    `${number(report.people)} people seen, ${number(report.judged)} judged. Made on ${report.made.slice(0, 10)}.`
  ];
  for (const entry of report.entries) {
    const unseen = unseenOf(entry);
    lines.push(
      '',
      `## ${plain(entry.source)}: version ${entry.version}${entry.name ? `, ${plain(entry.name)}` : ''}`,
      '',
      ...(entry.note ? [plain(entry.note), ''] : []),
      ...entry.searches.flatMap((search) => [fenced(search), '']),
      `- found: ${reportedRange(entry.count)}${entry.exactness === 'exact' ? '' : ` (${entry.exactness})`}`,
      `- precision: ${reportedShare(entry.precision)}`,
      ...(entry.estimatedFits
        ? [`- fits: about ${number(entry.estimatedFits.middle)} (${reportedRange(entry.estimatedFits)})`]
        : []),
      ...(entry.known.inSource ? [`- known-goods: ${entry.known.found} of ${entry.known.inSource}`] : []),
      ...(entry.spent ? [`- spent: ${number(entry.spent.amount)} ${plain(entry.spent.unit)}s`] : []),
      `- ${plain(entry.standing)}`,
      `- not seen: ${unseen.high ? `${reportedRange(unseen)} people beyond what the source shows` : 'nobody'}`,
      ...(entry.leftOver
        ? ['- taken out afterwards, since the source cannot be asked it:', '', fenced(entry.leftOver)]
        : [])
    );
  }
  if (report.agreement)
    lines.push(
      '',
      `Two judges, ${report.agreement.judged} people: Cohen’s kappa ${report.agreement.kappa === null ? 'cannot be told' : `${report.agreement.kappa.toFixed(2)} (${report.agreement.interval.low.toFixed(2)} to ${report.agreement.interval.high.toFixed(2)})`}.`
    );
  lines.push('', '## How it was measured', '', ...reportMethod.map((sentence) => `- ${sentence}`), '');
  return lines.join('\n');
}

/** The figures of a report as CSV, a row for each source. */
export const reportCsv = ({ entries }: Report): string =>
  writeCsv(
    [
      'source',
      'version',
      'name',
      'chosen',
      'string',
      'searches',
      'exactness',
      'count low',
      'count high',
      'shown',
      'fits',
      'misses',
      'unsure',
      'precision',
      'precision low',
      'precision high',
      'estimated fits',
      'estimated fits low',
      'estimated fits high',
      'known found',
      'known in source',
      'spent',
      'unit',
      'run'
    ],
    entries.map((entry) =>
      [
        entry.source,
        entry.version,
        entry.name,
        entry.chosen ? 'yes' : 'no',
        entry.text,
        entry.searches.length,
        entry.exactness,
        entry.count.low,
        entry.count.high,
        entry.shown,
        entry.precision.fits,
        entry.precision.misses,
        entry.precision.unsure,
        entry.precision.share ?? '',
        entry.precision.share === null ? '' : entry.precision.interval.low,
        entry.precision.share === null ? '' : entry.precision.interval.high,
        entry.estimatedFits?.middle ?? '',
        entry.estimatedFits?.low ?? '',
        entry.estimatedFits?.high ?? '',
        entry.known.found,
        entry.known.inSource,
        entry.spent?.amount ?? '',
        entry.spent?.unit ?? '',
        entry.run
      ].map(String)
    )
  );
