import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const wordSetForm = catalogue('library/wordSetForm', {
  wordSet: (name: Said) => `Word set ${name}`,
  newWordSet: 'New word set',
  name: 'Name',
  qualityHeads: 'quality-heads',
  usedTo: 'Used to',
  findPeople: 'find people',
  excludePeople: 'exclude people',
  note: 'Note',
  oneWordingPerLineWordSeveral:
    'One wording per line: a word, several words, pharma*, or with its own scope such as company:“…”',
  thisChangesStringInSavedVersions: (briefs: Said) =>
    `This changes the string in ${briefs}. Saved versions aren’t changed.`,
  changeItIn: 'Change it in',
  thisString: 'this string',
  all: (length: Said) => `all ${length}`,
  cancel: 'Cancel',
  save: 'Save',
  addToLibrary: 'Add to the library',
  deleteText: 'Delete',
  stringStillUsesIt: 'a string still uses it',
  copyAsGroup: 'Copy as group',
  newSet: 'the new set',
  close: 'Close'
});

export const libraryPage = catalogue('library/libraryPage', {
  library: 'Library',
  useWordSetInAnyString: 'Use a word set in any string by its name, for example',
  titleQualityHeadsNotNeverInterns: 'title:@quality-heads NOT @never-interns',
  changingSetChangesEveryStringThat:
    '. Changing a set changes every string that uses it. Saved versions aren’t changed.',
  yourLexicon: 'Your lexicon',
  regionsAndConsent: 'Regions and consent',
  exportJson: 'Export JSON',
  exportCsv: 'Export CSV',
  importText: 'Import',
  newWordSet: 'New word set',
  findSetOrWording: 'Find a set or wording',
  wordSets: 'Word sets',
  set: 'Set',
  wordings: 'Wordings',
  usedIn: 'Used in',
  excludePeople: 'exclude people',
  noString: 'no string',
  noMatches: 'No matches.',
  noWordSetsYetCreateOne: 'No word sets yet. Create one here, save one from a string’s tree, or import a file.',
  addedToLibrary: (name: Said) => `@${name} added to the library.`,
  deleted: (name: Said) => `@${name} deleted.`,
  saved: (name: string, strings: number) =>
    `@${name} saved${strings ? ` and updated in ${plural(strings, { one: '1 string', other: `${strings} strings` })}` : ''}.`,
  addedExtendedUnchanged: (file: string, added: number, extended: number, unchanged: number, wordings: number) =>
    `${file}: ${plural(added, { one: '1 set', other: `${added} sets` })} added, ${extended} extended, ${unchanged} unchanged; ${plural(wordings, { one: '1 new wording', other: `${wordings.toLocaleString('en')} new wordings` })}.`
});

export const libraryLexiconPage = catalogue('library/libraryLexiconPage', {
  twoMeanings: 'Enter at least two meanings, one per line: the meaning, a colon, and the words that indicate it.',
  chooseExported: 'Choose a file exported from Eave.',
  lexicon: 'lexicon',
  notSaved: 'Not saved',
  language: 'Language',
  library: 'Library',
  yourLexicon: 'Your lexicon',
  addTitlesFieldsWorkAndMeanings:
    'Add titles, fields of work and meanings from your trade to those that ship with Eave. Every brief uses them to read titles and suggest wordings.',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  addTitle: 'Add a title',
  title: 'A title',
  jobTitleThatFollowsNoPattern: 'A job title that follows no pattern, such as “Hive Steward” for a head of beekeeping.',
  title2: 'Title',
  rank: 'Rank',
  functionText: 'Function',
  fieldWork: 'field of work',
  addTitle2: 'Add title',
  addFunction: 'Add a function',
  functionOrAnotherNameForOne: 'A function, or another name for one',
  thisAddsAllItsTitlesSuch: 'This adds all its titles, such as head of … and … manager.',
  beekeeping: 'beekeeping',
  nameInThatLanguage: 'Name in that language',
  imkerei: 'Imkerei',
  addName: 'Add name',
  addMeanings: 'Add meanings',
  wordWithSeveralMeanings: 'A word with several meanings',
  word: 'Word',
  drone: 'drone',
  oneMeaningPerLineWithWords: 'One meaning per line, with the words that indicate it',
  addMeanings2: 'Add meanings',
  tryTitle: 'Try a title',
  anyTitle: 'Any title',
  readAs: 'read as',
  noRank: 'no rank',
  ofText: 'of',
  notRecognized: 'not recognized',
  sure: (confidence: Said) => `${confidence} sure`,
  notRecognized2: 'not recognized',
  yourAdditions: 'Your additions',
  titlesAndNamesYouAdded: 'Titles and names you added',
  text: 'Text',
  means: 'Means',
  nameFor: (value: Said) => `a name for ${value}`,
  remove: (text: Said) => `Remove ${text}`,
  removeMeanings: (value: Said) => `Remove the meanings of ${value}`,
  nothingYetEaveShipsWithFunctions: (length: Said, length2: Said) =>
    `Nothing yet. Eave ships with ${length} functions in ${length2} languages. Add your trade’s own terms here, or import a file.`,
  maleBeeHiveQueenAircraftRotor: 'male bee: hive, queen\naircraft: rotor, pilot'
});

export const libraryPlacesPage = catalogue('library/libraryPlacesPage', {
  library: 'Library',
  regionsAndConsent: 'Regions and consent',
  sharedByAllBriefsPersonasThat: 'Shared by all briefs. Personas that already use a region keep their countries.',
  regions: 'Regions',
  undo: 'Undo',
  newRegion: 'New region',
  resetToDefault: 'Reset to default',
  namesSeparatedByCommas: 'Names, separated by commas',
  countries: (names: Said) => `Countries of ${names}`,
  deleteText: (names: Said) => `Delete ${names}`,
  countriesThatRequirePriorConsent: 'Countries that require prior consent',
  countriesWhereFirstEmailCommonly:
    'Countries where a first email commonly needs the person’s prior consent. Common practice, no published source, and not legal advice: ask your own lawyers.',
  countries2: 'Countries',
  namesOrCodesIso31661: 'Names or codes of ISO 3166-1.',
  note: 'note'
});
