import { catalogue, type Said } from '$lib/words/catalogue';

export const board = catalogue('compare/board', {
  versionsAtSources: 'Versions at sources',
  version: 'Version',
  runByHand: 'run by hand',
  people: (people: Said) => `${people} people`,
  chosenFor: (name: Said) => `chosen for ${name}`,
  baseline: 'Baseline ✓',
  baseline2: 'Baseline',
  whatDidItCost: 'What did it cost?',
  runFiguresAreOfTheseAlone: 'run: figures are of these alone',
  nobodyJudged: 'nobody judged ·',
  judgeTheSample: 'judge the sample',
  nobodyToJudgeOfThoseShown: 'nobody to judge: of those shown nobody is left',
  highestPrecisionHere: 'highest precision here',
  notDecidedAgainst: (rival: Said) => `not decided against ${rival}`,
  drawThoseWhoWould: (here: Said) => `Draw those ${here} who would`,
  judgingAllWouldNotDoIt: '(judging all would not do it)',
  versionFor: (version: Said, number: Said, name: Said) => `${version}: version ${number} for ${name}`,
  chosen: 'Chosen ✓',
  choose: 'Choose',
  people2: 'people',
  whyVersionFor: (number: Said, name: Said) => `Why version ${number} for ${name}`,
  whyThisOne: 'why this one',
  notRun: 'not run'
});

export const judges = catalogue('compare/judges', {
  twoJudges: 'Two judges',
  secondJudge: 'second judge',
  nobodyJudgedASecondTimeYet: 'Nobody judged a second time yet. Open the',
  trial: 'trial',
  chooseJudgingAsAndGiveThe:
    ', choose “judging as” and give the second judge’s name: they see the same people and none of the verdicts given before.',
  andTheFirstJudgeBothJudged: (judge: Said) => `${judge} and the first judge both judged`,
  peopleAndAgreeOn: (agreed: Said) => `people and agree on ${agreed}`,
  byTheirHabitsAloneTheyWould: (expected: Said) => `; by their habits alone they would agree on ${expected}.`,
  cohensKappaCannotBeTold: 'Cohen’s kappa cannot be told:',
  allVerdictsAreTheSame: 'all verdicts are the same',
  theyHaveNobodyInCommonYet: 'they have nobody in common yet',
  cohensKappa: 'Cohen’s kappa',
  toIn95Of1001: (toFixed: Said, toFixed2: Said) =>
    `${toFixed} to ${toFixed2} in 95 of 100; 1 is full agreement, 0 is what chance does`,
  verdictsOfBoth: 'Verdicts of both',
  first: (judge: Said) => `first ↓ ${judge} →`,
  whereTheyDiffer: 'Where they differ',
  whereTheJudgesDiffer: 'Where the judges differ',
  person: 'Person',
  source: 'Source',
  firstJudge: 'First judge',
  settleAs: 'Settle as',
  settleAs2: (name: Said, toLowerCase: Said) => `Settle ${name} as ${toLowerCase}`,
  counting: 'Counting…'
});

export const peopleBehind = catalogue('compare/peopleBehind', {
  thePeopleBehindIt: 'The people behind it',
  versionAt: (answer: Said, words: Said, version: Said, name: Said) =>
    `${answer} ${words}: version ${version} at ${name}`,
  close: 'Close',
  people: (words: Said) => `People ${words}`,
  showMore: (min: Said) => `Show ${min} more`,
  ofAreShown: (length: Said, count: Said) => `${length} of ${count} are shown`,
  nobody: 'Nobody.',
  findingThem: 'Finding them…',
  judgedFitInTheSample: 'judged fit in the sample',
  judgedMissInTheSample: 'judged miss in the sample',
  knownGoodsFound: 'known-goods found',
  foundByNoOtherVersion: 'found by no other version',
  foundAtNoOtherSource: 'found at no other source'
});

export const recall = catalogue('compare/recall', {
  recall: 'Recall',
  howMuchOfWhatThereIs: (number: Said) => `How much of what there is, version ${number}`,
  recallBySource: 'Recall by source',
  source: 'Source',
  knownGoodsFoundOfThoseIn: 'Known-goods found, of those in it',
  judgedFitsFoundOfAllVersions: 'Judged fits found, of all versions and sources',
  ofText: (found: Said, inSource: Said) => `${found} of ${inSource}`,
  noneKnownToBeInIt: 'none known to be in it',
  ofText2: (found: Said, value: Said) => `${found} of ${value}`,
  nobodyJudgedFitYet: 'nobody judged fit yet',
  theSecondShareCountsOnlyFits:
    'The second share counts only fits that some version found somewhere and someone judged: nobody knows of the others by it.',
  howManyFitsThereAre: 'How many fits there are',
  sources: 'Sources',
  judgedFitsOfTheFirst: 'Judged fits of the first',
  foundAtTheSecondToo: 'found at the second too',
  fitsThereAreByBoth: 'Fits there are, by both',
  about: (middle: Said) => `about ${middle}`,
  chapmansEstimateItTakesForGranted:
    'Chapman’s estimate. It takes for granted that whether one source shows a person has nothing to do with whether the other does, and that nobody came or left meanwhile. Where both favour the same people, as the well known, there are more than it says; people a source lists under an old job count as not found there.',
  runThisVersionAtTwoSources:
    'Run this version at two sources and judge fits at one of them: how many of these the other finds too tells how many there are.',
  to: (low: Said, high: Said) => `${low} to ${high}`
});

export const samePeople = catalogue('compare/samePeople', {
  theSamePersonAtSeveralSources: 'The same person at several sources',
  recordsAreTakenForOnePerson:
    'Records are taken for one person by mail or page address, or by name and firm. These may be one, and are counted as two until someone says so.',
  aName: 'A name',
  toJoinOrSplitByHand: 'to join or split by hand',
  find: 'Find',
  theseTwoAreOnePerson: 'These two are one person',
  theseTwoAreNot: 'These two are not',
  recordsOfThatName: 'Records of that name',
  theSamePersonAsAbove: 'the same person as above',
  nobodyOfThatNameWasFound: 'Nobody of that name was found by a version of this brief.',
  doubtfulPairs: 'Doubtful pairs',
  onePerson: 'One person',
  two: 'Two',
  noPairIsInDoubt: 'No pair is in doubt.',
  decided: 'Decided',
  decidedPairs: 'Decided pairs',
  onePerson2: 'one person',
  twoPeople: 'two people',
  undo: 'Undo',
  holdingRecordsAgainstEachOther: 'Holding records against each other…'
});

export const sourcesSideBySide = catalogue('compare/sourcesSideBySide', {
  twoSourcesSideBySide: 'Two sources side by side',
  version: 'version',
  foundAt: 'found at',
  andNotAt: 'and not at',
  turnRound: 'Turn round',
  chooseTwoSources: 'Choose two sources.',
  showsOfThemShowsTooAnd: (here: Said, found: Said, both: Said, there: Said) =>
    `${here} shows ${found}; ${both} of them ${there} shows too, and`,
  itDoesNot: (lacking: Said) => `${lacking} it does not`,
  ofTheseDrawnThroughTheDepth: (looked: Said) => `; ${looked} of these, drawn through the depth, were looked into`,
  whyLacksThem: (there: Said) => `Why ${there} lacks them`,
  thoseItLacks: 'Those it lacks',
  peopleThatLacks: (there: Said) => `People that ${there} lacks`,
  name: 'Name',
  at: (here: Said) => `At ${here}`,
  at2: (there: Said) => `At ${there}`,
  why: 'Why',
  verdict: 'Verdict',
  lookingForEachOfThem: 'Looking for each of them…'
});

export const versionsSideBySide = catalogue('compare/versionsSideBySide', {
  twoVersionsSideBySide: 'Two versions side by side',
  from: 'from',
  to: 'to',
  at: 'at',
  chooseTwoVersionsThatDiffer: 'Choose two versions that differ.',
  whatDiffersInTheString: 'What differs in the string',
  nothingButHowItIsWritten: 'Nothing but how it is written.',
  what: 'What',
  thisExclusion: 'this exclusion',
  theseExclusions: 'these exclusions',
  cost: 'cost:',
  ofThePeopleJudgedAreTreated: (before: Said, from: Said, after: Said, to: Said) =>
    `Of the people judged, ${before} are treated rightly by version ${from} alone and ${after} by version ${to} alone`,
  fitsGoneMissesGoneFitsCome: (fits: Said, misses: Said, fits2: Said, misses2: Said) =>
    `. Fits gone ${fits}, misses gone ${misses}; fits come ${fits2}, misses come ${misses2}.`,
  ofDrawnThroughTheDepth: (side: Said, length: Said, shown: Said) =>
    `${side}; ${length} of ${shown} drawn through the depth`,
  people: (word: Said) => `People ${word}`,
  nobody: 'Nobody.',
  comparing: 'Comparing…',
  ofJudgedAmongThemAreFits: (count: Said, judged: Said, count2: Said, interval: Said) =>
    `${count} of ${judged} judged among them are fits: ${count2}, ${interval}`,
  nobodyJudgedAmongThemYet: 'nobody judged among them yet',
  to2: (low: Said, high: Said) => `${low} to ${high}`,
  bothFindTheSamePeopleHere: 'Both find the same people here.',
  narrowing: (from: Said, to: Said) => `narrowing-${from}-${to}`
});

export const comparePage = catalogue('compare/comparePage', {
  compare: 'Compare',
  versionsDownSourcesAcrossPrecisionIs:
    'Versions down, sources across. Precision is the share of fits in the sample, with its 95 % interval.',
  report: 'Report',
  nothingToCompareYet: 'Nothing to compare yet',
  runTheString: 'Run the string',
  judgeItsSampleChangeOneThing:
    ', judge its sample, change one thing and run it again. Both versions then stand here side by side.',
  versions: 'Versions',
  measures: 'Measures',
  measuresShown: 'Measures shown',
  sortBy: 'Sort by',
  newestFirst: 'newest first',
  at: (name: Said, name2: Said) => `${name} at ${name2}`,
  peopleSeen: (people: Said) => `${people} people seen,`,
  judgedEachOnce: 'judged, each once',
  whatToLookInto: 'What to look into',
  changeTheStringAndRunIt: 'Change the string and run it again to see who came and who went.',
  runAVersionAtTwoSources: 'Run a version at two sources to see whom one finds and the other lacks.'
});
