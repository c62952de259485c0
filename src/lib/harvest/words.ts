import { catalogue, type Said } from '$lib/words/catalogue';

export const budgetFields = catalogue('harvest/budgetFields', {
  noLimit: 'no limit',
  aNumberAbove0OrNothing: 'A number above 0, or nothing',
  requestsADayAtMost: 'Requests a day, at most',
  recordsAtMost: 'Records, at most',
  spendAtMost: 'Spend, at most'
});

export const fitsCurve = catalogue('harvest/fitsCurve', {
  fitsAgainstVerdicts: 'Fits against verdicts',
  n80OfTheFitsTookVerdicts: (judged: Said, asTheyCame: Said) =>
    `80 % of the fits took ${judged} verdicts; in the order in which the same people came, ${asTheyCame} (dashed)`,
  nobodyJudgedSoFarIsA: 'nobody judged so far is a fit',
  fitsInVerdictsTheTableHas: (fits: Said, verdicts: Said) =>
    `${fits} fits in ${verdicts} verdicts; the table has the same figures`,
  verdicts: 'Verdicts',
  fits: 'Fits',
  asTheyCame: 'As they came'
});

export const harvestCard = catalogue('harvest/harvestCard', {
  thePerson: 'The person',
  whereTheRecordsDisagree: 'Where the records disagree',
  theRecordsDisagree: 'The records disagree.',
  theNewestLeads: (sourceName: Said, seenAt: Said) => `The newest leads: ${sourceName}, ${seenAt}.`,
  inText: (seenAt: Said, join: Said) => `${seenAt}, in ${join}`,
  possibleNotTold: (join: Said) => `possible: ${join} not told`,
  at: (title: Said, company: Said) => `${title} at ${company}`,
  people: 'people'
});

export const harvestPeople = catalogue('harvest/harvestPeople', {
  peopleGathered: 'People gathered',
  theLikelyOnesFirst: 'The likely ones first',
  asTheyCame: 'As they came',
  learntFromVerdicts: (judged: Said) => `learnt from ${judged} verdicts`,
  aFitComesBeforeAMiss: (area: Said) => `: a fit comes before a miss ${area} of the time`,
  everyFourthToJudgeIsDrawn: '; every fourth to judge is drawn at random',
  judgeSomeFitsAndSomeMisses: 'judge some fits and some misses, and the order is learnt from them',
  orderAnew: 'Order anew',
  wordsInNameTitleFirmOr: 'Words in name, title, firm or place',
  wordsInNameTitleFirmPlace: 'words in name, title, firm, place',
  source: 'Source',
  allSources: 'all sources',
  country: 'Country',
  allCountries: 'all countries',
  verdict: 'Verdict',
  judgedOrNot: 'judged or not',
  notJudged: 'not judged',
  overAnotherHarvest: 'Over another harvest',
  inOthersOrNot: 'in others or not',
  notIn: (name: Said) => `not in ${name}`,
  certainOnly: 'certain only',
  people: (value: Said) => `${value} people`,
  peopleARowEach: 'People, a row each',
  drawnAtRandom: 'drawn at random',
  noTitleTold: 'no title told',
  nobodyByThisFilter: 'Nobody by this filter.',
  nobodyYetPeopleAreListedEach:
    'Nobody yet: people are listed, each once, when all has been gathered or the harvest is stopped.',
  more: 'More'
});

export const harvestRoad = catalogue('harvest/harvestRoad', {
  rowsReported: 'rows reported',
  rowsCame: 'rows came',
  didNot: 'did not',
  toCome: 'to come',
  peopleEachOnceAtSeveralSources: (atSeveral: Said) => `people, each once; ${atSeveral} at several sources`,
  certainPossible: 'certain · possible',
  judgedFit: (fits: Said) => `judged, ${fits} fit`,
  fitsThereAtLeastRead: (there: Said, atLeast: Said) => `fits there (${there}); at least ${atLeast} read`,
  fitsThereJudgeSomeDrawnAt: 'fits there: judge some drawn at random'
});

export const neutralWords = catalogue('harvest/neutralWords', {
  neutralWordsAt: (sourceName: Said, what: Said) => `Neutral words at ${sourceName}, ${what}`,
  peopleCameInRowsOfSearches: (people: Said, rows: Said, length: Said) =>
    `${people} people came in ${rows} rows of ${length} searches`,
  peopleInRows: (what: Said, people: Said, rows: Said) => `${what}: ${people} people in ${rows} rows`,
  peopleInRows2: (people: Said, rows: Said) => `${people} people in ${rows} rows`,
  ofSearchesTheDashedLineWould: (length: Said) => `of ${length} searches; the dashed line would be all new.`,
  aboutOfTheNext100Rows: (share: Said) => `About ${share} of the next 100 rows`,
  good1953TheShareOfRows:
    'Good 1953: the share of rows whose people came only once so far. Words draw people unevenly, so it is a guide.',
  shouldBeNew: 'should be new',
  people: (unseen: Said) => `${unseen} people`,
  chao1984FromHowManyCame:
    'Chao 1984, from how many came once and twice, with its 95 % interval. Words are no independent draws: in tests it was too high in up to one run of five where every person has such a word, and too low where some have none.',
  wereNotSeen: 'were not seen',
  itStoppedFewAreNew: 'It stopped: few are new.',
  itStoppedAfterTheLastOf: 'It stopped after the last of its words.',
  whichWordsNext: 'Which words next?',
  aWordOfYourOwn: 'A word of your own',
  askWithIt: 'Ask with it',
  newText: (fresh: Said) => `≈ ${fresh} new`
});

export const sourceSlices = catalogue('harvest/sourceSlices', {
  slices: (sourceName: Said) => `${sourceName}, slices`,
  brokeOff: 'broke off',
  says: (reported: Said) => `says ${reported}`,
  noCountTypedYet: 'no count typed yet',
  notAskedYet: 'not asked yet',
  showsEverybody: 'shows everybody',
  showsOfASearch: (shownCap: Said) => `shows ${shownCap} of a search`,
  rowsCameInOfSlices: (rows: Said, read: Said, length: Said) => `${rows} rows came in ${read} of ${length} slices`,
  rowsOf: (what: Said, rows: Said, slice: Said, words: Said) => `${what}: ${rows} rows of ${slice}, ${words}`,
  rowsInOfSlice: (rows: Said, read: Said, length: Said, length2: Said) =>
    `${rows} rows in ${read} of ${length} slice${length2}`,
  byHand: ', by hand',
  requests: (requests: Said) => `, ${requests} requests`,
  allOfItCame: 'All of it came.',
  toCome: (missing: Said) => `${missing} to come`,
  forS: (restCost: Said, unit: Said) => `, for ${restCost} ${unit}s`,
  didNotCome: (missing: Said) => `${missing} did not come.`,
  whoseIsNotToldComesIn: (scope: Said, expected: Said) =>
    `Whose ${scope} is not told comes in no slice: about ${expected}.`,
  runTheNextSearchByHand: (what: Said) => `Run the next search by hand: ${what}`,
  whatWasTypedAndPasted: 'What was typed and pasted',
  slicesOf: (sourceName: Said, length: Said) => `Slices of ${sourceName} (${length})`,
  slice: 'Slice',
  says2: 'Says',
  came: 'Came',
  newText: 'New',
  state: 'State',
  change: 'Change',
  askedWithNeutralWords: ' · asked with neutral words',
  cutBy: (cutBy: Said) => ` · cut by ${cutBy}`,
  leaveOut: 'Leave out',
  takeIn: 'Take in',
  join: 'Join',
  cutBy2: (what: Said) => `Cut ${what} by`,
  cutBy3: 'cut by…',
  parts: (name: Said, length: Said) => `${name}, ${length} parts`,
  cut: 'Cut…',
  copy: 'Copy',
  readToItsEnd: 'read to its end',
  longerThanIsShownAndNot: 'longer than is shown, and not to be cut further',
  leftOut: 'left out'
});

export const startHarvest = catalogue('harvest/startHarvest', {
  startAHarvest: 'Start a harvest',
  aTrialReadsASampleA: 'A trial reads a sample; a harvest brings',
  everybody: 'everybody',
  homeWhereASourceShowsOnly:
    'home. Where a source shows only the first part of a long result, Eave cuts it into slices that fit and asks for each. At a place run by hand it hands you their searches, one after another.',
  gatherFrom: 'Gather from',
  version: 'Version',
  shows: 'Shows',
  price: 'Price',
  versionAt: (name: Said) => `Version at ${name}`,
  theFirst: (shown: Said) => `the first ${shown}`,
  byHand: ', by hand',
  name: 'Name',
  startTheHarvest: 'Start the harvest',
  versionWhole: (join: Said) => `Version ${join}, whole`
});

export const harvestPage = catalogue('harvest/harvestPage', {
  aNewHarvest: 'A new harvest',
  harvest: 'Harvest',
  back: 'Back',
  noVersionYet: 'No version yet',
  aHarvestGathersTheWholeResult: 'A harvest gathers the whole result of a version.',
  runAString: 'Run a string',
  firstAndJudgeASampleOf: 'first, and judge a sample of it.',
  andGoesOn: (goesOnAt: Said) => `, and goes on ${goesOnAt}`,
  takeAlongAs: 'Take along as',
  takeAlong: 'take along…',
  keep: 'Keep…',
  watch: 'Watch…',
  newHarvest: 'New harvest',
  deleteText: 'Delete',
  limits: 'Limits',
  stop: 'Stop',
  goOn: 'Go on',
  judgeTheNext: 'Judge the next',
  whatWentWrongOnTheWay: (length: Said) => `What went wrong on the way (${length})`,
  limitsOfThisHarvest: 'Limits of this harvest',
  keepAndGoOn: 'Keep, and go on',
  leaveThem: 'Leave them',
  deleteThisHarvest: 'Delete this harvest?',
  deleteForGood: 'Delete for good',
  itsPeopleAndSlicesGoThe: 'Its people and slices go; the verdicts on them stay. This cannot be undone.',
  jsonLines: 'JSON Lines',
  trecRun: 'TREC run',
  standsStill: 'stands still',
  allIsRead: 'all is read',
  brokeOff: 'broke off'
});
