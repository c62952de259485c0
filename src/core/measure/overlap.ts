import type { Verdict } from './precision';

/** People found by just some of several sets and by none of the others. */
export interface OverlapPart {
  /** Which sets: their places in the list given, in order. */
  sets: number[];
  people: number;
  fits: number;
  misses: number;
}

/** Sets compared at once, at most. */
export const mostSets = 6;

/** Who is found where: every meeting of the sets that has somebody, the largest first. People are numbers; verdicts by number. */
export function overlapOf(sets: readonly Iterable<number>[], verdicts: ReadonlyMap<number, Verdict>): OverlapPart[] {
  if (sets.length > mostSets) throw new RangeError(`overlapOf: at most ${mostSets} sets`);
  const members = new Map<number, number>();
  sets.forEach((set, i) => {
    for (const person of set) members.set(person, (members.get(person) ?? 0) | (1 << i));
  });
  const parts = new Map<number, OverlapPart>();
  for (const [person, mask] of members) {
    let part = parts.get(mask);
    if (!part) {
      part = { sets: sets.flatMap((_, i) => (mask & (1 << i) ? [i] : [])), people: 0, fits: 0, misses: 0 };
      parts.set(mask, part);
    }
    part.people++;
    const verdict = verdicts.get(person);
    if (verdict === 'fit') part.fits++;
    else if (verdict === 'miss') part.misses++;
  }
  return [...parts.values()].sort((a, b) => b.people - a.people || a.sets.length - b.sets.length);
}
