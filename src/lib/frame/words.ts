import { catalogue, type Said } from '$lib/words/catalogue';

export const certainOnly = catalogue('frame/certainOnly', {
  certainOnly: 'Certain only'
});

export const copyButton = catalogue('frame/copyButton', {
  copied: 'Copied',
  couldntCopy: 'Couldn’t copy'
});

export const keySheet = catalogue('frame/keySheet', {
  keyboardShortcuts: 'Keyboard shortcuts'
});

export const refused = catalogue('frame/refused', {
  somethingWentWrong: 'Something went wrong'
});

export const ridge = catalogue('frame/ridge', {
  eaveAllBriefs: 'Eave, all briefs',
  eave: 'eave',
  stepsThisBrief: 'Steps of this brief',
  eave2: 'Eave',
  briefs: 'Briefs',
  allJobs: 'all jobs',
  library: 'Library',
  sources: 'Sources',
  switchLightAndDarkTheme: 'Switch light and dark theme',
  dark: 'dark',
  light: 'light',
  keyboardShortcuts: 'Keyboard shortcuts',
  terms: 'Terms'
});

export const layout = catalogue('frame/layout', {
  eave: (name: Said) => `${name} · Eave`,
  eave2: 'Eave'
});

export const errorPage = catalogue('frame/errorPage', {
  pageNotFound: 'Page not found',
  couldntLoadThisPage: 'Couldn’t load this page',
  theresNoPageAtThisAddress: 'There’s no page at this address. Check it for typos, or start from all briefs.',
  allBriefs: 'All briefs',
  retry: 'Retry'
});
