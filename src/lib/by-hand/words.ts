import { catalogue, type Said } from '$lib/words/catalogue';

export const byHandFigures = catalogue('by-hand/byHandFigures', {
  whatFollows: 'What follows',
  whereInTheResult: 'Where in the result',
  betweenThePagesUnseenEstimated: 'Between the pages: unseen, estimated.',
  runTheseFiguresAreOfThat: (figures: Said) => `${figures} run: these figures are of that part alone.`,
  reported: 'Reported',
  read: 'Read',
  estimatedResult: 'Estimated result',
  precisionByPages: 'Precision, by pages',
  precisionOfTheTop: 'Precision of the top',
  precision: 'Precision',
  ofJudgedFit: (fits: Said, fits2: Said) => `${fits} of ${fits2} judged fit.`,
  peopleOnOnePageAreAlike: (draws: Said) =>
    `People on one page are alike, so these count for about ${draws} drawn one by one. More pages make it narrower.`,
  onlyTheTopWasReadOf: 'Only the top was read. Of the rest nothing is known: open the pages drawn through the depth.',
  fits: (fits: Said) => `${fits} fits`,
  nobodyIsJudgedYet: 'Nobody is judged yet.',
  searchWasNotRunYet: (number: Said) => `Search ${number} was not run yet.`
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
  knownFromBefore: (known: Said) => `${known} known from before`,
  inDoubt: (doubts: Said) => `${doubts} in doubt`,
  takenBack: ' taken back',
  leaveIt: 'Leave it',
  correct: 'Correct',
  putInAgain: 'Put in again',
  takeBack: 'Take back',
  countAsSeen: 'Count as seen',
  peopleOfThisEntry: 'People of this entry',
  keepTheCorrection: 'Keep the correction',
  nothingYetRunTheSearchType: 'Nothing yet. Run the search, type the count you see, and paste the pages.'
});

export const rowsTable = catalogue('by-hand/rowsTable', {
  inDoubt: ', in doubt',
  leaveOut: (name: Said) => `Leave ${name} out`,
  name: 'Name',
  title: 'Title',
  firm: 'Firm',
  place: 'Place',
  page: 'Page',
  mail: 'Mail',
  phone: 'Phone'
});

export const slicesToRun = catalogue('by-hand/slicesToRun', {
  slices: 'Slices',
  ofSlicesRead: (read: Said, length: Said) => `${read} of ${length} slices read`,
  toRun: 'to run',
  longerThanIsShown: 'longer than is shown',
  leftOut: 'left out'
});

export const byHandPage = catalogue('by-hand/byHandPage', {
  version: (number: Said) => `Version ${number}`,
  at: (name: Said) => `at ${name}`,
  runByHandPeopleReadNothing: (reduce: Said) =>
    `run by hand; ${reduce} people read. Nothing here is replaced by what comes later.`,
  runByHandCopyTheSearch: 'run by hand: copy the search, type the count you see, and paste the pages.',
  theHarvest: 'The harvest',
  judgePeople: (people: Said) => `Judge ${people} people`,
  watch: 'Watch…',
  keepWhatIsHere: 'Keep what is here',
  whatToDo: 'What to do',
  slice: 'Slice',
  search: 'Search',
  ofText: (i: Said, length: Said) => `${i} of ${length}`,
  thatIsAllItShows: 'That is all it shows',
  thereIsMoreToRead: 'There is more to read',
  nextSlice: 'Next slice',
  n1CopyTheSearch: '1 Copy the search',
  nothingOfThisStringCanBe: 'Nothing of this string can be asked there.',
  n2TypeTheCountYouSee: '2 Type the count you see',
  countAsSeen: 'Count as seen',
  asItStandsThereAbout3: 'as it stands there: about 3,000',
  noCountCanBeReadIn: 'no count can be read in this: write it as in 1–10 of 140, about 3,000, or 3K+',
  readAs: 'read as',
  orMore: (said: Said) => `${said} or more`,
  n3OpenThesePagesPasteEach: '3 Open these pages, paste each whole',
  ofAboutPages: (pages: Said) => `of about ${pages} pages,`,
  oneAfterAnotherAllAreWanted: 'one after another: all are wanted',
  drawnThroughTheDepth: 'drawn through the depth',
  page: (one: Said, read: Said) => `Page ${one}${read}`,
  copyNext: 'Copy next',
  pageToOpen: 'page to open',
  onlyTheTopThenTheFigures: 'Only the top? Then the figures speak of the top, and the rest is shown as unseen.',
  pasteTheFirstPageWithIts: 'Paste the first page, with its count.',
  keepACountFirstByIt: 'Keep a count first: by it the pages are drawn. Or paste the first page.',
  diary: 'Diary',
  whatThePageShows: 'What the page shows',
  pasteHereWhatThePageShows: 'Paste here what the page shows: text, a table, or a copy with its links.',
  page2: 'page',
  pageOfTheResult: 'Page of the result',
  readPeopleOutOfIt: 'Read people out of it',
  orACsv: 'or a CSV',
  peopleNotKeptYet: (length: Said) => `${length} people, not kept yet`,
  withDashedFieldsLookAtThem: (doubtful: Said) => `${doubtful} with dashed fields: look at them. `,
  itWaitsHereIfYouLeave: 'It waits here if you leave.',
  throwThemAway: 'Throw them away',
  peopleReadNotKeptYet: 'People read, not kept yet',
  readToItsEnd: 'read to its end',
  longerThanIsShown: 'longer than is shown',
  leftOut: 'left out',
  people: (rows: Said) => `, ${rows} people`,
  peopleRead: (rows: Said) => `${rows} people read`,
  notRunYet: 'not run yet'
});
