import { countBits, countChanged, emptyBitmap, hasBit, rowsOf, setBit, type Bitmap } from '../corpus/bitmap';
import type { JudgedCount, PeopleSets } from '../measure/term-ledger';
import { wilson, type Interval } from '../measure/wilson';
import type { Query } from '../language/query';

/** What a change does at one source. */
export interface Effect {
  /** People found before and after. */
  before: number;
  after: number;
  removed: number;
  added: number;
  /** Judged people who no longer come, and who come again. */
  gone: JudgedCount;
  come: JudgedCount;
  /** Judged people found before. */
  judged: JudgedCount;
  /** Share of all judged misses that go, and of all judged fits that are lost; null where none was judged. */
  missesRemoved: (Interval & { share: number }) | null;
  fitsLost: (Interval & { share: number }) | null;
  precision: { before: number | null; after: number | null };
}

/** A source whose people are judged, as sets. */
export interface JudgedSource {
  people: PeopleSets;
  fits: Bitmap;
  misses: Bitmap;
}

/** What going from one query to another does among the people of a source. */
export const effectOf = (before: Query, after: Query, source: JudgedSource): Effect =>
  effectOfSets(source.people.rows(before), source.people.rows(after), source);

/** The same, of the people found before and after. */
export function effectOfSets(had: Bitmap, has: Bitmap, source: JudgedSource): Effect {
  const { before, judged: then } = foundOf(had, source);
  const { gone: removed, come: added } = countChanged(had, has);
  const gone = judgedIn(source, (row) => hasBit(had, row) && !hasBit(has, row));
  const come = judgedIn(source, (row) => hasBit(has, row) && !hasBit(had, row));
  const now = { fits: then.fits - gone.fits + come.fits, misses: then.misses - gone.misses + come.misses };
  const share = (part: number, whole: number) => (whole ? { share: part / whole, ...wilson(part, whole) } : null);
  const precision = (judged: JudgedCount) =>
    judged.fits + judged.misses ? judged.fits / (judged.fits + judged.misses) : null;
  return {
    before,
    after: before - removed + added,
    removed,
    added,
    gone,
    come,
    judged: then,
    missesRemoved: share(gone.misses, then.misses),
    fitsLost: share(gone.fits, then.fits),
    precision: { before: precision(then), after: precision(now) }
  };
}

/** The judged are few: their rows are gone through, and not the sets of everybody. */
const judgedRows = new WeakMap<JudgedSource, { fits: number[]; misses: number[] }>();

function judgedIn(source: JudgedSource, isIn: (row: number) => boolean): JudgedCount {
  let rows = judgedRows.get(source);
  if (!rows) judgedRows.set(source, (rows = { fits: rowsOf(source.fits), misses: rowsOf(source.misses) }));
  return { fits: rows.fits.filter(isIn).length, misses: rows.misses.filter(isIn).length };
}

const founds = new WeakMap<JudgedSource, { set: Bitmap; before: number; judged: JudgedCount }>();

/** How many a set holds, and how many judged: every candidate is compared with the same one. */
function foundOf(set: Bitmap, source: JudgedSource): { before: number; judged: JudgedCount } {
  let found = founds.get(source);
  if (found?.set !== set)
    founds.set(source, (found = { set, before: countBits(set), judged: judgedIn(source, (row) => hasBit(set, row)) }));
  return found;
}

/** Sets of judged people by row, for `measure`: `rowOf` is where a person is in the source, undefined where they do not. */
export function judgedSource(
  people: PeopleSets,
  verdicts: Iterable<{ id: string; fit: boolean }>,
  rowOf: (id: string) => number | undefined
): JudgedSource {
  const [fits, misses] = [emptyBitmap(people.size), emptyBitmap(people.size)];
  for (const { id, fit } of verdicts) {
    const row = rowOf(id);
    if (row !== undefined) setBit(fit ? fits : misses, row);
  }
  return { people, fits, misses };
}
