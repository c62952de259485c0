import { catalogue, type Said } from '$lib/words/catalogue';

export const briefReader = catalogue('persona/briefReader', {
  readAWrittenBrief: 'Read a written brief',
  theBriefAsItWasWritten: 'The brief as it was written',
  pasteAPageOfTextWhat:
    'Paste a page of text: what is sold, who the best customers are, who is spoken to, who is not wanted. It is read here, by rules, and goes nowhere.',
  notUnderstood: 'Not understood:'
});

export const choiceField = catalogue('persona/choiceField', {
  add: 'add…',
  enterAddsWhatIsMarkedOr: 'Enter adds what is marked, or what is written out; only what is on the list can be added.',
  takeOut: (name: Said) => `Take ${name} out`
});

export const contacted = catalogue('persona/contacted', {
  peopleAlreadyContacted: 'People already contacted',
  nobodyYet: 'Nobody yet',
  addPeopleFromAFile: 'Add people from a file…',
  emptyIt: 'Empty it',
  knownByMailAddressOrBy: 'Known by mail address, or by name and firm. A trial leaves them out and says how many.',
  theListIsEmpty: 'The list is empty.'
});

export const customerReader = catalogue('persona/customerReader', {
  fromCustomersWon: 'From customers won',
  chooseACsv: 'Choose a CSV',
  companySizeIndustryCountryAndWho: 'company, size, industry, country, and who was spoken to; it is read on this page',
  close: 'Close',
  knownGoodsKept: (length: Said) => `${length} known-goods kept.`,
  keepThemAsKnownGoods: 'Keep them as known-goods',
  whatCustomersHaveInCommon: 'What customers have in common',
  trait: 'Trait',
  shareOfCustomers: 'Share of customers',
  howMuchMoreThanAt: 'How much more than at',
  sourceToCompareWith: 'Source to compare with',
  isTaken: (words: Said) => `${words} is taken`,
  take: (words: Said) => `Take ${words}`,
  take2: 'Take',
  ofText: (interval: Said, count: Said, value: Said) => `${interval}, ${count} of ${value}`,
  tooThinToSay: 'too thin to say',
  peopleThere: (count: Said) => `${count} people there`,
  atFirmsOfYouSpokeTo: (size: Said, rank: Said) => `At firms of ${size} you spoke to ${rank}`,
  timesIfSizeDidNotMatter: (count: Said, toFixed: Said) => `: ${count} times, ${toFixed} if size did not matter.`,
  line: (line: Said, error: Said) => `line ${line}: ${error}`,
  customersRead: (length: Said, bad: Said) => `${length} customers read.${bad}`
});

export const factsRead = catalogue('persona/factsRead', {
  whatTheBriefSays: 'What the brief says',
  fact: 'Fact',
  readFrom: 'Read from',
  accept: (kinds: Said, fact: Said) => `Accept ${kinds} ${fact}`,
  noSourceCanBeAskedFor: '(no source can be asked for it)',
  nothingWasUnderstoodNameTitlesTrades: 'Nothing was understood. Name titles, trades, countries and sizes, in English.',
  factsAppearHereAsYouPaste: 'Facts appear here as you paste, each with the words it was read from.',
  takeFactIntoThePersona: (length: Said, length2: Said) => `Take ${length} fact${length2} into the persona`,
  close: 'Close',
  sizeOfFirm: 'size of firm',
  mustHave: 'must have',
  mustNotCome: 'must not come',
  firmToLeaveOut: 'firm to leave out',
  whatIsSold: 'what is sold',
  people: ' people',
  million: ' million',
  upTo: (to: Said, unit: Said) => `up to ${to}${unit}`,
  orMore: (from: Said, unit: Said) => `${from}${unit} or more`,
  to: (from: Said, to: Said, unit: Said) => `${from} to ${to}${unit}`
});

export const guidedStart = catalogue('persona/guidedStart', {
  sixQuestions: 'Six questions',
  notAnswered: 'not answered',
  notTakenForAFact: 'Not taken for a fact:'
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
  valuesWithCommas: (scope: Said) => `${scope}: values with commas`,
  valuesWithCommas2: 'values with commas',
  takeOut: (scope: Said) => `Take ${scope} out`,
  addAFact: 'Add a fact',
  addAFact2: 'add a fact …',
  aFact: (problem: Said) => `A fact: ${problem}`,
  growthInAYear: 'growth in a year, %',
  yearFounded: 'year founded',
  monthsInTheRole: 'months in the role',
  daysSinceTheLastMove: 'days since the last move',
  daysSinceTheLastPost: 'days since the last post',
  firmIsHiringYesNo: 'firm is hiring (yes, no)',
  firmWasFundedYesNo: 'firm was funded (yes, no)',
  technologyOfTheFirm: 'technology of the firm',
  mailGoodUncertainNone: 'mail (good, uncertain, none)',
  languageOfTheProfile: 'language of the profile',
  ownField: (scope: Said) => `own field “${scope}”`
});

export const personaSentence = catalogue('persona/personaSentence', {
  thePersonaInASentence: 'The persona in a sentence',
  whatIsMissing: 'What is missing'
});

export const sizeBands = catalogue('persona/sizeBands', {
  sizeBands: 'Size bands',
  whoDecidesDependsOnTheSize: 'Who decides depends on the size: give each band its own titles.',
  from: 'from',
  bandFrom: (i: Said) => `Band ${i} from`,
  to: 'to',
  bandTo: (i: Said) => `Band ${i} to`,
  any: 'any',
  titlesOfBand: (i: Said) => `Titles of band ${i}`,
  takeBandOut: (i: Said) => `Take band ${i} out`,
  addABand: 'Add a band'
});

export const sizeField = catalogue('persona/sizeField', {
  peopleEmployedFrom: 'People employed, from',
  any: 'any',
  to: 'to',
  companySizeWriteDigitsAsIn: (problem: Said, endsWith: Said) =>
    `Company size: ${problem}${endsWith} Write digits, as in 51.`
});

export const personaPage = catalogue('persona/personaPage', {
  persona: 'Persona',
  sixQuestions: 'Six questions',
  readAWrittenBrief: 'Read a written brief',
  fromCustomersWon: 'From customers won',
  exportJson: 'Export JSON',
  importJson: 'Import JSON',
  who: 'Who',
  whatIsSold: 'What is sold',
  thisText: (wrong: Said) => `This ${wrong}.`,
  titlesWanted: 'Titles wanted',
  oneALineEachGetsA: 'One a line. Each gets a word set of its own in the next step.',
  functionsAndRanks: 'Functions and ranks',
  functions: 'Functions',
  oneALineSuchAsQuality: 'One a line, such as quality. Sources that know functions are asked for them.',
  ranks: 'Ranks',
  sourcesThatKnowRanksAreAsked: 'Sources that know ranks are asked for them.',
  whatFirmAndWhere: 'What firm, and where',
  titlesBySizeOfFirm: 'Titles by size of firm',
  countries: 'Countries',
  namesOrCodesOfIso3166: 'Names or codes of ISO 3166-1.',
  aWholeRegion: 'A whole region',
  addAllOfIt: 'add all of it …',
  industries: 'Industries',
  divisionsOfIsicRev4By: 'Divisions of ISIC Rev. 4, by name or number.',
  otherFactsOfTheFirmOr: 'Other facts of the firm or the person',
  wordsAndWhoMustNotCome: 'Words, and who must not come',
  mustHaveOneOf: 'Must have one of',
  oneALineAnywhereInThe: 'One a line, anywhere in the profile.',
  firmsToLeaveOut: 'Firms to leave out',
  competitorsCustomersYourOwnOneA:
    'Competitors, customers, your own: one a line. Legal forms and spellings are seen to.',
  industriesCountriesAndPeopleToLeave: 'Industries, countries and people to leave out',
  industriesToLeaveOut: 'Industries to leave out',
  yourOwnForOneDivisionsOf: 'Your own, for one: divisions of ISIC Rev. 4.',
  countriesToLeaveOut: 'Countries to leave out',
  addThoseThatAskConsentFirst: 'Add those that ask consent first',
  countriesOn: (length: Said) => `${length} countries on`,
  theListForAllBriefs: 'the list for all briefs',
  mustNotCome: 'Must not come',
  oneALineWhoeverHasOne: 'One a line. Whoever has one of these is left out.',
  chooseAPersonaThatWasExported: 'Choose a persona that was exported here.'
});
