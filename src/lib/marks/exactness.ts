/** How exactly a source can be asked a string: the word shown for it, and what it means. */
export const exactness: Readonly<Record<'exact' | 'wider' | 'impossible', { word: string; means: string }>> = {
  exact: { word: 'exact', means: 'The source finds exactly the people the string describes.' },
  wider: {
    word: 'finds more',
    means: 'This source can’t express the whole string; Eave filters out the extras.'
  },
  impossible: { word: 'can’t be searched here', means: 'This source can’t search any part of the string.' }
};
