import { catalogue, type Said } from '$lib/words/catalogue';

export const board = catalogue('compare/board', {
  versionsAtSources: 'Versions by source',
  version: 'Version',
  runByHand: 'manual source',
  people: (people: Said) => `${people} people`,
  chosenFor: (name: Said) => `chosen for ${name}`,
  baseline: 'Baseline ✓',
  baseline2: 'Baseline',
  whatDidItCost: 'Gained and lost',
  runFiguresAreOfTheseAlone: 'run: figures cover these only',
  nobodyJudged: 'nobody judged ·',
  judgeTheSample: 'judge the sample',
  nobodyToJudgeOfThoseShown: 'Nobody left to judge',
  highestPrecisionHere: 'highest precision here',
  notDecidedAgainst: (rival: Said) => `undecided against ${rival}`,
  drawThoseWhoWould: (here: Said) => `Draw the ${here} that would decide it`,
  judgingAllWouldNotDoIt: '(judging everyone wouldn’t decide it)',
  versionFor: (version: Said, number: Said, name: Said) => `${version}: version ${number} for ${name}`,
  chosen: 'Chosen ✓',
  choose: 'Choose',
  people2: 'people',
  whyVersion: (number: Said) => `Why version ${number}`,
  whyVersionFor: (number: Said, name: Said) => `Why version ${number} for ${name}`,
  whyThisOne: 'why this version',
  notRun: 'not run'
});

export const judges = catalogue('compare/judges', {
  twoJudges: 'Two judges',
  secondJudge: 'second judge',
  nobodyJudgedASecondTimeYet: 'There’s no second judge yet. Open the',
  trial: 'trial',
  chooseJudgingAsAndGiveThe:
    ', choose “judging as” and enter the second judge’s name. They judge the same people without seeing earlier verdicts.',
  andTheFirstJudgeBothJudged: (judge: Said) => `${judge} and the first judge both judged`,
  peopleAndAgreeOn: (agreed: Said) => `people and agree on ${agreed}`,
  byTheirHabitsAloneTheyWould: (expected: Said) => `. Expected by chance: ${expected}.`,
  cohensKappaCannotBeTold: 'Cohen’s kappa can’t be computed:',
  allVerdictsAreTheSame: 'all verdicts are the same',
  theyHaveNobodyInCommonYet: 'they haven’t judged anyone in common yet',
  cohensKappa: 'Cohen’s kappa',
  toIn95Of1001: (toFixed: Said, toFixed2: Said) =>
    `95% interval ${toFixed} to ${toFixed2}; 1 is full agreement, 0 is chance`,
  verdictsOfBoth: 'Verdicts of both judges',
  first: (judge: Said) => `first ↓ ${judge} →`,
  whereTheyDiffer: 'Disagreements',
  whereTheJudgesDiffer: 'Disagreements between the judges',
  person: 'Person',
  source: 'Source',
  firstJudge: 'First judge',
  settleAs: 'Final verdict',
  settleAs2: (name: Said, toLowerCase: Said) => `Settle ${name} as ${toLowerCase}`,
  counting: 'Counting…'
});

export const peopleBehind = catalogue('compare/peopleBehind', {
  thePeopleBehindIt: 'People behind this figure',
  versionAt: (answer: Said, words: Said, version: Said, name: Said) =>
    `${answer} ${words}: version ${version} at ${name}`,
  close: 'Close',
  people: (words: Said) => `People ${words}`,
  showMore: (min: Said) => `Show ${min} more`,
  ofAreShown: (length: Said, count: Said) => `${length} of ${count} shown`,
  nobody: 'Nobody.',
  findingThem: 'Loading…',
  judgedFitInTheSample: 'judged a fit in the sample',
  judgedMissInTheSample: 'judged a miss in the sample',
  knownGoodsFound: 'known-goods found',
  foundByNoOtherVersion: 'found by no other version',
  foundAtNoOtherSource: 'found at no other source'
});

export const recall = catalogue('compare/recall', {
  recall: 'Recall',
  howMuchOfWhatThereIs: (number: Said) => `Recall of version ${number}`,
  recallBySource: 'Recall by source',
  source: 'Source',
  knownGoodsFoundOfThoseIn: 'Known-goods found',
  judgedFitsFoundOfAllVersions: 'Judged fits found, across all versions and sources',
  ofText: (found: Said, inSource: Said) => `${found} of ${inSource}`,
  noneKnownToBeInIt: 'none known here',
  ofText2: (found: Said, value: Said) => `${found} of ${value}`,
  nobodyJudgedFitYet: 'no fits judged yet',
  theSecondShareCountsOnlyFits:
    'The second share only covers fits that some version found and somebody judged. It says nothing about fits nobody has seen.',
  howManyFitsThereAre: 'Fits in total',
  sources: 'Sources',
  judgedFitsOfTheFirst: 'Judged fits of the first',
  foundAtTheSecondToo: 'also found at the second',
  fitsThereAreByBoth: 'Estimated total',
  about: (middle: Said) => `about ${middle}`,
  chapmansEstimateItTakesForGranted:
    'Chapman’s estimate. It assumes that the two sources list people independently and that nobody joined or left in between. If both favour the same people, such as well-known ones, the true number is higher. People a source lists under an old job count as not found there.',
  runThisVersionAtTwoSources:
    'Run this version at two sources and judge people at one of them. How many of those fits the other also finds shows how many there are in total.',
  to: (low: Said, high: Said) => `${low} to ${high}`
});

export const samePeople = catalogue('compare/samePeople', {
  theSamePersonAtSeveralSources: 'Same person at several sources',
  recordsAreTakenForOnePerson:
    'Records with the same email or page address, or the same name and firm, count as one person. These pairs might match; they count as two people until you decide.',
  aName: 'Name',
  toJoinOrSplitByHand: 'to merge or split',
  find: 'Find',
  theseTwoAreOnePerson: 'Same person',
  theseTwoAreNot: 'Different people',
  recordsOfThatName: 'Records with that name',
  theSamePersonAsAbove: 'the same person as above',
  nobodyOfThatNameWasFound: 'No version of this brief found anybody with that name.',
  doubtfulPairs: 'Possible duplicates',
  onePerson: 'Same person',
  two: 'Different',
  noPairIsInDoubt: 'No possible duplicates.',
  decided: 'Decided',
  decidedPairs: 'Decided pairs',
  onePerson2: 'same person',
  twoPeople: 'different people',
  undo: 'Undo',
  holdingRecordsAgainstEachOther: 'Comparing records…'
});

export const sourcesSideBySide = catalogue('compare/sourcesSideBySide', {
  twoSourcesSideBySide: 'Two sources side by side',
  version: 'version',
  foundAt: 'found at',
  andNotAt: 'but not at',
  turnRound: 'Swap',
  chooseTwoSources: 'Choose two sources.',
  showsOfThemShowsTooAnd: (here: Said, found: Said, both: Said, there: Said) =>
    `${here} shows ${found}; ${there} also shows ${both} of them and misses`,
  itDoesNot: (lacking: Said) => `${lacking}`,
  ofTheseDrawnThroughTheDepth: (looked: Said) => `. ${looked} of these, drawn from the whole result, were checked`,
  whyLacksThem: (there: Said) => `Why ${there} misses them`,
  thoseItLacks: 'People it misses',
  peopleThatLacks: (there: Said) => `People ${there} misses`,
  name: 'Name',
  at: (here: Said) => `At ${here}`,
  at2: (there: Said) => `At ${there}`,
  why: 'Why',
  verdict: 'Verdict',
  lookingForEachOfThem: 'Checking each of them…'
});

export const versionsSideBySide = catalogue('compare/versionsSideBySide', {
  twoVersionsSideBySide: 'Two versions side by side',
  from: 'from',
  to: 'to',
  at: 'at',
  chooseTwoVersionsThatDiffer: 'Choose two different versions.',
  whatDiffersInTheString: 'Changes in the string',
  nothingButHowItIsWritten: 'Only the spelling differs.',
  what: 'Gained and lost by',
  thisExclusion: 'this exclusion',
  theseExclusions: 'these exclusions',
  cost: ':',
  ofThePeopleJudgedAreTreated: (before: Said, from: Said, after: Said, to: Said) =>
    `Of the people judged, version ${from} alone is right about ${before} and version ${to} alone about ${after}`,
  fitsGoneMissesGoneFitsCome: (fits: Said, misses: Said, fits2: Said, misses2: Said) =>
    `. Fits lost: ${fits}; misses removed: ${misses}; fits gained: ${fits2}; misses added: ${misses2}.`,
  ofDrawnThroughTheDepth: (side: Said, length: Said, shown: Said) =>
    `${side}; ${length} of ${shown} drawn from the whole result`,
  people: (word: Said) => `People ${word}`,
  nobody: 'Nobody.',
  comparing: 'Comparing…',
  ofJudgedAmongThemAreFits: (count: Said, judged: Said, count2: Said, interval: Said) =>
    `${count} of ${judged} judged are fits: ${count2}, ${interval}`,
  nobodyJudgedAmongThemYet: 'nobody judged yet',
  to2: (low: Said, high: Said) => `${low} to ${high}`,
  bothFindTheSamePeopleHere: 'Both find the same people here.',
  narrowing: (from: Said, to: Said) => `narrowing-${from}-${to}`
});

export const comparePage = catalogue('compare/comparePage', {
  compare: 'Compare',
  versionsDownSourcesAcrossPrecisionIs:
    'One row for each version, one column for each source. Precision is the share of fits in the sample, with its 95% interval.',
  report: 'Report',
  nothingToCompareYet: 'Nothing to compare yet',
  runTheString: 'Run the string',
  judgeItsSampleChangeOneThing:
    ', judge its sample, change one thing and run it again. Both versions then appear here side by side.',
  versions: 'Versions',
  measures: 'Measures',
  measuresShown: 'Measures shown',
  sortBy: 'Sort by',
  newestFirst: 'newest first',
  at: (name: Said, name2: Said) => `${name} at ${name2}`,
  peopleSeen: (people: Said) => `${people} people seen,`,
  judgedEachOnce: 'judged, each counted once',
  whatToLookInto: 'Details',
  changeTheStringAndRunIt: 'Change the string and run it again to see who was gained and lost.',
  runAVersionAtTwoSources: 'Run a version at two sources to see who one finds and the other misses.'
});
