import { catalogue, type Said } from '$lib/words/catalogue';

export const filePreview = catalogue('imports/filePreview', {
  firstRowsOfTheFile: 'First rows of the file',
  column: (i: Said) => `column ${i}`,
  whatColumnHolds: (name: Said) => `Field for column ${name}`
});

export const importDesk = catalogue('imports/importDesk', {
  row: 'Row',
  line: 'Line',
  whatIsWrong: 'Problem',
  saveAsCsv: 'Download CSV',
  andMore: (skipped: Said) => `and ${skipped} more`,
  importAFileOfPeople: 'Import a file of people',
  chooseAFile: 'Choose a file',
  matchColumns: 'Match columns',
  bringIn: 'Review and import',
  csvOrXlsxWithAHeading:
    'CSV or XLSX with a header row, or JSON Lines, up to 500,000 people. In a workbook, Eave reads the first sheet that has rows. The file stays on this machine.',
  reading: (uploading: Said) => `Reading ${uploading}…`,
  fileOfPeopleDropItHere: 'Drop a file of people here, or choose one',
  bytes: (bytes: Said) => `${bytes} bytes,`,
  jsonLines: 'JSON Lines',
  columns: (encoding: Said, length: Said) => `, ${encoding}, ${length} columns`,
  rowsRead: (rows: Said) => `${rows} rows read`,
  starting: 'Starting',
  shareOfTheFileRead: 'Share of the file read',
  stop: 'Stop',
  itIs: 'Import as',
  aNewSource: 'a new source',
  aNewerFileOf: (name: Said) => `an update of ${name}`,
  peopleContactedOf: (name: Said) => `people already contacted, for ${name}`,
  knownGoodsOf: (name: Said) => `known-goods, for ${name}`,
  customersLeftOutOfTheShortlists: (name: Said) => `customers, excluded from the shortlists of ${name}`,
  peopleWhoObjectedTheyAreErased: 'people who objected (erased everywhere)',
  nameOfTheSource: 'Source name',
  aCellThatIsNotWhat: 'Invalid cells',
  isLeftEmpty: 'leave empty',
  leavesItsRowOut: 'skip the row',
  importText: 'Import',
  importWithoutThoseRows: 'Import without these rows',
  throwTheFileAway: 'Discard file'
});

export const importValues = catalogue('imports/importValues', {
  whatTheValuesMean: 'Values',
  ofDifferentValuesAreKnownBy: (length: Said, length2: Said) =>
    `${length} of ${length2} different values were recognized.`,
  theseAreNotWhatTheyBecome: (length: Said) =>
    `These ${length} weren’t. You can change what they become; Eave remembers it for the next file.`,
  rareValuesMoreAreReadBy: (more: Said) => `${more} more rare values are read by name.`,
  showThoseToLookAt: 'Show values to check',
  showAll: 'Show all',
  valuesOfTheFile: 'Values in the file',
  column: 'Column',
  inTheFile: 'In the file',
  rows: 'Rows',
  becomes: 'Becomes',
  read: 'Recognized',
  peopleThatMeans: (text: Said) => `Number of people “${text}” means`,
  asWritten: 'as written',
  whatBecomes: (text: Said) => `New value for “${text}”`,
  notKnown: 'not recognized',
  goingThroughTheFilesValues: 'Reading the file’s values',
  byItsName: 'by name',
  asBefore: 'as before'
});
