import { catalogue, type Said } from '$lib/words/catalogue';

export const batchBar = catalogue('shortlist/batchBar', {
  withThoseChosen: 'With those chosen',
  chosen: (many: Said) => `${many} chosen`,
  aTagToAdd: 'A tag to add',
  tag: 'tag',
  takeATagOff: 'Take a tag off',
  takeATagOff2: 'take a tag off…',
  priority: 'Priority',
  priority2: 'priority…',
  none: 'none',
  nextStep: 'Next step',
  nextStep2: 'next step',
  whyTheyAreLeftOut: 'Why they are left out',
  leaveOutWhy: 'leave out: why',
  takeIn: 'Take in',
  onePerson: 'One person',
  moreLikeThese: 'More like these',
  copy: 'Copy',
  takeOff: 'Take off'
});

export const doubtfulPairs = catalogue('shortlist/doubtfulPairs', {
  perhapsTheSamePerson: 'Perhaps the same person',
  onePerson: 'One person',
  nobodyOnThisListLooksLike: 'Nobody on this list looks like another.'
});

export const groupBars = catalogue('shortlist/groupBars', {
  howManyThereAreOfEach: 'How many there are of each',
  by: 'By',
  nothingKnown: 'nothing known',
  notChecked: 'not checked',
  toExport: 'to export',
  excludedInAll: 'excluded, in all',
  notJudged: 'not judged'
});

export const keepFromHarvest = catalogue('shortlist/keepFromHarvest', {
  keepOnTheShortlist: 'Keep on the shortlist',
  keepThem: 'Keep them',
  notNow: 'Not now',
  those: 'Those',
  whomTheFilterFindsEachOnce:
    'whom the filter finds, each once with all records; who is on the list already is brought up to date.',
  likelyToFitFromIn: 'Likely to fit from, in %',
  any: 'any',
  whyTheyAreKept: 'Why they are kept'
});

export const keptCard = catalogue('shortlist/keptCard', {
  thePerson: 'The person',
  closeTheCard: 'Close the card',
  close: 'Close',
  noAddressLikely: 'no address; likely',
  aGuessByOfThere: (pattern: Said, seen: Said, value: Said) => `, a guess by ${pattern} (${seen} of ${value} there)`,
  noAddress: 'no address',
  kept: (keptAt: Said) => `Kept ${keptAt}`,
  by: (keptBy: Said) => ` by ${keptBy}`,
  from: 'from',
  aFile: 'a file',
  aTrial: 'a trial',
  takenAlong: (takenAt: Said) => `; taken along ${takenAt}`,
  priority: 'Priority',
  next: 'Next',
  onWhichDay: 'On which day',
  note: 'Note',
  inALetter: 'In a letter',
  inALetter2: (word: Said) => `${word} in a letter`,
  asEaveWould: 'as Eave would:',
  notSure: 'not sure',
  oneRecord: 'One record',
  records: (length: Said) => `${length} records`,
  letGo: 'let go',
  somebodyElseSplit: 'somebody else: split',
  leaveOutTakeOffOrThey: 'Leave out, take off, or they objected',
  takeInAgain: 'Take in again',
  leaveOut: 'Leave out',
  takeOffTheList: 'Take off the list',
  eraseOnObjection: 'Erase on objection…',
  eraseEverywhere: (name: Said) => `Erase ${name} everywhere?`,
  eraseForGood: 'Erase for good',
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
  keepThisView: 'Keep this view',
  name: 'Name',
  keep: 'Keep'
});

export const listSettings = catalogue('shortlist/listSettings', {
  settingsOfThisList: 'Settings of this list',
  keep: 'Keep',
  leaveThem: 'Leave them',
  name: 'Name',
  forWhatItIsKept: 'For what it is kept',
  toWriteToThemAbout: 'to write to them about …',
  yourNameRememberedWithWhomYou: 'Your name, remembered with whom you keep',
  keptInThisBrowser: 'kept in this browser',
  columnsOfItsOwn: 'Columns of its own',
  nameOfColumn: (i: Said) => `Name of column ${i}`,
  type: 'Type',
  choicesCommasBetween: 'Choices, commas between',
  choicesCommasBetween2: 'choices, commas between',
  takeOut: (name: Said) => `Take ${name} out`,
  addAColumn: 'Add a column',
  tagsAndTheirColours: 'Tags and their colours',
  tag: (i: Said) => `Tag ${i}`,
  colour: 'Colour',
  addATag: 'Add a tag',
  whomToLeaveOutAlwaysWith: 'Whom to leave out, always with the reason shown',
  oneALine: (word: Said) => `${word}, one a line`,
  firmOrItsDomain: 'firm or its domain',
  customersFromAFile: 'Customers from a file…',
  peopleInCountriesThatAskPrior: 'people in countries that ask prior consent (the list is in the library)',
  whoeverIsTakenAlongCountsAs: 'whoever is taken along counts as contacted in this brief’s other lists',
  customers: 'Customers',
  competitors: 'Competitors',
  ourOwnFirmsSubsidiariesToo: 'Our own firms, subsidiaries too'
});

export const mailCheck = catalogue('shortlist/mailCheck', {
  checkAddresses: 'Check addresses',
  stop: 'Stop',
  goOnWith: (toAsk: Said) => `Go on with ${toAsk}`,
  check: (toAsk: Said) => `Check ${toAsk}`,
  close: 'Close',
  addressesCanBeAskedAboutAt: (toAsk: Said) => `${toAsk} addresses can be asked about, at`,
  atMostOnlyGoodOnesAre: (unit: Said, cost: Said) => `${unit}${cost} at most: only good ones are paid for.`,
  toldWithoutAskingMalformedTwiceOf: (malformed: Said, duplicate: Said, role: Said, throwAway: Said) =>
    `Told without asking: ${malformed} malformed, ${duplicate} twice, ${role} of firms, ${throwAway} to throw away.`,
  theCheckOfAskedGood: (stateWords: Said, checked: Said, addresses: Said, good: Said) =>
    `The check ${stateWords}: ${checked} of ${addresses} asked, ${good} good,`,
  sSpent: (unit: Said) => `${unit}s spent`,
  goesOn: (goesOnAt: Said) => `; goes on ${goesOnAt}`,
  addressesAsked: 'Addresses asked',
  checksADay: 'Checks a day',
  aMonth: 'a month',
  keepThePlan: 'Keep the plan',
  usedTodayThisMonthUtc: (today: Said, month: Said) => `Used: ${today} today, ${month} this month (UTC).`,
  standsStill: 'stands still',
  isDone: 'is done',
  brokeOff: 'broke off'
});

export const moreLike = catalogue('shortlist/moreLike', {
  moreLikeThese: 'More like these',
  keepAsAVersionAndTest: 'Keep as a version, and test it',
  close: 'Close',
  ofJudgedWhomItFindsFit: (judged: Said, fits: Said, interval: Said) =>
    `Of ${judged} judged whom it finds, ${fits} fit (${interval}).`,
  nobodyWhomItFindsWasJudged: 'Nobody whom it finds was judged yet.',
  itWouldAddPeopleWhomThis: (people: Said) =>
    `It would add ${people} people whom this brief has seen and who are not on the list`,
  theyShare: 'They share',
  these: 'these',
  theRest: 'the rest',
  timesAsOften: 'times as often',
  ofText: (good: Said, ofGood: Said) => `${good} of ${ofGood}`,
  ofText2: (rest: Said, ofRest: Said) => `${rest} of ${ofRest}`,
  theyShareNothingThatAString:
    'They share nothing that a string could ask for: their titles are not told, or have nothing in common.',
  firmsLikeTheirs: 'Firms like theirs',
  ofFactsAlikeSeenThere: (shared: Said, value: Said, people: Said) =>
    `${shared} of ${value} facts alike; ${people} seen there`
});

export const newShortlist = catalogue('shortlist/newShortlist', {
  aNewShortlist: 'A new shortlist',
  beginIt: 'Begin it',
  notNow: 'Not now',
  name: 'Name',
  forWhatItIsKept: 'For what it is kept'
});

export const ownCell = catalogue('shortlist/ownCell', {
  yes: 'yes',
  no: 'no'
});

export const pasteRows = catalogue('shortlist/pasteRows', {
  keepPeopleOfAFileOr: 'Keep people of a file or a spreadsheet',
  keepThem: 'Keep them',
  close: 'Close',
  rowsCopiedFromASpreadsheetOr:
    'Rows copied from a spreadsheet, or a CSV, with their heading: names and firms are recognised in all languages of the lexicon, columns of this list by their name. Whoever is on the list already is brought up to date.',
  rows: 'Rows',
  nameTitleCompanyEmail: 'Name, Title, Company, Email',
  otherColumnsBecomeColumnsOfThis: 'other columns become columns of this list',
  whyTheyAreKept: 'Why they are kept',
  fromACsv: 'From a CSV'
});

export const peopleTable = catalogue('shortlist/peopleTable', {
  peopleARowEach: 'People, a row each',
  everybodyByThisFilter: 'Everybody by this filter',
  name: 'Name',
  choose: (name: Said) => `Choose ${name}`,
  nobodyByThisFilter: 'Nobody by this filter.',
  nobodyIsKeptHereYetKeep: 'Nobody is kept here yet. Keep people from a trial (K), a harvest, all fits, or a file.',
  good: '✓ good',
  uncertain: '△ uncertain',
  bad: '✕ bad',
  noAnswer: '? no answer',
  notChecked: 'not checked',
  noAddress: 'no address'
});

export const profileEditor = catalogue('shortlist/profileEditor', {
  headerOfColumn: (i: Said) => `Header of column ${i}`,
  fromWhat: 'From what',
  which: 'Which',
  which2: 'which…',
  theText: 'The text',
  theText2: 'the text',
  moveUp: (header: Said) => `Move ${header} up`,
  moveDown: (header: Said) => `Move ${header} down`,
  takeOut: (header: Said) => `Take ${header} out`,
  addAColumn: 'Add a column',
  dates: 'Dates',
  numbers: 'Numbers',
  keepAs: 'Keep as',
  keepTheseColumns: 'Keep these columns'
});

export const shortlistRoad = catalogue('shortlist/shortlistRoad', {
  theRoadToThisList: 'The road to this list',
  fitByJudgedHere: (interval: Said, judged: Said) => `fit (${interval}), by ${judged} judged here`,
  nobodyHereIsJudgedYet: 'nobody here is judged yet',
  rowsReported: 'rows reported',
  peopleCollected: 'people collected',
  judgedFit: 'judged fit',
  onThisList: 'on this list',
  goodAddresses: 'good addresses',
  takenAlong: 'taken along'
});

export const takeAlong = catalogue('shortlist/takeAlong', {
  takeAlong: 'Take along',
  takeAlong2: (people: Said) => `Take ${people} along`,
  notNow: 'Not now',
  as: 'As',
  addresses: 'Addresses',
  checkedOrNot: 'checked or not',
  goodOnly: 'good only',
  goodAndUncertain: 'good and uncertain',
  columns: 'Columns',
  salt: 'Salt',
  inBatchesOf: 'In batches of',
  all: 'all',
  batch: 'Batch',
  ofText: (i: Said, batches: Said) => `${i} of ${batches}`,
  alsoThoseWhoAreLeftOut: 'also those who are left out',
  people: 'people',
  addressesInSmallLettersAndNumbers: '. Addresses in small letters and numbers in E.164 are hashed, each by itself.',
  theFirstLines: 'The first lines',
  columnsOfThisFile: 'Columns of this file',
  whatAMergeWouldDo: 'What a merge would do',
  aCsvOfTheReceivingSystem: 'A CSV of the receiving system',
  compared: 'Compared:',
  withText: (here: Said, there: Said) => `${here} with ${there}`,
  noColumn: 'no column',
  columnsThatNothingHereFills: (join: Said) => `Columns that nothing here fills: ${join}.`,
  columnsThatAreNotThere: (join: Said) => `Columns that are not there: ${join}.`,
  lineByLine: 'Line by line',
  takenAlongBefore: (length: Said) => `Taken along before (${length})`,
  as2: (at: Said, people: Said, as: Said) => `${at}: ${people} as ${as}`,
  recordOfProcessingToPrint: 'Record of processing, to print',
  jsonLines: 'JSON Lines',
  vcard40: 'vCard 4.0',
  hashedAudienceSha256: 'hashed audience (SHA-256)',
  standard: 'Standard'
});

export const shortlistPage = catalogue('shortlist/shortlistPage', {
  shortlist: 'Shortlist',
  nobodyIsKeptYet: 'Nobody is kept yet',
  aShortlistHoldsThePeopleThat:
    'A shortlist holds the people that somebody will write to: each once, checked, cleaned, and nobody who is to be left out.',
  beginAShortlist: 'Begin a shortlist',
  undo: (undo: Said) => `Undo: ${undo}`,
  undo2: 'Undo',
  keepAllFits: 'Keep all fits',
  checkingOf: (checked: Said, addresses: Said) => `Checking ${checked} of ${addresses}`,
  checkAddresses: 'Check addresses',
  takeAlong: 'Take along',
  moreToDoWithTheList: 'More to do with the list',
  pasteOrFromAFile: 'Paste, or from a file',
  watchThesePeople: 'Watch these people',
  perhapsTheSamePerson: 'Perhaps the same person',
  settings: 'Settings',
  newList: 'New list',
  deleteText: 'Delete',
  thePeopleKept: 'The people kept',
  wordsInEverythingThatIsTold: 'Words in everything that is told',
  search: 'search',
  noLongerOnly: (one: Said, filter: Said) => `No longer only ${one} ${filter}`,
  leftOut: 'left out',
  dueUntil: 'due until',
  view: 'View',
  view2: 'view…',
  asUsual: 'as usual',
  columns: 'Columns',
  people: (value: Said) => `${value} people`,
  deleteThisList: 'Delete this list?',
  deleteForGood: 'Delete for good',
  itsPeopleTagsAndNotesGo: 'Its people, tags and notes go; verdicts, trials and harvests stay. This cannot be undone.',
  copiedToPasteIntoASpreadsheet: (many: Said) => `${many} copied, to paste into a spreadsheet`,
  keptWereThere: (kept: Said, there: Said) => `${kept} kept, ${there} were there`
});
