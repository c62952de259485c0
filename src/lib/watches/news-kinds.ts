/** The kinds of news, each with a word, a sign and the colour of its tag. */
export const newsKinds = {
  new: { word: 'new', sign: '+', type: 'teal' },
  back: { word: 'back', sign: '↺', type: 'blue' },
  changed: { word: 'changed', sign: '≠', type: 'purple' },
  left: { word: 'left', sign: '−', type: 'gray' }
} as const;
