import { catalogue, type Said } from '$lib/words/catalogue';

export const connectService = catalogue('sources/connectService', {
  connectAService: 'Connect a service',
  aServiceThatEaveAsksItself: 'A service that Eave asks itself',
  forAPlaceThatSpeaksEaves:
    'For a place that speaks Eave’s connector protocol, through a small adapter of yours perhaps: docs/connector.md has an example of under 60 lines and a check to run against it. The key is kept encrypted and never shown again.',
  address: 'Address',
  httpsPeopleExampleEave: 'https://people.example/eave',
  keyWhereItNeedsOne: 'Key (where it needs one)',
  askingIt: 'Asking it…',
  connect: 'Connect'
});

export const retention = catalogue('sources/retention', {
  whatIsClearedAway: 'What is cleared away',
  howLongThingsAreKeptIs:
    'How long things are kept is a setting of the server (docs/run.md). Nothing else goes by itself.',
  what: 'What',
  keptFor: 'Kept for',
  goes: 'Goes',
  resultPagesOfTrialsThatAre: 'Result pages of trials that are not the newest of their version and source',
  thoseTrialsWithTheirSamplesThe: 'Those trials with their samples; the verdicts stay',
  harvestsThatStandStillOrAre: 'Harvests that stand still or are done, with their people; the verdicts stay',
  recordsOfImportsThatAreOver: 'Records of imports that are over; their people stay',
  untilDeleted: 'until deleted',
  aDay: 'a day',
  days: (number: Said) => `${number} days`,
  nothingNow: 'nothing now',
  nowWithinTheHour: (rows: Said) => `${rows} now, within the hour`
});

export const serviceConnection = catalogue('sources/serviceConnection', {
  howItIsReached: 'How it is reached',
  address: 'Address',
  anotherKeyOneIsKept: 'Another key (one is kept)',
  keyNoneIsKept: 'Key (none is kept)',
  staysAsItIs: 'stays as it is',
  askingIt: 'Asking it…',
  keepAndTakeItsSheet: 'Keep and take its sheet',
  takeItsSheetAnew: 'Take its sheet anew',
  forgetTheKey: 'Forget the key',
  itsSheetWasTaken: (checkedAt: Said) => `Its sheet was taken ${checkedAt}.`,
  itAnsweredAndItsSheetWas: 'It answered, and its sheet was taken.'
});

export const worldCalendar = catalogue('sources/worldCalendar', {
  theStandInsCalendar: 'The stand-ins’ calendar',
  inTheirWorldItIs: 'In their world it is',
  itsPeopleAreBeingPrepared: '; its people are being prepared.',
  asTimeGoesOnPeopleAnd: 'As time goes on, people and firms there change.',
  aOn: (step: Said) => `A ${step} on`,
  backToTheFirstDay: 'Back to the first day',
  backToTheFirstDay2: 'Back to the first day?',
  goBack: 'Go back',
  allPeopleAndFirmsOfThe:
    'All people and firms of the stand-ins are then as they were. What you have found, judged and kept stays.'
});

export const sourcesPage = catalogue('sources/sourcesPage', {
  sources: 'Sources',
  placesThatFindPeopleTheStand:
    'Places that find people. The stand-ins ship with Eave: all their people and firms are invented, from one world.',
  source: 'Source',
  people: 'People',
  howItIsAsked: 'How it is asked',
  howItCounts: 'How it counts',
  state: 'State',
  order: 'Order',
  hidden: ', hidden',
  deleteText: 'Delete',
  faultsOn: (length: Said) => `Faults (${length} on)`,
  moveUp: (name: Said) => `Move ${name} up`,
  moveDown: (name: Said) => `Move ${name} down`,
  show: 'Show',
  hide: 'Hide',
  addAPlaceThatYouRun: 'Add a place that you run by hand',
  aPlaceThatYouRunBy: 'A place that you run by hand',
  forAPlaceEaveCannotReach:
    'For a place Eave cannot reach: it writes the search for you to copy. Start from what comes closest, and say how the place is asked.',
  deleteThisSource: 'Delete this source?',
  deleteForGood: 'Delete for good',
  goesWith: (name: Said) => `“${name}” goes with`,
  itsPeople: 'its people',
  itsSheet: 'its sheet',
  itsTrialsAndTheVerdictsOn: ', its trials and the verdicts on its people, in every brief. This cannot be undone.'
});

export const sourcesSourcePage = catalogue('sources/sourcesSourcePage', {
  sources: 'Sources',
  aPlaceThatYouRunBy: 'A place that you run by hand: its sheet says how it is asked.',
  aConnectedServiceItGivesIts: 'A connected service: it gives its sheet itself.',
  itsSheetSaysHowItIs: 'Its sheet says how it is searched here and stays as it is. Copy it to change it.',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  schema: 'Schema',
  copyToAPlaceOfMy: 'Copy to a place of my own',
  keep: 'Keep',
  capabilitySheet: 'Capability sheet',
  whatFollowsFromIt: 'What follows from it',
  aStringInEavesNotation: 'A string in Eave’s notation',
  writeAStringToSeeHow: 'Write a string to see how it would be asked.',
  readingBack: 'Reading back',
  aTextAsItWouldBe: 'A text as it would be typed there',
  isReadAs: 'is read as',
  whatWasUnderstood: 'what was understood',
  asksNothing: 'asks nothing.',
  theSheet: 'The sheet',
  titleHeadOfQualityOrQuality:
    'title:("head of quality" OR "quality director" OR QA) AND ("cold chain" OR pharma*) AND country:(Denmark OR Sweden) AND headcount:[51 TO 1000] NOT (intern OR "test engineer")',
  qualityOrQaPharma: 'quality OR qa pharma',
  chooseASheetThatWasExported: 'Choose a sheet that was exported here, or one written after its schema.'
});
