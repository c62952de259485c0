import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const batchBar = catalogue('shortlist/batchBar', {
  actionsForSelectedPeople: 'Actions for selected people',
  selected: (many: Said) => `${many} selected`,
  addTag: 'Add tag',
  tag: 'tag',
  removeTag: 'Remove tag',
  removeTag2: 'remove tag…',
  priority: 'Priority',
  priority2: 'priority…',
  none: 'none',
  nextStep: 'Next step',
  nextStep2: 'next step',
  reasonForExcluding: 'Reason for excluding',
  excludeReason: 'exclude: reason',
  include: 'Include',
  merge: 'Merge',
  moreLikeThese: 'More like these',
  copy: 'Copy',
  remove: 'Remove'
});

export const doubtfulPairs = catalogue('shortlist/doubtfulPairs', {
  possibleDuplicates: 'Possible duplicates',
  merge: 'Merge',
  noPossibleDuplicatesOnThisList: 'No possible duplicates on this list.'
});

export const groupBars = catalogue('shortlist/groupBars', {
  breakdown: 'Breakdown',
  by: 'By',
  nothingKnown: 'nothing known',
  notChecked: 'not checked',
  toExport: 'to export',
  excluded: 'excluded',
  notJudged: 'not judged'
});

export const keepFromHarvest = catalogue('shortlist/keepFromHarvest', {
  addToShortlist: 'Add to shortlist',
  add: 'Add',
  cancel: 'Cancel',
  everybodyWhoMatches: 'Everybody who matches',
  peopleWhoMatch: (many: Said) => `${many} people who match`,
  filterEachIsAddedOnceWith: (who: Said) =>
    `${who} the filter: each is added once with all their records. People already on the list are updated.`,
  minimumLikelihoodFit: 'Minimum likelihood of a fit, %',
  any: 'any',
  reason: 'Reason'
});

export const keptCard = catalogue('shortlist/keptCard', {
  person: 'Person',
  closeCard: 'Close card',
  close: 'Close',
  noAddressLikely: 'no address; likely',
  guessedFromAddressesThere: (pattern: Said, seen: Said, value: Said) =>
    `, guessed from ${pattern} (${seen} of ${value} addresses there)`,
  noAddress: 'no address',
  added: (keptAt: Said) => `Added ${keptAt}`,
  by: (keptBy: Said) => ` by ${keptBy}`,
  from: 'from',
  file: 'a file',
  trial: 'a trial',
  exported: (takenAt: Said) => `; exported ${takenAt}`,
  priority: 'Priority',
  next: 'Next',
  date: 'Date',
  note: 'Note',
  inLetter: 'In a letter',
  inLetter2: (word: Said) => `${word} in a letter`,
  suggested: 'suggested:',
  notCertain: 'not certain',
  oneRecord: 'One record',
  records: (length: Said) => `${length} records`,
  release: 'release',
  notSamePersonSplit: 'not the same person: split',
  excludeRemoveOrErase: 'Exclude, remove or erase',
  include: 'Include',
  exclude: 'Exclude',
  removeFromList: 'Remove from list',
  eraseOnObjection: 'Erase on objection…',
  eraseEverywhere: (name: Said) => `Erase ${name} everywhere?`,
  erase: 'Erase',
  cancel: 'Cancel',
  thisDeletesEveryRecordThisPerson:
    "This deletes every record of this person from files, trials, diaries, harvests, watches and shortlists. Verdicts stay as numbers without a name. Only a keyed hash is kept, so that they are never imported again. You can't undo this.",
  greeting: 'Greeting',
  firm: 'Firm',
  title: 'Title'
});

export const leftToSettle = catalogue('shortlist/leftToSettle', {
  erasedPleaseCheckThesePlaces: 'Erased. Please check these places',
  everyRecordWasErasedTheseTexts:
    'Every record was erased. These texts may still name the person; only you can judge what to remove.',
  inText: 'in'
});

export const listColumns = catalogue('shortlist/listColumns', {
  saveThisView: 'Save this view',
  name: 'Name',
  save: 'Save'
});

export const listSettings = catalogue('shortlist/listSettings', {
  listSettings: 'List settings',
  save: 'Save',
  cancel: 'Cancel',
  name: 'Name',
  purpose: 'Purpose',
  toContactThemAbout: 'to contact them about…',
  yourNameSavedWithPeopleYou: 'Your name, saved with the people you add',
  savedInThisBrowser: 'saved in this browser',
  customColumns: 'Custom columns',
  nameColumn: (i: Said) => `Name of column ${i}`,
  type: 'Type',
  choicesSeparatedByCommas: 'Choices, separated by commas',
  choicesSeparatedByCommas2: 'choices, separated by commas',
  remove: (name: Said) => `Remove ${name}`,
  addColumn: 'Add column',
  tagsAndColours: 'Tags and colours',
  tag: (i: Said) => `Tag ${i}`,
  colour: 'Colour',
  addTag: 'Add tag',
  exclusionsAlwaysShownWithTheirReason: 'Exclusions, always shown with their reason',
  onePerLine: (word: Said) => `${word}, one per line`,
  firmOrItsDomain: 'firm or its domain',
  importCustomers: 'Import customers…',
  peopleInCountriesThatRequirePrior: 'people in countries that require prior consent (see the library)',
  exportedPeopleCountAsContactedIn: 'exported people count as contacted in this brief’s other lists',
  customers: 'Customers',
  competitors: 'Competitors',
  ownFirmsIncludingSubsidiaries: 'Own firms, including subsidiaries'
});

export const mailCheck = catalogue('shortlist/mailCheck', {
  checkAddresses: 'Check addresses',
  stop: 'Stop',
  resumeLeft: (toAsk: Said) => `Resume: ${toAsk} left`,
  check: (toAsk: Said) => `Check ${toAsk}`,
  close: 'Close',
  addressesToCheckFor: (toAsk: Said) => `${toAsk} addresses to check, for`,
  atMostYouOnlyPayFor: (cost: number, unit: string) =>
    `${cost.toLocaleString('en')} ${plural(cost, { one: unit, other: `${unit}s` })} at most. You only pay for good ones.`,
  foundWithoutCheckMalformedDuplicates: (malformed: Said, duplicate: Said, role: Said, throwAway: Said) =>
    `Found without a check: ${malformed} malformed, ${duplicate} duplicates, ${role} shared mailboxes, ${throwAway} disposable.`,
  checkCheckedGood: (stateWords: Said, checked: Said, addresses: Said, good: Said) =>
    `Check ${stateWords}: ${checked} of ${addresses} checked, ${good} good,`,
  sSpent: (unit: Said) => `${unit}s spent`,
  resumes: (goesOnAt: Said) => `; resumes ${goesOnAt}`,
  addressesChecked: 'Addresses checked',
  checksPerDay: 'Checks per day',
  perMonth: 'per month',
  saveLimits: 'Save limits',
  usedTodayThisMonthUtc: (today: Said, month: Said) => `Used: ${today} today, ${month} this month (UTC).`,
  paused: 'paused',
  finished: 'finished',
  failed: 'failed'
});

export const moreLike = catalogue('shortlist/moreLike', {
  moreLikeThese: 'More like these',
  saveAsVersionAndTest: 'Save as version and test',
  close: 'Close',
  judgedPeopleItFindsAreFits: (judged: Said, fits: Said, interval: Said) =>
    `Of ${judged} judged people it finds, ${fits} are fits (${interval}).`,
  nobodyItFindsHasBeenJudged: 'Nobody it finds has been judged yet.',
  itWouldAddPeopleThisBrief: (people: Said) =>
    `It would add ${people} people this brief has seen who aren’t on the list`,
  inCommon: 'In common',
  thesePeople: 'these people',
  everyoneElse: 'everyone else',
  timesAsOften: 'times as often',
  ofText: (good: Said, ofGood: Said) => `${good} of ${ofGood}`,
  ofText2: (rest: Said, ofRest: Said) => `${rest} of ${ofRest}`,
  theyHaveNothingInCommonThat:
    'They have nothing in common that a string could search for: their titles aren’t listed, or have nothing in common.',
  similarFirms: 'Similar firms',
  factsMatchPeopleSeenThere: (shared: Said, value: Said, people: Said) =>
    `${shared} of ${value} facts match; ${people} people seen there`
});

export const newShortlist = catalogue('shortlist/newShortlist', {
  newShortlist: 'New shortlist',
  create: 'Create',
  cancel: 'Cancel',
  name: 'Name',
  purpose: 'Purpose'
});

export const ownCell = catalogue('shortlist/ownCell', {
  yes: 'yes',
  no: 'no'
});

export const pasteRows = catalogue('shortlist/pasteRows', {
  added: (many: Said, there: Said) => `${many} added, ${there} already there`,
  merged: (many: Said) => `, ${many} merged with one of these`,
  objected: (many: Said) => `, ${many} excluded because they objected`,
  noRows: 'There are no rows below the header. Copy the rows together with their header row.',
  noNameColumn: (headers: Said) => `Couldn’t find a name column. Headers found: ${headers}.`,
  noNames: 'None of the rows has a name.',
  notAdded: 'Not added',
  addPeopleFromSpreadsheet: 'Add people from a spreadsheet',
  add: 'Add',
  close: 'Close',
  pasteRowsFromSpreadsheetOrCsv:
    'Paste rows from a spreadsheet or CSV, including the header row. Eave recognizes names and firms in all its languages, and this list’s columns by their names. People already on the list are updated.',
  rows: 'Rows',
  nameTitleCompanyEmail: 'Name, Title, Company, Email',
  otherColumnsAreAddedToThis: 'other columns are added to this list',
  reason: 'Reason',
  importCsv: 'Import CSV'
});

export const peopleTable = catalogue('shortlist/peopleTable', {
  people: 'People',
  everyoneMatchingFilter: 'Everyone matching the filter',
  name: 'Name',
  select: (name: Said) => `Select ${name}`,
  noMatches: 'No matches.',
  nobodyHereYetAddPeopleFrom: 'Nobody here yet. Add people from a trial (K), a harvest or a file, or add all fits.',
  good: '✓ good',
  uncertain: '△ uncertain',
  bad: '✕ bad',
  noAnswer: '? no answer',
  notChecked: 'not checked',
  noAddress: 'no address'
});

export const profileEditor = catalogue('shortlist/profileEditor', {
  headerColumn: (i: Said) => `Header of column ${i}`,
  content: 'Content',
  field: 'Field',
  field2: 'field…',
  text: 'The text',
  text2: 'the text',
  moveUp: (header: Said) => `Move ${header} up`,
  moveDown: (header: Said) => `Move ${header} down`,
  remove: (header: Said) => `Remove ${header}`,
  addColumn: 'Add column',
  dates: 'Dates',
  numbers: 'Numbers',
  saveAs: 'Save as',
  saveColumns: 'Save columns'
});

export const shortlistRoad = catalogue('shortlist/shortlistRoad', {
  howThisListCameAbout: 'How this list came about',
  fitsJudgedHere: (interval: Said, judged: Said) => `fits (${interval}), ${judged} judged here`,
  addedAsJudgedFits: (judged: Said) => `added as judged fits: ${judged}`,
  nobodyJudgedHereYet: 'nobody judged here yet',
  rowsReported: 'rows reported',
  peopleCollected: 'people collected',
  judgedFits: 'judged fits',
  onThisList: 'on this list',
  goodAddresses: 'good addresses',
  exported: 'exported'
});

export const exportDialog = catalogue('shortlist/exportDialog', {
  exportText: 'Export',
  exportText2: (people: Said) => `Export ${people}`,
  cancel: 'Cancel',
  format: 'Format',
  addresses: 'Addresses',
  checkedOrNot: 'checked or not',
  goodOnly: 'good only',
  goodAndUncertain: 'good and uncertain',
  columns: 'Columns',
  salt: 'Salt',
  batchSize: 'Batch size',
  all: 'all',
  batch: 'Batch',
  ofText: (i: Said, batches: Said) => `${i} of ${batches}`,
  includeExcludedPeople: 'Include excluded people',
  people: 'people',
  lowerCaseAddressesAndE164: '. Lower-case addresses and E.164 numbers are each hashed separately.',
  preview: 'Preview',
  columnsInThisFile: 'Columns in this file',
  mergePreview: 'Merge preview',
  chooseCsvFromReceivingSystem: 'Choose a CSV from the receiving system',
  compared: 'Compared:',
  withText: (here: Said, there: Said) => `${here} with ${there}`,
  noColumn: 'no column',
  columnsNotFilledFromHere: (join: Said) => `Columns not filled from here: ${join}.`,
  columnsMissingThere: (join: Said) => `Columns missing there: ${join}.`,
  rowByRow: 'Row by row',
  exportHistory: (length: Said) => `Export history (${length})`,
  as: (at: Said, people: Said, as: Said) => `${at}: ${people} as ${as}`,
  recordProcessingToPrint: 'Record of processing (to print)',
  jsonLines: 'JSON Lines',
  vcard40: 'vCard 4.0',
  hashedAudienceSha256: 'hashed audience (SHA-256)',
  standard: 'Standard'
});

export const shortlistPage = catalogue('shortlist/shortlistPage', {
  shortlist: 'Shortlist',
  noShortlistYet: 'No shortlist yet',
  shortlistHoldsPeopleYoullContactEach:
    'A shortlist holds the people you’ll contact: each once, checked and cleaned, without anyone you exclude.',
  createShortlist: 'Create shortlist',
  undo: (undo: Said) => `Undo: ${undo}`,
  undo2: 'Undo',
  addAllFits: 'Add all fits',
  checking: (checked: Said, addresses: Said) => `Checking ${checked} of ${addresses}`,
  checkAddresses: 'Check addresses',
  exportText: 'Export',
  moreActions: 'More actions',
  pasteOrImport: 'Paste or import',
  watchThesePeople: 'Watch these people',
  possibleDuplicates: 'Possible duplicates',
  settings: 'Settings',
  newList: 'New list',
  deleteText: 'Delete',
  peopleOnThisList: 'People on this list',
  searchAllFields: 'Search all fields',
  search: 'Search',
  removeFilter: (one: Said, filter: Said) => `Remove filter ${one} ${filter}`,
  excluded: 'excluded',
  dueBy: 'Due by',
  view: 'View',
  view2: 'View',
  defaultText: 'default',
  columns: 'Columns',
  people: (value: Said) => `${value} people`,
  deleteThisList: 'Delete this list?',
  deleteText2: 'Delete',
  thisDeletesItsPeopleTagsAnd:
    'This deletes its people, tags and notes. Verdicts, trials and harvests are kept. You can’t undo this.',
  copiedReadyToPasteIntoSpreadsheet: (many: Said) => `${many} copied, ready to paste into a spreadsheet`,
  addedAlreadyThere: (kept: Said, there: Said) => `${kept} added, ${there} already there`
});

export const keeping = catalogue('shortlist/keeping', {
  shortlist: 'Shortlist',
  newShortlist: 'the new shortlist',
  addedTo: (many: Said, list: Said) => `${many} added to ${list}`,
  alreadyThere: (many: Said) => `${many} already there`,
  objected: (many: Said) => `${many} excluded because they objected`,
  openShortlist: 'Open shortlist',
  allFits: 'all fits'
});

export const groups = catalogue('shortlist/groups', {
  country: 'Country',
  company: 'Firm',
  rank: 'Rank',
  tag: 'Tag',
  verdict: 'Verdict',
  mail: 'Address',
  leftOut: 'Excluded'
});

/** Columns that every list has; a list's own columns are `own.` and their name. */
export const plainColumns = catalogue('shortlist/plainColumns', {
  title: 'Title',
  company: 'Firm',
  place: 'Place',
  country: 'Country',
  mail: 'Address',
  mailState: 'Checked',
  phone: 'Phone',
  headcount: 'Firm size',
  verdict: 'Verdict',
  likelihood: 'Likelihood',
  tags: 'Tags',
  priority: 'Priority',
  nextOn: 'Next step',
  note: 'Note',
  greeting: 'Greeting',
  keptAt: 'Added',
  leftOut: 'Excluded'
});

/** What is said of why somebody is excluded, in a word or two. */
export const exclusionReasons = catalogue('shortlist/exclusionReasons', {
  contacted: 'contacted',
  customer: 'customer',
  competitor: 'competitor',
  'own firm': 'own firm',
  'excluded firm': 'excluded firm',
  consent: 'consent required',
  'shared mailbox': 'firm’s mailbox',
  'no address': 'no address',
  'already exported': 'already exported',
  'by hand': 'by hand'
});
