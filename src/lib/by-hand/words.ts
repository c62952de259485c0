import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const byHandFigures = catalogue('by-hand/byHandFigures', {
  resultsSoFar: 'Results so far',
  pagesRead: 'Pages read',
  pagesBetweenThoseYouReadAre: 'Pages between those you read are estimated.',
  runTheseFiguresCoverThatPart: (figures: Said) => `${figures} run: these figures cover that part only.`,
  reported: 'Reported',
  read: 'Read',
  estimatedResult: 'Estimated result',
  precisionFromPagesRead: 'Precision from the pages read',
  precisionFirstPages: 'Precision of the first pages',
  precision: 'Precision',
  judgedAreFits: (fits: Said, fits2: Said) => `${fits} of ${fits2} judged are fits.`,
  peopleOnOnePageResembleEach: (draws: Said) =>
    `People on one page resemble each other, so these count like about ${draws} people drawn at random. Read more pages for a narrower interval.`,
  youveOnlyReadFirstPagesOpen:
    'You’ve only read the first pages. Open the suggested pages further down to learn about the rest.',
  fits: (fits: Said) => `${fits} fits`,
  nobodyJudgedYet: 'Nobody judged yet.',
  searchHasntBeenRunYet: (number: Said) => `Search ${number} hasn’t been run yet.`
});

export const depthRead = catalogue('by-hand/depthRead', {
  read: 'read',
  toOpen: 'to open',
  ofAbout: (pages: Said) => ` of about ${pages}`,
  readToOpen: (read: number, pages: string, toOpen: Said) =>
    `${plural(read, { one: '1 page', other: `${read} pages` })} read${pages}, ${toOpen} to open`,
  page: (page: Said, is: Said) => `page ${page}, ${is}`
});

export const diaryEntries = catalogue('by-hand/diaryEntries', {
  people: (many: number, written: Said) => plural(many, { one: '1 person', other: `${written} people` }),
  search: (search: Said) => `search ${search},`,
  page: 'a page',
  page2: (page: Said) => `page ${page}`,
  count: 'count',
  readAs: 'read as',
  orMore: (said: Said) => `${said} or more`,
  alreadyKnown: (known: Said) => `${known} already known`,
  toCheck: (doubts: Said) => `${doubts} to check`,
  removed: ' removed',
  cancel: 'Cancel',
  edit: 'Edit',
  restore: 'Restore',
  remove: 'Remove',
  countShown: 'Count shown',
  peopleInThisEntry: 'People in this entry',
  save: 'Save',
  nothingHereYetRunSearchEnter:
    'Nothing here yet. Run the search, enter the count it shows, and paste the result pages.'
});

export const rowsTable = catalogue('by-hand/rowsTable', {
  toCheck: ', to check',
  remove: (name: Said) => `Remove ${name}`,
  name: 'Name',
  title: 'Title',
  firm: 'Firm',
  place: 'Place',
  page: 'Page',
  email: 'Email',
  phone: 'Phone'
});

export const slicesToRun = catalogue('by-hand/slicesToRun', {
  slices: 'Slices',
  slicesRead: (read: Said, length: Said) => `${read} of ${length} slices read`,
  read: 'read',
  next: 'next',
  notRun: 'not run',
  overLimit: 'over the limit',
  excluded: 'excluded'
});

export const byHandPage = catalogue('by-hand/byHandPage', {
  waits: 'waits',
  cut: 'cut',
  noSuchPage: 'This address names no version or no source. Open a manual source from String or from Trial.',
  version: (number: Said) => `Version ${number}`,
  at: (name: Said) => `at ${name}`,
  manualSourcePeopleReadNewEntries: (reduce: Said) =>
    `Manual source: ${reduce} people read. New entries never overwrite earlier ones.`,
  manualSourceCopySearchEnterCount: 'Manual source: copy the search, enter the count, and paste the pages.',
  openHarvest: 'Open harvest',
  judgePeople: (people: Said) => `Judge ${people} people`,
  watch: 'Watch…',
  saveEntry: 'Save entry',
  steps: 'Steps',
  slice: 'Slice',
  search: 'Search',
  ofText: (i: Said, length: Said) => `${i} of ${length}`,
  thatsEverythingItShows: 'That’s everything it shows',
  theresMoreToRead: 'There’s more to read',
  nextSlice: 'Next slice',
  n1CopySearch: '1 Copy the search',
  thisSourceCantSearchAnyPart: 'This source can’t search any part of this string.',
  n2EnterCount: '2 Enter the count',
  countShown: 'Count shown',
  asShownForExampleAbout3: 'as shown, for example: about 3,000',
  couldntReadCountWriteItLike: 'Couldn’t read a count. Write it like 1–10 of 140, about 3,000 or 3K+.',
  readAs: 'read as',
  orMore: (said: Said) => `${said} or more`,
  n3OpenThesePagesAndPaste: '3 Open these pages and paste each one',
  aboutPages: (pages: Said) => `of about ${pages} pages,`,
  oneAfterAnotherAllThem: 'one after another, all of them',
  spreadOverWholeResult: 'spread over the whole result',
  page: (one: Said, read: Said) => `Page ${one}${read}`,
  copyNext: 'Copy next',
  pageToOpen: 'page to open',
  ifYouOnlyReadFirstPages:
    'If you only read the first pages, the figures cover only those; the rest is shown as unseen.',
  pasteFirstPageIncludingCount: 'Paste the first page, including the count.',
  saveCountFirstEavePicksPages: 'Save a count first; Eave picks the pages from it. Or paste the first page.',
  diary: 'Diary',
  pageContent: 'Page content',
  pastePageHereTextTableOr: 'Paste the page here: text, a table, or a copy with its links.',
  page2: 'page',
  resultPageNumber: 'Result page number',
  readPeople: 'Read people',
  orImportCsv: 'or import a CSV',
  peopleNotSavedYet: (length: Said) => `${length} people, not saved yet`,
  withDashedFieldsToCheck: (doubtful: Said) => `${doubtful} with dashed fields to check. `,
  thisIsKeptHereIfYou: 'This is kept here if you leave the page.',
  discard: 'Discard',
  peopleReadNotSavedYet: 'People read, not saved yet',
  fullyRead: 'fully read',
  overLimit: 'over the limit',
  excluded: 'excluded',
  people: (rows: Said) => `, ${rows} people`,
  peopleRead: (rows: Said) => `${rows} people read`,
  notRunYet: 'not run yet'
});

export const manualPage = catalogue('by-hand/manualPage', {
  peopleRead: (many: number) => `${plural(many, { one: '1 person', other: `${many} people` })} read`,
  countOnPage: (line: Said) => `; count on the page: “${line}”`,
  noPeopleRead: 'Couldn’t read any people. Paste a table, or a name, a title and a firm on separate lines.',
  pageNotReadCompletely: 'The page couldn’t be read completely.',
  saved: 'Saved.'
});
