import { catalogue, type Said } from '$lib/words/catalogue';

export const filePreview = catalogue('imports/filePreview', {
  firstRowsOfTheFile: 'First rows of the file',
  column: (i: Said) => `column ${i}`,
  whatColumnHolds: (name: Said) => `What column ${name} holds`
});

export const importDesk = catalogue('imports/importDesk', {
  row: 'Row',
  line: 'Line',
  whatIsWrong: 'What is wrong',
  saveAsCsv: 'Save as CSV',
  andMore: (skipped: Said) => `and ${skipped} more`,
  importAFileOfPeople: 'Import a file of people',
  chooseAFile: 'Choose a file',
  matchColumns: 'Match columns',
  bringIn: 'Bring in',
  csvOrXlsxWithAHeading:
    'CSV or XLSX with a heading line, or JSON Lines, up to 500,000 people. Of a workbook the first sheet with rows is read. The file stays on this machine.',
  reading: (uploading: Said) => `Reading ${uploading}…`,
  fileOfPeopleDropItHere: 'File of people: drop it here, or choose one',
  bytes: (bytes: Said) => `${bytes} bytes,`,
  jsonLines: 'JSON Lines',
  columns: (encoding: Said, length: Said) => `, ${encoding}, ${length} columns`,
  rowsRead: (rows: Said) => `${rows} rows read`,
  starting: 'Starting',
  shareOfTheFileRead: 'Share of the file read',
  stop: 'Stop',
  itIs: 'It is',
  aNewSource: 'a new source',
  aNewerFileOf: (name: Said) => `a newer file of ${name}`,
  peopleContactedOf: (name: Said) => `people contacted, of ${name}`,
  knownGoodsOf: (name: Said) => `known-goods, of ${name}`,
  customersLeftOutOfTheShortlists: (name: Said) => `customers, left out of the shortlists of ${name}`,
  peopleWhoObjectedTheyAreErased: 'people who objected: they are erased',
  nameOfTheSource: 'Name of the source',
  aCellThatIsNotWhat: 'A cell that is not what its column holds',
  isLeftEmpty: 'is left empty',
  leavesItsRowOut: 'leaves its row out',
  importText: 'Import',
  importWithoutThoseRows: 'Import without those rows',
  throwTheFileAway: 'Throw the file away'
});

export const importValues = catalogue('imports/importValues', {
  whatTheValuesMean: 'What the values mean',
  ofDifferentValuesAreKnownBy: (length: Said, length2: Said) =>
    `${length} of ${length2} different values are known by name.`,
  theseAreNotWhatTheyBecome: (length: Said) =>
    `These ${length} are not: what they become can be changed, and is remembered for the next file.`,
  rareValuesMoreAreReadBy: (more: Said) => `${more} rare values more are read by their names.`,
  showThoseToLookAt: 'Show those to look at',
  showAll: 'Show all',
  valuesOfTheFile: 'Values of the file',
  column: 'Column',
  inTheFile: 'In the file',
  rows: 'Rows',
  becomes: 'Becomes',
  read: 'Read',
  peopleThatMeans: (text: Said) => `People that “${text}” means`,
  asWritten: 'as written',
  whatBecomes: (text: Said) => `What “${text}” becomes`,
  notKnown: 'not known',
  goingThroughTheFilesValues: 'Going through the file’s values',
  byItsName: 'by its name',
  asBefore: 'as before'
});
