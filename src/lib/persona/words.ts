import { catalogue, type Said } from '$lib/words/catalogue';

export const briefReader = catalogue('persona/briefReader', {
  readAWrittenBrief: 'Import from text',
  theBriefAsItWasWritten: 'Text of the brief',
  pasteAPageOfTextWhat:
    'Paste a page of text: what is sold, who the best customers are, who you talk to, and who to exclude. It is read on this machine.',
  notUnderstood: 'Not understood:'
});

export const choiceField = catalogue('persona/choiceField', {
  add: 'add…',
  enterAddsWhatIsMarkedOr: 'Press Enter to add the highlighted item. You can only add items from the list.',
  takeOut: (name: Said) => `Remove ${name}`
});

export const contacted = catalogue('persona/contacted', {
  peopleAlreadyContacted: 'People already contacted',
  nobodyYet: 'Nobody yet',
  addPeopleFromAFile: 'Import people…',
  emptyIt: 'Clear list',
  knownByMailAddressOrBy: 'Matched by email address, or by name and firm. Trials exclude them and say how many.',
  theListIsEmpty: 'List cleared.'
});

export const customerReader = catalogue('persona/customerReader', {
  fromCustomersWon: 'From won customers',
  chooseACsv: 'Choose CSV',
  companySizeIndustryCountryAndWho: 'company, size, industry, country, and who you talked to; read on this page only',
  close: 'Close',
  knownGoodsKept: (length: Said) => `${length} known-goods saved.`,
  keepThemAsKnownGoods: 'Save as known-goods',
  whatCustomersHaveInCommon: 'What these customers have in common',
  trait: 'Trait',
  shareOfCustomers: 'Share of customers',
  howMuchMoreThanAt: 'Compared with',
  sourceToCompareWith: 'Source to compare with',
  isTaken: (words: Said) => `${words} added`,
  take: (words: Said) => `Add ${words}`,
  take2: 'Add',
  ofText: (interval: Said, count: Said, value: Said) => `${interval}, ${count} of ${value}`,
  tooThinToSay: 'Not enough data',
  peopleThere: (count: Said) => `${count} people there`,
  atFirmsOfYouSpokeTo: (size: Said, rank: Said) => `At firms with ${size} you talked to ${rank}`,
  timesIfSizeDidNotMatter: (count: Said, toFixed: Said) =>
    `: ${count} times, ${toFixed} expected if size didn’t matter.`,
  line: (line: Said, error: Said) => `line ${line}: ${error}`,
  customersRead: (length: Said, bad: Said) => `${length} customers read.${bad}`
});

export const factsRead = catalogue('persona/factsRead', {
  whatTheBriefSays: 'Facts found in the text',
  fact: 'Fact',
  readFrom: 'Read from',
  accept: (kinds: Said, fact: Said) => `Accept ${kinds} ${fact}`,
  noSourceCanBeAskedFor: '(no source can search this)',
  nothingWasUnderstoodNameTitlesTrades: 'Couldn’t find any facts. Mention titles, trades, countries and firm sizes.',
  factsAppearHereAsYouPaste: 'Facts appear here as you paste, each with the words it comes from.',
  takeFactIntoThePersona: (length: Said, length2: Said) => `Add ${length} fact${length2}`,
  close: 'Close',
  sizeOfFirm: 'firm size',
  mustHave: 'must have',
  mustNotCome: 'exclude',
  firmToLeaveOut: 'firm to exclude',
  whatIsSold: 'what you sell',
  people: ' people',
  million: ' million',
  upTo: (to: Said, unit: Said) => `up to ${to}${unit}`,
  orMore: (from: Said, unit: Said) => `${from}${unit} or more`,
  to: (from: Said, to: Said, unit: Said) => `${from} to ${to}${unit}`
});

export const guidedStart = catalogue('persona/guidedStart', {
  sixQuestions: 'Six questions',
  notAnswered: 'not answered',
  notTakenForAFact: 'Not used:'
});

export const inString = catalogue('persona/inString', {
  termOfTheString: (terms: Said, terms2: Said) => `${terms} term${terms2} of the string`
});

export const otherFacts = catalogue('persona/otherFacts', {
  otherFacts: 'Other facts',
  from: (scope: Said) => `${scope} from`,
  any: 'any',
  to: 'to',
  to2: (scope: Said) => `${scope} to`,
  valuesWithCommas: (scope: Said) => `${scope}: values, separated by commas`,
  valuesWithCommas2: 'values, separated by commas',
  takeOut: (scope: Said) => `Remove ${scope}`,
  addAFact: 'Add a fact',
  addAFact2: 'add a fact…',
  aFact: (problem: Said) => `A fact: ${problem}`,
  growthInAYear: 'growth over one year, %',
  yearFounded: 'year founded',
  monthsInTheRole: 'months in the role',
  daysSinceTheLastMove: 'days since the last move',
  daysSinceTheLastPost: 'days since the last post',
  firmIsHiringYesNo: 'firm is hiring (yes, no)',
  firmWasFundedYesNo: 'firm was funded (yes, no)',
  technologyOfTheFirm: 'firm’s technology',
  mailGoodUncertainNone: 'address (good, uncertain, none)',
  languageOfTheProfile: 'profile language',
  ownField: (scope: Said) => `own field “${scope}”`
});

export const personaSentence = catalogue('persona/personaSentence', {
  thePersonaInASentence: 'Persona in one sentence',
  whatIsMissing: 'Missing'
});

export const sizeBands = catalogue('persona/sizeBands', {
  sizeBands: 'Size bands',
  whoDecidesDependsOnTheSize: 'Who decides depends on firm size: give each size band its own titles.',
  from: 'from',
  bandFrom: (i: Said) => `Band ${i} from`,
  to: 'to',
  bandTo: (i: Said) => `Band ${i} to`,
  any: 'any',
  titlesOfBand: (i: Said) => `Titles of band ${i}`,
  takeBandOut: (i: Said) => `Remove band ${i}`,
  addABand: 'Add band'
});

export const sizeField = catalogue('persona/sizeField', {
  peopleEmployedFrom: 'Headcount, from',
  any: 'any',
  to: 'to',
  companySizeWriteDigitsAsIn: (problem: Said, endsWith: Said) =>
    `Company size: ${problem}${endsWith} Use digits, for example 51.`
});

export const personaPage = catalogue('persona/personaPage', {
  persona: 'Persona',
  sixQuestions: 'Six questions',
  readAWrittenBrief: 'Import from text',
  fromCustomersWon: 'From won customers',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  who: 'Person',
  whatIsSold: 'What you sell',
  thisText: (wrong: Said) => `This ${wrong}.`,
  titlesWanted: 'Job titles',
  oneALineEachGetsA: 'One per line. Each gets its own word set in the next step.',
  functionsAndRanks: 'Functions and ranks',
  functions: 'Functions',
  oneALineSuchAsQuality: 'One per line, for example quality. Used at sources that can search by function.',
  ranks: 'Ranks',
  sourcesThatKnowRanksAreAsked: 'Used at sources that can search by rank.',
  whatFirmAndWhere: 'Firm and location',
  titlesBySizeOfFirm: 'Titles by firm size',
  countries: 'Countries',
  namesOrCodesOfIso3166: 'Names or ISO 3166-1 codes.',
  aWholeRegion: 'Region',
  addAllOfIt: 'add a whole region…',
  industries: 'Industries',
  divisionsOfIsicRev4By: 'ISIC Rev. 4 divisions, by name or number.',
  otherFactsOfTheFirmOr: 'Other facts about the firm or person',
  wordsAndWhoMustNotCome: 'Keywords and exclusions',
  mustHaveOneOf: 'Any of these keywords',
  oneALineAnywhereInThe: 'One per line, anywhere in the profile.',
  firmsToLeaveOut: 'Excluded firms',
  competitorsCustomersYourOwnOneA:
    'Competitors, customers and your own firm, one per line. Eave handles legal forms and spellings.',
  industriesCountriesAndPeopleToLeave: 'Other exclusions',
  industriesToLeaveOut: 'Excluded industries',
  yourOwnForOneDivisionsOf: 'For example your own. ISIC Rev. 4 divisions.',
  countriesToLeaveOut: 'Excluded countries',
  addThoseThatAskConsentFirst: 'Add countries that require prior consent',
  countriesOn: (length: Said) => `${length} countries on`,
  theListForAllBriefs: 'the shared list',
  mustNotCome: 'Exclude keywords',
  oneALineWhoeverHasOne: 'One per line. People with any of these are excluded.',
  chooseAPersonaThatWasExported: 'Choose a persona file exported from Eave.'
});
