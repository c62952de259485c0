import type { Verdict } from '$core/measure';
import { filterWords as say } from '../words';

/** What a list of people drawn is narrowed by. */
interface One {
  verdict: { verdict: Verdict } | null;
  unlisted: readonly string[];
}
interface Choice {
  words: () => string;
  holds: (one: One) => boolean;
}

export type Shown = 'all' | 'open' | Verdict;
export const verdictsShown: Readonly<Record<Shown, Choice>> = {
  all: { words: () => say.all, holds: () => true },
  open: { words: () => say.open, holds: ({ verdict }) => verdict === null },
  fit: { words: () => say.fit, holds: ({ verdict }) => verdict?.verdict === 'fit' },
  miss: { words: () => say.miss, holds: ({ verdict }) => verdict?.verdict === 'miss' },
  unsure: { words: () => say.unsure, holds: ({ verdict }) => verdict?.verdict === 'unsure' }
};

export type Certainty = 'all' | 'certain' | 'possible';
export const certainties: Readonly<Record<Certainty, Choice>> = {
  all: { words: () => say.certainAndPossible, holds: () => true },
  certain: { words: () => say.certain, holds: ({ unlisted }) => !unlisted.length },
  possible: { words: () => say.possible, holds: ({ unlisted }) => unlisted.length > 0 }
};

/** All matching terms, the most frequent first. */
export function causesOffered(byPerson: ReadonlyMap<string, readonly string[]>): { term: string; people: number }[] {
  const counts = new Map<string, number>();
  for (const terms of byPerson.values()) for (const term of terms) counts.set(term, (counts.get(term) ?? 0) + 1);
  return [...counts]
    .map(([term, people]) => ({ term, people }))
    .sort((a, b) => b.people - a.people || a.term.localeCompare(b.term));
}
