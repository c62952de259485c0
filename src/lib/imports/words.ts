import { catalogue, type Said } from '$lib/words/catalogue';

export const filePreview = catalogue('imports/filePreview', {
  firstRowsFile: 'First rows of the file',
  column: (i: Said) => `column ${i}`,
  fieldForColumn: (name: Said) => `Field for column ${name}`
});

export const importDesk = catalogue('imports/importDesk', {
  rowHeading: 'row',
  lineHeading: 'line',
  whatIsWrong: 'what is wrong',
  whatWasDone: 'what was done',
  cellLeftEmpty: 'cell left empty',
  rowLeftOut: 'row left out',
  row: 'Row',
  line: 'Line',
  problem: 'Problem',
  downloadCsv: 'Download CSV',
  andMore: (skipped: Said) => `and ${skipped} more`,
  importFilePeople: 'Import a file of people',
  chooseFile: 'Choose a file',
  matchColumns: 'Match columns',
  reviewAndImport: 'Review and import',
  csvOrXlsxWithHeaderRow:
    'CSV or XLSX with a header row, or JSON Lines, up to 500,000 people. In a workbook, Eave reads the first sheet that has rows. The file stays on this machine.',
  reading: (uploading: Said) => `Reading ${uploading}…`,
  dropFilePeopleHereOrChoose: 'Drop a file of people here, or choose one',
  bytes: (bytes: Said) => `${bytes} bytes,`,
  jsonLines: 'JSON Lines',
  columns: (encoding: Said, length: Said) => `, ${encoding}, ${length} columns`,
  rowsRead: (rows: Said) => `${rows} rows read`,
  starting: 'Starting',
  shareFileRead: 'Share of the file read',
  stop: 'Stop',
  importAs: 'Import as',
  newSource: 'a new source',
  update: (name: Said) => `an update of ${name}`,
  peopleAlreadyContactedFor: (name: Said) => `people already contacted, for ${name}`,
  knownGoodsFor: (name: Said) => `known-goods, for ${name}`,
  customersExcludedFromShortlists: (name: Said) => `customers, excluded from the shortlists of ${name}`,
  peopleWhoObjectedErasedEverywhere: 'people who objected (erased everywhere)',
  sourceName: 'Source name',
  invalidCells: 'Invalid cells',
  leaveEmpty: 'leave empty',
  skipRow: 'skip the row',
  importText: 'Import',
  importWithoutTheseRows: 'Import without these rows',
  discardFile: 'Discard file'
});

export const importValues = catalogue('imports/importValues', {
  values: 'Values',
  differentValuesWereRecognized: (length: Said, length2: Said) =>
    `${length} of ${length2} different values were recognized.`,
  theseWerentYouCanChangeWhat: (length: Said) =>
    `These ${length} weren’t. You can change what they become; Eave remembers it for the next file.`,
  moreRareValuesAreReadBy: (more: Said) => `${more} more rare values are read by name.`,
  showValuesToCheck: 'Show values to check',
  showAll: 'Show all',
  valuesInFile: 'Values in the file',
  column: 'Column',
  inFile: 'In the file',
  rows: 'Rows',
  becomes: 'Becomes',
  recognized: 'Recognized',
  numberPeopleMeans: (text: Said) => `Number of people “${text}” means`,
  asWritten: 'as written',
  newValueFor: (text: Said) => `New value for “${text}”`,
  notRecognized: 'not recognized',
  readingFilesValues: 'Reading the file’s values',
  byName: 'by name',
  asBefore: 'as before'
});
