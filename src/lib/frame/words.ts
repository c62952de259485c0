import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const certainOnly = catalogue('frame/certainOnly', {
  certainOnly: 'Certain only'
});

export const copyButton = catalogue('frame/copyButton', {
  copy: 'Copy',
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

/** What each place is called on the sheet of keys. */
export const keyScopes = catalogue('frame/keyScopes', {
  everywhere: 'Everywhere',
  string: 'String',
  tree: 'Tree of the string',
  trial: 'Trial',
  harvest: 'Harvest',
  shortlist: 'Shortlist',
  inbox: 'Updates from watches'
});

/** What each key does, by place. */
export const keyWords = {
  everywhere: catalogue('frame/keys/everywhere', {
    sheet: 'this list',
    undo: 'undo',
    redo: 'redo',
    step: 'go to a step of the brief'
  }),
  string: catalogue('frame/keys/string', {
    run: 'run on the selected sources',
    complete: 'complete a scope, a value, a title or @ a word set',
    problem: 'next problem',
    fix: 'apply the fix at the cursor'
  }),
  tree: catalogue('frame/keys/tree', {
    up: 'previous part',
    down: 'next part',
    first: 'first part',
    last: 'last part',
    fold: 'collapse it, or its group',
    unfold: 'unfold',
    moveUp: 'move it up, or out of its group',
    moveDown: 'move it down',
    edit: 'edit it',
    add: 'add a part after it, or inside the group',
    exclude: 'exclude it',
    mute: 'disable it',
    kind: 'switch between all of and any of',
    wrap: 'wrap it in a group',
    unwrap: 'unwrap the group',
    remove: 'remove it'
  }),
  trial: catalogue('frame/keys/trial', {
    fit: 'fit',
    miss: 'miss',
    unsure: 'unsure',
    reason: 'reason',
    before: 'previous person',
    after: 'next person',
    ownReason: 'type your own reason',
    note: 'write a note',
    takeBack: 'undo the verdict',
    keep: 'add to shortlist'
  }),
  harvest: catalogue('frame/keys/harvest', {
    fit: 'fit',
    miss: 'miss',
    unsure: 'unsure',
    before: 'previous person',
    after: 'next person',
    next: 'next person to judge: usually the most likely fit, sometimes a random one',
    keep: 'add to shortlist'
  }),
  shortlist: catalogue('frame/keys/shortlist', {
    before: 'previous person',
    after: 'next person',
    choose: 'select the person; with Shift, everyone in between',
    all: 'select everyone matching the filter, or nobody',
    search: 'search',
    leaveOut: 'exclude selected people',
    remove: 'remove selected people from the list',
    close: 'close the card, or clear the selection'
  }),
  inbox: catalogue('frame/keys/inbox', {
    before: 'previous update',
    after: 'next update',
    fit: 'fit',
    miss: 'miss',
    unsure: 'unsure',
    keep: 'add to shortlist',
    read: 'mark as read or unread'
  })
};

export const jsonFile = catalogue('frame/jsonFile', {
  notJson: 'Not JSON',
  notValid: (file: Said, hint: Said) => `${file} is not valid JSON. ${hint} Nothing was changed.`,
  notA: (kind: Said) => `Not a ${kind}`,
  isnt: (file: Said, kind: Said, issue: Said) => `${file} isn’t a ${kind}: ${issue}. Nothing was changed.`
});

export const steps = catalogue('frame/steps', {
  persona: 'Persona',
  wording: 'Wording',
  string: 'String',
  trial: 'Trial',
  compare: 'Compare',
  harvest: 'Harvest',
  shortlist: 'Shortlist',
  empty: 'empty',
  described: 'described',
  inUse: (many: Said) => `${many} in use`,
  version: (number: Said) => `version ${number}`,
  notRunYet: 'not run yet',
  judged: (many: Said) => `${many} judged`,
  versions: (many: number) => plural(many, { one: '1 version', other: `${many} versions` }),
  notStarted: 'not started',
  people: (many: Said) => `${many} people`,
  nobodyYet: 'nobody yet',
  listed: (many: Said) => `${many} listed`
});
