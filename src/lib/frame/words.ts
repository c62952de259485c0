import { catalogue, type Said } from '$lib/words/catalogue';

export const certainOnly = catalogue('frame/certainOnly', {
  certainOnly: 'Certain only',
  leavesOutThePeopleOfWhom: 'Hides people for whom the source doesn’t list everything the string asks for.'
});

export const copyButton = catalogue('frame/copyButton', {
  copied: 'Copied',
  notAllowed: 'Couldn’t copy'
});

export const keySheet = catalogue('frame/keySheet', {
  keys: 'Keyboard shortcuts'
});

export const refused = catalogue('frame/refused', {
  unforeseenError: 'Something went wrong'
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
  switchBetweenLightAndDark: 'Switch light and dark theme',
  dark: 'dark',
  light: 'light',
  keys: 'Keyboard shortcuts'
});

export const layout = catalogue('frame/layout', {
  eave: (name: Said) => `${name} · Eave`,
  eave2: 'Eave'
});

export const errorPage = catalogue('frame/errorPage', {
  notHere: 'Page not found',
  thisPageCannotBeShownNow: 'Couldn’t load this page',
  thereIsNoPageAtThis: 'There’s no page at this address. Check it for typos, or start from all briefs.',
  allBriefs: 'All briefs',
  tryAgain: 'Retry'
});
