import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const briefReader = catalogue('persona/briefReader', {
  importFromText: 'Import from text',
  textBrief: 'Text of the brief',
  pastePageTextWhatIsSold:
    'Paste a page of text: what is sold, who the best customers are, who you talk to, and who to exclude. It is read on this machine.',
  notUnderstood: 'Not understood:'
});

export const choiceField = catalogue('persona/choiceField', {
  add: 'add…',
  pressEnterToAddHighlightedItem: 'Press Enter to add the highlighted item. You can only add items from the list.',
  remove: (name: Said) => `Remove ${name}`
});

export const contacted = catalogue('persona/contacted', {
  people: (many: number, written: Said) => plural(many, { one: '1 person', other: `${written} people` }),
  peopleAlreadyContacted: 'People already contacted',
  nobodyYet: 'Nobody yet',
  importPeople: 'Import people…',
  clearList: 'Clear list',
  matchedByEmailAddressOrBy: 'Matched by email address, or by name and firm. Trials exclude them and say how many.',
  listCleared: 'List cleared.'
});

export const customerReader = catalogue('persona/customerReader', {
  partlyRead: (many: number, written: Said, first: Said) =>
    ` ${written} ${plural(many, { one: 'row was', other: 'rows were' })} only partly read: ${first}`,
  fault: (file: Said, problem: Said) => `${file}: ${problem}`,
  fromWonCustomers: 'From won customers',
  chooseCsv: 'Choose CSV',
  companySizeIndustryCountryAndWho: 'company, size, industry, country, and who you talked to; read on this page only',
  close: 'Close',
  knownGoodsSaved: (length: Said) => `${length} known-goods saved.`,
  saveAsKnownGoods: 'Save as known-goods',
  whatTheseCustomersHaveInCommon: 'What these customers have in common',
  trait: 'Trait',
  shareCustomers: 'Share of customers',
  comparedWith: 'Compared with',
  sourceToCompareWith: 'Source to compare with',
  added: (words: Said) => `${words} added`,
  add: (words: Said) => `Add ${words}`,
  add2: 'Add',
  ofText: (interval: Said, count: Said, value: Said) => `${interval}, ${count} of ${value}`,
  notEnoughData: 'Not enough data',
  peopleThere: (count: Said) => `${count} people there`,
  atFirmsWithYouTalkedTo: (size: Said, rank: Said) => `At firms with ${size} you talked to ${rank}`,
  timesExpectedIfSizeDidntMatter: (count: Said, toFixed: Said) =>
    `: ${count} times, ${toFixed} expected if size didn’t matter.`,
  line: (line: Said, error: Said) => `line ${line}: ${error}`,
  customersRead: (length: Said, bad: Said) => `${length} customers read.${bad}`
});

export const factsRead = catalogue('persona/factsRead', {
  title: 'title',
  functionOf: 'function',
  rank: 'rank',
  industry: 'industry',
  country: 'country',
  place: 'place',
  revenue: 'revenue',
  factsFoundInText: 'Facts found in the text',
  fact: 'Fact',
  readFrom: 'Read from',
  accept: (kinds: Said, fact: Said) => `Accept ${kinds} ${fact}`,
  noSourceCanSearchThis: '(no source can search this)',
  couldntFindAnyFactsMentionTitles: 'Couldn’t find any facts. Mention titles, trades, countries and firm sizes.',
  factsAppearHereAsYouPaste: 'Facts appear here as you paste, each with the words it comes from.',
  addFacts: (facts: number) => plural(facts, { one: 'Add 1 fact', other: `Add ${facts} facts` }),
  close: 'Close',
  firmSize: 'firm size',
  mustHave: 'must have',
  exclude: 'exclude',
  firmToExclude: 'firm to exclude',
  whatYouSell: 'what you sell',
  people: ' people',
  million: ' million',
  upTo: (to: Said, unit: Said) => `up to ${to}${unit}`,
  orMore: (from: Said, unit: Said) => `${from}${unit} or more`,
  toText: (from: Said, to: Said, unit: Said) => `${from} to ${to}${unit}`
});

export const guidedStart = catalogue('persona/guidedStart', {
  sixQuestions: 'Six questions',
  notAnswered: 'not answered',
  notUsed: 'Not used:'
});

export const inString = catalogue('persona/inString', {
  termsOfTheString: (terms: number) =>
    plural(terms, { one: '1 term of the string', other: `${terms} terms of the string` })
});

export const otherFacts = catalogue('persona/otherFacts', {
  otherFacts: 'Other facts',
  from: (scope: Said) => `${scope} from`,
  any: 'any',
  toText: 'to',
  toText2: (scope: Said) => `${scope} to`,
  valuesSeparatedByCommas: (scope: Said) => `${scope}: values, separated by commas`,
  valuesSeparatedByCommas2: 'values, separated by commas',
  remove: (scope: Said) => `Remove ${scope}`,
  addFact: 'Add a fact',
  addFact2: 'add a fact…',
  fact: (problem: Said) => `A fact: ${problem}`,
  growthOverOneYear: 'growth over one year, %',
  yearFounded: 'year founded',
  monthsInRole: 'months in the role',
  daysSinceLastMove: 'days since the last move',
  daysSinceLastPost: 'days since the last post',
  firmIsHiringYesNo: 'firm is hiring (yes, no)',
  firmWasFundedYesNo: 'firm was funded (yes, no)',
  firmsTechnology: 'firm’s technology',
  addressGoodUncertainNone: 'address (good, uncertain, none)',
  profileLanguage: 'profile language',
  ownField: (scope: Said) => `own field “${scope}”`
});

export const personaSentence = catalogue('persona/personaSentence', {
  personaInOneSentence: 'Persona in one sentence',
  missing: 'Missing'
});

export const sizeBands = catalogue('persona/sizeBands', {
  sizeBands: 'Size bands',
  whoDecidesDependsOnFirmSize: 'Who decides depends on firm size: give each size band its own titles.',
  from: 'from',
  bandFrom: (i: Said) => `Band ${i} from`,
  toText: 'to',
  bandTo: (i: Said) => `Band ${i} to`,
  any: 'any',
  titlesBand: (i: Said) => `Titles of band ${i}`,
  removeBand: (i: Said) => `Remove band ${i}`,
  addBand: 'Add band'
});

export const sizeField = catalogue('persona/sizeField', {
  headcountFrom: 'Headcount, from',
  any: 'any',
  toText: 'to',
  companySizeUseDigitsForExample: (problem: Said, endsWith: Said) =>
    `Company size: ${problem}${endsWith} Use digits, for example 51.`
});

export const personaPage = catalogue('persona/personaPage', {
  persona: 'Persona',
  chooseWordings: 'Choose wordings',
  sixQuestions: 'Six questions',
  importFromText: 'Import from text',
  fromWonCustomers: 'From won customers',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  person: 'Person',
  whatYouSell: 'What you sell',
  thisText: (wrong: Said) => `This ${wrong}.`,
  jobTitles: 'Job titles',
  onePerLineEachGetsIts: 'One per line. Each gets its own word set in the next step.',
  functionsAndRanks: 'Functions and ranks',
  functions: 'Functions',
  onePerLineForExampleQuality: 'One per line, for example quality. Used at sources that can search by function.',
  ranks: 'Ranks',
  usedAtSourcesThatCanSearch: 'Used at sources that can search by rank.',
  firmAndLocation: 'Firm and location',
  titlesByFirmSize: 'Titles by firm size',
  countries: 'Countries',
  namesOrIso31661Codes: 'Names or ISO 3166-1 codes.',
  region: 'Region',
  addWholeRegion: 'add a whole region…',
  industries: 'Industries',
  isicRev4DivisionsByName: 'ISIC Rev. 4 divisions, by name or number.',
  otherFactsAboutFirmOrPerson: 'Other facts about the firm or person',
  keywordsAndExclusions: 'Keywords and exclusions',
  anyTheseKeywords: 'Any of these keywords',
  onePerLineAnywhereInProfile: 'One per line, anywhere in the profile.',
  excludedFirms: 'Excluded firms',
  competitorsCustomersAndYourOwnFirm:
    'Competitors, customers and your own firm, one per line. Eave handles legal forms and spellings.',
  otherExclusions: 'Other exclusions',
  excludedIndustries: 'Excluded industries',
  forExampleYourOwnIsicRev: 'For example your own. ISIC Rev. 4 divisions.',
  excludedCountries: 'Excluded countries',
  addCountriesThatRequirePriorConsent: 'Add countries that require prior consent',
  countriesOn: (length: Said) => `${length} countries on`,
  sharedList: 'the shared list',
  excludeKeywords: 'Exclude keywords',
  onePerLinePeopleWithAny: 'One per line. People with any of these are excluded.',
  choosePersonaFileExportedFromEave: 'Choose a persona file exported from Eave.'
});
