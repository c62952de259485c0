import { catalogue, type Said } from '$lib/words/catalogue';

export const builtDifference = catalogue('string/builtDifference', {
  whatThePersonaWouldChange: 'What the persona would change',
  thePersonaAndItsWordingsWould:
    'The persona and its wordings would change this string. What you edited by hand stays unless you take this.',
  theStringSaysWhatThePersona: 'The string says what the persona and its wordings say.',
  takeIt: 'Take it',
  leaveMine: 'Leave mine',
  good: 'Good'
});

export const ledger = catalogue('string/ledger', {
  worthOfEachPartBySource: 'Worth of each part by source',
  peopleFoundAloneAndTheChange: 'people found alone, and the change if left out',
  barShareOfTheMissesIt: (misses: Said) => `; bar: share of the ${misses} misses it brings`,
  foldAll: 'Fold all',
  unfoldAll: 'Unfold all',
  inTheStringsOrder: 'In the string’s order',
  ifLeftOut: 'if left out',
  missesFits: 'misses · fits',
  sortByAt: (words: Said, name: Said) => `Sort by ${words} at ${name}`,
  fold: 'Fold',
  unfold: 'Unfold',
  thisAloneCannotBeAskedThere: 'This alone cannot be asked there: nothing in it can be searched.',
  notAsked: 'not asked'
});

export const ledgerHead = catalogue('string/ledgerHead', {
  certain: 'certain,',
  possibleOf: 'possible of',
  shown: 'shown',
  beforeTheErrors: 'before the errors',
  aRunCostsS: (cost: Said, unit: Said) => `a run costs ${cost} ${unit}s`,
  ofUsed: (used: Said, most: Said, kind: Said) => `${used} of ${most} ${kind} used`,
  itsPeopleAreBeingPrepared: 'its people are being prepared'
});

export const meanings = catalogue('string/meanings', {
  meaningsOfWordsInThisString: 'Meanings of words in this string',
  meanings: 'Meanings',
  amongThePeopleFoundAt: 'among the people found at',
  moreWaysToWantOneMeaning: (unmeasured: Said) =>
    `${unmeasured} more ways to want one meaning would take too long to measure here.`,
  inOfTheProfilesShown: (people: Said) => `in ${people} of the profiles shown`,
  doNotTellWhatItMeans: (people: Said) => `; ${people} do not tell what it means`,
  meaningsOf: (word: Said) => `Meanings of ${word}`,
  meaning: 'Meaning',
  share: 'Share',
  ifOnlyThisIsWanted: 'If only this is wanted',
  as: (says: Said, word: Said, name: Said) => `${says}: ${word} as ${name}`,
  ofOtherMeaningsStay: (estimated: Said, estimated2: Said, othersLeft: Said, people: Said) =>
    `${estimated} → ${estimated2}; ${othersLeft} of other meanings stay; ${people}`,
  noWordOfThisStringIs: 'No word of this string is known to have several meanings by itself.',
  readingThePeopleFound: 'Reading the people found…',
  wantAWordOfItToo: 'Want a word of it too',
  leaveTheOthersOut: 'Leave the others out',
  losesOfThisMeaning: (before: Said) => `loses ${before} of this meaning`,
  losesNoneOfThisMeaning: 'loses none of this meaning'
});

export const narrowing = catalogue('string/narrowing', {
  narrowing: 'Narrowing',
  howTheCountFallsPartBy: 'how the count falls, part by part; move a part to see what the others do without it',
  theStringsOrder: 'The string’s order',
  countAfterEachPart: 'Count after each part',
  after: 'After',
  order: 'Order',
  everybody: 'everybody',
  theFirstPartsAloneCannotBe: 'The first parts alone cannot be asked there.',
  cannotBeAsked: 'cannot be asked',
  movePartUp: (part: Said) => `Move part ${part} up`,
  movePartDown: (part: Said) => `Move part ${part} down`,
  chartOfTheSameFiguresOn: 'Chart of the same figures on a logarithmic scale'
});

export const partChanges = catalogue('string/partChanges', {
  partsThatDiffer: 'Parts that differ',
  fromTo: (before: Said, place: Said) => `from ${before} to ${place}`,
  andMore: (length: Said) => `and ${length} more`
});

export const partTree = catalogue('string/partTree', {
  theStringAsATree: 'The string as a tree',
  whatToDoWithTheChosen: 'What to do with the chosen part',
  searchedIn: 'searched in',
  several: 'several',
  wholeProfile: 'whole profile',
  theStringHasSomethingThatMust:
    'The string has something that must be mended first: the tree shows what can be read, and cannot be changed.',
  nameOfTheWordSet: 'Name of the word set',
  qualityHeads: 'quality-heads',
  wordings: (length: Said, join: Said) => `${length} wordings: ${join}`,
  keepInTheLibrary: 'Keep in the library',
  leaveIt: 'Leave it',
  partsOfTheString: 'Parts of the string',
  not: 'not',
  inText: (place: Said) => `in ${place}`,
  wordings2: (length: Said) => `${length} wordings`,
  setAside: 'set aside',
  wordingOf: (line: Said) => `wording of ${line}`,
  parts: (length: Said) => `${length} parts`,
  newPart: 'New part',
  part: 'Part'
});

export const partWeight = catalogue('string/partWeight', {
  throwsOut: (misses: Said) => `throws out ${misses}`,
  ofTheJudgedMissesComeWith: (misses: Said, misses2: Said, fits: Said) =>
    `${misses} of the ${misses2} judged misses come with it, ${fits} fits`,
  ofMisses: (misses: Said, misses2: Said) => `${misses} of ${misses2} misses`
});

export const pasteNotice = catalogue('string/pasteNotice', {
  pastedAndCleaned: (join: Said) => `Pasted and cleaned: ${join}.`,
  putItAsItWas: 'Put it as it was',
  yesInCapitals: 'Yes, in capitals',
  noLeaveIt: 'No, leave it',
  good: 'Good'
});

export const problems = catalogue('string/problems', {
  problemsOfTheString: 'Problems of the string',
  andMoreMarkedInTheString: (length: Said) => `and ${length} more, marked in the string`,
  mustBeMended: 'must be mended',
  lookAgain: 'look again',
  line: (length: Said) => `line ${length}`
});

export const proposalCards = catalogue('string/proposalCards', {
  theBestChanges: 'The best changes',
  missesRemovedFitsLost: (sourceId: Said, before: Said, after: Said, missesRemoved: Said) =>
    `${sourceId}: ${before} → ${after}; misses removed ${missesRemoved}, fits lost`,
  take: (says: Said) => `Take: ${says}`,
  take2: 'Take',
  all: (length: Said) => `All ${length}`,
  noneJudged: 'none judged'
});

export const proposals = catalogue('string/proposals', {
  missesRemoved: (missesRemoved: Said) => `misses removed ${missesRemoved}`,
  fitsLost: 'fits lost',
  fitsAndMissesCome: (fits: Said, misses: Said) => `${fits} fits and ${misses} misses come`,
  nothingChanges: 'nothing changes',
  proposals: 'Proposals',
  changesThatTheVerdictsOn: 'changes that the verdicts on',
  peopleJudgedSpeakForEachMeasured:
    'people judged speak for, each measured before it is taken; shares are of the judged people found',
  measuring: 'Measuring…',
  noChangeGainsAnythingByThe:
    'No change gains anything by the verdicts there are. Judge more people, above all misses.',
  runTheStringAndJudgeSome:
    'Run the string and judge some people first: proposals come from who is a fit and who is not.',
  proposalsBestFirst: 'Proposals, best first',
  change: 'Change',
  choose: (says: Said) => `Choose: ${says}`,
  mayLoseMoreThanAFew: 'may lose more than a few fits: look at who goes first',
  whoGoes: (says: Said) => `Who goes? ${says}`,
  whoGoes2: 'Who goes?',
  take: (says: Said) => `Take: ${says}`,
  take2: 'Take',
  theChosenTogether: (length: Said) => `The ${length} chosen together`,
  whoGoesAllChosen: 'Who goes? All chosen',
  takeAllChosen: 'Take all chosen',
  takeAll: 'Take all',
  noneJudged: 'none judged'
});

export const searchBoxes = catalogue('string/searchBoxes', {
  copy: 'Copy',
  forText: (id: Said, which: Said, name: Said) => `${id}${which} for ${name}`,
  forText2: (scope: Said, which: Said, name: Said) => `${scope}${which} for ${name}`,
  ofSearch: (value: Said) => ` of search ${value}`
});

export const searchesToCopy = catalogue('string/searchesToCopy', {
  runItByHand: 'Run it by hand',
  typeTheCountYouSeeAnd: 'Type the count you see and paste the pages, over days if need be.'
});

export const sourceCard = catalogue('string/sourceCard', {
  howIsAsked: (name: Said) => `How ${name} is asked`,
  runByHand: 'run by hand',
  connectedServiceCountedWhenItIs: 'connected service: counted when it is run',
  search: (length: Said) => `${length} search`,
  copyAll: 'Copy all',
  copy: 'Copy',
  ofText: (used: Said, most: Said, kind: Said) => `${used} of ${most} ${kind}`,
  dropsPeopleItselfOfAllWho: (name: Said, people: Said, share: Said) =>
    `${name} drops ${people} people itself, ${share} of all who could meet the string there: it lacks their`,
  whichItIsAsked: ', which it is asked.',
  showAllSearches: (length: Said) => `Show all ${length} searches`,
  fixTheErrorsInTheString: 'Fix the errors in the string to see its search.',
  translating: 'Translating…'
});

export const sourcePaste = catalogue('string/sourcePaste', {
  pasteFromASource: 'Paste from a source',
  asWrittenFor: 'as written for',
  sourceTheTextWasWrittenFor: 'Source the text was written for',
  textAsItStandsAtThe: 'Text as it stands at the source',
  aLineForEachBoxOr: (labels: Said, value: Said) => `${labels}: …
${value}: …
(a line for each box or fact, or just the text of one box)`,
  theSearchAsItStandsIn: 'The search as it stands in the source’s box',
  understoodAs: 'Understood as',
  nothingToSearchForWasFound:
    'Nothing to search for was found in this text. Paste the search itself, or choose the source it was written for.',
  whatYouPasteIsReadBy: 'What you paste is read by the rules of',
  itsSource: 'its source',
  whatBindsFirstThereWhatIts: ': what binds first there, what its words side by side mean.',
  takeItAsTheString: 'Take it as the string'
});

export const stringPanels = catalogue('string/stringPanels', {
  nothingIsWantedYetWriteThe:
    'Nothing is wanted yet. Write the string above, or build it from the persona and its wordings.',
  noSourceThatCanBeCounted:
    'No source that can be counted is ticked above: tick one, run a connected service, or copy the searches of a place run by hand.',
  theStringHasSomethingThatMust: 'The string has something that must be mended first: see the list under the editor.',
  noWordOfThisStringIs: 'No word of this string is known to mean several things.',
  worthOfEachPart: 'Worth of each part',
  narrowing: 'Narrowing',
  asATree: 'As a tree',
  versions: (length: Said) => `Versions (${length})`,
  pasteFromASource: 'Paste from a source'
});

export const versionPanel = catalogue('string/versionPanel', {
  versions: 'Versions',
  from: (parent: Said) => `from ${parent}`,
  noneYetEveryStringThatIs: 'None yet. Every string that is run is kept here.',
  nameOfVersion: (number: Said) => `Name of version ${number}`,
  noteOnVersion: (number: Said) => `Note on version ${number}`,
  takeUpAgain: 'Take up again',
  version: (number: Said) => `version ${number}`,
  fromVersionTo: (number: Said) => `From version ${number} to`,
  compareWith: 'Compare with',
  theStringAbove: 'the string above',
  theSameText: 'the same text.',
  theSamePartsWrittenOtherwise: 'the same parts, written otherwise.',
  asText: 'As text',
  wordSetsAsTheyWere: 'Word sets as they were:'
});

export const whoGoes = catalogue('string/whoGoes', {
  whoGoes: 'Who goes',
  whoGoes2: (says: Said) => `Who goes: ${says}`,
  at: 'at',
  close: 'Close',
  wouldGo: 'would go',
  wouldCome: 'would come',
  ofShownDrawnToRead: (length: Said, shown: Said, side: Said) =>
    `, ${length} of ${shown} shown drawn to read; ${side}.`,
  peopleWho: (words: Said) => `People who ${words}`,
  findingThem: 'Finding them…',
  ofJudgedAreFits: (count: Said, judged: Said, count2: Said, interval: Said) =>
    `${count} of ${judged} judged are fits: ${count2}, ${interval}`,
  nobodyJudgedYet: 'nobody judged yet'
});

export const stringPage = catalogue('string/stringPage', {
  version: (number: Said) => `Version ${number}`,
  afterVersion: (number: Said) => `After version ${number}`,
  string: 'String',
  buildFromPersona: 'Build from persona',
  format: 'Format',
  runOnSource: (length: Said, length2: Said, runCost: Said) => `Run on ${length} source${length2}${runCost}`,
  ctrl: 'Ctrl ↵',
  moreToDoWithTheString: 'More to do with the string',
  undo: 'Undo',
  redo: 'Redo',
  onOneLine: 'On one line',
  shorten: 'Shorten',
  importAFileOfPeople: 'Import a file of people',
  sourcesToRunOn: 'Sources to run on'
});
