import { catalogue, type Said } from '$lib/words/catalogue';

export const connectService = catalogue('sources/connectService', {
  connectService: 'Connect a service',
  connectedService: 'Connected service',
  forServiceThatSpeaksEavesConnector:
    'For a service that speaks Eave’s connector protocol, perhaps through a small adapter you write: docs/connector.md has an example of under 60 lines and a conformance check. The key is stored encrypted and never shown again.',
  address: 'Address',
  httpsPeopleExampleEave: 'https://people.example/eave',
  keyIfRequired: 'Key (if required)',
  connecting: 'Connecting…',
  connect: 'Connect'
});

export const retention = catalogue('sources/retention', {
  retention: 'Retention',
  retentionPeriodsAreServerSettings:
    'Retention periods are server settings (docs/run.md). Nothing else is deleted automatically.',
  data: 'Data',
  keptFor: 'Kept for',
  dueForDeletion: 'Due for deletion',
  resultPagesSupersededTrials: 'Result pages of superseded trials',
  supersededTrialsWithTheirSamples: 'Superseded trials with their samples (verdicts are kept)',
  pausedOrFinishedHarvestsWithTheir: 'Paused or finished harvests with their people (verdicts are kept)',
  recordsFinishedImportsTheirPeopleAre: 'Records of finished imports (their people are kept)',
  untilDeleted: 'until deleted',
  n1Day: '1 day',
  days: (number: Said) => `${number} days`,
  nothingNow: 'nothing now',
  withinHour: (rows: Said) => `${rows} within the hour`
});

export const serviceConnection = catalogue('sources/serviceConnection', {
  connection: 'Connection',
  address: 'Address',
  newKeyOneIsSaved: 'New key (one is saved)',
  keyNoneSaved: 'Key (none saved)',
  unchanged: 'unchanged',
  connecting: 'Connecting…',
  saveAndRefreshSheet: 'Save and refresh sheet',
  refreshSheet: 'Refresh sheet',
  deleteKey: 'Delete key',
  sheetLastRefreshed: (checkedAt: Said) => `Sheet last refreshed ${checkedAt}.`,
  connectedSheetRefreshed: 'Connected; sheet refreshed.'
});

export const worldCalendar = catalogue('sources/worldCalendar', {
  demoCalendar: 'Demo calendar',
  demoDate: 'Demo date:',
  preparingItsPeople: '; preparing its people…',
  peopleAndFirmsInDemoChange: 'People and firms in the demo change over time.',
  n1: (step: Said) => `+1 ${step}`,
  resetToDay1: 'Reset to day 1',
  resetDemoCalendar: 'Reset the demo calendar?',
  reset: 'Reset',
  allPeopleAndFirmsStandIns:
    'All people and firms of the stand-ins go back to how they were. Everything you found, judged and saved is kept.'
});

export const sourcesPage = catalogue('sources/sourcesPage', {
  sources: 'Sources',
  whereEaveFindsPeopleStandIns:
    'Where Eave finds people. The stand-ins ship with Eave; all their people and firms are invented.',
  source: 'Source',
  people: 'People',
  searching: 'Searching',
  counting: 'Counting',
  status: 'Status',
  order: 'Order',
  hidden: ', hidden',
  deleteText: 'Delete',
  faultsOn: (length: Said) => `Faults (${length} on)`,
  moveUp: (name: Said) => `Move ${name} up`,
  moveDown: (name: Said) => `Move ${name} down`,
  show: 'Show',
  hide: 'Hide',
  addManualSource: 'Add manual source',
  manualSource: 'Manual source',
  forSourceEaveCantReachIt:
    'For a source Eave can’t reach: it writes the search for you to copy. Start from the closest match, then adjust how the source is searched.',
  deleteThisSource: 'Delete this source?',
  deleteText2: 'Delete',
  thisDeletesWith: (name: Said) => `This deletes “${name}” with`,
  itsPeople: 'its people',
  itsSheet: 'its sheet',
  itsTrialsAndVerdictsOnIts: ', its trials and the verdicts on its people, in every brief. You can’t undo this.'
});

export const sourcesSourcePage = catalogue('sources/sourcesSourcePage', {
  saved: 'Saved.',
  aCapabilitySheet: 'capability sheet',
  sources: 'Sources',
  manualSourceItsSheetSaysHow: 'Manual source: its sheet says how it is searched.',
  connectedServiceItProvidesItsOwn: 'Connected service: it provides its own sheet.',
  thisSheetSaysHowSourceIs:
    'This sheet says how the source is searched and can’t be changed. Duplicate it to make your own.',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  schema: 'Schema',
  duplicateAsManualSource: 'Duplicate as manual source',
  save: 'Save',
  capabilitySheet: 'Capability sheet',
  tryIt: 'Try it',
  stringInEavesNotation: 'A string in Eave’s notation',
  enterStringToSeeHowIt: 'Enter a string to see how it would be searched.',
  readingSearch: 'Reading a search',
  searchAsTypedAtSource: 'A search as typed at the source',
  isReadAs: 'is read as',
  query: 'the query',
  searchesForNothing: 'searches for nothing.',
  sheet: 'The sheet',
  titleHeadQualityOrQualityDirector:
    'title:("head of quality" OR "quality director" OR QA) AND ("cold chain" OR pharma*) AND country:(Denmark OR Sweden) AND headcount:[51 TO 1000] NOT (intern OR "test engineer")',
  qualityOrQaPharma: 'quality OR qa pharma',
  chooseSheetExportedFromEaveOr: 'Choose a sheet exported from Eave, or one that follows its schema.'
});
