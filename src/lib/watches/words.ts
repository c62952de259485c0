import { catalogue, type Said } from '$lib/words/catalogue';

export const rhythmFields = catalogue('watches/rhythmFields', {
  repeat: 'Repeat',
  byRule: 'by a rule',
  at: 'at',
  rfc5545Rule: 'RFC 5545 rule',
  freqMonthlyByday1mo: 'FREQ=MONTHLY;BYDAY=1MO'
});

export const runsChart = catalogue('watches/runsChart', {
  peopleFound: 'People found',
  peopleAtEachRunDottedLine: 'People at each run; a dotted line marks a break in the series',
  peopleFoundByOverTimeSame: (name: Said) => `People found by ${name} over time; same figures as in the table`,
  foundLast: (people: Said) => `${people} found last`,
  lineAppearsAfterTwoRuns: 'The line appears after two runs.',
  run: 'Run',
  found: 'Found',
  newText: 'New',
  back: 'Back',
  changed: 'Changed',
  left: 'Left'
});

export const startWatch = catalogue('watches/startWatch', {
  watchThisSearch: 'Watch this search',
  homeTellsYouWhenCheckIs:
    'Home tells you when a check is due. Eave compares what you paste then with all earlier entries and shows who is new and who changed.',
  eaveRunsItAgainOnSchedule: 'Eave runs it again on a schedule and reports only who is new, changed, gone or back.',
  versionAt: (version: Said, sourceName: Said) => `version ${version} at ${sourceName}`
});

export const thresholdFields = catalogue('watches/thresholdFields', {
  reportChangesTo: 'Report changes to',
  smallestHeadcountChange: 'Smallest headcount change, %',
  jobTitle: 'Job title',
  firm: 'Firm',
  country: 'Country',
  place: 'Place',
  headcount: 'Headcount',
  emailAddress: 'Email address',
  personsName: 'Person’s name'
});

export const watchCard = catalogue('watches/watchCard', {
  noChanges: 'no changes',
  allRead: '; all read',
  changes: (many: Said, kind: Said) => `${many} ${kind}`,
  foundAt: (changes: Said, people: Said, when: Said) => `${changes}; ${people} found, ${when}`,
  unread: (unread: Said) => `${unread} unread`,
  next: (nextAt: Said, rule: Said) => `Next ${nextAt}, ${rule}.`,
  itsScheduleHasEnded: 'Its schedule has ended.',
  paused: 'Paused.',
  check: (sourceName: Said) => `Check ${sourceName}`,
  copySearchAndPasteResultsNew: ': copy the search and paste the results; new people appear here.',
  breakInSeries: (join: Said) => `Break in the series: ${join}.`,
  overSeveralRunsSignificantlyMore: 'Over several runs, significantly more people',
  leaveThanJoin: 'leave than join',
  joinThanLeave: 'join than leave',
  stringNowReaches: (reach: Said) => `: the string now reaches ${reach}.`,
  newPeopleJudgedSoFarAre: (fits: Said, judged: Said) => `${fits} of ${judged} new people judged so far are fits`,
  aboutAsManyAsBefore: ', about as many as before',
  newPeopleJudgedSoFarAre2: (fits: Said, judged: Said) =>
    `${fits} of ${judged} new people judged so far are fits: significantly fewer than before.`,
  improveString: 'Improve the string',
  moreActionsForThisWatch: 'More actions for this watch',
  peopleOn: 'People on',
  lookedUpAt: (join: Said, join2: Said) => `, looked up at ${join}: ${join2}`,
  versionAt: (version: Said, sourceName: Said) => `version ${version} at ${sourceName}`,
  runNow: 'Run now',
  pause: 'Pause',
  resume: 'Resume',
  markAllAsRead: 'Mark all as read',
  deleteText: 'Delete',
  atomFeed: 'Atom feed',
  jsonFeed: 'JSON feed',
  calendar: 'Calendar',
  address: (word: Said, name: Said) => `the address of the ${word} of ${name}`,
  newAddress: 'New address',
  notRunYet: 'not run yet',
  running: 'running',
  checkDueSince: (dueAt: Said) => `check due since ${dueAt}`,
  failed: (endedAt: Said, problem: Said) => `failed ${endedAt}: ${problem}`
});

export const watchDialog = catalogue('watches/watchDialog', {
  startWatching: 'Start watching',
  cancel: 'Cancel',
  name: 'Name',
  watchingUpdatesAppearOnHome: (trim: Said) => `Watching ${trim}. Updates appear on Home.`,
  home: 'Home'
});

export const watchInbox = catalogue('watches/watchInbox', {
  updatesFromWatches: 'Updates from watches',
  watches: 'Watches',
  updates: 'Updates',
  show: 'Show',
  unread: 'unread',
  all: 'all',
  hidePeopleAlreadyKnown: 'hide people already known',
  updates2: 'Updates',
  notListed: 'not listed',
  noUnreadUpdates: 'No unread updates',
  noUpdatesYet: 'No updates yet',
  peopleWhoAreNewChangedGone: '. People who are new, changed, gone or back appear here.',
  more: 'More',
  addToShortlist: 'Add to shortlist',
  markAsUnread: 'Mark as unread',
  markAsRead: 'Mark as read',
  deleteThisWatch: 'Delete this watch?',
  deleteText: 'Delete',
  thisDeletesWithEverythingItFound: (name: Said) =>
    `This deletes “${name}” with everything it found. Shortlisted people and verdicts are kept. You can’t undo this.`
});

export const watchPeople = catalogue('watches/watchPeople', {
  watchThesePeople: 'Watch these people',
  eaveLooksUpEveryoneOnThis:
    'Eave looks up everyone on this list on a schedule and reports a person when one of these becomes true.',
  reportWhen: 'Report when',
  ruleName: 'Rule name',
  ruleName2: 'rule name',
  when: (name: Said) => `When: ${name}`,
  removeRule: 'Remove rule',
  addRule: 'Add rule',
  ruleIsString: 'A rule is a string.',
  was: 'was.',
  refersToWhatWasListedBefore: 'refers to what was listed before, for example',
  wasCompany: 'was.company:"…"',
  changed: 'changed:',
  takesField: 'takes a field;',
  grown: 'grown:',
  isInPercent: 'is in percent;',
  leaders: 'leaders:',
  isDaysSinceNewLeaderJoined:
    'is days since a new leader joined the firm. Facts a source doesn’t list never trigger a report.',
  changes: (name: Said) => `${name}: changes`
});
