import { setEnvironmentData } from 'node:worker_threads';
import { ownLexicon, takeUpLexicon, type OwnLexicon } from '$core/titles';
import { tellLexicon } from './people';
import { lexiconKey } from './take-up-lexicon';

/** Takes up what the users added to the lexicon: here, in the threads that run, and in all that are started from now on. */
export function spreadLexicon(own: OwnLexicon): void {
  if (JSON.stringify(own) === JSON.stringify(ownLexicon())) return;
  takeUpLexicon(own);
  setEnvironmentData(lexiconKey, own);
  tellLexicon(own);
}
