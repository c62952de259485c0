import type { Verdict } from '../measure/precision';

/**
 * Judgements and results as TREC writes them, a line each with spaces between:
 * qrels `TOPIC ITERATION DOCUMENT# RELEVANCY` (https://trec.nist.gov/data/qrels_eng/) and runs `TOPIC Q0 DOCNO RANK SCORE RUNTAG`
 * (https://trec.nist.gov/pubs/trec16/appendices/A/common.html, both addresses from memory). A document is a record of a source,
 * `source/record`; signs that would end a field are percent-encoded.
 */
export interface QrelsRow {
  sourceId: string;
  personId: string;
  verdict: Verdict;
}
export interface RunRow {
  version: number;
  sourceId: string;
  personId: string;
  /** From 1. */
  rank: number;
}
/** What could be read, and the lines that could not, each with its number and why. */
export interface TrecReading<Row> {
  rows: Row[];
  unread: { line: number; why: string }[];
}

const topic = '1';
/** Relevance of each verdict. What is below 0 was looked at and not decided; programs for evaluation leave it out. */
const relevance: Record<Verdict, number> = { fit: 1, miss: 0, unsure: -1 };

const field = (text: string) => encodeURIComponent(text).replaceAll('%40', '@');
const documentOf = (sourceId: string, personId: string) => `${field(sourceId)}/${field(personId)}`;

function recordOf(document: string): { sourceId: string; personId: string } | null {
  const at = document.indexOf('/');
  if (at < 1 || at === document.length - 1) return null;
  try {
    return {
      sourceId: decodeURIComponent(document.slice(0, at)),
      personId: decodeURIComponent(document.slice(at + 1))
    };
  } catch {
    return null;
  }
}

export const writeQrels = (rows: readonly QrelsRow[]): string =>
  rows
    .map(({ sourceId, personId, verdict }) => `${topic} 0 ${documentOf(sourceId, personId)} ${relevance[verdict]}\n`)
    .join('');

/** Reads qrels back: above 0 is a fit, 0 a miss, below 0 unsure. */
export const readQrels = (text: string): TrecReading<QrelsRow> =>
  readLines(text, 4, ([, , document, reply]) => {
    const record = recordOf(document!);
    if (!record) return 'the document is not written source/record';
    if (!/^-?\d+$/.test(reply!)) return 'the relevance is no whole number';
    const value = Number(reply);
    return { ...record, verdict: value > 0 ? 'fit' : value === 0 ? 'miss' : 'unsure' };
  });

export const writeRuns = (rows: readonly RunRow[]): string =>
  rows
    .map(
      ({ version, sourceId, personId, rank }) =>
        // A higher score is a better place: programs for evaluation sort by it.
        `${topic} Q0 ${documentOf(sourceId, personId)} ${rank} ${1_000_000 - rank} version-${version}/${field(sourceId)}\n`
    )
    .join('');

/** Reads runs back. The tag names version and source, as `writeRuns` writes it. */
export const readRuns = (text: string): TrecReading<RunRow> =>
  readLines(text, 6, ([, , document, rank, score, tag]) => {
    const record = recordOf(document!);
    if (!record) return 'the document is not written source/record';
    if (!/^\d+$/.test(rank!)) return 'the rank is no whole number';
    if (Number.isNaN(Number(score))) return 'the score is no number';
    const named = /^version-(\d+)\/(\S+)$/.exec(tag!);
    if (!named || named[2] !== field(record.sourceId))
      return 'the tag does not name a version and the source of the document, as in version-2/harrow-guild';
    return { ...record, version: Number(named[1]), rank: Number(rank) };
  });

function readLines<Row>(
  text: string,
  columns: number,
  read: (cells: readonly string[]) => Row | string
): TrecReading<Row> {
  const rows: Row[] = [];
  const unread: TrecReading<Row>['unread'] = [];
  text.split(/\r\n|\n|\r/).forEach((line, i) => {
    const cells = line.trim().split(/\s+/);
    if (cells[0] === '') return;
    const row = cells.length === columns ? read(cells) : `it has ${cells.length} fields, not ${columns}`;
    if (typeof row === 'string') unread.push({ line: i + 1, why: row });
    else rows.push(row);
  });
  return { rows, unread };
}
