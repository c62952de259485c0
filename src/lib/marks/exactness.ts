/** How exactly a source can be asked a string: the word shown for it, and what it means. */
export const exactness: Readonly<Record<'exact' | 'wider' | 'impossible', { word: string; means: string }>> = {
  exact: { word: 'exact', means: 'The source finds just those whom the string means.' },
  wider: {
    word: 'finds more',
    means: 'The source cannot be asked all of it, so it finds more people. Eave checks them and takes out the others.'
  },
  impossible: { word: 'cannot be asked', means: 'Nothing of the string can be searched at this source.' }
};
