import { catalogue, type Said } from '$lib/words/catalogue';

export const rhythmFields = catalogue('watches/rhythmFields', {
  again: 'Repeat',
  byARule: 'by a rule',
  at: 'at',
  ruleOfRfc5545: 'RFC 5545 rule',
  freqMonthlyByday1mo: 'FREQ=MONTHLY;BYDAY=1MO'
});

export const runsChart = catalogue('watches/runsChart', {
  howManyWereFound: 'People found',
  peopleAtEachRunADotted: 'People at each run; a dotted line marks a break in the series',
  peopleFoundByOverTimeThe: (name: Said) => `People found by ${name} over time; same figures as in the table`,
  foundLast: (people: Said) => `${people} found last`,
  afterTwoRunsThereIsA: 'The line appears after two runs.',
  run: 'Run',
  found: 'Found',
  newText: 'New',
  back: 'Back',
  changed: 'Changed',
  left: 'Left'
});

export const startWatch = catalogue('watches/startWatch', {
  watchThisSearch: 'Watch this search',
  homeSaysWhenALookIs:
    'Home tells you when a check is due. Eave compares what you paste then with all earlier entries and shows who is new and who changed.',
  itIsRunAgainByItself: 'Eave runs it again on a schedule and reports only who is new, changed, gone or back.',
  versionAt: (version: Said, sourceName: Said) => `version ${version} at ${sourceName}`
});

export const thresholdFields = catalogue('watches/thresholdFields', {
  reportChangesOf: 'Report changes to',
  smallestChangeOfHeadcountInPercent: 'Smallest headcount change, %',
  jobTitle: 'Job title',
  firm: 'Firm',
  country: 'Country',
  place: 'Place',
  headcount: 'Headcount',
  emailAddress: 'Email address',
  personsName: 'Person’s name'
});

export const watchCard = catalogue('watches/watchCard', {
  unread: (unread: Said) => `${unread} unread`,
  next: (nextAt: Said, rule: Said) => `Next ${nextAt}, ${rule}.`,
  itsRhythmHasEnded: 'Its schedule has ended.',
  switchedOff: 'Paused.',
  lookAt: (sourceName: Said) => `Check ${sourceName}`,
  copyTheSearchPasteWhatIt: ': copy the search and paste the results; new people appear here.',
  aBreakInTheSeries: (join: Said) => `Break in the series: ${join}.`,
  runAfterRunSignificantlyMorePeople: 'Over several runs, significantly more people',
  leaveThanCome: 'leave than join',
  comeThanLeave: 'join than leave',
  theStringReaches: (reach: Said) => `: the string now reaches ${reach}.`,
  ofNewPeopleJudgedSoFar: (fits: Said, judged: Said) => `${fits} of ${judged} new people judged so far are fits`,
  asManyAsBefore: ', about as many as before',
  ofNewPeopleJudgedSoFar2: (fits: Said, judged: Said) =>
    `${fits} of ${judged} new people judged so far are fits: significantly fewer than before.`,
  improveTheString: 'Improve the string',
  moreOfThisWatch: 'More actions for this watch',
  thePeopleOf: 'People on',
  lookedUpAt: (join: Said, join2: Said) => `, looked up at ${join}: ${join2}`,
  versionAt: (version: Said, sourceName: Said) => `version ${version} at ${sourceName}`,
  runNow: 'Run now',
  switchOff: 'Pause',
  switchOn: 'Resume',
  allRead: 'Mark all as read',
  deleteText: 'Delete',
  atomFeed: 'Atom feed',
  jsonFeed: 'JSON feed',
  calendar: 'Calendar',
  theAddressOfTheOf: (word: Said, name: Said) => `the address of the ${word} of ${name}`,
  newAddress: 'New address',
  notRunYet: 'not run yet',
  isBeingRun: 'running',
  aLookIsDueSince: (dueAt: Said) => `check due since ${dueAt}`,
  brokeOff: (endedAt: Said, problem: Said) => `failed ${endedAt}: ${problem}`
});

export const watchDialog = catalogue('watches/watchDialog', {
  beginToWatch: 'Start watching',
  notNow: 'Cancel',
  name: 'Name',
  isWatchedFromNowOnNews: (trim: Said) => `Watching ${trim}. Updates appear on Home.`,
  home: 'Home'
});

export const watchInbox = catalogue('watches/watchInbox', {
  whatWatchesHaveFound: 'Updates from watches',
  watches: 'Watches',
  whatCame: 'Updates',
  show: 'Show',
  unread: 'unread',
  readAndUnread: 'all',
  withoutThoseKnownAlready: 'hide people already known',
  newsARowEach: 'Updates',
  notTold: 'not listed',
  nothingUnread: 'No unread updates',
  nothingYet: 'No updates yet',
  whoeverIsNewChangesLeavesOr: '. People who are new, changed, gone or back appear here.',
  more: 'More',
  keep: 'Add to shortlist',
  unread2: 'Mark as unread',
  read: 'Mark as read',
  deleteThisWatch: 'Delete this watch?',
  deleteForGood: 'Delete',
  goesWithAllThatItHas: (name: Said) =>
    `This deletes “${name}” with everything it found. Shortlisted people and verdicts are kept. You can’t undo this.`
});

export const watchPeople = catalogue('watches/watchPeople', {
  watchThesePeople: 'Watch these people',
  everybodyOnThisListIsLooked:
    'Eave looks up everyone on this list on a schedule and reports a person when one of these becomes true.',
  whenSomebodyIsNews: 'Report when',
  whatItIsCalled: 'Rule name',
  whatItIsCalled2: 'rule name',
  when: (name: Said) => `When: ${name}`,
  takeThisRuleOut: 'Remove rule',
  aRuleOfYourOwn: 'Add rule',
  aRuleIsAString: 'A rule is a string.',
  was: 'was.',
  asksWhatWasToldBeforeAs: 'refers to what was listed before, for example',
  wasCompany: 'was.company:"…"',
  changed: 'changed:',
  goesWithAField: 'takes a field;',
  grown: 'grown:',
  isPerCent: 'is in percent;',
  leaders: 'leaders:',
  daysSinceSomebodyCameWhoLeads:
    'is days since a new leader joined the firm. Facts a source doesn’t list never trigger a report.',
  changes: (name: Said) => `${name}: changes`
});
