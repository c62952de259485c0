import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const causes = catalogue('trial/causes', {
  whyMissesCame: 'Causes of misses',
  whyMissesWereFound: (misses: number) =>
    plural(misses, { one: 'Why one miss was found', other: `Why ${misses} misses were found` }),
  termsAndFieldsThatBroughtMisses: 'Terms and fields that matched misses',
  term: 'Term',
  foundIn: 'found in',
  misses2: 'Misses',
  fits: 'Fits',
  whatWouldKeepThemAway: 'Proposals to remove them',
  measuredBeforeItIsTaken: ', measured before you apply them.'
});

export const deleteTrial = catalogue('trial/deleteTrial', {
  deleteThisTrial: 'Delete this trial',
  deleteTheTrialOfVersionOn: (version: Said, sourceName: Said) =>
    `Delete the trial of version ${version} on ${sourceName}?`,
  deleteText: 'Delete',
  keep: 'Keep',
  itsPagesAndItsSampleGo:
    'This deletes its pages and sample, and removes its figures from the comparison. Verdicts are kept.'
});

export const depthRuler = catalogue('trial/depthRuler', {
  whereInTheResultTheSample: 'Position of the sample in the result',
  whereInTheResult: 'Position in the result',
  notJudged: 'not judged',
  possible: ', possible',
  beyondTheShown: (shown: Said) => `beyond the ${shown} shown:`,
  unseen: (unseen: Said) => `${unseen} unseen`
});

export const elsewhere = catalogue('trial/elsewhere', {
  theSamePersonElsewhere: 'Same person at other sources',
  elsewhere: 'Other sources',
  noTitle: 'no title',
  noFirm: 'no firm',
  people: 'people',
  mail: (mail: Said) => `· address ${mail}`
});

export const judgingAs = catalogue('trial/judgingAs', {
  judgingAs: 'judging as',
  nameOfTheSecondJudge: 'Name of the second judge',
  firstJudge: 'first judge',
  someoneElse: 'someone else…'
});

export const knownGoods = catalogue('trial/knownGoods', {
  knownGoodsHere: 'Known-goods at this source',
  knownGoods: 'Known-goods',
  ofAreInThisStringFinds: (there: Said, length: Said, name: Said, found: Said) =>
    `${there} of ${length} are in ${name}; this string finds ${found} of them.`,
  knownGoodsNotFound: 'Known-goods not found',
  notIn: (name: Said) => `not in ${name}`,
  toLetThemIn: (join: Said) => `to include them: ${join}`,
  noSingleChangeLetsThemIn: 'no single change includes them',
  changeTheString: 'Change the string'
});

export const nobodyFound = catalogue('trial/nobodyFound', {
  nobodyIsLeft: 'Nobody left',
  peopleArePossibleHereAndNone: (people: Said, sourceName: Said) =>
    `${people} people are possible and none is certain, because ${sourceName} doesn’t list everything the string asks for. Turn off`,
  certainOnly: 'Certain only',
  toReadThem: 'to see them.',
  cameFromAndWhatItTells: (filtered: Said, sourceName: Said) =>
    `${sourceName} returned ${filtered} people, but what it lists contradicts the part it can’t search for:`,
  nobodyIsFound: 'Nobody found',
  hasNobodyForThisString: (sourceName: Said) => `${sourceName} has nobody matching this string.`,
  changeTheString: 'Change the string.'
});

export const note = catalogue('trial/note', {
  note: 'Note',
  whatToRememberOfThemW: 'note about this person (W)',
  takenAway: 'removed'
});

export const peopleToJudge = catalogue('trial/peopleToJudge', {
  all: (sign: Said, toLowerCase: Said) => `${sign} All ${toLowerCase}`,
  keepOnTheShortlist: 'Add to shortlist',
  findIn: (toLowerCase: Said) => `Find in ${toLowerCase}`,
  saveAsCsv: 'Download CSV',
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
  showsThisAt: (sourceName: Said) => `· shown by ${sourceName} at`,
  skills: 'Skills',
  groups: 'Groups',
  school: 'School',
  contact: 'Contact',
  language: 'Language',
  foundBecause: 'Found because',
  and: ' and ',
  isIn: 'is in',
  possible: '◇ Possible',
  notCertainDoesNotTell: (sourceName: Said) => `, not certain: ${sourceName} doesn’t list`,
  ofThisPerson: 'for this person.'
});

export const precisionBar = catalogue('trial/precisionBar', {
  precisionSoFar: 'Precision so far',
  nobodyJudged: 'nobody judged',
  ofText: (fits: Said, judged: Said) => `${fits} of ${judged}`,
  ofJudged: (judged: Said, sampled: Said) => `${judged} of ${sampled} judged.`,
  judgedEnoughForPoints: (points: Said) => `Judged enough for ±${points} points.`,
  theFirstTenthAloneOfRead: (fits: Said, fits2: Said, interval: Said) =>
    `First tenth only: ${fits} of ${fits2}, ${interval}. The first pages alone would tell you nothing about the rest.`,
  halfWidth: 'Margin',
  points: (width: Said) => `±${width} points`,
  drawMoreInAll: (toDraw: Said, sampled: Said) => `Draw ${toDraw} more (${sampled} in all)`
});

export const sampleList = catalogue('trial/sampleList', {
  allAsAList: (length: Said) => `All ${length} as a list`,
  verdict: 'Verdict',
  told: 'Certainty',
  cameBy: 'Matched by',
  anyTerm: 'any term',
  shown: (length: Said) => `${length} shown`,
  peopleDrawn: 'People in the sample'
});

export const trialLog = catalogue('trial/trialLog', {
  whatWentWrongOnTheWay: (length: Said) => `Errors (${length})`,
  searchPage: (search: Said, page: Said, what: Said) => `search ${search}, page ${page}: ${what}`
});

export const trialProgress = catalogue('trial/trialProgress', {
  howFarVersionOnIs: (version: Said, sourceName: Said) => `Progress of version ${version} on ${sourceName}`,
  versionOn: (version: Said, sourceName: Said) => `Version ${version} on ${sourceName}`,
  ofSearch: (searchesDone: Said, searches: Said) => `${searchesDone} of ${searches} search`,
  pageRowsSoFar: (pages: Said, pages2: Said, rows: Said) => `, ${pages} page${pages2}, ${rows} rows so far`,
  sSpent: (amount: Said, unit: Said) => `, ${amount} ${unit}s spent`,
  lastSearchPage: (search: Said, page: Said, what: Said) => `; last: search ${search}, page ${page}: ${what}`,
  rowsSoFar: 'Rows so far',
  stop: 'Stop',
  goOn: 'Resume',
  waitsForItsTurn: 'queued',
  isRunning: 'running',
  isDone: 'done',
  wasStopped: 'stopped',
  couldNotGoOn: 'failed'
});

export const trialSummary = catalogue('trial/trialSummary', {
  found: 'found',
  shown: 'shown,',
  certain: 'certain,',
  possible: 'possible',
  contradictedAndRemoved: (filtered: Said) => `, ${filtered} contradicted and removed`,
  nobodyIsLeftToRead: 'Nobody left to judge.',
  allAreHereToRead: (people: Said) => `All ${people} are here to judge.`,
  drawnThroughAll: (length: Said, people: Said) => `${length} drawn from all ${people}.`,
  wereContactedAlreadyAndAreLeft: (contacted: Said) => `${contacted} already contacted and excluded.`,
  lookLikeAPersonShownBefore: (duplicates: Said) => `${duplicates} look like duplicates of people already shown.`,
  spentS: (amount: Said, unit: Said) => `Spent: ${amount} ${unit}s.`
});

export const verdictDesk = catalogue('trial/verdictDesk', {
  verdict: 'Verdict',
  againstThePersona: 'Compared with the persona',
  byRule: 'By rule',
  giveAVerdictOfYourOwn: (reason: Said) => `: ${reason}. Your own verdict overrides it.`,
  judged: 'Judged',
  atAndCountedSoHereUntil: (at: Said) => `at ${at}; counts here until you change it.`,
  recordsJudgedDifferently: 'Records judged differently',
  recordsOfThisPersonWereJudged: 'This person’s records were judged differently:',
  at: (at: Said) => `at ${at}`,
  theNewestCountsOnce: '. The newest counts.',
  makeAll: (toLowerCase: Said) => `Make all ${toLowerCase}`,
  because: 'Reason',
  aReasonOfYourOwn: 'Your own reason',
  orInYourOwnWordsN: 'or in your own words (N)',
  goOnToTheNextBy: 'go to the next automatically',
  goThrough: 'browse ·',
  takeBack: 'undo'
});

export const trialPage = catalogue('trial/trialPage', {
  trial: 'Trial',
  nothingWasRunYet: 'Nothing run yet',
  aTrialRunsTheStringAt: 'A trial runs the string at your sources and draws a sample to judge.',
  runTheString: 'Run the string',
  first: 'first.',
  versionOn: (version: Said, sourceName: Said) => `Version ${version} on ${sourceName}`,
  version: (number: Said) => `Version ${number}`,
  versionOn2: (number: Said, sourceId: Said) => `Version ${number} on ${sourceId}`,
  preJudgeByRule: (ruled: Said) => `Pre-judge ${ruled} by rule`,
  byFirmSizeCountryIndustryAnd: 'By firm size, country, industry and excluded firms; marked “by rule”',
  takeBackByRule: (byRule: Said) => `Remove ${byRule} rule verdicts`,
  diary: 'Diary',
  nextNotJudged: 'Next unjudged',
  undo: 'Undo',
  verdict: (waiting: Said) => `${waiting} verdict`,
  is: ' is',
  sAre: 's are',
  notKeptYet: 'not saved yet.',
  tryAgain: 'Retry',
  whatHasComeIsKeptIt: 'What’s collected so far is saved: the trial resumes from there, even after a stop or restart.',
  keepOnTheShortlist: 'Add to shortlist',
  judgesTheSamePeopleWithoutSeeing: (as: Said) =>
    `${as} judges the same people without seeing earlier verdicts. The brief uses the first judge’s verdicts;`,
  holdBothAgainstEachOther: 'compare both'
});
