import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const builtDifference = catalogue('string/builtDifference', {
  changesFromPersona: 'Changes from the persona',
  personaAndItsWordingsWouldChange:
    'The persona and its wordings would change this string. Your own edits stay unless you accept.',
  stringMatchesPersonaAndItsWordings: 'The string matches the persona and its wordings.',
  useNewString: 'Use new string',
  keepMine: 'Keep mine',
  ok: 'OK'
});

export const ledger = catalogue('string/ledger', {
  whatEachPartDoesBySource: 'What each part does, by source',
  matchesAloneChangeIfRemoved: 'Matches alone; change if removed',
  barPeopleItKeepsOutOn: '. Bar: people it keeps out, on a log scale',
  collapseAll: 'Collapse all',
  expandAll: 'Expand all',
  stringOrder: 'String order',
  ifRemoved: 'if removed',
  missesFits: 'misses · fits',
  sortByAt: (words: Said, name: Said) => `Sort by ${words} at ${name}`,
  collapse: 'Collapse',
  expand: 'Expand',
  thisSourceCantSearchThisPart: 'This source can’t search this part on its own.',
  notSearched: 'not searched'
});

export const ledgerHead = catalogue('string/ledgerHead', {
  exact: 'exact',
  certain: 'certain,',
  possible: 'possible of',
  shown: 'shown',
  beforeErrors: 'before the errors',
  runCostsS: (cost: Said, unit: Said) => `a run costs ${cost} ${unit}s`,
  used: (used: Said, most: Said, kind: Said) => `${used} of ${most} ${kind} used`,
  preparingItsPeople: 'preparing its people',
  counting: 'counting',
  searches: (many: number) => plural(many, { one: '1 search', other: `${many} searches` }),
  partsNotCounted: 'The parts aren’t counted yet: there was too little time.',
  continueText: 'Continue'
});

export const meanings = catalogue('string/meanings', {
  meaningsWordsInThisString: 'Meanings of words in this string',
  meanings: 'Meanings',
  amongPeopleFoundAt: 'among people found at',
  moreWaysToPickOneMeaning: (unmeasured: Said) =>
    `${unmeasured} more ways to pick one meaning would take too long to measure here.`,
  inProfilesShown: (people: Said) => `in ${people} of the profiles shown`,
  unclearIn: (people: Said) => `; unclear in ${people}`,
  meanings2: (word: Said) => `Meanings of ${word}`,
  meaning: 'Meaning',
  share: 'Share',
  toKeepOnlyThis: 'To keep only this',
  as: (says: Said, word: Said, name: Said) => `${says}: ${word} as ${name}`,
  withOtherMeaningsStay: (estimated: Said, estimated2: Said, othersLeft: Said, people: Said) =>
    `${estimated} → ${estimated2}; ${othersLeft} with other meanings stay; ${people}`,
  noWordInThisStringIs: 'No word in this string is known to have several meanings.',
  readingProfiles: 'Reading profiles…',
  requireRelatedWord: 'Require a related word',
  excludeOthers: 'Exclude the others',
  losesThisMeaning: (before: Said) => `loses ${before} of this meaning`,
  losesNoneThisMeaning: 'loses none of this meaning'
});

export const narrowing = catalogue('string/narrowing', {
  narrowing: 'Narrowing',
  howCountFallsPartByPart: 'How the count falls, part by part. Move a part to see what the others do without it',
  stringOrder: 'String order',
  countAfterEachPart: 'Count after each part',
  after: 'After',
  order: 'Order',
  everyone: 'everyone',
  thisSourceCantSearchFirstParts: 'This source can’t search the first parts on their own.',
  cantBeSearchedHere: 'can’t be searched here',
  movePartUp: (part: Said) => `Move part ${part} up`,
  movePartDown: (part: Said) => `Move part ${part} down`,
  chartSameFiguresOnLogScale: 'Chart of the same figures on a log scale'
});

export const partChanges = catalogue('string/partChanges', {
  changedParts: 'Changed parts',
  fromTo: (before: Said, place: Said) => `from ${before} to ${place}`,
  andMore: (length: Said) => `and ${length} more`
});

export const partTree = catalogue('string/partTree', {
  stringAsTree: 'String as a tree',
  actionsForSelectedPart: 'Actions for the selected part',
  searchIn: 'search in',
  several: 'several',
  wholeProfile: 'whole profile',
  fixErrorsToEditTreeIt: 'Fix the errors to edit the tree. It shows what could be read.',
  wordSetName: 'Word set name',
  qualityHeads: 'quality-heads',
  wordings: (length: Said, join: Said) => `${length} wordings: ${join}`,
  saveToLibrary: 'Save to library',
  cancel: 'Cancel',
  partsString: 'Parts of the string',
  not: 'not',
  inText: (place: Said) => `in ${place}`,
  wordings2: (length: Said) => `${length} wordings`,
  disabled: 'disabled',
  wording: (line: Said) => `wording of ${line}`,
  parts: (length: Said) => `${length} parts`,
  newPart: 'New part',
  part: 'Part'
});

export const partWeight = catalogue('string/partWeight', {
  misses: (many: number, written: Said) => plural(many, { one: `${written} miss`, other: `${written} misses` }),
  fits: (many: number, written: Said) => plural(many, { one: `${written} fit`, other: `${written} fits` }),
  removes: (misses: Said) => `removes ${misses}`,
  withoutThisPartMorePeopleWould: (people: Said) => `Without this part, ${people} more people would match`
});

export const pasteNotice = catalogue('string/pasteNotice', {
  cleanedUp: (join: Said) => `Cleaned up: ${join}.`,
  undoCleanup: 'Undo cleanup',
  yesCapitalize: 'Yes, capitalize',
  no: 'No',
  ok: 'OK'
});

export const problems = catalogue('string/problems', {
  problemsInString: 'Problems in the string',
  andMoreMarkedInString: (length: Said) => `and ${length} more, marked in the string`,
  error: 'Error',
  warning: 'Warning',
  line: (length: Said) => `line ${length}`
});

export const proposalCards = catalogue('string/proposalCards', {
  topProposals: 'Top proposals',
  missesRemovedFitsLost: (sourceId: Said, before: Said, after: Said, missesRemoved: Said) =>
    `${sourceId}: ${before} → ${after}; misses removed ${missesRemoved}, fits lost`,
  apply: (says: Said) => `Apply: ${says}`,
  apply2: 'Apply',
  all: (length: Said) => `All ${length}`,
  noneJudged: 'none judged'
});

export const proposals = catalogue('string/proposals', {
  missesRemoved: (missesRemoved: Said) => `misses removed ${missesRemoved}`,
  fitsLost: 'fits lost',
  addsFitsAndMisses: (fits: Said, misses: Said) => `adds ${fits} fits and ${misses} misses`,
  noChange: 'no change',
  proposals: 'Proposals',
  changesYourVerdictsSupportEach: (judged: Said) =>
    `changes your verdicts${judged === null ? '' : ` on ${judged} people`} support, each measured before you apply it; shares are of the judged people found`,
  measuring: 'Measuring…',
  measuredSoFar: (measured: number, of: number) => `${measured} of ${of} possible changes measured so far.`,
  continueText: 'Continue',
  yourVerdictsSupportNoChangeYet: 'Your verdicts support no change yet. Judge more people, especially misses.',
  runStringAndJudgeSomePeople: 'Run the string and judge some people first. Proposals come from fits and misses.',
  proposalsBestFirst: 'Proposals, best first',
  change: 'Change',
  select: (says: Said) => `Select: ${says}`,
  mayRemoveMoreThanFewFits: 'may remove more than a few fits: check who first',
  whoWouldBeRemoved: (says: Said) => `Who would be removed? ${says}`,
  whoWouldBeRemoved2: 'Who would be removed?',
  apply: (says: Said) => `Apply: ${says}`,
  apply2: 'Apply',
  selectedTogether: (length: Said) => `The ${length} selected together`,
  whoWouldBeRemovedAllSelected: 'Who would be removed? All selected',
  applyAllSelected: 'Apply all selected',
  applyAll: 'Apply all',
  noneJudged: 'none judged'
});

export const searchBoxes = catalogue('string/searchBoxes', {
  copy: 'Copy',
  forText: (id: Said, which: Said, name: Said) => `${id}${which} for ${name}`,
  forText2: (scope: Said, which: Said, name: Said) => `${scope}${which} for ${name}`,
  search: (value: Said) => ` of search ${value}`
});

export const searchesToCopy = catalogue('string/searchesToCopy', {
  openDiary: 'Open diary',
  enterCountAndPastePagesOver: 'Enter the count and paste the pages, over several days if needed.'
});

export const sourceCard = catalogue('string/sourceCard', {
  searchesFor: (name: Said) => `Searches for ${name}`,
  manualSource: 'manual source',
  connectedServiceCountedWhenRun: 'connected service: counted when run',
  search: (length: Said) => `${length} search`,
  copyAll: 'Copy all',
  copy: 'Copy',
  ofText: (used: Said, most: Said, kind: Said) => `${used} of ${most} ${kind}`,
  dropsPeopleAllWhoCouldMatch: (name: Said, people: Said, share: Said) =>
    `${name} drops ${people} people, ${share} of all who could match there, because it doesn’t list their`,
  whichSearchAsksFor: ', which the search asks for.',
  showAllSearches: (length: Said) => `Show all ${length} searches`,
  fixErrorsInStringToSee: 'Fix the errors in the string to see its search.',
  translating: 'Translating…'
});

export const sourcePaste = catalogue('string/sourcePaste', {
  pasteFromSource: 'Paste from a source',
  writtenFor: 'written for',
  sourceTextWasWrittenFor: 'Source the text was written for',
  textFromSource: 'Text from the source',
  lineForEachBoxOrFact: (labels: Said, value: Said) => `${labels}: …
${value}: …
(a line for each box or fact, or just the text of one box)`,
  searchCopiedFromSource: 'The search, copied from the source',
  understoodAs: 'Understood as',
  couldntFindSearchInThisText:
    'Couldn’t find a search in this text. Paste the search itself, or choose the source it was written for.',
  yourTextIsReadByRules: 'Your text is read by the rules of',
  itsSource: 'its source',
  includingOperatorOrderAndWhat: ', including operator order and what adjacent words mean.',
  useAsString: 'Use as string'
});

export const stringPanels = catalogue('string/stringPanels', {
  proposals: (many: number) => (many ? `Proposals (${many})` : 'Proposals'),
  meanings: (many: number) => (many ? `Meanings (${many})` : 'Meanings'),
  searches: (notes: number) =>
    notes ? `Searches (${plural(notes, { one: '1 note', other: `${notes} notes` })})` : 'Searches',
  noStringYetWriteOneAbove: 'No string yet. Write one above, or build it from the persona and its wordings.',
  noCountableSourceIsSelectedSelect:
    'No countable source is selected. Select one above, run a connected service, or copy the searches for a manual source.',
  fixErrorsInStringFirstTheyre: 'Fix the errors in the string first; they’re listed under the editor.',
  noWordInThisStringIs: 'No word in this string is known to have several meanings.',
  whatEachPartDoes: 'What each part does',
  narrowing: 'Narrowing',
  tree: 'Tree',
  versions: (length: Said) => `Versions (${length})`,
  pasteFromSource: 'Paste from a source'
});

export const versionPanel = catalogue('string/versionPanel', {
  versions: 'Versions',
  from: (parent: Said) => `from ${parent}`,
  noneYetEveryStringYouRun: 'None yet. Every string you run is saved here.',
  nameVersion: (number: Said) => `Name of version ${number}`,
  noteOnVersion: (number: Said) => `Note on version ${number}`,
  restore: 'Restore',
  version: (number: Said) => `version ${number}`,
  fromVersionTo: (number: Said) => `From version ${number} to`,
  compareWith: 'Compare with',
  currentString: 'current string',
  sameText: 'the same text.',
  samePartsWrittenDifferently: 'the same parts, written differently.',
  asText: 'As text',
  wordSetsAtThatTime: 'Word sets at that time:'
});

export const whoGoes = catalogue('string/whoGoes', {
  whoWouldBeRemoved: 'Who would be removed',
  whoWouldBeRemoved2: (says: Said) => `Who would be removed: ${says}`,
  at: 'at',
  close: 'Close',
  wouldBeRemoved: 'would be removed',
  wouldBeAdded: 'would be added',
  shownHere: (length: Said, shown: Said, side: Said) => `; ${length} of ${shown} shown here; ${side}.`,
  peopleWho: (words: Said) => `People who ${words}`,
  findingThem: 'Finding them…',
  judgedAreFits: (count: Said, judged: Said, count2: Said, interval: Said) =>
    `${count} of ${judged} judged are fits: ${count2}, ${interval}`,
  nobodyJudgedYet: 'nobody judged yet'
});

export const stringPage = catalogue('string/stringPage', {
  writeFirst: 'Write a string first, or build it from the persona.',
  onlyManual: 'Only manual sources are selected. Copy their searches, or select a source Eave can search.',
  noneSelected: 'No source selected. Select at least one below the string.',
  couldntRun: 'Couldn’t run',
  couldntBuild: 'Couldn’t build a string',
  personaEmpty: 'The persona is empty. Add at least one job title.',
  version: (number: Said) => `Version ${number}`,
  afterVersion: (number: Said) => `After version ${number}`,
  string: 'String',
  buildFromPersona: 'Build from persona',
  format: 'Format',
  runOnSources: (sources: number, cost: string) =>
    `${plural(sources, { one: 'Run on 1 source', other: `Run on ${sources} sources` })}${cost}`,
  ctrl: 'Ctrl ↵',
  moreActions: 'More actions',
  undo: 'Undo',
  redo: 'Redo',
  onOneLine: 'On one line',
  shorten: 'Shorten',
  importFilePeople: 'Import a file of people',
  sourcesToRunOn: 'Sources to run on'
});

export const ledgerWords = catalogue('string/ledgerWords', {
  idle: 'no effect',
  blocking: 'shuts everyone out',
  harmful: 'brings misses',
  'costs fits': 'costs fits',
  bringsAlone: 'It alone brings',
  throwsOutAlone: 'It alone throws out',
  judged: (verb: Said, misses: Said, fits: Said, share: Said, range: Said) =>
    `${verb} ${misses} judged misses and ${fits} judged fits: ${share} misses, ${range}.`,
  answersForInAll: 'In all it answers for',
  hitsInAll: 'In all it hits',
  inAll: (verb: Said, misses: Said, fits: Said) => ` ${verb} ${misses} misses and ${fits} fits.`,
  price: (price: Said) => ` Price of those it alone brings: ${price}.`
});

export const editor = catalogue('string/editor', {
  string: 'String',
  writeString: 'Write a string, or build it from the persona',
  example: (titles: Said) => `: title:(${titles})`,
  overOneYear: '% over one year',
  months: 'months',
  days: 'days',
  toExclude: 'to exclude',
  wordings: (many: number) => plural(many, { one: '1 wording', other: `${many} wordings` })
});

export const treeWords = catalogue('string/tree', {
  allOf: 'all of',
  anyOf: 'any of',
  nothingToSearch: 'There’s nothing to search for. Type one or more words, or @ and the name of a word set.',
  cantBeWordSet: 'Only an “any of” group or a single term can become a word set. Select one.',
  wholeProfile: 'whole profile',
  add: 'Add',
  edit: 'Edit',
  changeToAnyOf: 'Change to any of',
  changeToAllOf: 'Change to all of',
  stopExcluding: 'Stop excluding',
  exclude: 'Exclude',
  enable: 'Enable',
  disable: 'Disable',
  wrap: 'Wrap in a group',
  unwrap: 'Unwrap',
  up: 'Up',
  down: 'Down',
  saveAsWordSet: 'Save as word set…',
  expandWordSet: 'Expand word set',
  remove: 'Remove'
});
