import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const budgetFields = catalogue('harvest/budgetFields', {
  newShare: 'Use neutral words while this many of 100 rows are new',
  none: 'none',
  noLimit: 'no limit',
  numberAbove0OrNothing: 'A number above 0, or nothing',
  requestsPerDayAtMost: 'Requests per day, at most',
  recordsAtMost: 'Records, at most',
  spendAtMost: 'Spend, at most'
});

export const fitsCurve = catalogue('harvest/fitsCurve', {
  fitsAgainstVerdicts: 'Fits against verdicts',
  n80FitsTookVerdictsInSources: (judged: Said, asTheyCame: Said) =>
    `80% of the fits took ${judged} verdicts; in the source’s order it would have been ${asTheyCame} (dashed)`,
  noFitsJudgedSoFar: 'no fits judged so far',
  fitsInVerdictsSameFiguresAs: (fits: Said, verdicts: Said) =>
    `${fits} fits in ${verdicts} verdicts; same figures as in the table`,
  verdicts: 'Verdicts',
  fits: 'Fits',
  sourceOrder: 'Source order'
});

export const harvestCard = catalogue('harvest/harvestCard', {
  whyThisLikely: 'Why this likely',
  speaksFor: 'Speaks for a fit:',
  speaksAgainst: 'Speaks against a fit:',
  person: 'Person',
  differencesBetweenRecords: 'Differences between records',
  recordsDiffer: 'The records differ.',
  newestIsUsed: (sourceName: Said, seenAt: Said) => `The newest is used: ${sourceName}, ${seenAt}.`,
  inText: (seenAt: Said, join: Said) => `${seenAt}, in ${join}`,
  possibleNotListed: (join: Said) => `possible: ${join} not listed`,
  at: (title: Said, company: Said) => `${title} at ${company}`,
  people: 'people'
});

export const harvestPeople = catalogue('harvest/harvestPeople', {
  peopleCollected: 'People collected',
  mostLikelyFitsFirst: 'Most likely fits first',
  sourceOrder: 'Source order',
  learnedFromVerdicts: (judged: Said) => `learned from ${judged} verdicts`,
  ranksFitAboveMissTime: (area: Said) => `: ranks a fit above a miss ${area} of the time`,
  somePeopleToJudgeAreDrawn: '; some people to judge are drawn at random',
  judgeSomeFitsAndSomeMisses: 'Judge some fits and some misses; Eave learns the order from them',
  reRank: 'Re-rank',
  searchNameTitleFirmOrPlace: 'Search name, title, firm or place',
  nameTitleFirmOrPlace: 'name, title, firm or place',
  source: 'Source',
  allSources: 'all sources',
  country: 'Country',
  allCountries: 'all countries',
  verdict: 'Verdict',
  judgedOrNot: 'judged or not',
  notJudged: 'not judged',
  comparedWithAnotherHarvest: 'Compared with another harvest',
  inAnyHarvest: 'in any harvest',
  notIn: (name: Said) => `not in ${name}`,
  certainOnly: 'certain only',
  people: (value: Said) => `${value} people`,
  people2: 'People',
  drawnAtRandom: 'drawn at random',
  noTitleListed: 'no title listed',
  noMatches: 'No matches.',
  nobodyYetPeopleAppearHereEach: 'Nobody yet. People appear here, each once, when the harvest is finished or stopped.',
  more: 'More'
});

export const harvestRoad = catalogue('harvest/harvestRoad', {
  rowsReported: 'rows reported',
  rowsCollected: 'rows collected',
  notCollected: 'not collected',
  toCollect: 'to collect',
  peopleEachCountedOnceAtSeveral: (atSeveral: Said) => `people, each counted once; ${atSeveral} at several sources`,
  certainPossible: 'certain · possible',
  judgedFits: (fits: Said) => `judged, ${fits} fits`,
  fitsInTotalAtLeastThem: (there: Said, atLeast: Said) => `fits in total (${there}); at least ${atLeast} of them read`,
  fitsInTotalJudgeSomeRandom: 'fits in total: judge some random people first'
});

export const neutralWords = catalogue('harvest/neutralWords', {
  neutralWordsAt: (sourceName: Said, what: Said) => `Neutral words at ${sourceName}, ${what}`,
  peopleInRowsFromSearches: (people: Said, rows: Said, length: Said) =>
    `${people} people in ${rows} rows from ${length} searches`,
  peopleInRows: (what: Said, people: Said, rows: Said) => `${what}: ${people} people in ${rows} rows`,
  peopleInRows2: (people: Said, rows: Said) => `${people} people in ${rows} rows`,
  fromSearchesDashedLineWouldMean: (length: Said) =>
    `from ${length} searches; the dashed line would mean everybody is new.`,
  aboutNext100Rows: (share: Said) => `About ${share} of the next 100 rows`,
  good1953ShareRowsWhosePerson:
    'Good (1953): the share of rows whose person has come up only once so far. Words favour some people over others, so treat it as a guide.',
  shouldBeNew: 'should be new',
  people: (unseen: Said) => `${unseen} people`,
  chao1984FromHowManyPeople:
    'Chao (1984), from how many people came up once and twice, with its 95% interval. Words aren’t independent draws: in tests it was too high in up to one run in five, and too low where some people match none of the words.',
  notSeenYet: 'not seen yet',
  stoppedFewNewPeople: 'Stopped: few new people.',
  stoppedAfterLastWord: 'Stopped after the last word.',
  nextWords: 'Next words',
  yourOwnWord: 'Your own word',
  search: 'Search',
  newText: (fresh: Said) => `≈ ${fresh} new`
});

export const sourceSlices = catalogue('harvest/sourceSlices', {
  waits: 'waits',
  cut: 'cut',
  slices: (sourceName: Said) => `${sourceName}, slices`,
  failed: 'failed',
  reports: (reported: Said) => `reports ${reported}`,
  noCountEnteredYet: 'no count entered yet',
  notSearchedYet: 'not searched yet',
  showsEveryone: 'shows everyone',
  showsUpToPerSearch: (shownCap: Said) => `shows up to ${shownCap} per search`,
  rowsCollectedInSlices: (rows: Said, read: Said, length: Said) =>
    `${rows} rows collected in ${read} of ${length} slices`,
  rows: (what: Said, rows: Said, slice: Said, words: Said) => `${what}: ${rows} rows of ${slice}, ${words}`,
  rowsIn: (rows: Said, read: Said, slices: number) =>
    `${rows} rows in ${read} of ${plural(slices, { one: '1 slice', other: `${slices} slices` })}`,
  manual: ', manual',
  requests: (requests: Said) => `, ${requests} requests`,
  everythingCollected: 'Everything collected.',
  toCollect: (missing: Said) => `${missing} to collect`,
  forS: (restCost: Said, unit: Said) => `, for ${restCost} ${unit}s`,
  notCollected: (missing: Said) => `${missing} not collected.`,
  peopleWithUnknownAreMissedAbout: (scope: Said, expected: Said) =>
    `People with unknown ${scope} are missed: about ${expected}.`,
  runNextSearch: (what: Said) => `Run the next search: ${what}`,
  diary: 'Diary',
  slices2: (sourceName: Said, length: Said) => `Slices of ${sourceName} (${length})`,
  slice: 'Slice',
  reported: 'Reported',
  collected: 'Collected',
  newText: 'New',
  status: 'Status',
  change: 'Change',
  searchedWithNeutralWords: ' · searched with neutral words',
  splitBy: (cutBy: Said) => ` · split by ${cutBy}`,
  exclude: 'Exclude',
  include: 'Include',
  merge: 'Merge',
  splitBy2: (what: Said) => `Split ${what} by`,
  splitBy3: 'split by…',
  parts: (name: Said, length: Said) => `${name}, ${length} parts`,
  split: 'Split…',
  copy: 'Copy',
  fullyRead: 'fully read',
  overLimitCantBeSplitFurther: 'over the limit; can’t be split further',
  excluded: 'excluded'
});

export const startHarvest = catalogue('harvest/startHarvest', {
  startHarvest: 'Start a harvest',
  trialReadsSampleHarvestCollects: 'A trial reads a sample; a harvest collects',
  wholeResult: 'the whole result',
  ifSourceOnlyShowsFirstPart:
    '. If a source only shows the first part of a long result, Eave splits it into slices that fit and collects each one. For a manual source it gives you the searches one by one.',
  collectFrom: 'Collect from',
  version: 'Version',
  shows: 'Shows',
  price: 'Price',
  versionAt: (name: Said) => `Version at ${name}`,
  first: (shown: Said) => `the first ${shown}`,
  manual: ', manual',
  name: 'Name',
  startHarvest2: 'Start harvest',
  versionWholeResult: (join: Said) => `Version ${join}, whole result`
});

export const harvestPage = catalogue('harvest/harvestPage', {
  newHarvest: 'New harvest',
  harvest: 'Harvest',
  back: 'Back',
  noVersionYet: 'No version yet',
  harvestCollectsWholeResultVersion: 'A harvest collects the whole result of a version.',
  runString: 'Run a string',
  firstAndJudgeSample: 'first, and judge a sample.',
  resumes: (goesOnAt: Said) => `; resumes ${goesOnAt}`,
  exportFormat: 'Export format',
  exportText: 'Export…',
  addToShortlist: 'Add to shortlist…',
  watch: 'Watch…',
  newHarvest2: 'New harvest',
  deleteText: 'Delete',
  limits: 'Limits',
  stop: 'Stop',
  resume: 'Resume',
  judgeNext: 'Judge next',
  errors: (length: Said) => `Errors (${length})`,
  limitsThisHarvest: 'Limits of this harvest',
  saveAndResume: 'Save and resume',
  cancel: 'Cancel',
  deleteThisHarvest: 'Delete this harvest?',
  deleteText2: 'Delete',
  thisDeletesItsPeopleAndSlices: 'This deletes its people and slices. Verdicts on them are kept. You can’t undo this.',
  jsonLines: 'JSON Lines',
  trecRun: 'TREC run',
  paused: 'paused',
  done: 'done',
  failed: 'failed'
});
