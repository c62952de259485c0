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
  /** Rows that came, and of these the people no slice before had brought. */
  rows: number;
  fresh: number;
  /** A fact was cut by for which nobody can be asked who doesn’t have it. */
  lost: { expected: number } | null;
  /** It was asked again with neutral words: its parts are no cut of it, and what they bring comes on top. */
  neutral?: boolean;
}

const between = (low: number, high: number): Interval => ({ low: Math.max(0, low), high: Math.max(0, high) });

/**
 * How many people of a source's result did not come, by its slices: what is beyond the rows shown of those that could not be cut further,
 * what is not read yet or excluded, and those no part of a cut can be asked for. Parts and searches may overlap: nobody is missing
 * who came by another, and what parts have in common is not counted as if it were more people. The interval holds the truth wherever
 * the reported counts do. A slice that was not asked is expected to hold up to twice as many as planned.
 */
export function missingRows(all: readonly SliceState[]): Interval {
  const slices = withWordsJoined(all);
  const children = new Map<string, SliceState[]>();
  for (const slice of slices)
    if (slice.parent !== null) children.set(slice.parent, [...(children.get(slice.parent) ?? []), slice]);
  const came = slices.reduce((sum, { fresh }) => sum + fresh, 0);
  const wholes = slices.filter(({ parent }) => parent === null).map((slice) => reachOf(slice, children, came));
  const missing = wholes.reduce((sum, one) => sum + one.missing.high, 0);
  const reply = wholes.flatMap(({ reported }) => reported ?? []);
  const whole = reply.length < wholes.length ? Infinity : reply.reduce((sum, { high }) => sum + high, 0);
  const high = Math.max(0, Math.min(missing, whole - came));
  // Anybody who is missing from one search may have come by another.
  const low = Math.max(0, ...wholes.map((one) => one.missing.low - (came - one.fresh)));
  return { low: Math.min(low, high), high };
}

/** How far a slice reaches, with all that it was cut into. */
interface Reach {
  reported: Interval | null;
  missing: Interval;
  /** Rows of it and its parts, with repeats; and people that nothing before had brought. */
  rows: number;
  fresh: number;
}

function reachOf(slice: SliceState, children: ReadonlyMap<string, readonly SliceState[]>, came: number): Reach {
  const { reported, state } = slice;
  const parts = (children.get(slice.id) ?? []).map((part) => reachOf(part, children, came));
  const rows = parts.reduce((sum, part) => sum + part.rows, slice.rows);
  const fresh = parts.reduce((sum, part) => sum + part.fresh, slice.fresh);
  const reach = { reported, rows, fresh };
  if (state === 'read') return { ...reach, missing: { low: 0, high: 0 } };
  if (state !== 'cut')
    return {
      ...reach,
      missing: reported
        ? between(reported.low - slice.rows, reported.high - slice.rows)
        : between(0, 2 * (slice.expected ?? 0))
    };
  const inParts = parts.reduce((sum, { missing }) => sum + missing.high, 0);
  const lost = slice.lost ? mostLost(slice, parts) : 0;
  if (!reported) return { ...reach, missing: { low: 0, high: inParts + lost } };
  // Of the whole came at least those who were new by it, and at most all rows, and all people that there are.
  const high = Math.min(inParts + lost, reported.high - fresh);
  return { ...reach, missing: between(Math.min(high, reported.low - Math.min(rows, came)), high) };
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

/** The most people no part of a cut holds. Parts may hold the same people: together they have at least as many as the largest. */
function mostLost({ reported, lost }: SliceState, parts: readonly Reach[]): number {
  if (!reported || parts.some((part) => !part.reported)) return reported ? reported.high : 2 * lost!.expected;
  const largest = Math.max(0, ...parts.map((part) => part.reported!.low));
  const fresh = parts.reduce((sum, part) => sum + part.fresh, 0);
  return Math.max(0, reported.high - Math.max(largest, fresh));
}
