import { catalogue, type Said } from '$lib/words/catalogue';

export const certainOnly = catalogue('frame/certainOnly', {
  certainOnly: 'Certain only',
  leavesOutThePeopleOfWhom: 'Leaves out the people of whom the source does not say something that the string asks for.'
});

export const copyButton = catalogue('frame/copyButton', {
  copied: 'Copied',
  notAllowed: 'Not allowed'
});

export const keySheet = catalogue('frame/keySheet', {
  keys: 'Keys'
});

export const refused = catalogue('frame/refused', {
  unforeseenError: 'Unforeseen error'
});

export const ridge = catalogue('frame/ridge', {
  eaveAllBriefs: 'Eave, all briefs',
  eave: 'eave',
  stepsOfThisBrief: 'Steps of this brief',
  eave2: 'Eave',
  briefs: 'Briefs',
  allJobs: 'all jobs',
  library: 'Library',
  sources: 'Sources',
  switchBetweenLightAndDark: 'Switch between light and dark',
  dark: 'dark',
  light: 'light',
  keys: 'Keys'
});

export const layout = catalogue('frame/layout', {
  eave: (name: Said) => `${name} · Eave`,
  eave2: 'Eave'
});

export const errorPage = catalogue('frame/errorPage', {
  notHere: 'Not here',
  thisPageCannotBeShownNow: 'This page cannot be shown now',
  thereIsNoPageAtThis: 'There is no page at this address. Look it over for a slip, or begin with all briefs.',
  allBriefs: 'All briefs',
  tryAgain: 'Try again'
});
