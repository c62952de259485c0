import { catalogue, type Said } from '$lib/words/catalogue';

export const causes = catalogue('trial/causes', {
  whyMissesCame: 'Why misses came',
  whyThe: 'Why the',
  oneMiss: 'one miss',
  misses: (length: Said) => `${length} misses`,
  came: 'came',
  termsAndFieldsThatBroughtMisses: 'Terms and fields that brought misses',
  term: 'Term',
  foundIn: 'found in',
  misses2: 'Misses',
  fits: 'Fits',
  whatWouldKeepThemAway: 'What would keep them away',
  measuredBeforeItIsTaken: ', measured before it is taken.'
});

export const deleteTrial = catalogue('trial/deleteTrial', {
  deleteThisTrial: 'Delete this trial',
  deleteTheTrialOfVersionOn: (version: Said, sourceName: Said) =>
    `Delete the trial of version ${version} on ${sourceName}?`,
  deleteText: 'Delete',
  keep: 'Keep',
  itsPagesAndItsSampleGo:
    'Its pages and its sample go, and its figures leave the comparison. The verdicts on its people stay.'
});

export const depthRuler = catalogue('trial/depthRuler', {
  whereInTheResultTheSample: 'Where in the result the sample sits',
  whereInTheResult: 'Where in the result',
  notJudged: 'not judged',
  possible: ', possible',
  beyondTheShown: (shown: Said) => `beyond the ${shown} shown:`,
  unseen: (unseen: Said) => `${unseen} unseen`
});

export const elsewhere = catalogue('trial/elsewhere', {
  theSamePersonElsewhere: 'The same person elsewhere',
  elsewhere: 'Elsewhere',
  noTitle: 'no title',
  noFirm: 'no firm',
  people: 'people',
  mail: (mail: Said) => `· mail ${mail}`
});

export const judgingAs = catalogue('trial/judgingAs', {
  judgingAs: 'judging as',
  nameOfTheSecondJudge: 'Name of the second judge',
  firstJudge: 'first judge',
  someoneElse: 'someone else…'
});

export const knownGoods = catalogue('trial/knownGoods', {
  knownGoodsHere: 'Known-goods here',
  knownGoods: 'Known-goods',
  ofAreInThisStringFinds: (there: Said, length: Said, name: Said, found: Said) =>
    `${there} of ${length} are in ${name}; this string finds ${found} of them.`,
  knownGoodsNotFound: 'Known-goods not found',
  notIn: (name: Said) => `not in ${name}`,
  toLetThemIn: (join: Said) => `to let them in: ${join}`,
  noSingleChangeLetsThemIn: 'no single change lets them in',
  changeTheString: 'Change the string'
});

export const nobodyFound = catalogue('trial/nobodyFound', {
  nobodyIsLeft: 'Nobody is left',
  peopleArePossibleHereAndNone: (people: Said, sourceName: Said) =>
    `${people} people are possible here, and none is certain: ${sourceName} does not tell all that the string asks. Untick`,
  certainOnly: 'Certain only',
  toReadThem: 'to read them.',
  cameFromAndWhatItTells: (filtered: Said, sourceName: Said) =>
    `${filtered} came from ${sourceName}, and what it tells of them contradicts the part that it cannot be asked:`,
  nobodyIsFound: 'Nobody is found',
  hasNobodyForThisString: (sourceName: Said) => `${sourceName} has nobody for this string.`,
  changeTheString: 'Change the string.'
});

export const note = catalogue('trial/note', {
  note: 'Note',
  whatToRememberOfThemW: 'what to remember of them (W)',
  takenAway: 'taken away'
});

export const peopleToJudge = catalogue('trial/peopleToJudge', {
  all: (sign: Said, toLowerCase: Said) => `${sign} All ${toLowerCase}`,
  keepOnTheShortlist: 'Keep on the shortlist',
  findIn: (toLowerCase: Said) => `Find in ${toLowerCase}`,
  saveAsCsv: 'Save as CSV',
  is: (name: Said, verdict: Said, toLowerCase: Said) => `${name} is ${verdict}${toLowerCase}`,
  shownAt: 'Shown at',
  name: 'Name',
  title: 'Title',
  firm: 'Firm',
  country: 'Country',
  verdict: 'Verdict'
});

export const personCard = catalogue('trial/personCard', {
  profileOf: (name: Said) => `Profile of ${name}`,
  showsThisAt: (sourceName: Said) => `· ${sourceName} shows this at`,
  skills: 'Skills',
  groups: 'Groups',
  school: 'School',
  contact: 'Contact',
  language: 'Language',
  foundBecause: 'Found because',
  and: ' and ',
  isIn: 'is in',
  possible: '◇ Possible',
  notCertainDoesNotTell: (sourceName: Said) => `, not certain: ${sourceName} does not tell`,
  ofThisPerson: 'of this person.'
});

export const precisionBar = catalogue('trial/precisionBar', {
  precisionSoFar: 'Precision so far',
  nobodyJudged: 'nobody judged',
  ofText: (fits: Said, judged: Said) => `${fits} of ${judged}`,
  ofJudged: (judged: Said, sampled: Said) => `${judged} of ${sampled} judged.`,
  judgedEnoughForPoints: (points: Said) => `Judged enough for ±${points} points.`,
  theFirstTenthAloneOfRead: (fits: Said, fits2: Said, interval: Said) =>
    `The first tenth alone: ${fits} of ${fits2}, ${interval}. Read only from the top, that is all one knows, and of the rest nothing.`,
  halfWidth: 'Half-width',
  points: (width: Said) => `±${width} points`,
  drawMoreInAll: (toDraw: Said, sampled: Said) => `Draw ${toDraw} more (${sampled} in all)`
});

export const sampleList = catalogue('trial/sampleList', {
  allAsAList: (length: Said) => `All ${length} as a list`,
  verdict: 'Verdict',
  told: 'Told',
  cameBy: 'Came by',
  anyTerm: 'any term',
  shown: (length: Said) => `${length} shown`,
  peopleDrawn: 'People drawn'
});

export const trialLog = catalogue('trial/trialLog', {
  whatWentWrongOnTheWay: (length: Said) => `What went wrong on the way (${length})`,
  searchPage: (search: Said, page: Said, what: Said) => `search ${search}, page ${page}: ${what}`
});

export const trialProgress = catalogue('trial/trialProgress', {
  howFarVersionOnIs: (version: Said, sourceName: Said) => `How far version ${version} on ${sourceName} is`,
  versionOn: (version: Said, sourceName: Said) => `Version ${version} on ${sourceName}`,
  ofSearch: (searchesDone: Said, searches: Said) => `${searchesDone} of ${searches} search`,
  pageRowsSoFar: (pages: Said, pages2: Said, rows: Said) => `, ${pages} page${pages2}, ${rows} rows so far`,
  sSpent: (amount: Said, unit: Said) => `, ${amount} ${unit}s spent`,
  lastSearchPage: (search: Said, page: Said, what: Said) => `; last: search ${search}, page ${page}: ${what}`,
  rowsSoFar: 'Rows so far',
  stop: 'Stop',
  goOn: 'Go on',
  waitsForItsTurn: 'waits for its turn',
  isRunning: 'is running',
  isDone: 'is done',
  wasStopped: 'was stopped',
  couldNotGoOn: 'could not go on'
});

export const trialSummary = catalogue('trial/trialSummary', {
  found: 'found',
  shown: 'shown,',
  certain: 'certain,',
  possible: 'possible',
  contradictedAndRemoved: (filtered: Said) => `, ${filtered} contradicted and removed`,
  nobodyIsLeftToRead: 'Nobody is left to read.',
  allAreHereToRead: (people: Said) => `All ${people} are here to read.`,
  drawnThroughAll: (length: Said, people: Said) => `${length} drawn through all ${people}.`,
  wereContactedAlreadyAndAreLeft: (contacted: Said) => `${contacted} were contacted already and are left out.`,
  lookLikeAPersonShownBefore: (duplicates: Said) => `${duplicates} look like a person shown before under another id.`,
  spentS: (amount: Said, unit: Said) => `Spent: ${amount} ${unit}s.`
});

export const verdictDesk = catalogue('trial/verdictDesk', {
  verdict: 'Verdict',
  againstThePersona: 'Against the persona',
  byRule: 'By rule',
  giveAVerdictOfYourOwn: (reason: Said) => `: ${reason}. Give a verdict of your own to overrule it.`,
  judged: 'Judged',
  atAndCountedSoHereUntil: (at: Said) => `at ${at}, and counted so here until you say otherwise.`,
  recordsJudgedDifferently: 'Records judged differently',
  recordsOfThisPersonWereJudged: 'Records of this person were judged differently:',
  at: (at: Said) => `at ${at}`,
  theNewestCountsOnce: '. The newest counts, once.',
  makeAll: (toLowerCase: Said) => `Make all ${toLowerCase}`,
  because: 'Because',
  aReasonOfYourOwn: 'A reason of your own',
  orInYourOwnWordsN: 'or in your own words (N)',
  goOnToTheNextBy: 'go on to the next by itself',
  goThrough: 'go through ·',
  takeBack: 'take back'
});

export const trialPage = catalogue('trial/trialPage', {
  trial: 'Trial',
  nothingWasRunYet: 'Nothing was run yet',
  aTrialRunsTheStringAt: 'A trial runs the string at the sources and draws a sample to read.',
  runTheString: 'Run the string',
  first: 'first.',
  versionOn: (version: Said, sourceName: Said) => `Version ${version} on ${sourceName}`,
  version: (number: Said) => `Version ${number}`,
  versionOn2: (number: Said, sourceId: Said) => `Version ${number} on ${sourceId}`,
  preJudgeByRule: (ruled: Said) => `Pre-judge ${ruled} by rule`,
  byFirmSizeCountryIndustryAnd: 'By firm size, country, industry and firms to leave out; marked as by rule',
  takeBackByRule: (byRule: Said) => `Take back ${byRule} by rule`,
  diary: 'Diary',
  nextNotJudged: 'Next not judged',
  undo: 'Undo',
  verdict: (waiting: Said) => `${waiting} verdict`,
  is: ' is',
  sAre: 's are',
  notKeptYet: 'not kept yet.',
  tryAgain: 'Try again',
  whatHasComeIsKeptIt: 'What has come is kept: it goes on from there, also after a stop or a restart.',
  keepOnTheShortlist: 'Keep on the shortlist',
  judgesTheSamePeopleWithoutSeeing: (as: Said) =>
    `${as} judges the same people without seeing what was said before. The brief goes by the first judge’s verdicts;`,
  holdBothAgainstEachOther: 'hold both against each other'
});
