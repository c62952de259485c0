import type { OwnLexicon } from './own-lexicon-shape';

let own: OwnLexicon = { functions: [], titles: [], meanings: [] };
/** Counts what was taken up, so that what follows from it is rebuilt. */
let edition = 0;

/** What the users added to the lexicon. */
export const ownLexicon = (): OwnLexicon => own;

/** Takes up what users added, in place of what was taken up before. What has a fault is to be refused before. */
export function takeUpLexicon(added: OwnLexicon): void {
  own = added;
  edition++;
}

/** Something that follows from the lexicon: made when it is first asked for, and again after the lexicon has changed. */
export function fromLexicon<T>(make: () => T): () => T {
  let made: { of: number; value: T } | undefined;
  return () => {
    if (made?.of !== edition) made = { of: edition, value: make() };
    return made.value;
  };
}
