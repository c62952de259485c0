import { catalogue, type Said } from '$lib/words/catalogue';

export const byHandFigures = catalogue('by-hand/byHandFigures', {
  whatFollows: 'Results so far',
  whereInTheResult: 'Pages read',
  betweenThePagesUnseenEstimated: 'Pages between those you read are estimated.',
  runTheseFiguresAreOfThat: (figures: Said) => `${figures} run: these figures cover that part only.`,
  reported: 'Reported',
  read: 'Read',
  estimatedResult: 'Estimated result',
  precisionByPages: 'Precision from the pages read',
  precisionOfTheTop: 'Precision of the first pages',
  precision: 'Precision',
  ofJudgedFit: (fits: Said, fits2: Said) => `${fits} of ${fits2} judged are fits.`,
  peopleOnOnePageAreAlike: (draws: Said) =>
    `People on one page resemble each other, so these count like about ${draws} people drawn at random. Read more pages for a narrower interval.`,
  onlyTheTopWasReadOf:
    'You’ve only read the first pages. Open the suggested pages further down to learn about the rest.',
  fits: (fits: Said) => `${fits} fits`,
  nobodyIsJudgedYet: 'Nobody judged yet.',
  searchWasNotRunYet: (number: Said) => `Search ${number} hasn’t been run yet.`
});

export const depthRead = catalogue('by-hand/depthRead', {
  pageReadToOpen: (length: Said, length2: Said, pages: Said, length3: Said) =>
    `${length} page${length2} read${pages}, ${length3} to open`,
  page: (page: Said, is: Said) => `page ${page}, ${is}`
});

export const diaryEntries = catalogue('by-hand/diaryEntries', {
  search: (search: Said) => `search ${search},`,
  aPage: 'a page',
  page: (page: Said) => `page ${page}`,
  count: 'count',
  readAs: 'read as',
  orMore: (said: Said) => `${said} or more`,
  knownFromBefore: (known: Said) => `${known} already known`,
  inDoubt: (doubts: Said) => `${doubts} to check`,
  takenBack: ' removed',
  leaveIt: 'Cancel',
  correct: 'Edit',
  putInAgain: 'Restore',
  takeBack: 'Remove',
  countAsSeen: 'Count shown',
  peopleOfThisEntry: 'People in this entry',
  keepTheCorrection: 'Save',
  nothingYetRunTheSearchType: 'Nothing here yet. Run the search, enter the count it shows, and paste the result pages.'
});

export const rowsTable = catalogue('by-hand/rowsTable', {
  inDoubt: ', to check',
  leaveOut: (name: Said) => `Remove ${name}`,
  name: 'Name',
  title: 'Title',
  firm: 'Firm',
  place: 'Place',
  page: 'Page',
  mail: 'Email',
  phone: 'Phone'
});

export const slicesToRun = catalogue('by-hand/slicesToRun', {
  slices: 'Slices',
  ofSlicesRead: (read: Said, length: Said) => `${read} of ${length} slices read`,
  toRun: 'not run',
  longerThanIsShown: 'over the limit',
  leftOut: 'excluded'
});

export const byHandPage = catalogue('by-hand/byHandPage', {
  version: (number: Said) => `Version ${number}`,
  at: (name: Said) => `at ${name}`,
  runByHandPeopleReadNothing: (reduce: Said) =>
    `Manual source: ${reduce} people read. New entries never overwrite earlier ones.`,
  runByHandCopyTheSearch: 'Manual source: copy the search, enter the count, and paste the pages.',
  theHarvest: 'Open harvest',
  judgePeople: (people: Said) => `Judge ${people} people`,
  watch: 'Watch…',
  keepWhatIsHere: 'Save entry',
  whatToDo: 'Steps',
  slice: 'Slice',
  search: 'Search',
  ofText: (i: Said, length: Said) => `${i} of ${length}`,
  thatIsAllItShows: 'That’s everything it shows',
  thereIsMoreToRead: 'There’s more to read',
  nextSlice: 'Next slice',
  n1CopyTheSearch: '1 Copy the search',
  nothingOfThisStringCanBe: 'This source can’t search any part of this string.',
  n2TypeTheCountYouSee: '2 Enter the count',
  countAsSeen: 'Count shown',
  asItStandsThereAbout3: 'as shown, for example: about 3,000',
  noCountCanBeReadIn: 'Couldn’t read a count. Write it like 1–10 of 140, about 3,000 or 3K+.',
  readAs: 'read as',
  orMore: (said: Said) => `${said} or more`,
  n3OpenThesePagesPasteEach: '3 Open these pages and paste each one',
  ofAboutPages: (pages: Said) => `of about ${pages} pages,`,
  oneAfterAnotherAllAreWanted: 'one after another, all of them',
  drawnThroughTheDepth: 'spread over the whole result',
  page: (one: Said, read: Said) => `Page ${one}${read}`,
  copyNext: 'Copy next',
  pageToOpen: 'page to open',
  onlyTheTopThenTheFigures:
    'If you only read the first pages, the figures cover only those; the rest is shown as unseen.',
  pasteTheFirstPageWithIts: 'Paste the first page, including the count.',
  keepACountFirstByIt: 'Save a count first; Eave picks the pages from it. Or paste the first page.',
  diary: 'Diary',
  whatThePageShows: 'Page content',
  pasteHereWhatThePageShows: 'Paste the page here: text, a table, or a copy with its links.',
  page2: 'page',
  pageOfTheResult: 'Result page number',
  readPeopleOutOfIt: 'Read people',
  orACsv: 'or import a CSV',
  peopleNotKeptYet: (length: Said) => `${length} people, not saved yet`,
  withDashedFieldsLookAtThem: (doubtful: Said) => `${doubtful} with dashed fields to check. `,
  itWaitsHereIfYouLeave: 'This is kept here if you leave the page.',
  throwThemAway: 'Discard',
  peopleReadNotKeptYet: 'People read, not saved yet',
  readToItsEnd: 'fully read',
  longerThanIsShown: 'over the limit',
  leftOut: 'excluded',
  people: (rows: Said) => `, ${rows} people`,
  peopleRead: (rows: Said) => `${rows} people read`,
  notRunYet: 'not run yet'
});
