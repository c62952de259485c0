import type { Interval } from './wilson';
import { estimatedFits, precisionOf, type Precision, type Verdict } from './precision';
import { toldApart, verdictsToDecide, type Measured } from './told-apart';

/** One version run at one source. People are numbers that mean the same person at every source, from 0. */
export interface TriedCell {
  version: number;
  sourceId: string;
  count: Interval;
  /** All that can be seen, in the order shown. */
  found: readonly number[];
  /** The places in `found` of those drawn to be judged. */
  sampled: readonly number[];
  /** What the run cost; null where nothing does. */
  spent: number | null;
}

export interface BoardInput {
  cells: readonly TriedCell[];
  /** How many people there are in all. */
  people: number;
  /** The verdict on each person, by number. */
  verdicts: ReadonlyMap<number, Verdict>;
  /** Known-goods that each source has, by number. */
  known: ReadonlyMap<string, readonly number[]>;
}

/** What is known of those whom one finds and others do not. */
export interface OnlyHere {
  people: number;
  fits: number;
  misses: number;
}

export interface BoardCell {
  version: number;
  sourceId: string;
  count: Interval;
  shown: number;
  sampled: number;
  precision: Precision;
  missesPerHundred: number | null;
  estimatedFits: (Interval & { middle: number }) | null;
  /** Known-goods found, of those the source has. */
  known: { found: number; inSource: number };
  /** Whom no other version finds at this source, and whom no other source finds with this version. */
  onlyVersion: OnlyHere;
  onlySource: OnlyHere;
  /** Spent for each fit among those seen. */
  priceOfFit: number | null;
  /** Share of all people judged fit, in any version at any source, whom this finds. */
  pooled: { found: number; of: number };
  /** How it stands to the version with the highest precision at this source. */
  standing: Standing;
}

/**
 * `best`: told apart from every other; `beaten`: told apart from the leader; `open`: not told apart, with the verdicts that
 * would decide between it and `against` (null where even judging all would not); `alone`: nothing to compare with.
 */
export type Standing =
  { is: 'best' | 'beaten' | 'alone' } | { is: 'open'; against: number; decide: { here: number; there: number } | null };

/** Verdicts as small numbers; 0 is none. */
const code = { fit: 1, miss: 2, unsure: 3 } as const;

/** Versions down, sources across: every measure of every pair that was tried. */
export function boardOf({ cells, people, verdicts, known }: BoardInput): BoardCell[] {
  const said = new Uint8Array(people);
  let fits = 0;
  for (const [person, verdict] of verdicts) {
    said[person] = code[verdict];
    if (verdict === 'fit') fits++;
  }
  const mark = new Uint32Array(people);
  const once = cells.map(({ found }, i) => found.filter((person) => mark[person] !== i + 1 && (mark[person] = i + 1)));
  const finders = (group: (cell: TriedCell) => string | number) => {
    const counts = new Map<string | number, Uint16Array>();
    cells.forEach((cell, i) => {
      const key = group(cell);
      let count = counts.get(key);
      if (!count) counts.set(key, (count = new Uint16Array(people)));
      for (const person of once[i]!) count[person]!++;
    });
    return counts;
  };
  const atSource = finders(({ sourceId }) => sourceId);
  const ofVersion = finders(({ version }) => version);
  const only = (found: readonly number[], count: Uint16Array): OnlyHere => {
    const told = { people: 0, fits: 0, misses: 0 };
    for (const person of found) {
      if (count[person] !== 1) continue;
      told.people++;
      if (said[person] === code.fit) told.fits++;
      else if (said[person] === code.miss) told.misses++;
    }
    return told;
  };
  const rows = cells.map((cell, i) => {
    const found = once[i]!;
    const shown = cell.found.length;
    const precision = precisionOf(
      cell.sampled.flatMap((at) => verdicts.get(cell.found[at]!) ?? []),
      shown
    );
    const seenFits = precision.share === null ? 0 : precision.share * shown;
    const here = new Set(known.get(cell.sourceId));
    return {
      version: cell.version,
      sourceId: cell.sourceId,
      count: cell.count,
      shown,
      sampled: cell.sampled.length,
      precision,
      missesPerHundred: precision.share === null ? null : 100 * (1 - precision.share),
      estimatedFits: estimatedFits(cell.count, precision),
      known: { found: found.filter((person) => here.has(person)).length, inSource: here.size },
      onlyVersion: only(found, atSource.get(cell.sourceId)!),
      onlySource: only(found, ofVersion.get(cell.version)!),
      priceOfFit: cell.spent !== null && seenFits > 0 ? cell.spent / seenFits : null,
      pooled: { found: found.reduce((sum, person) => sum + Number(said[person] === code.fit), 0), of: fits }
    };
  });
  return rows.map((row) => ({ ...row, standing: standingOf(row, rows) }));
}

type Row = Omit<BoardCell, 'standing'>;
const measured = ({ precision, shown }: Row): Measured => ({ precision, population: shown });

function standingOf(row: Row, rows: readonly Row[]): Standing {
  const rivals = rows.filter((one) => one.sourceId === row.sourceId && one.precision.share !== null);
  if (row.precision.share === null || rivals.length < 2) return { is: 'alone' };
  const leader = rivals.reduce((best, one) =>
    (one.precision.share! - best.precision.share! || one.version - best.version) > 0 ? one : best
  );
  const isLeader = row === leader;
  if (!isLeader && toldApart(measured(leader), measured(row))) return { is: 'beaten' };
  const other = isLeader ? rivals.find((one) => one !== leader && !toldApart(measured(leader), measured(one))) : leader;
  if (!other) return { is: 'best' };
  const decide = verdictsToDecide(measured(row), measured(other));
  return {
    is: 'open',
    against: other.version,
    decide: decide && { here: decide.first, there: decide.second }
  };
}
