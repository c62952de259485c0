import { exactnessWords as say } from './words';

type Exactness = 'exact' | 'wider' | 'impossible';
const wordsOf = (exactness: Exactness) => ({
  get word() {
    return say[exactness];
  },
  get means() {
    return say[`${exactness}Means`];
  }
});

/** How exactly a source can be asked a string: the word shown for it, and what it means. */
export const exactness: Readonly<Record<Exactness, { word: string; means: string }>> = {
  exact: wordsOf('exact'),
  wider: wordsOf('wider'),
  impossible: wordsOf('impossible')
};
