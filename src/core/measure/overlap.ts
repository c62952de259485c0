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
export const maxSets = 6;

/** A part of an overlap with the numbers of its people. */
export interface Meeting {
  sets: number[];
  people: number[];
}

/** Who is found where: every meeting of the sets that has somebody, the largest first. People are numbers. */
export function meetingsOf(sets: readonly Iterable<number>[]): Meeting[] {
  if (sets.length > maxSets) throw new RangeError(`meetingsOf: at most ${maxSets} sets`);
  const members = new Map<number, number>();
  sets.forEach((set, i) => {
    for (const person of set) members.set(person, (members.get(person) ?? 0) | (1 << i));
  });
  const meetings = new Map<number, Meeting>();
  for (const [person, mask] of members) {
    const meeting = meetings.get(mask);
    if (meeting) meeting.people.push(person);
    else meetings.set(mask, { sets: sets.flatMap((_, i) => (mask & (1 << i) ? [i] : [])), people: [person] });
  }
  return [...meetings.values()].sort((a, b) => b.people.length - a.people.length || a.sets.length - b.sets.length);
}

/** The same with how many of each were judged; verdicts by number. */
export const overlapOf = (meetings: readonly Meeting[], verdicts: ReadonlyMap<number, Verdict>): OverlapPart[] =>
  meetings.map(({ sets, people }) => {
    let [fits, misses] = [0, 0];
    for (const person of people) {
      const verdict = verdicts.get(person);
      if (verdict === 'fit') fits++;
      else if (verdict === 'miss') misses++;
    }
    return { sets, people: people.length, fits, misses };
  });
