import { catalogue } from '$lib/words/catalogue';

export const exactnessWords = catalogue('marks/exactness', {
  exact: 'exact',
  exactMeans: 'The source finds exactly the people the string describes.',
  wider: 'finds more',
  widerMeans: 'This source can’t express the whole string; Eave filters out the extras.',
  impossible: 'can’t be searched here',
  impossibleMeans: 'This source can’t search any part of the string.'
});

export const verdictWords = catalogue('marks/verdicts', {
  fit: 'Fit',
  miss: 'Miss',
  unsure: 'Unsure'
});
