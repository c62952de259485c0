import type { Estimate } from '../measure/estimate';
import { possibleOnly, searchesRunInWords, type Figures } from '../measure/figures';
import type { Precision } from '../measure/precision';
import type { Interval } from '../measure/wilson';
import { writeCsv } from './csv';

const exactnessWords = {
  exact: 'asked exactly',
  wider: 'finds more than the string means',
  impossible: 'can’t be searched here'
};
const partWords = {
  top: 'read by hand from the top only: precision speaks of the top, and of the rest nothing is known',
  pages:
    'read by hand on pages drawn through the depth: people of one page are alike, and the interval is as wide as the pages differ'
};
/** Which part of a result was read by hand, in words; null where all that is shown was read. */
export const partReadInWords = ({ part }: Pick<Figures, 'part'>): string | null => (part ? partWords[part] : null);

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
  figures: Figures;
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
  /** The figures are of those who are certain; otherwise of all possible. */
  certainOnly: boolean;
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
    : `${Math.round(share * 100)}% (${Math.round(interval.low * 100)}–${Math.round(interval.high * 100)}%), ${fits} of ${fits + misses} judged`;

/** An estimate as it is written: its middle, and its bounds where they differ. */
export const reportedEstimate = (estimate: Estimate): string =>
  Math.round(estimate.low) === Math.round(estimate.high)
    ? number(estimate.middle)
    : `about ${number(estimate.middle)} (${reportedRange(estimate)})`;

/** What nobody saw: rows beyond what a source shows. */
export const unseenOf = ({ figures: { reported, shown } }: Pick<ReportEntry, 'figures'>): Interval => ({
  low: Math.max(0, reported.low - shown),
  high: Math.max(0, reported.high - shown)
});

/** What the report goes by, of a figure told for the certain and for all possible. */
export const readingOf = ({ certainOnly }: Pick<Report, 'certainOnly'>): 'certain' | 'possible' =>
  certainOnly ? 'certain' : 'possible';

/** How the figures were come by, sentence by sentence. */
export const reportMethod: readonly string[] = [
  'Reported is the count a source gives, with the range that a rounded or guessed count can stand for. Shown are the rows it lets you see.',
  'Certain people match the string by everything the source lists. Possible people have some unknown facts and nothing that contradicts it. The two never overlap.',
  'The estimated result is the reported count times the share of shown rows that match, with both uncertainties included. It is exact if everything was shown.',
  'Precision is the share of fits among judged people in a random sample of everything the source shows, with Wilson’s 95% interval, corrected for small results. Unsure verdicts don’t count.',
  'Estimated fits are the estimated result times precision, with both uncertainties included. This assumes that people not shown are like those shown.',
  'Known-goods are people who must be found: the figure is how many of those in the source were found.'
];

/** A sentence that says which people the figures of a report count. */
export const certainOnlyNote = ({ certainOnly }: Pick<Report, 'certainOnly'>): string =>
  certainOnly
    ? 'Estimated result, precision and fits cover only people who are certain to match.'
    : 'Estimated result, precision and fits cover certain and possible people.';

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
  const reading = readingOf(report);
  lines.push('', certainOnlyNote(report));
  for (const entry of report.entries) {
    const { figures } = entry;
    const unseen = unseenOf(entry);
    const partly = searchesRunInWords(figures);
    lines.push(
      '',
      `## ${plain(entry.source)}: version ${entry.version}${entry.name ? `, ${plain(entry.name)}` : ''}`,
      '',
      ...(entry.note ? [plain(entry.note), ''] : []),
      ...entry.searches.flatMap((search) => [fenced(search), '']),
      ...(partly ? [`- **${partly} run: every figure here is of these alone**`] : []),
      `- reported: ${reportedEstimate(figures.reported)}${entry.exactness === 'exact' ? '' : ` (${exactnessWords[entry.exactness]})`}`,
      `- shown: ${number(figures.shown)}; certain ${number(figures.certain)}, possible ${number(possibleOnly(figures))}`,
      `- estimated result: ${reportedEstimate(figures.estimated[reading])}`,
      `- precision: ${reportedShare(figures.precision[reading])}`,
      ...(figures.part ? [`- ${partWords[figures.part]}`] : []),
      ...(figures.fits[reading] ? [`- estimated fits: ${reportedEstimate(figures.fits[reading])}`] : []),
      ...(entry.known.inSource ? [`- known-goods: ${entry.known.found} of ${entry.known.inSource}`] : []),
      ...(entry.spent ? [`- spent: ${number(entry.spent.amount)} ${plain(entry.spent.unit)}s`] : []),
      `- ${plain(entry.standing)}`,
      `- not seen: ${unseen.high ? `${reportedRange(unseen)} rows beyond what the source shows` : 'nobody'}${figures.outstanding ? `, and all of ${figures.outstanding.of - figures.outstanding.run} searches that were not run` : ''}`,
      ...(entry.leftOver
        ? ['- taken out afterwards, since the source cannot be asked it:', '', fenced(entry.leftOver)]
        : [])
    );
  }
  if (report.agreement)
    lines.push(
      '',
      `Two judges, ${report.agreement.judged} people: Cohen’s kappa ${report.agreement.kappa === null ? 'cannot be computed' : `${report.agreement.kappa.toFixed(2)} (${report.agreement.interval.low.toFixed(2)} to ${report.agreement.interval.high.toFixed(2)})`}.`
    );
  lines.push('', '## How it was measured', '', ...reportMethod.map((sentence) => `- ${sentence}`), '');
  return lines.join('\n');
}

/** The figures of a report as CSV, a row for each source. */
export function reportCsv({ entries, certainOnly }: Report): string {
  const reading = readingOf({ certainOnly });
  return writeCsv(
    [
      'source',
      'version',
      'name',
      'chosen',
      'string',
      'searches',
      'searches run',
      'exactness',
      'reported',
      'reported low',
      'reported high',
      'shown',
      'certain',
      'possible',
      'figures of',
      'estimated result',
      'estimated result low',
      'estimated result high',
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
        entry.figures.outstanding?.run ?? entry.searches.length,
        entry.exactness,
        entry.figures.reported.middle,
        entry.figures.reported.low,
        entry.figures.reported.high,
        entry.figures.shown,
        entry.figures.certain,
        possibleOnly(entry.figures),
        reading,
        entry.figures.estimated[reading].middle,
        entry.figures.estimated[reading].low,
        entry.figures.estimated[reading].high,
        ...precisionCells(entry.figures.precision[reading]),
        entry.figures.fits[reading]?.middle ?? '',
        entry.figures.fits[reading]?.low ?? '',
        entry.figures.fits[reading]?.high ?? '',
        entry.known.found,
        entry.known.inSource,
        entry.spent?.amount ?? '',
        entry.spent?.unit ?? '',
        entry.run
      ].map(String)
    )
  );
}

const precisionCells = ({ fits, misses, unsure, share, interval }: Precision) => [
  fits,
  misses,
  unsure,
  share ?? '',
  share === null ? '' : interval.low,
  share === null ? '' : interval.high
];
