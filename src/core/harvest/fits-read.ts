import { wilson, type Interval } from '../measure/wilson';

/** What was judged: fits in all, and of a random sample of everybody the fits and misses. */
export interface Judged {
  people: number;
  fits: number;
  sampledFits: number;
  sampledMisses: number;
}

/** How many fits there are, by the random sample, and what share of them was read; null while nobody of it is judged. */
export function fitsRead({ people, fits, sampledFits, sampledMisses }: Judged): {
  there: Interval | null;
  recall: Interval | null;
} {
  const sampled = sampledFits + sampledMisses;
  if (!sampled) return { there: null, recall: null };
  const share = wilson(sampledFits, sampled, people);
  // Those who were read are there for certain.
  const there = { low: Math.max(fits, share.low * people), high: Math.max(fits, share.high * people) };
  const of = (all: number) => (all ? fits / all : 1);
  return { there, recall: { low: of(there.high), high: of(there.low) } };
}
