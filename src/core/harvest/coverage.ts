import type { Interval } from '../measure/wilson';

/** How far one slice is, as far as coverage goes by it. */
export interface SliceState {
  id: string;
  parent: string | null;
  state: 'waiting' | 'read' | 'cut' | 'stuck' | 'left out';
  /** The count that the source reported, as its way of counting allows; null before it was asked. */
  reported: Interval | null;
  /** How many it should have, as it was planned. */
  expected: number | null;
  /** Rows that came, and of these the people whom no slice before had brought. */
  rows: number;
  fresh: number;
  /** A fact was cut by for which nobody can be asked who lacks it. */
  lost: { expected: number } | null;
  /** It was asked again with neutral words: its parts are no cut of it, and what they bring comes on top. */
  neutral?: boolean;
}

const between = (low: number, high: number): Interval => ({ low: Math.max(0, low), high: Math.max(0, high) });
const add = (a: Interval, b: Interval): Interval => ({ low: a.low + b.low, high: a.high + b.high });

/**
 * How many rows of a source's result did not come, by its slices: what stands beyond what is shown of those that could not be
 * cut further, what is not read yet or left out, and those whom no part of a cut can be asked for. What a slice was planned with is
 * taken for up to twice as many.
 */
export function missingRows(all: readonly SliceState[]): Interval {
  const slices = withWordsJoined(all);
  const children = new Map<string, SliceState[]>();
  for (const slice of slices)
    if (slice.parent !== null) children.set(slice.parent, [...(children.get(slice.parent) ?? []), slice]);
  const open = slices.reduce<Interval>(
    (sum, slice) => {
      if (slice.state === 'cut') return slice.lost ? add(sum, lostOf(slice, children.get(slice.id) ?? [])) : sum;
      if (slice.state === 'read') return sum;
      if (slice.reported === null) return add(sum, between(0, 2 * (slice.expected ?? 0)));
      const { low, high } = slice.reported;
      return add(sum, between(low - slice.rows, high - slice.rows));
    },
    { low: 0, high: 0 }
  );
  if (open.high === 0) return open;
  // No more can be missing than the whole has beyond what came; of one search, no fewer either.
  const wholes = slices.filter(({ parent }) => parent === null);
  const told = wholes.flatMap(({ reported }) => reported ?? []);
  if (told.length < wholes.length) return open;
  const came = slices.reduce((sum, { fresh }) => sum + fresh, 0);
  const whole = told.reduce(add, { low: 0, high: 0 });
  const beyond = between(whole.low - came, whole.high - came);
  const low = wholes.length === 1 ? Math.max(open.low, beyond.low) : open.low;
  const high = Math.min(open.high, beyond.high);
  return { low: Math.min(low, high), high };
}

/** Searches that were asked again with words as one slice each, with all that came of them. */
function withWordsJoined(slices: readonly SliceState[]): SliceState[] {
  const asked = new Set(slices.flatMap(({ id, neutral }) => (neutral ? [id] : [])));
  if (!asked.size) return [...slices];
  const more = new Map<string, number>();
  for (const { parent, fresh } of slices)
    if (parent !== null && asked.has(parent)) more.set(parent, (more.get(parent) ?? 0) + fresh);
  return slices
    .filter(({ parent }) => parent === null || !asked.has(parent))
    .map((slice) => {
      if (!slice.neutral) return slice;
      const came = more.get(slice.id) ?? 0;
      return { ...slice, state: 'stuck', rows: slice.rows + came, fresh: slice.fresh + came };
    });
}

/** Whom the parts of a cut leave out: what the whole has more than they have together, where all of them were asked. */
function lostOf({ reported, lost }: SliceState, parts: readonly SliceState[]): Interval {
  const told = parts.flatMap((part) => part.reported ?? []);
  if (reported === null || told.length < parts.length) return between(0, 2 * lost!.expected);
  const together = told.reduce(add, { low: 0, high: 0 });
  return between(reported.low - together.high, reported.high - together.low);
}
