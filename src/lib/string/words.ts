import { catalogue, type Said } from '$lib/words/catalogue';

export const builtDifference = catalogue('string/builtDifference', {
  whatThePersonaWouldChange: 'Changes from the persona',
  thePersonaAndItsWordingsWould:
    'The persona and its wordings would change this string. Your own edits stay unless you accept.',
  theStringSaysWhatThePersona: 'The string matches the persona and its wordings.',
  takeIt: 'Use new string',
  leaveMine: 'Keep mine',
  good: 'OK'
});

export const ledger = catalogue('string/ledger', {
  worthOfEachPartBySource: 'What each part does, by source',
  peopleFoundAloneAndTheChange: 'Matches alone; change if removed',
  barMoreWithoutIt: '. Bar: people it keeps out, on a log scale',
  foldAll: 'Collapse all',
  unfoldAll: 'Expand all',
  inTheStringsOrder: 'String order',
  ifLeftOut: 'if removed',
  missesFits: 'misses · fits',
  sortByAt: (words: Said, name: Said) => `Sort by ${words} at ${name}`,
  fold: 'Collapse',
  unfold: 'Expand',
  thisAloneCannotBeAskedThere: 'This source can’t search this part on its own.',
  notAsked: 'not searched'
});

export const ledgerHead = catalogue('string/ledgerHead', {
  certain: 'certain,',
  possibleOf: 'possible of',
  shown: 'shown',
  beforeTheErrors: 'before the errors',
  aRunCostsS: (cost: Said, unit: Said) => `a run costs ${cost} ${unit}s`,
  ofUsed: (used: Said, most: Said, kind: Said) => `${used} of ${most} ${kind} used`,
  itsPeopleAreBeingPrepared: 'preparing its people'
});

export const meanings = catalogue('string/meanings', {
  meaningsOfWordsInThisString: 'Meanings of words in this string',
  meanings: 'Meanings',
  amongThePeopleFoundAt: 'among people found at',
  moreWaysToWantOneMeaning: (unmeasured: Said) =>
    `${unmeasured} more ways to pick one meaning would take too long to measure here.`,
  inOfTheProfilesShown: (people: Said) => `in ${people} of the profiles shown`,
  doNotTellWhatItMeans: (people: Said) => `; unclear in ${people}`,
  meaningsOf: (word: Said) => `Meanings of ${word}`,
  meaning: 'Meaning',
  share: 'Share',
  ifOnlyThisIsWanted: 'To keep only this',
  as: (says: Said, word: Said, name: Said) => `${says}: ${word} as ${name}`,
  ofOtherMeaningsStay: (estimated: Said, estimated2: Said, othersLeft: Said, people: Said) =>
    `${estimated} → ${estimated2}; ${othersLeft} with other meanings stay; ${people}`,
  noWordOfThisStringIs: 'No word in this string is known to have several meanings.',
  readingThePeopleFound: 'Reading profiles…',
  wantAWordOfItToo: 'Require a related word',
  leaveTheOthersOut: 'Exclude the others',
  losesOfThisMeaning: (before: Said) => `loses ${before} of this meaning`,
  losesNoneOfThisMeaning: 'loses none of this meaning'
});

export const narrowing = catalogue('string/narrowing', {
  narrowing: 'Narrowing',
  howTheCountFallsPartBy: 'How the count falls, part by part. Move a part to see what the others do without it',
  theStringsOrder: 'String order',
  countAfterEachPart: 'Count after each part',
  after: 'After',
  order: 'Order',
  everybody: 'everyone',
  theFirstPartsAloneCannotBe: 'This source can’t search the first parts on their own.',
  cannotBeAsked: 'can’t be searched here',
  movePartUp: (part: Said) => `Move part ${part} up`,
  movePartDown: (part: Said) => `Move part ${part} down`,
  chartOfTheSameFiguresOn: 'Chart of the same figures on a log scale'
});

export const partChanges = catalogue('string/partChanges', {
  partsThatDiffer: 'Changed parts',
  fromTo: (before: Said, place: Said) => `from ${before} to ${place}`,
  andMore: (length: Said) => `and ${length} more`
});

export const partTree = catalogue('string/partTree', {
  theStringAsATree: 'String as a tree',
  whatToDoWithTheChosen: 'Actions for the selected part',
  searchedIn: 'search in',
  several: 'several',
  wholeProfile: 'whole profile',
  theStringHasSomethingThatMust: 'Fix the errors to edit the tree. It shows what could be read.',
  nameOfTheWordSet: 'Word set name',
  qualityHeads: 'quality-heads',
  wordings: (length: Said, join: Said) => `${length} wordings: ${join}`,
  keepInTheLibrary: 'Save to library',
  leaveIt: 'Cancel',
  partsOfTheString: 'Parts of the string',
  not: 'not',
  inText: (place: Said) => `in ${place}`,
  wordings2: (length: Said) => `${length} wordings`,
  setAside: 'disabled',
  wordingOf: (line: Said) => `wording of ${line}`,
  parts: (length: Said) => `${length} parts`,
  newPart: 'New part',
  part: 'Part'
});

export const partWeight = catalogue('string/partWeight', {
  throwsOut: (misses: Said) => `removes ${misses}`,
  keepsOut: (people: Said) => `Without this part, ${people} more people would match`
});

export const pasteNotice = catalogue('string/pasteNotice', {
  pastedAndCleaned: (join: Said) => `Cleaned up: ${join}.`,
  putItAsItWas: 'Undo cleanup',
  yesInCapitals: 'Yes, capitalize',
  noLeaveIt: 'No',
  good: 'OK'
});

export const problems = catalogue('string/problems', {
  problemsOfTheString: 'Problems in the string',
  andMoreMarkedInTheString: (length: Said) => `and ${length} more, marked in the string`,
  mustBeMended: 'Error',
  lookAgain: 'Warning',
  line: (length: Said) => `line ${length}`
});

export const proposalCards = catalogue('string/proposalCards', {
  theBestChanges: 'Top proposals',
  missesRemovedFitsLost: (sourceId: Said, before: Said, after: Said, missesRemoved: Said) =>
    `${sourceId}: ${before} → ${after}; misses removed ${missesRemoved}, fits lost`,
  take: (says: Said) => `Apply: ${says}`,
  take2: 'Apply',
  all: (length: Said) => `All ${length}`,
  noneJudged: 'none judged'
});

export const proposals = catalogue('string/proposals', {
  missesRemoved: (missesRemoved: Said) => `misses removed ${missesRemoved}`,
  fitsLost: 'fits lost',
  fitsAndMissesCome: (fits: Said, misses: Said) => `adds ${fits} fits and ${misses} misses`,
  nothingChanges: 'no change',
  proposals: 'Proposals',
  changesYourVerdictsSupport: (judged: Said) =>
    `changes your verdicts${judged === null ? '' : ` on ${judged} people`} support, each measured before you apply it; shares are of the judged people found`,
  measuring: 'Measuring…',
  noChangeGainsAnythingByThe: 'Your verdicts support no change yet. Judge more people, especially misses.',
  runTheStringAndJudgeSome: 'Run the string and judge some people first. Proposals come from fits and misses.',
  proposalsBestFirst: 'Proposals, best first',
  change: 'Change',
  choose: (says: Said) => `Select: ${says}`,
  mayLoseMoreThanAFew: 'may remove more than a few fits: check who first',
  whoGoes: (says: Said) => `Who would be removed? ${says}`,
  whoGoes2: 'Who would be removed?',
  take: (says: Said) => `Apply: ${says}`,
  take2: 'Apply',
  theChosenTogether: (length: Said) => `The ${length} selected together`,
  whoGoesAllChosen: 'Who would be removed? All selected',
  takeAllChosen: 'Apply all selected',
  takeAll: 'Apply all',
  noneJudged: 'none judged'
});

export const searchBoxes = catalogue('string/searchBoxes', {
  copy: 'Copy',
  forText: (id: Said, which: Said, name: Said) => `${id}${which} for ${name}`,
  forText2: (scope: Said, which: Said, name: Said) => `${scope}${which} for ${name}`,
  ofSearch: (value: Said) => ` of search ${value}`
});

export const searchesToCopy = catalogue('string/searchesToCopy', {
  runItByHand: 'Open diary',
  typeTheCountYouSeeAnd: 'Enter the count and paste the pages, over several days if needed.'
});

export const sourceCard = catalogue('string/sourceCard', {
  howIsAsked: (name: Said) => `Searches for ${name}`,
  runByHand: 'manual source',
  connectedServiceCountedWhenItIs: 'connected service: counted when run',
  search: (length: Said) => `${length} search`,
  copyAll: 'Copy all',
  copy: 'Copy',
  ofText: (used: Said, most: Said, kind: Said) => `${used} of ${most} ${kind}`,
  dropsPeopleItselfOfAllWho: (name: Said, people: Said, share: Said) =>
    `${name} drops ${people} people, ${share} of all who could match there, because it doesn’t list their`,
  whichItIsAsked: ', which the search asks for.',
  showAllSearches: (length: Said) => `Show all ${length} searches`,
  fixTheErrorsInTheString: 'Fix the errors in the string to see its search.',
  translating: 'Translating…'
});

export const sourcePaste = catalogue('string/sourcePaste', {
  pasteFromASource: 'Paste from a source',
  asWrittenFor: 'written for',
  sourceTheTextWasWrittenFor: 'Source the text was written for',
  textAsItStandsAtThe: 'Text from the source',
  aLineForEachBoxOr: (labels: Said, value: Said) => `${labels}: …
${value}: …
(a line for each box or fact, or just the text of one box)`,
  theSearchAsItStandsIn: 'The search, copied from the source',
  understoodAs: 'Understood as',
  nothingToSearchForWasFound:
    'Couldn’t find a search in this text. Paste the search itself, or choose the source it was written for.',
  whatYouPasteIsReadBy: 'Your text is read by the rules of',
  itsSource: 'its source',
  whatBindsFirstThereWhatIts: ', including operator order and what adjacent words mean.',
  takeItAsTheString: 'Use as string'
});

export const stringPanels = catalogue('string/stringPanels', {
  nothingIsWantedYetWriteThe: 'No string yet. Write one above, or build it from the persona and its wordings.',
  noSourceThatCanBeCounted:
    'No countable source is selected. Select one above, run a connected service, or copy the searches for a manual source.',
  theStringHasSomethingThatMust: 'Fix the errors in the string first; they’re listed under the editor.',
  noWordOfThisStringIs: 'No word in this string is known to have several meanings.',
  worthOfEachPart: 'What each part does',
  narrowing: 'Narrowing',
  asATree: 'Tree',
  versions: (length: Said) => `Versions (${length})`,
  pasteFromASource: 'Paste from a source'
});

export const versionPanel = catalogue('string/versionPanel', {
  versions: 'Versions',
  from: (parent: Said) => `from ${parent}`,
  noneYetEveryStringThatIs: 'None yet. Every string you run is saved here.',
  nameOfVersion: (number: Said) => `Name of version ${number}`,
  noteOnVersion: (number: Said) => `Note on version ${number}`,
  takeUpAgain: 'Restore',
  version: (number: Said) => `version ${number}`,
  fromVersionTo: (number: Said) => `From version ${number} to`,
  compareWith: 'Compare with',
  theStringAbove: 'current string',
  theSameText: 'the same text.',
  theSamePartsWrittenOtherwise: 'the same parts, written differently.',
  asText: 'As text',
  wordSetsAsTheyWere: 'Word sets at that time:'
});

export const whoGoes = catalogue('string/whoGoes', {
  whoGoes: 'Who would be removed',
  whoGoes2: (says: Said) => `Who would be removed: ${says}`,
  at: 'at',
  close: 'Close',
  wouldGo: 'would be removed',
  wouldCome: 'would be added',
  ofShownDrawnToRead: (length: Said, shown: Said, side: Said) => `; ${length} of ${shown} shown here; ${side}.`,
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
  moreToDoWithTheString: 'More actions',
  undo: 'Undo',
  redo: 'Redo',
  onOneLine: 'On one line',
  shorten: 'Shorten',
  importAFileOfPeople: 'Import a file of people',
  sourcesToRunOn: 'Sources to run on'
});
