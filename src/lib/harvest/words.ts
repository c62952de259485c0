import { catalogue, type Said } from '$lib/words/catalogue';

export const budgetFields = catalogue('harvest/budgetFields', {
  noLimit: 'no limit',
  aNumberAbove0OrNothing: 'A number above 0, or nothing',
  requestsADayAtMost: 'Requests per day, at most',
  recordsAtMost: 'Records, at most',
  spendAtMost: 'Spend, at most'
});

export const fitsCurve = catalogue('harvest/fitsCurve', {
  fitsAgainstVerdicts: 'Fits against verdicts',
  n80OfTheFitsTookVerdicts: (judged: Said, asTheyCame: Said) =>
    `80% of the fits took ${judged} verdicts; in the source’s order it would have been ${asTheyCame} (dashed)`,
  nobodyJudgedSoFarIsA: 'no fits judged so far',
  fitsInVerdictsTheTableHas: (fits: Said, verdicts: Said) =>
    `${fits} fits in ${verdicts} verdicts; same figures as in the table`,
  verdicts: 'Verdicts',
  fits: 'Fits',
  asTheyCame: 'Source order'
});

export const harvestCard = catalogue('harvest/harvestCard', {
  thePerson: 'Person',
  whereTheRecordsDisagree: 'Differences between records',
  theRecordsDisagree: 'The records differ.',
  theNewestLeads: (sourceName: Said, seenAt: Said) => `The newest is used: ${sourceName}, ${seenAt}.`,
  inText: (seenAt: Said, join: Said) => `${seenAt}, in ${join}`,
  possibleNotTold: (join: Said) => `possible: ${join} not listed`,
  at: (title: Said, company: Said) => `${title} at ${company}`,
  people: 'people'
});

export const harvestPeople = catalogue('harvest/harvestPeople', {
  peopleGathered: 'People collected',
  theLikelyOnesFirst: 'Most likely fits first',
  asTheyCame: 'Source order',
  learntFromVerdicts: (judged: Said) => `learned from ${judged} verdicts`,
  aFitComesBeforeAMiss: (area: Said) => `: ranks a fit above a miss ${area} of the time`,
  everyFourthToJudgeIsDrawn: '; some people to judge are drawn at random',
  judgeSomeFitsAndSomeMisses: 'Judge some fits and some misses; Eave learns the order from them',
  orderAnew: 'Re-rank',
  wordsInNameTitleFirmOr: 'Search name, title, firm or place',
  wordsInNameTitleFirmPlace: 'name, title, firm or place',
  source: 'Source',
  allSources: 'all sources',
  country: 'Country',
  allCountries: 'all countries',
  verdict: 'Verdict',
  judgedOrNot: 'judged or not',
  notJudged: 'not judged',
  overAnotherHarvest: 'Compared with another harvest',
  inOthersOrNot: 'in any harvest',
  notIn: (name: Said) => `not in ${name}`,
  certainOnly: 'certain only',
  people: (value: Said) => `${value} people`,
  peopleARowEach: 'People',
  drawnAtRandom: 'drawn at random',
  noTitleTold: 'no title listed',
  nobodyByThisFilter: 'No matches.',
  nobodyYetPeopleAreListedEach: 'Nobody yet. People appear here, each once, when the harvest is finished or stopped.',
  more: 'More'
});

export const harvestRoad = catalogue('harvest/harvestRoad', {
  rowsReported: 'rows reported',
  rowsCame: 'rows collected',
  didNot: 'not collected',
  toCome: 'to collect',
  peopleEachOnceAtSeveralSources: (atSeveral: Said) => `people, each counted once; ${atSeveral} at several sources`,
  certainPossible: 'certain · possible',
  judgedFit: (fits: Said) => `judged, ${fits} fits`,
  fitsThereAtLeastRead: (there: Said, atLeast: Said) => `fits in total (${there}); at least ${atLeast} of them read`,
  fitsThereJudgeSomeDrawnAt: 'fits in total: judge some random people first'
});

export const neutralWords = catalogue('harvest/neutralWords', {
  neutralWordsAt: (sourceName: Said, what: Said) => `Neutral words at ${sourceName}, ${what}`,
  peopleCameInRowsOfSearches: (people: Said, rows: Said, length: Said) =>
    `${people} people in ${rows} rows from ${length} searches`,
  peopleInRows: (what: Said, people: Said, rows: Said) => `${what}: ${people} people in ${rows} rows`,
  peopleInRows2: (people: Said, rows: Said) => `${people} people in ${rows} rows`,
  ofSearchesTheDashedLineWould: (length: Said) =>
    `from ${length} searches; the dashed line would mean everybody is new.`,
  aboutOfTheNext100Rows: (share: Said) => `About ${share} of the next 100 rows`,
  good1953TheShareOfRows:
    'Good (1953): the share of rows whose person has come up only once so far. Words favour some people over others, so treat it as a guide.',
  shouldBeNew: 'should be new',
  people: (unseen: Said) => `${unseen} people`,
  chao1984FromHowManyCame:
    'Chao (1984), from how many people came up once and twice, with its 95% interval. Words aren’t independent draws: in tests it was too high in up to one run in five, and too low where some people match none of the words.',
  wereNotSeen: 'not seen yet',
  itStoppedFewAreNew: 'Stopped: few new people.',
  itStoppedAfterTheLastOf: 'Stopped after the last word.',
  whichWordsNext: 'Next words',
  aWordOfYourOwn: 'Your own word',
  askWithIt: 'Search',
  newText: (fresh: Said) => `≈ ${fresh} new`
});

export const sourceSlices = catalogue('harvest/sourceSlices', {
  slices: (sourceName: Said) => `${sourceName}, slices`,
  brokeOff: 'failed',
  says: (reported: Said) => `reports ${reported}`,
  noCountTypedYet: 'no count entered yet',
  notAskedYet: 'not searched yet',
  showsEverybody: 'shows everyone',
  showsOfASearch: (shownCap: Said) => `shows up to ${shownCap} per search`,
  rowsCameInOfSlices: (rows: Said, read: Said, length: Said) => `${rows} rows collected in ${read} of ${length} slices`,
  rowsOf: (what: Said, rows: Said, slice: Said, words: Said) => `${what}: ${rows} rows of ${slice}, ${words}`,
  rowsInOfSlice: (rows: Said, read: Said, length: Said, length2: Said) =>
    `${rows} rows in ${read} of ${length} slice${length2}`,
  byHand: ', manual',
  requests: (requests: Said) => `, ${requests} requests`,
  allOfItCame: 'Everything collected.',
  toCome: (missing: Said) => `${missing} to collect`,
  forS: (restCost: Said, unit: Said) => `, for ${restCost} ${unit}s`,
  didNotCome: (missing: Said) => `${missing} not collected.`,
  whoseIsNotToldComesIn: (scope: Said, expected: Said) => `People with unknown ${scope} are missed: about ${expected}.`,
  runTheNextSearchByHand: (what: Said) => `Run the next search: ${what}`,
  whatWasTypedAndPasted: 'Diary',
  slicesOf: (sourceName: Said, length: Said) => `Slices of ${sourceName} (${length})`,
  slice: 'Slice',
  says2: 'Reported',
  came: 'Collected',
  newText: 'New',
  state: 'Status',
  change: 'Change',
  askedWithNeutralWords: ' · searched with neutral words',
  cutBy: (cutBy: Said) => ` · split by ${cutBy}`,
  leaveOut: 'Exclude',
  takeIn: 'Include',
  join: 'Merge',
  cutBy2: (what: Said) => `Split ${what} by`,
  cutBy3: 'split by…',
  parts: (name: Said, length: Said) => `${name}, ${length} parts`,
  cut: 'Split…',
  copy: 'Copy',
  readToItsEnd: 'fully read',
  longerThanIsShownAndNot: 'over the limit; can’t be split further',
  leftOut: 'excluded'
});

export const startHarvest = catalogue('harvest/startHarvest', {
  startAHarvest: 'Start a harvest',
  aTrialReadsASampleA: 'A trial reads a sample; a harvest collects',
  everybody: 'the whole result',
  homeWhereASourceShowsOnly:
    '. If a source only shows the first part of a long result, Eave splits it into slices that fit and collects each one. For a manual source it gives you the searches one by one.',
  gatherFrom: 'Collect from',
  version: 'Version',
  shows: 'Shows',
  price: 'Price',
  versionAt: (name: Said) => `Version at ${name}`,
  theFirst: (shown: Said) => `the first ${shown}`,
  byHand: ', manual',
  name: 'Name',
  startTheHarvest: 'Start harvest',
  versionWhole: (join: Said) => `Version ${join}, whole result`
});

export const harvestPage = catalogue('harvest/harvestPage', {
  aNewHarvest: 'New harvest',
  harvest: 'Harvest',
  back: 'Back',
  noVersionYet: 'No version yet',
  aHarvestGathersTheWholeResult: 'A harvest collects the whole result of a version.',
  runAString: 'Run a string',
  firstAndJudgeASampleOf: 'first, and judge a sample.',
  andGoesOn: (goesOnAt: Said) => `; resumes ${goesOnAt}`,
  takeAlongAs: 'Export format',
  takeAlong: 'Export…',
  keep: 'Add to shortlist…',
  watch: 'Watch…',
  newHarvest: 'New harvest',
  deleteText: 'Delete',
  limits: 'Limits',
  stop: 'Stop',
  goOn: 'Resume',
  judgeTheNext: 'Judge next',
  whatWentWrongOnTheWay: (length: Said) => `Errors (${length})`,
  limitsOfThisHarvest: 'Limits of this harvest',
  keepAndGoOn: 'Save and resume',
  leaveThem: 'Cancel',
  deleteThisHarvest: 'Delete this harvest?',
  deleteForGood: 'Delete',
  itsPeopleAndSlicesGoThe: 'This deletes its people and slices. Verdicts on them are kept. You can’t undo this.',
  jsonLines: 'JSON Lines',
  trecRun: 'TREC run',
  standsStill: 'paused',
  allIsRead: 'done',
  brokeOff: 'failed'
});
