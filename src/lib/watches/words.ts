import { catalogue, type Said } from '$lib/words/catalogue';

export const rhythmFields = catalogue('watches/rhythmFields', {
  again: 'Again',
  byARule: 'by a rule',
  at: 'at',
  ruleOfRfc5545: 'Rule of RFC 5545',
  freqMonthlyByday1mo: 'FREQ=MONTHLY;BYDAY=1MO'
});

export const runsChart = catalogue('watches/runsChart', {
  howManyWereFound: 'How many were found',
  peopleAtEachRunADotted: 'people at each run; a dotted line is a break in the series',
  peopleFoundByOverTimeThe: (name: Said) => `People found by ${name} over time; the table has the same figures`,
  foundLast: (people: Said) => `${people} found last`,
  afterTwoRunsThereIsA: 'After two runs there is a line.',
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
    'Home says when a look is due. Whatever you then paste here is held against all earlier entries: who is new and who changed is told.',
  itIsRunAgainByItself: 'It is run again by itself, and tells only who is new, who changed, who left and who is back.',
  versionAt: (version: Said, sourceName: Said) => `version ${version} at ${sourceName}`
});

export const thresholdFields = catalogue('watches/thresholdFields', {
  reportChangesOf: 'Report changes of',
  smallestChangeOfHeadcountInPercent: 'Smallest change of headcount, in percent',
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
  itsRhythmHasEnded: 'Its rhythm has ended.',
  switchedOff: 'Switched off.',
  lookAt: (sourceName: Said) => `Look at ${sourceName}`,
  copyTheSearchPasteWhatIt: ': copy the search, paste what it shows; what is new is told here.',
  aBreakInTheSeries: (join: Said) => `A break in the series: ${join}.`,
  runAfterRunSignificantlyMorePeople: 'Run after run, significantly more people',
  leaveThanCome: 'leave than come',
  comeThanLeave: 'come than leave',
  theStringReaches: (reach: Said) => `: the string reaches ${reach}.`,
  ofNewPeopleJudgedSoFar: (fits: Said, judged: Said) => `${fits} of ${judged} new people judged so far fit`,
  asManyAsBefore: ', as many as before',
  ofNewPeopleJudgedSoFar2: (fits: Said, judged: Said) =>
    `${fits} of ${judged} new people judged so far fit: significantly fewer than before.`,
  improveTheString: 'Improve the string',
  moreOfThisWatch: 'More of this watch',
  thePeopleOf: 'The people of',
  lookedUpAt: (join: Said, join2: Said) => `, looked up at ${join}: ${join2}`,
  versionAt: (version: Said, sourceName: Said) => `version ${version} at ${sourceName}`,
  runNow: 'Run now',
  switchOff: 'Switch off',
  switchOn: 'Switch on',
  allRead: 'All read',
  deleteText: 'Delete',
  atomFeed: 'Atom feed',
  jsonFeed: 'JSON feed',
  calendar: 'Calendar',
  theAddressOfTheOf: (word: Said, name: Said) => `the address of the ${word} of ${name}`,
  newAddress: 'New address',
  notRunYet: 'not run yet',
  isBeingRun: 'is being run',
  aLookIsDueSince: (dueAt: Said) => `a look is due since ${dueAt}`,
  brokeOff: (endedAt: Said, problem: Said) => `broke off ${endedAt}: ${problem}`
});

export const watchDialog = catalogue('watches/watchDialog', {
  beginToWatch: 'Begin to watch',
  notNow: 'Not now',
  name: 'Name',
  isWatchedFromNowOnNews: (trim: Said) => `${trim} is watched from now on: news comes to Home.`,
  home: 'Home'
});

export const watchInbox = catalogue('watches/watchInbox', {
  whatWatchesHaveFound: 'What watches have found',
  watches: 'Watches',
  whatCame: 'What came',
  show: 'Show',
  unread: 'unread',
  readAndUnread: 'read and unread',
  withoutThoseKnownAlready: 'without those known already',
  newsARowEach: 'News, a row each',
  notTold: 'not told',
  nothing: 'Nothing',
  whoeverIsNewChangesLeavesOr: ': whoever is new, changes, leaves or comes back is shown here.',
  more: 'More',
  keep: 'Keep',
  unread2: 'Unread',
  read: 'Read',
  deleteThisWatch: 'Delete this watch?',
  deleteForGood: 'Delete for good',
  goesWithAllThatItHas: (name: Said) =>
    `“${name}” goes with all that it has found; people who were kept, and verdicts, stay. This cannot be undone.`
});

export const watchPeople = catalogue('watches/watchPeople', {
  watchThesePeople: 'Watch these people',
  everybodyOnThisListIsLooked:
    'Everybody on this list is looked up again by itself. Somebody is news when one of these begins to hold of them.',
  whenSomebodyIsNews: 'When somebody is news',
  whatItIsCalled: 'What it is called',
  whatItIsCalled2: 'what it is called',
  when: (name: Said) => `When: ${name}`,
  takeThisRuleOut: 'Take this rule out',
  aRuleOfYourOwn: 'A rule of your own',
  aRuleIsAString: 'A rule is a string.',
  was: 'was.',
  asksWhatWasToldBeforeAs: 'asks what was told before, as in',
  wasCompany: 'was.company:"…"',
  changed: 'changed:',
  goesWithAField: 'goes with a field;',
  grown: 'grown:',
  isPerCent: 'is per cent,',
  leaders: 'leaders:',
  daysSinceSomebodyCameWhoLeads:
    'days since somebody came who leads the firm. What a source does not tell makes nobody news.',
  changes: (name: Said) => `${name}: changes`
});
