import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const board = catalogue('compare/board', {
  points: (middle: Said, version: Said, low: Said, high: Said) =>
    `${middle} points against ${version} (${low} to ${high})`,
  undecided: ', undecided',
  versionsBySource: 'Versions by source',
  version: 'Version',
  manualSource: 'manual source',
  people: (people: Said) => `${people} people`,
  chosenFor: (name: Said) => `chosen for ${name}`,
  baseline: 'Baseline ✓',
  baseline2: 'Baseline',
  gainedAndLost: 'Gained and lost',
  runFiguresCoverTheseOnly: 'run: figures cover these only',
  nobodyJudged: 'nobody judged ·',
  judgeSample: 'judge the sample',
  nobodyLeftToJudge: 'Nobody left to judge',
  highestPrecisionHere: 'highest precision here',
  undecidedAgainst: (rival: Said) => `undecided against ${rival}`,
  drawThatWouldDecideIt: (here: Said) => `Draw the ${here} that would decide it`,
  judgingEveryoneWouldntDecideIt: '(judging everyone wouldn’t decide it)',
  versionFor: (version: Said, number: Said, name: Said) => `${version}: version ${number} for ${name}`,
  chosen: 'Chosen ✓',
  choose: 'Choose',
  people2: 'people',
  whyVersion: (number: Said) => `Why version ${number}`,
  whyVersionFor: (number: Said, name: Said) => `Why version ${number} for ${name}`,
  whyThisVersion: 'why this version',
  notRun: 'not run'
});

export const judges = catalogue('compare/judges', {
  twoJudges: 'Two judges',
  secondJudge: 'second judge',
  theresNoSecondJudgeYetOpen: 'There’s no second judge yet. Open the',
  trial: 'trial',
  chooseJudgingAsAndEnterSecond:
    ', choose “judging as” and enter the second judge’s name. They judge the same people without seeing earlier verdicts.',
  andFirstJudgeBothJudged: (judge: Said) => `${judge} and the first judge both judged`,
  peopleAndAgreeOn: (agreed: Said) => `people and agree on ${agreed}`,
  expectedByChance: (expected: Said) => `. Expected by chance: ${expected}.`,
  cohensKappaCantBeComputed: 'Cohen’s kappa can’t be computed:',
  allVerdictsAreSame: 'all verdicts are the same',
  theyHaventJudgedAnyoneInCommon: 'they haven’t judged anyone in common yet',
  cohensKappa: 'Cohen’s kappa',
  n95IntervalTo1IsFull: (toFixed: Said, toFixed2: Said) =>
    `95% interval ${toFixed} to ${toFixed2}; 1 is full agreement, 0 is chance`,
  verdictsBothJudges: 'Verdicts of both judges',
  first: (judge: Said) => `first ↓ ${judge} →`,
  disagreements: 'Disagreements',
  disagreementsBetweenJudges: 'Disagreements between the judges',
  person: 'Person',
  source: 'Source',
  firstJudge: 'First judge',
  finalVerdict: 'Final verdict',
  settleAs: (name: Said, toLowerCase: Said) => `Settle ${name} as ${toLowerCase}`,
  counting: 'Counting…'
});

export const peopleBehind = catalogue('compare/peopleBehind', {
  peopleBehindThisFigure: 'People behind this figure',
  versionAt: (answer: Said, words: Said, version: Said, name: Said) =>
    `${answer} ${words}: version ${version} at ${name}`,
  close: 'Close',
  people: (words: Said) => `People ${words}`,
  showMore: (min: Said) => `Show ${min} more`,
  shown: (length: Said, count: Said) => `${length} of ${count} shown`,
  nobody: 'Nobody.',
  loading: 'Loading…',
  judgedFitInSample: 'judged a fit in the sample',
  judgedMissInSample: 'judged a miss in the sample',
  knownGoodsFound: 'known-goods found',
  foundByNoOtherVersion: 'found by no other version',
  foundAtNoOtherSource: 'found at no other source'
});

export const recall = catalogue('compare/recall', {
  recall: 'Recall',
  recallVersion: (number: Said) => `Recall of version ${number}`,
  recallBySource: 'Recall by source',
  source: 'Source',
  knownGoodsFound: 'Known-goods found',
  judgedFitsFoundAcrossAllVersions: 'Judged fits found, across all versions and sources',
  ofText: (found: Said, inSource: Said) => `${found} of ${inSource}`,
  noneKnownHere: 'none known here',
  ofText2: (found: Said, value: Said) => `${found} of ${value}`,
  noFitsJudgedYet: 'no fits judged yet',
  secondShareOnlyCoversFitsThat:
    'The second share only covers fits that some version found and somebody judged. It says nothing about fits nobody has seen.',
  fitsInTotal: 'Fits in total',
  sources: 'Sources',
  judgedFitsFirst: 'Judged fits of the first',
  alsoFoundAtSecond: 'also found at the second',
  estimatedTotal: 'Estimated total',
  about: (middle: Said) => `about ${middle}`,
  chapmansEstimateItAssumesThatTwo:
    'Chapman’s estimate. It assumes that the two sources list people independently and that nobody joined or left in between. If both favour the same people, such as well-known ones, the true number is higher. People a source lists under an old job count as not found there.',
  runThisVersionAtTwoSources:
    'Run this version at two sources and judge people at one of them. How many of those fits the other also finds shows how many there are in total.',
  toText: (low: Said, high: Said) => `${low} to ${high}`
});

export const samePeople = catalogue('compare/samePeople', {
  samePersonAtSeveralSources: 'Same person at several sources',
  recordsWithSameEmailOrPage:
    'Records with the same email or page address, or the same name and firm, count as one person. These pairs might match; they count as two people until you decide.',
  name: 'Name',
  toMergeOrSplit: 'to merge or split',
  find: 'Find',
  samePerson: 'Same person',
  differentPeople: 'Different people',
  recordsWithThatName: 'Records with that name',
  samePersonAsAbove: 'the same person as above',
  noVersionThisBriefFoundAnybody: 'No version of this brief found anybody with that name.',
  possibleDuplicates: 'Possible duplicates',
  samePerson2: 'Same person',
  different: 'Different',
  noPossibleDuplicates: 'No possible duplicates.',
  decided: 'Decided',
  decidedPairs: 'Decided pairs',
  samePerson3: 'same person',
  differentPeople2: 'different people',
  undo: 'Undo',
  comparingRecords: 'Comparing records…'
});

export const sourcesSideBySide = catalogue('compare/sourcesSideBySide', {
  twoSourcesSideBySide: 'Two sources side by side',
  version: 'version',
  foundAt: 'found at',
  butNotAt: 'but not at',
  swap: 'Swap',
  chooseTwoSources: 'Choose two sources.',
  showsAlsoShowsThemAndMisses: (here: Said, found: Said, both: Said, there: Said) =>
    `${here} shows ${found}; ${there} also shows ${both} of them and misses`,
  itDoesNot: (lacking: Said) => `${lacking}`,
  theseDrawnFromWholeResultWere: (looked: Said) => `. ${looked} of these, drawn from the whole result, were checked`,
  whyMissesThem: (there: Said) => `Why ${there} misses them`,
  peopleItMisses: 'People it misses',
  peopleMisses: (there: Said) => `People ${there} misses`,
  name: 'Name',
  at: (here: Said) => `At ${here}`,
  at2: (there: Said) => `At ${there}`,
  why: 'Why',
  verdict: 'Verdict',
  checkingEachThem: 'Checking each of them…'
});

export const versionsSideBySide = catalogue('compare/versionsSideBySide', {
  removes: (people: Said, fits: Said, judged: Said, likely: Said) =>
    `The change removes ${people} people; ${fits} of the ${judged} judged among them are fits, so about ${likely} of all are likely fits`,
  removesUnjudged: (people: Said) =>
    `The change removes ${people} people, none of them judged yet. Judge some below to see what is lost`,
  adds: (people: Said, fits: Said, judged: Said, likely: Said) =>
    `it adds ${people}; ${fits} of the ${judged} judged among them are fits, so about ${likely} of all are likely fits`,
  addsUnjudged: (people: Said) => `it adds ${people}, none judged yet`,
  twoVersionsSideBySide: 'Two versions side by side',
  from: 'from',
  toText: 'to',
  at: 'at',
  chooseTwoDifferentVersions: 'Choose two different versions.',
  changesInString: 'Changes in the string',
  onlySpellingDiffers: 'Only the spelling differs.',
  gainedAndLostBy: 'Gained and lost by',
  thisExclusion: 'this exclusion',
  theseExclusions: 'these exclusions',
  cost: ':',
  peopleJudgedVersionAloneIsRight: (before: Said, from: Said, after: Said, to: Said) =>
    `Of the people judged, version ${from} alone is right about ${before} and version ${to} alone about ${after}`,
  fitsLostMissesRemovedFitsGained: (fits: Said, misses: Said, fits2: Said, misses2: Said) =>
    `. Fits lost: ${fits}; misses removed: ${misses}; fits gained: ${fits2}; misses added: ${misses2}.`,
  drawnFromWholeResult: (side: Said, length: Said, shown: Said) =>
    `${side}; ${length} of ${shown} drawn from the whole result`,
  people: (word: Said) => `People ${word}`,
  nobody: 'Nobody.',
  comparing: 'Comparing…',
  judgedAreFits: (count: Said, judged: Said, count2: Said, interval: Said) =>
    `${count} of ${judged} judged are fits: ${count2}, ${interval}`,
  nobodyJudgedYet: 'nobody judged yet',
  toText2: (low: Said, high: Said) => `${low} to ${high}`,
  bothFindSamePeopleHere: 'Both find the same people here.',
  narrowing: (from: Said, to: Said) => `narrowing-${from}-${to}`
});

export const comparePage = catalogue('compare/comparePage', {
  compare: 'Compare',
  oneRowForEachVersionOne:
    'One row for each version, one column for each source. Precision is the share of fits in the sample, with its 95% interval.',
  report: 'Report',
  nothingToCompareYet: 'Nothing to compare yet',
  runString: 'Run the string',
  judgeItsSampleChangeOneThing:
    ', judge its sample, change one thing and run it again. Both versions then appear here side by side.',
  versions: 'Versions',
  measures: 'Measures',
  measuresShown: 'Measures shown',
  sortBy: 'Sort by',
  newestFirst: 'newest first',
  at: (name: Said, name2: Said) => `${name} at ${name2}`,
  peopleSeen: (people: Said) => `${people} people seen,`,
  judgedEachCountedOnce: 'judged, each counted once',
  details: 'Details',
  changeStringAndRunItAgain: 'Change the string and run it again to see who was gained and lost.',
  runVersionAtTwoSourcesTo: 'Run a version at two sources to see who one finds and the other misses.'
});

/** What can be looked at below the board. */
export const panels = catalogue('compare/panels', {
  versions: 'Two versions',
  sources: 'Two sources',
  recall: 'Recall',
  judges: 'Two judges',
  same: 'Same person'
});

export const measureNames = catalogue('compare/measureNames', {
  count: 'estimated result',
  precision: 'precision',
  judged: 'people judged',
  misses: 'misses per 100 people',
  fits: 'estimated fits',
  known: 'known-goods found',
  pooled: 'share of all judged fits',
  'only-version': 'people only this version finds',
  'only-source': 'people only this source finds',
  price: 'price per fit',
  age: 'age of data',
  searches: 'searches needed'
});

export const measures = catalogue('compare/measures', {
  perRecord: (price: Said, unit: Said) => ` · ${price} ${unit}s a record`,
  perSearch: (price: Said, unit: Said) => ` · ${price} ${unit}s a search`,
  shown: (many: Said) => `${many} shown`,
  certain: (many: Said) => `${many} certain`,
  fits: (share: Said) => `${share} fits`,
  judged: (range: Said, many: Said) => `${range}, ${many} judged`,
  drawnJudged: (judged: Said, drawn: Said) => `${judged} of ${drawn} drawn judged`,
  unsure: (many: Said) => `${many} unsure`,
  missesInHundred: (many: Said) => `${many} misses in 100`,
  aboutFits: (many: Said) => `about ${many} fits`,
  knownGoods: (found: Said, all: Said) => `${found} of ${all} known-goods`,
  judgedFits: (found: Said, all: Said) => `${found} of ${all} judged fits`,
  ofAllVersionsAndSources: 'of all versions and sources',
  onlyByThisVersion: (many: Said) => `${many} only by this version`,
  onlyAtThisSource: (many: Said) => `${many} only at this source`,
  judgedAreFits: (fits: Said, judged: Said) => `${fits} of ${judged} judged are fits`,
  nobodyJudged: 'nobody judged',
  perFit: (price: Said, unit: Said) => `${price} ${unit}s per fit`,
  spent: (price: Said) => `${price} spent`,
  monthsOld: (months: number) => (months < 2 ? 'up to a month old' : `up to ${months} months old`),
  searches: (many: number, written: Said) => plural(many, { one: 'one search', other: `${written} searches` })
});

export const headlines = catalogue('compare/headlines', {
  atBy: (source: Said, low: Said, high: Said) => `at ${source} by ${low} to ${high} points`,
  isBetter: (leader: Said, against: Said, where: Said) => `Version ${leader} is better than ${against} ${where}.`,
  stillUndecided: (leader: Said, against: Said) => `Versions ${leader} and ${against} are still undecided.`,
  undecidedAgainst: (rivals: Said, where: Said, what: Said) => `Undecided against ${rivals}${where}${what}.`,
  at: (sources: Said) => ` at ${sources}`,
  verdictsWouldDecide: (many: Said) => `: ${many} more verdicts would decide it`,
  nothingWouldDecide: '; judging everyone wouldn’t decide it'
});
