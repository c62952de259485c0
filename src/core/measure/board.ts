import { figuresOf, spokenOf, type Figures, type JudgedSample, type SearchAnswer } from './figures';
import type { Precision, Verdict } from './precision';
import { chanceOfDifference, holm, verdictsToDecide, type Measured, type Shared } from './precision-difference';

/** One version run at one source. People are numbers that mean the same person at every source, from 0. */
export interface TriedCell {
  version: number;
  sourceId: string;
  /** What each of its searches brought. */
  answers: readonly SearchAnswer[];
  /** A part was left over for Eave to check. */
  checked: boolean;
  /** All possible people that can be seen, in the order shown. */
  found: readonly number[];
  /** The places in `found` of those who are possible and not certain. */
  open: ReadonlySet<number>;
  /** The places in `found` of those drawn to be judged. */
  sampled: readonly number[];
  /** The page that each of `found` stood on, where pages were read by hand. */
  pages?: ArrayLike<number> | null;
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
  /** Only those who are certain are looked at. */
  certain?: boolean;
}

/** What is known of those one finds and others do not. */
export interface OnlyHere {
  people: number;
  fits: number;
  misses: number;
}

export interface BoardCell {
  version: number;
  sourceId: string;
  figures: Figures;
  /** People drawn to be judged, each once. */
  sampled: number;
  missesPerHundred: number | null;
  /** Known-goods found, of those the source has. */
  known: { found: number; inSource: number };
  /** People that no other version finds at this source, and that no other source finds with this version. */
  onlyVersion: OnlyHere;
  onlySource: OnlyHere;
  /** Spent for each fit among those seen. */
  priceOfFit: number | null;
  /** Share of all people judged fit, in any version at any source, that this finds. */
  pooled: { found: number; of: number };
  /** How it stands to the version with the highest precision at this source. */
  standing: Standing;
}

/**
 * `best`: distinguished from every other; `beaten`: distinguished from the leader; `open`: not listed apart, with the verdicts that
 * would decide between it and `against` (null where even judging all would not); `alone`: nothing to compare with.
 */
export type Standing =
  { is: 'best' | 'beaten' | 'alone' } | { is: 'open'; against: number; decide: { here: number; there: number } | null };

/** Verdicts as small numbers; 0 is none. */
const code = { fit: 1, miss: 2, unsure: 3 } as const;

/** Somebody drawn: possible only where `open`, and the page they stood on where pages were read by hand. */
export interface Drawn {
  person: number;
  open: boolean;
  page?: number | undefined;
}

/**
 * The people of a sample who are judged, each once however many records of theirs were drawn; certain where one of these
 * is. `numbers` are the people drawn, `isOpen` says of each place whether it is possible only.
 */
export function judgedSample(drawn: readonly Drawn[], verdicts: ReadonlyMap<number, Verdict>): JudgedSample[] {
  const judged = new Map<number, JudgedSample>();
  for (const { person, open, page } of drawn) {
    const verdict = verdicts.get(person);
    if (!verdict) continue;
    const one = judged.get(person);
    if (one) one.certain ||= !open;
    else judged.set(person, { verdict, certain: !open, page });
  }
  return [...judged.values()];
}

/** A cell as one reading of it is compared: people each once, in the order shown. */
interface Reach {
  found: readonly number[];
  people: ReadonlySet<number>;
  drawn: readonly Drawn[];
  /** Those that no other version finds at this source, and that no other source finds with this version. */
  onlyVersion: readonly number[];
  onlySource: readonly number[];
  known: BoardCell['known'];
}

/** Cells laid beside one another for one reading of them: all of a board that no verdict changes. */
export interface BoardLayout {
  cells: readonly TriedCell[];
  people: number;
  certain: boolean;
  reaches: readonly Reach[];
  /** How many people two cells have in common, by their places in the list; counted when first asked. */
  common: (first: number, second: number) => number;
}

/** Lays cells beside one another. Time and memory: about the people found in all of them together. */
export function layOutBoard({ cells, people, known, certain = false }: Omit<BoardInput, 'verdicts'>): BoardLayout {
  const mark = new Uint32Array(people);
  const found = cells.map(({ found, open }, i) =>
    found.filter((person, at) => !(certain && open.has(at)) && mark[person] !== i + 1 && (mark[person] = i + 1))
  );
  const finders = (group: (cell: TriedCell) => string | number) => {
    const counts = new Map<string | number, Uint16Array>();
    cells.forEach((cell, i) => {
      const key = group(cell);
      let count = counts.get(key);
      if (!count) counts.set(key, (count = new Uint16Array(people)));
      for (const person of found[i]!) count[person]!++;
    });
    return counts;
  };
  const atSource = finders(({ sourceId }) => sourceId);
  const ofVersion = finders(({ version }) => version);
  const only = (list: readonly number[], count: Uint16Array) => list.filter((person) => count[person] === 1);
  const reaches = cells.map((cell, i): Reach => {
    const here = new Set(known.get(cell.sourceId));
    return {
      found: found[i]!,
      people: new Set(found[i]),
      drawn: cell.sampled.map((at) => ({ person: cell.found[at]!, open: cell.open.has(at), page: cell.pages?.[at] })),
      onlyVersion: only(found[i]!, atSource.get(cell.sourceId)!),
      onlySource: only(found[i]!, ofVersion.get(cell.version)!),
      known: { found: found[i]!.filter((person) => here.has(person)).length, inSource: here.size }
    };
  });
  const counted = new Map<number, number>();
  const common = (first: number, second: number) => {
    const pair = first * cells.length + second;
    let count = counted.get(pair);
    if (count === undefined) counted.set(pair, (count = countIn(reaches[first]!.found, reaches[second]!.people)));
    return count;
  };
  return { cells, people, certain, reaches, common };
}

/** Versions down, sources across: every measure of every pair that was tried. */
export const boardOf = ({ verdicts, ...input }: BoardInput): BoardCell[] => measureBoard(layOutBoard(input), verdicts);

/** The measures of cells that are laid out already, by the verdicts given so far. */
export function measureBoard(layout: BoardLayout, verdicts: ReadonlyMap<number, Verdict>): BoardCell[] {
  const { cells, people, certain, reaches } = layout;
  const said = new Uint8Array(people);
  let fits = 0;
  for (const [person, verdict] of verdicts) {
    said[person] = code[verdict];
    if (verdict === 'fit') fits++;
  }
  const only = (list: readonly number[]): OnlyHere => {
    const reply = { people: list.length, fits: 0, misses: 0 };
    for (const person of list) {
      if (said[person] === code.fit) reply.fits++;
      else if (said[person] === code.miss) reply.misses++;
    }
    return reply;
  };
  const mode = certain ? 'certain' : 'possible';
  const rows = cells.map((cell, i) => {
    const { found, drawn, onlyVersion, onlySource, known } = reaches[i]!;
    const figures = figuresOf(cell.answers, cell.checked, judgedSample(drawn, verdicts), {
      certain: cell.found.length - cell.open.size,
      possible: cell.found.length
    });
    const { share } = figures.precision[mode];
    const seenFits = share === null ? 0 : share * found.length;
    return {
      version: cell.version,
      sourceId: cell.sourceId,
      figures,
      sampled: new Set(drawn.filter(({ open }) => !(certain && open)).map(({ person }) => person)).size,
      missesPerHundred: share === null ? null : 100 * (1 - share),
      known,
      onlyVersion: only(onlyVersion),
      onlySource: only(onlySource),
      priceOfFit: cell.spent !== null && seenFits > 0 ? cell.spent / seenFits : null,
      pooled: { found: found.reduce((sum, person) => sum + Number(said[person] === code.fit), 0), of: fits }
    };
  });
  const standings = standingsOf(rows, layout, verdicts, mode);
  return rows.map((row, i) => ({ ...row, standing: standings[i]! }));
}

type Row = Omit<BoardCell, 'standing'>;

/** How each stands to the best at its source: all pairs there are compared together, so that a board is seldom wrong. */
function standingsOf(
  rows: readonly Row[],
  { reaches, common }: BoardLayout,
  verdicts: ReadonlyMap<number, Verdict>,
  mode: 'certain' | 'possible'
): Standing[] {
  const standings = rows.map((): Standing => ({ is: 'alone' }));
  for (const sourceId of new Set(rows.map((row) => row.sourceId))) {
    const rivals = rows.flatMap((row, i) =>
      row.sourceId === sourceId && row.figures.precision[mode].share !== null ? [i] : []
    );
    if (rivals.length < 2) continue;
    const sides = rivals.map((i) => sideOf(rows[i]!, reaches[i]!, verdicts, mode));
    const pairs = sides.flatMap((first, i) =>
      sides.slice(i + 1).map((second, j) => ({ i, j: i + 1 + j, first, second }))
    );
    const between = pairs.map(({ i, j, first, second }) => sharedBy(first, second, common(rivals[i]!, rivals[j]!)));
    const apart = holm(pairs.map(({ first, second }, at) => chanceOfDifference(first, second, between[at])));
    const pairAt = (i: number, j: number) =>
      pairs.findIndex((one) => one.i === Math.min(i, j) && one.j === Math.max(i, j));
    const leader = sides.reduce((best, side, i) => {
      const [now, then] = [side.precision.share!, sides[best]!.precision.share!];
      return now > then || (now === then && rows[rivals[i]!]!.version > rows[rivals[best]!]!.version) ? i : best;
    }, 0);
    const decided = new Map<number, ReturnType<typeof verdictsToDecide>>();
    const undecided = apart.filter((reply) => !reply).length;
    rivals.forEach((row, i) => {
      if (i !== leader && apart[pairAt(i, leader)]) {
        standings[row] = { is: 'beaten' };
        return;
      }
      const other = i === leader ? sides.findIndex((_, j) => j !== leader && !apart[pairAt(j, leader)]) : leader;
      if (other < 0) {
        standings[row] = { is: 'best' };
        return;
      }
      // Worked out once for a pair, whichever of the two is asked about.
      const at = pairAt(i, other);
      const pair = pairs[at]!;
      let decide = decided.get(at);
      if (decide === undefined) {
        decide = verdictsToDecide(pair.first, pair.second, between[at], undecided);
        decided.set(at, decide);
      }
      const [here, there] = pair.i === i ? (['first', 'second'] as const) : (['second', 'first'] as const);
      standings[row] = {
        is: 'open',
        against: rows[rivals[other]!]!.version,
        decide: decide && { here: decide[here], there: decide[there] }
      };
    });
  }
  return standings;
}

interface Side extends Measured {
  people: ReadonlySet<number>;
  judged: ReadonlySet<number>;
  fits: ReadonlySet<number>;
}

function sideOf(
  row: Row,
  { found, people, drawn }: Reach,
  verdicts: ReadonlyMap<number, Verdict>,
  mode: 'certain' | 'possible'
): Side {
  const judged = new Set(
    drawn.flatMap(({ person, open }) => {
      const verdict = mode === 'certain' && open ? undefined : verdicts.get(person);
      return verdict === 'fit' || verdict === 'miss' ? [person] : [];
    })
  );
  return {
    precision: asDraws(row.figures.precision[mode]),
    population: spokenOf(row.figures, mode, found.length),
    people,
    judged,
    fits: new Set([...judged].filter((person) => verdicts.get(person) === 'fit'))
  };
}

/** A precision as so many independent draws would give it: pages drawn whole are worth fewer than the people on them. */
function asDraws(precision: Precision): Precision {
  const { share, draws } = precision;
  if (share === null || draws === undefined) return precision;
  const judged = Math.max(1, Math.floor(draws));
  const fits = Math.round(share * judged);
  return { ...precision, fits, misses: judged - fits };
}

/** The people that two results, and the samples judged of them, have in common; never more than either is worth. */
function sharedBy(first: Side, second: Side, people: number): Shared {
  const worth = ({ precision }: Side) => precision.fits + precision.misses;
  const judged = Math.min(countIn(first.judged, second.judged), worth(first), worth(second));
  const [fits, misses] = (['fits', 'misses'] as const).map((of) =>
    Math.min(first.precision[of], second.precision[of])
  ) as [number, number];
  return {
    judged,
    fits: Math.max(judged - misses, Math.min(judged, countIn(first.fits, second.fits), fits)),
    firstInSecond: Math.min(worth(first), countIn(first.judged, second.people)),
    secondInFirst: Math.min(worth(second), countIn(second.judged, first.people)),
    people
  };
}

function countIn(some: Iterable<number>, others: ReadonlySet<number>): number {
  let count = 0;
  for (const person of some) if (others.has(person)) count++;
  return count;
}
