import { catalogue, type Said } from '$lib/words/catalogue';

export const connectService = catalogue('sources/connectService', {
  connectAService: 'Connect a service',
  aServiceThatEaveAsksItself: 'Connected service',
  forAPlaceThatSpeaksEaves:
    'For a service that speaks Eave’s connector protocol, perhaps through a small adapter you write: docs/connector.md has an example of under 60 lines and a conformance check. The key is stored encrypted and never shown again.',
  address: 'Address',
  httpsPeopleExampleEave: 'https://people.example/eave',
  keyWhereItNeedsOne: 'Key (if required)',
  askingIt: 'Connecting…',
  connect: 'Connect'
});

export const retention = catalogue('sources/retention', {
  whatIsClearedAway: 'Retention',
  howLongThingsAreKeptIs: 'Retention periods are server settings (docs/run.md). Nothing else is deleted automatically.',
  what: 'Data',
  keptFor: 'Kept for',
  goes: 'Due for deletion',
  resultPagesOfTrialsThatAre: 'Result pages of superseded trials',
  thoseTrialsWithTheirSamplesThe: 'Superseded trials with their samples (verdicts are kept)',
  harvestsThatStandStillOrAre: 'Paused or finished harvests with their people (verdicts are kept)',
  recordsOfImportsThatAreOver: 'Records of finished imports (their people are kept)',
  untilDeleted: 'until deleted',
  aDay: '1 day',
  days: (number: Said) => `${number} days`,
  nothingNow: 'nothing now',
  nowWithinTheHour: (rows: Said) => `${rows} within the hour`
});

export const serviceConnection = catalogue('sources/serviceConnection', {
  howItIsReached: 'Connection',
  address: 'Address',
  anotherKeyOneIsKept: 'New key (one is saved)',
  keyNoneIsKept: 'Key (none saved)',
  staysAsItIs: 'unchanged',
  askingIt: 'Connecting…',
  keepAndTakeItsSheet: 'Save and refresh sheet',
  takeItsSheetAnew: 'Refresh sheet',
  forgetTheKey: 'Delete key',
  itsSheetWasTaken: (checkedAt: Said) => `Sheet last refreshed ${checkedAt}.`,
  itAnsweredAndItsSheetWas: 'Connected; sheet refreshed.'
});

export const worldCalendar = catalogue('sources/worldCalendar', {
  theStandInsCalendar: 'Demo calendar',
  inTheirWorldItIs: 'Demo date:',
  itsPeopleAreBeingPrepared: '; preparing its people…',
  asTimeGoesOnPeopleAnd: 'People and firms in the demo change over time.',
  aOn: (step: Said) => `+1 ${step}`,
  backToTheFirstDay: 'Reset to day 1',
  backToTheFirstDay2: 'Reset the demo calendar?',
  goBack: 'Reset',
  allPeopleAndFirmsOfThe:
    'All people and firms of the stand-ins go back to how they were. Everything you found, judged and saved is kept.'
});

export const sourcesPage = catalogue('sources/sourcesPage', {
  sources: 'Sources',
  placesThatFindPeopleTheStand:
    'Where Eave finds people. The stand-ins ship with Eave; all their people and firms are invented.',
  source: 'Source',
  people: 'People',
  howItIsAsked: 'Searching',
  howItCounts: 'Counting',
  state: 'Status',
  order: 'Order',
  hidden: ', hidden',
  deleteText: 'Delete',
  faultsOn: (length: Said) => `Faults (${length} on)`,
  moveUp: (name: Said) => `Move ${name} up`,
  moveDown: (name: Said) => `Move ${name} down`,
  show: 'Show',
  hide: 'Hide',
  addAPlaceThatYouRun: 'Add manual source',
  aPlaceThatYouRunBy: 'Manual source',
  forAPlaceEaveCannotReach:
    'For a source Eave can’t reach: it writes the search for you to copy. Start from the closest match, then adjust how the source is searched.',
  deleteThisSource: 'Delete this source?',
  deleteForGood: 'Delete',
  goesWith: (name: Said) => `This deletes “${name}” with`,
  itsPeople: 'its people',
  itsSheet: 'its sheet',
  itsTrialsAndTheVerdictsOn: ', its trials and the verdicts on its people, in every brief. You can’t undo this.'
});

export const sourcesSourcePage = catalogue('sources/sourcesSourcePage', {
  sources: 'Sources',
  aPlaceThatYouRunBy: 'Manual source: its sheet says how it is searched.',
  aConnectedServiceItGivesIts: 'Connected service: it provides its own sheet.',
  itsSheetSaysHowItIs:
    'This sheet says how the source is searched and can’t be changed. Duplicate it to make your own.',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  schema: 'Schema',
  copyToAPlaceOfMy: 'Duplicate as manual source',
  keep: 'Save',
  capabilitySheet: 'Capability sheet',
  whatFollowsFromIt: 'Try it',
  aStringInEavesNotation: 'A string in Eave’s notation',
  writeAStringToSeeHow: 'Enter a string to see how it would be searched.',
  readingBack: 'Reading a search',
  aTextAsItWouldBe: 'A search as typed at the source',
  isReadAs: 'is read as',
  whatWasUnderstood: 'the query',
  asksNothing: 'searches for nothing.',
  theSheet: 'The sheet',
  titleHeadOfQualityOrQuality:
    'title:("head of quality" OR "quality director" OR QA) AND ("cold chain" OR pharma*) AND country:(Denmark OR Sweden) AND headcount:[51 TO 1000] NOT (intern OR "test engineer")',
  qualityOrQaPharma: 'quality OR qa pharma',
  chooseASheetThatWasExported: 'Choose a sheet exported from Eave, or one that follows its schema.'
});
