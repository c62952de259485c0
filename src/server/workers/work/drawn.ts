import type { Person } from '$core/people';
import { drawSample } from '$core/measure';

/** People drawn through a whole list, each with their place in it from 1. */
export function sampleOf(people: readonly Person[], size: number, seed: string) {
  const ranks = drawSample(
    people.map(({ id }) => id),
    size,
    seed
  );
  return ranks.map((rank) => ({ rank, person: people[rank - 1]! }));
}
