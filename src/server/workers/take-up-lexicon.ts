import { getEnvironmentData } from 'node:worker_threads';
import { takeUpLexicon, type OwnLexicon } from '$core/titles';

/** Under which threads find what the users added to the lexicon, where they added anything. */
export const lexiconKey = 'eave lexicon';

/** Takes up in a thread what the users had added when it was started. */
export function takeUpSpreadLexicon(): void {
  const own = getEnvironmentData(lexiconKey) as OwnLexicon | undefined;
  if (own) takeUpLexicon(own);
}
