import { catalogue, type Said } from '$lib/words/catalogue';

export const batchBar = catalogue('shortlist/batchBar', {
  withThoseChosen: 'Actions for selected people',
  chosen: (many: Said) => `${many} selected`,
  aTagToAdd: 'Add tag',
  tag: 'tag',
  takeATagOff: 'Remove tag',
  takeATagOff2: 'remove tag…',
  priority: 'Priority',
  priority2: 'priority…',
  none: 'none',
  nextStep: 'Next step',
  nextStep2: 'next step',
  whyTheyAreLeftOut: 'Reason for excluding',
  leaveOutWhy: 'exclude: reason',
  takeIn: 'Include',
  onePerson: 'Merge',
  moreLikeThese: 'More like these',
  copy: 'Copy',
  takeOff: 'Remove'
});

export const doubtfulPairs = catalogue('shortlist/doubtfulPairs', {
  perhapsTheSamePerson: 'Possible duplicates',
  onePerson: 'Merge',
  nobodyOnThisListLooksLike: 'No possible duplicates on this list.'
});

export const groupBars = catalogue('shortlist/groupBars', {
  howManyThereAreOfEach: 'Breakdown',
  by: 'By',
  nothingKnown: 'nothing known',
  notChecked: 'not checked',
  toExport: 'to export',
  excludedInAll: 'excluded',
  notJudged: 'not judged'
});

export const keepFromHarvest = catalogue('shortlist/keepFromHarvest', {
  keepOnTheShortlist: 'Add to shortlist',
  keepThem: 'Add',
  notNow: 'Cancel',
  those: 'Everybody who matches',
  people: (many: Said) => `${many} people who match`,
  whomTheFilterFindsEachOnce: (who: Said) =>
    `${who} the filter: each is added once with all their records. People already on the list are updated.`,
  likelyToFitFromIn: 'Minimum likelihood of a fit, %',
  any: 'any',
  whyTheyAreKept: 'Reason'
});

export const keptCard = catalogue('shortlist/keptCard', {
  thePerson: 'Person',
  closeTheCard: 'Close card',
  close: 'Close',
  noAddressLikely: 'no address; likely',
  aGuessByOfThere: (pattern: Said, seen: Said, value: Said) =>
    `, guessed from ${pattern} (${seen} of ${value} addresses there)`,
  noAddress: 'no address',
  kept: (keptAt: Said) => `Added ${keptAt}`,
  by: (keptBy: Said) => ` by ${keptBy}`,
  from: 'from',
  aFile: 'a file',
  aTrial: 'a trial',
  takenAlong: (takenAt: Said) => `; exported ${takenAt}`,
  priority: 'Priority',
  next: 'Next',
  onWhichDay: 'Date',
  note: 'Note',
  inALetter: 'In a letter',
  inALetter2: (word: Said) => `${word} in a letter`,
  asEaveWould: 'suggested:',
  notSure: 'not certain',
  oneRecord: 'One record',
  records: (length: Said) => `${length} records`,
  letGo: 'release',
  somebodyElseSplit: 'not the same person: split',
  leaveOutTakeOffOrThey: 'Exclude, remove or erase',
  takeInAgain: 'Include',
  leaveOut: 'Exclude',
  takeOffTheList: 'Remove from list',
  eraseOnObjection: 'Erase on objection…',
  eraseEverywhere: (name: Said) => `Erase ${name} everywhere?`,
  eraseForGood: 'Erase',
  cancel: 'Cancel',
  thisDeletesEveryRecordOfThis:
    "This deletes every record of this person from files, trials, diaries, harvests, watches and shortlists. Verdicts stay as numbers without a name. Only a keyed hash is kept, so that they are never imported again. You can't undo this.",
  greeting: 'Greeting',
  firm: 'Firm',
  title: 'Title'
});

export const leftToSettle = catalogue('shortlist/leftToSettle', {
  erasedPleaseCheckThesePlaces: 'Erased. Please check these places',
  everyRecordWasErasedTheseTexts:
    'Every record was erased. These texts may still name the person; only you can tell what to remove.',
  inText: 'in'
});

export const listColumns = catalogue('shortlist/listColumns', {
  keepThisView: 'Save this view',
  name: 'Name',
  keep: 'Save'
});

export const listSettings = catalogue('shortlist/listSettings', {
  settingsOfThisList: 'List settings',
  keep: 'Save',
  leaveThem: 'Cancel',
  name: 'Name',
  forWhatItIsKept: 'Purpose',
  toWriteToThemAbout: 'to contact them about…',
  yourNameRememberedWithWhomYou: 'Your name, saved with the people you add',
  keptInThisBrowser: 'saved in this browser',
  columnsOfItsOwn: 'Custom columns',
  nameOfColumn: (i: Said) => `Name of column ${i}`,
  type: 'Type',
  choicesCommasBetween: 'Choices, separated by commas',
  choicesCommasBetween2: 'choices, separated by commas',
  takeOut: (name: Said) => `Remove ${name}`,
  addAColumn: 'Add column',
  tagsAndTheirColours: 'Tags and colours',
  tag: (i: Said) => `Tag ${i}`,
  colour: 'Colour',
  addATag: 'Add tag',
  whomToLeaveOutAlwaysWith: 'Exclusions, always shown with their reason',
  oneALine: (word: Said) => `${word}, one per line`,
  firmOrItsDomain: 'firm or its domain',
  customersFromAFile: 'Import customers…',
  peopleInCountriesThatAskPrior: 'people in countries that require prior consent (see the library)',
  whoeverIsTakenAlongCountsAs: 'exported people count as contacted in this brief’s other lists',
  customers: 'Customers',
  competitors: 'Competitors',
  ourOwnFirmsSubsidiariesToo: 'Own firms, including subsidiaries'
});

export const mailCheck = catalogue('shortlist/mailCheck', {
  checkAddresses: 'Check addresses',
  stop: 'Stop',
  goOnWith: (toAsk: Said) => `Resume: ${toAsk} left`,
  check: (toAsk: Said) => `Check ${toAsk}`,
  close: 'Close',
  addressesCanBeAskedAboutAt: (toAsk: Said) => `${toAsk} addresses to check, for`,
  atMostOnlyGoodOnesAre: (unit: Said, cost: Said) => `${unit}${cost} at most. You only pay for good ones.`,
  toldWithoutAskingMalformedTwiceOf: (malformed: Said, duplicate: Said, role: Said, throwAway: Said) =>
    `Found without a check: ${malformed} malformed, ${duplicate} duplicates, ${role} shared mailboxes, ${throwAway} disposable.`,
  theCheckOfAskedGood: (stateWords: Said, checked: Said, addresses: Said, good: Said) =>
    `Check ${stateWords}: ${checked} of ${addresses} checked, ${good} good,`,
  sSpent: (unit: Said) => `${unit}s spent`,
  goesOn: (goesOnAt: Said) => `; resumes ${goesOnAt}`,
  addressesAsked: 'Addresses checked',
  checksADay: 'Checks per day',
  aMonth: 'per month',
  keepThePlan: 'Save limits',
  usedTodayThisMonthUtc: (today: Said, month: Said) => `Used: ${today} today, ${month} this month (UTC).`,
  standsStill: 'paused',
  isDone: 'finished',
  brokeOff: 'failed'
});

export const moreLike = catalogue('shortlist/moreLike', {
  moreLikeThese: 'More like these',
  keepAsAVersionAndTest: 'Save as version and test',
  close: 'Close',
  ofJudgedWhomItFindsFit: (judged: Said, fits: Said, interval: Said) =>
    `Of ${judged} judged people it finds, ${fits} are fits (${interval}).`,
  nobodyWhomItFindsWasJudged: 'Nobody it finds has been judged yet.',
  itWouldAddPeopleWhomThis: (people: Said) =>
    `It would add ${people} people this brief has seen who aren’t on the list`,
  theyShare: 'In common',
  these: 'these people',
  theRest: 'everyone else',
  timesAsOften: 'times as often',
  ofText: (good: Said, ofGood: Said) => `${good} of ${ofGood}`,
  ofText2: (rest: Said, ofRest: Said) => `${rest} of ${ofRest}`,
  theyShareNothingThatAString:
    'They have nothing in common that a string could search for: their titles aren’t listed, or have nothing in common.',
  firmsLikeTheirs: 'Similar firms',
  ofFactsAlikeSeenThere: (shared: Said, value: Said, people: Said) =>
    `${shared} of ${value} facts match; ${people} people seen there`
});

export const newShortlist = catalogue('shortlist/newShortlist', {
  aNewShortlist: 'New shortlist',
  beginIt: 'Create',
  notNow: 'Cancel',
  name: 'Name',
  forWhatItIsKept: 'Purpose'
});

export const ownCell = catalogue('shortlist/ownCell', {
  yes: 'yes',
  no: 'no'
});

export const pasteRows = catalogue('shortlist/pasteRows', {
  keepPeopleOfAFileOr: 'Add people from a spreadsheet',
  keepThem: 'Add',
  close: 'Close',
  rowsCopiedFromASpreadsheetOr:
    'Paste rows from a spreadsheet or CSV, including the header row. Eave recognizes names and firms in all its languages, and this list’s columns by their names. People already on the list are updated.',
  rows: 'Rows',
  nameTitleCompanyEmail: 'Name, Title, Company, Email',
  otherColumnsBecomeColumnsOfThis: 'other columns are added to this list',
  whyTheyAreKept: 'Reason',
  fromACsv: 'Import CSV'
});

export const peopleTable = catalogue('shortlist/peopleTable', {
  peopleARowEach: 'People',
  everybodyByThisFilter: 'Everyone matching the filter',
  name: 'Name',
  choose: (name: Said) => `Select ${name}`,
  nobodyByThisFilter: 'No matches.',
  nobodyIsKeptHereYetKeep: 'Nobody here yet. Add people from a trial (K), a harvest or a file, or add all fits.',
  good: '✓ good',
  uncertain: '△ uncertain',
  bad: '✕ bad',
  noAnswer: '? no answer',
  notChecked: 'not checked',
  noAddress: 'no address'
});

export const profileEditor = catalogue('shortlist/profileEditor', {
  headerOfColumn: (i: Said) => `Header of column ${i}`,
  fromWhat: 'Content',
  which: 'Field',
  which2: 'field…',
  theText: 'The text',
  theText2: 'the text',
  moveUp: (header: Said) => `Move ${header} up`,
  moveDown: (header: Said) => `Move ${header} down`,
  takeOut: (header: Said) => `Remove ${header}`,
  addAColumn: 'Add column',
  dates: 'Dates',
  numbers: 'Numbers',
  keepAs: 'Save as',
  keepTheseColumns: 'Save columns'
});

export const shortlistRoad = catalogue('shortlist/shortlistRoad', {
  theRoadToThisList: 'How this list came about',
  fitByJudgedHere: (interval: Said, judged: Said) => `fits (${interval}), ${judged} judged here`,
  allJudgedFit: (judged: Said) => `added as judged fits: ${judged}`,
  nobodyHereIsJudgedYet: 'nobody judged here yet',
  rowsReported: 'rows reported',
  peopleCollected: 'people collected',
  judgedFit: 'judged fits',
  onThisList: 'on this list',
  goodAddresses: 'good addresses',
  takenAlong: 'exported'
});

export const takeAlong = catalogue('shortlist/takeAlong', {
  takeAlong: 'Export',
  takeAlong2: (people: Said) => `Export ${people}`,
  notNow: 'Cancel',
  as: 'Format',
  addresses: 'Addresses',
  checkedOrNot: 'checked or not',
  goodOnly: 'good only',
  goodAndUncertain: 'good and uncertain',
  columns: 'Columns',
  salt: 'Salt',
  inBatchesOf: 'Batch size',
  all: 'all',
  batch: 'Batch',
  ofText: (i: Said, batches: Said) => `${i} of ${batches}`,
  alsoThoseWhoAreLeftOut: 'Include excluded people',
  people: 'people',
  addressesInSmallLettersAndNumbers: '. Lower-case addresses and E.164 numbers are each hashed separately.',
  theFirstLines: 'Preview',
  columnsOfThisFile: 'Columns in this file',
  whatAMergeWouldDo: 'Merge preview',
  aCsvOfTheReceivingSystem: 'Choose a CSV from the receiving system',
  compared: 'Compared:',
  withText: (here: Said, there: Said) => `${here} with ${there}`,
  noColumn: 'no column',
  columnsThatNothingHereFills: (join: Said) => `Columns not filled from here: ${join}.`,
  columnsThatAreNotThere: (join: Said) => `Columns missing there: ${join}.`,
  lineByLine: 'Row by row',
  takenAlongBefore: (length: Said) => `Export history (${length})`,
  as2: (at: Said, people: Said, as: Said) => `${at}: ${people} as ${as}`,
  recordOfProcessingToPrint: 'Record of processing (to print)',
  jsonLines: 'JSON Lines',
  vcard40: 'vCard 4.0',
  hashedAudienceSha256: 'hashed audience (SHA-256)',
  standard: 'Standard'
});

export const shortlistPage = catalogue('shortlist/shortlistPage', {
  shortlist: 'Shortlist',
  nobodyIsKeptYet: 'No shortlist yet',
  aShortlistHoldsThePeopleThat:
    'A shortlist holds the people you’ll contact: each once, checked and cleaned, without anyone you exclude.',
  beginAShortlist: 'Create shortlist',
  undo: (undo: Said) => `Undo: ${undo}`,
  undo2: 'Undo',
  keepAllFits: 'Add all fits',
  checkingOf: (checked: Said, addresses: Said) => `Checking ${checked} of ${addresses}`,
  checkAddresses: 'Check addresses',
  takeAlong: 'Export',
  moreToDoWithTheList: 'More actions',
  pasteOrFromAFile: 'Paste or import',
  watchThesePeople: 'Watch these people',
  perhapsTheSamePerson: 'Possible duplicates',
  settings: 'Settings',
  newList: 'New list',
  deleteText: 'Delete',
  thePeopleKept: 'People on this list',
  wordsInEverythingThatIsTold: 'Search all fields',
  search: 'search',
  noLongerOnly: (one: Said, filter: Said) => `Remove filter ${one} ${filter}`,
  leftOut: 'excluded',
  dueUntil: 'due by',
  view: 'View',
  view2: 'view…',
  asUsual: 'default',
  columns: 'Columns',
  people: (value: Said) => `${value} people`,
  deleteThisList: 'Delete this list?',
  deleteForGood: 'Delete',
  itsPeopleTagsAndNotesGo:
    'This deletes its people, tags and notes. Verdicts, trials and harvests are kept. You can’t undo this.',
  copiedToPasteIntoASpreadsheet: (many: Said) => `${many} copied, ready to paste into a spreadsheet`,
  keptWereThere: (kept: Said, there: Said) => `${kept} added, ${there} already there`
});
