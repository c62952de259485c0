import { getEnvironmentData } from 'node:worker_threads';
import type { OwnLexicon } from '$core/titles';

/** Under which threads find what the users added to the lexicon, where they added anything. */
export const lexiconKey = 'eave lexicon';

/** Takes up in a thread what the users had added when it was started. */
export async function takeUpSpreadLexicon(): Promise<void> {
  const own = getEnvironmentData(lexiconKey) as OwnLexicon | undefined;
  // Loaded where it is needed alone: a thread is soon started.
  if (own) (await import('$core/titles')).takeUpLexicon(own);
}
