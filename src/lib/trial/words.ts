import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const causes = catalogue('trial/causes', {
  causesMisses: 'Causes of misses',
  whyMissesWereFound: (misses: number) =>
    plural(misses, { one: 'Why one miss was found', other: `Why ${misses} misses were found` }),
  termsAndFieldsThatMatchedMisses: 'Terms and fields that matched misses',
  term: 'Term',
  foundIn: 'found in',
  misses: 'Misses',
  fits: 'Fits',
  proposalsToRemoveThem: 'Proposals to remove them',
  measuredBeforeYouApplyThem: ', measured before you apply them.'
});

export const deleteTrial = catalogue('trial/deleteTrial', {
  deleteThisTrial: 'Delete this trial',
  deleteTrialVersionOn: (version: Said, sourceName: Said) => `Delete the trial of version ${version} on ${sourceName}?`,
  deleteText: 'Delete',
  keep: 'Keep',
  thisDeletesItsPagesAndSample:
    'This deletes its pages and sample, and removes its figures from the comparison. Verdicts are kept.'
});

export const depthRuler = catalogue('trial/depthRuler', {
  positionSampleInResult: 'Position of the sample in the result',
  positionInResult: 'Position in the result',
  notJudged: 'not judged',
  possible: ', possible',
  beyondShown: (shown: Said) => `beyond the ${shown} shown:`,
  unseen: (unseen: Said) => `${unseen} unseen`
});

export const elsewhere = catalogue('trial/elsewhere', {
  samePersonAtOtherSources: 'Same person at other sources',
  otherSources: 'Other sources',
  noTitle: 'no title',
  noFirm: 'no firm',
  people: 'people',
  address: (mail: Said) => `· address ${mail}`
});

export const judgingAs = catalogue('trial/judgingAs', {
  judgingAs: 'judging as',
  nameSecondJudge: 'Name of the second judge',
  firstJudge: 'first judge',
  someoneElse: 'someone else…'
});

export const knownGoods = catalogue('trial/knownGoods', {
  knownGoodsAtThisSource: 'Known-goods at this source',
  knownGoods: 'Known-goods',
  areInThisStringFindsThem: (there: Said, length: Said, name: Said, found: Said) =>
    `${there} of ${length} are in ${name}; this string finds ${found} of them.`,
  knownGoodsNotFound: 'Known-goods not found',
  notIn: (name: Said) => `not in ${name}`,
  toIncludeThem: (join: Said) => `to include them: ${join}`,
  noSingleChangeIncludesThem: 'no single change includes them',
  changeString: 'Change the string'
});

export const nobodyFound = catalogue('trial/nobodyFound', {
  nobodyLeft: 'Nobody left',
  peopleArePossibleAndNoneIs: (people: Said, sourceName: Said) =>
    `${people} people are possible and none is certain, because ${sourceName} doesn’t list everything the string asks for. Turn off`,
  certainOnly: 'Certain only',
  toSeeThem: 'to see them.',
  returnedPeopleButWhatItLists: (filtered: Said, sourceName: Said) =>
    `${sourceName} returned ${filtered} people, but what it lists contradicts the part it can’t search for:`,
  nobodyFound: 'Nobody found',
  hasNobodyMatchingThisString: (sourceName: Said) => `${sourceName} has nobody matching this string.`,
  changeString: 'Change the string.'
});

export const note = catalogue('trial/note', {
  note: 'Note',
  noteAboutThisPersonW: 'note about this person (W)',
  removed: 'removed'
});

export const peopleToJudge = catalogue('trial/peopleToJudge', {
  all: (sign: Said, toLowerCase: Said) => `${sign} All ${toLowerCase}`,
  addToShortlist: 'Add to shortlist',
  findIn: (toLowerCase: Said) => `Find in ${toLowerCase}`,
  downloadCsv: 'Download CSV',
  is: (name: Said, verdict: Said, toLowerCase: Said) => `${name} is ${verdict}${toLowerCase}`,
  shownAt: 'Shown at',
  name: 'Name',
  title: 'Title',
  firm: 'Firm',
  country: 'Country',
  verdict: 'Verdict'
});

export const personCard = catalogue('trial/personCard', {
  profile: (name: Said) => `Profile of ${name}`,
  shownByAt: (sourceName: Said) => `· shown by ${sourceName} at`,
  skills: 'Skills',
  groups: 'Groups',
  school: 'School',
  contact: 'Contact',
  language: 'Language',
  foundBecause: 'Found because',
  and: ' and ',
  isIn: 'is in',
  possible: '◇ Possible',
  notCertainDoesntList: (sourceName: Said) => `, not certain: ${sourceName} doesn’t list`,
  forThisPerson: 'for this person.'
});

export const precisionBar = catalogue('trial/precisionBar', {
  precisionSoFar: 'Precision so far',
  nobodyJudged: 'nobody judged',
  ofText: (fits: Said, judged: Said) => `${fits} of ${judged}`,
  judged: (judged: Said, sampled: Said) => `${judged} of ${sampled} judged.`,
  judgedEnoughForPoints: (points: Said) => `Judged enough for ±${points} points.`,
  aboutForPoints: (more: number, points: Said, waiting: number, readMore: boolean) =>
    `About ${plural(more, { one: '1 more verdict', other: `${more} more verdicts` })} for ±${points} points${waiting ? `; ${waiting} in the sample aren’t judged yet` : ''}${readMore ? '; read more pages first' : ''}.`,
  fits: (fits: number) => plural(fits, { one: 'fit', other: 'fits' }),
  misses: (misses: number) => plural(misses, { one: 'miss', other: 'misses' }),
  firstTenthOnlyFirstPagesAlone: (fits: Said, fits2: Said, interval: Said) =>
    `First tenth only: ${fits} of ${fits2}, ${interval}. The first pages alone would tell you nothing about the rest.`,
  margin: 'Margin',
  points: (width: Said) => `±${width} points`,
  drawMoreInAll: (toDraw: Said, sampled: Said) => `Draw ${toDraw} more (${sampled} in all)`
});

export const sampleList = catalogue('trial/sampleList', {
  allAsList: (length: Said) => `All ${length} as a list`,
  verdict: 'Verdict',
  certainty: 'Certainty',
  matchedBy: 'Matched by',
  anyTerm: 'any term',
  shown: (length: Said) => `${length} shown`,
  peopleInSample: 'People in the sample'
});

export const trialLog = catalogue('trial/trialLog', {
  errors: (length: Said) => `Errors (${length})`,
  searchPage: (search: Said, page: Said, what: Said) => `search ${search}, page ${page}: ${what}`
});

export const trialProgress = catalogue('trial/trialProgress', {
  progressVersionOn: (version: Said, sourceName: Said) => `Progress of version ${version} on ${sourceName}`,
  versionOn: (version: Said, sourceName: Said) => `Version ${version} on ${sourceName}`,
  rowsSoFar: (done: Said, searches: number, pages: number, rows: Said) =>
    `${done} of ${plural(searches, { one: '1 search', other: `${searches} searches` })}, ${plural(pages, { one: '1 page', other: `${pages.toLocaleString('en')} pages` })}, ${rows} rows so far`,
  sSpent: (amount: Said, unit: Said) => `, ${amount} ${unit}s spent`,
  lastSearchPage: (search: Said, page: Said, what: Said) => `; last: search ${search}, page ${page}: ${what}`,
  rowsSoFar2: 'Rows so far',
  stop: 'Stop',
  resume: 'Resume',
  queued: 'queued',
  running: 'running',
  done: 'done',
  stopped: 'stopped',
  failed: 'failed'
});

export const trialSummary = catalogue('trial/trialSummary', {
  found: 'found',
  shown: 'shown,',
  certain: 'certain,',
  possible: 'possible',
  contradictedAndRemoved: (filtered: Said) => `, ${filtered} contradicted and removed`,
  nobodyLeftToJudge: 'Nobody left to judge.',
  allAreHereToJudge: (people: Said) => `All ${people} are here to judge.`,
  drawnFromAll: (length: Said, people: Said) => `${length} drawn from all ${people}.`,
  alreadyContactedAndExcluded: (contacted: Said) => `${contacted} already contacted and excluded.`,
  lookLikeDuplicatesPeopleAlreadyShown: (duplicates: Said) =>
    `${duplicates} look like duplicates of people already shown.`,
  spentS: (amount: Said, unit: Said) => `Spent: ${amount} ${unit}s.`
});

export const verdictDesk = catalogue('trial/verdictDesk', {
  verdict: 'Verdict',
  comparedWithPersona: 'Compared with the persona',
  byRule: 'By rule',
  yourOwnVerdictOverridesIt: (reason: Said) => `: ${reason}. Your own verdict overrides it.`,
  judged: 'Judged',
  atCountsHereUntilYouChange: (at: Said) => `at ${at}; counts here until you change it.`,
  recordsJudgedDifferently: 'Records judged differently',
  thisPersonsRecordsWereJudged: 'This person’s records were judged differently:',
  at: (at: Said) => `at ${at}`,
  newestCounts: '. The newest counts.',
  makeAll: (toLowerCase: Said) => `Make all ${toLowerCase}`,
  reason: 'Reason',
  yourOwnReason: 'Your own reason',
  orInYourOwnWordsN: 'or in your own words (N)',
  goToNextAutomatically: 'go to the next automatically',
  browse: 'browse ·',
  undo: 'undo'
});

export const trialPage = catalogue('trial/trialPage', {
  trial: 'Trial',
  nothingRunYet: 'Nothing run yet',
  trialRunsStringAtYourSources: 'A trial runs the string at your sources and draws a sample to judge.',
  runString: 'Run the string',
  first: 'first.',
  versionOn: (version: Said, sourceName: Said) => `Version ${version} on ${sourceName}`,
  version: (number: Said) => `Version ${number}`,
  versionOn2: (number: Said, sourceId: Said) => `Version ${number} on ${sourceId}`,
  preJudgeByRule: (ruled: Said) => `Pre-judge ${ruled} by rule`,
  byFirmSizeCountryIndustryAnd: 'By firm size, country, industry and excluded firms; marked “by rule”',
  removeRuleVerdicts: (byRule: Said) => `Remove ${byRule} rule verdicts`,
  diary: 'Diary',
  nextUnjudged: 'Next unjudged',
  undo: 'Undo',
  verdict: (waiting: Said) => `${waiting} verdict`,
  is: ' is',
  sAre: 's are',
  notSavedYet: 'not saved yet.',
  retry: 'Retry',
  whatsCollectedSoFarIsSaved:
    'What’s collected so far is saved: the trial resumes from there, even after a stop or restart.',
  addToShortlist: 'Add to shortlist',
  judgesSamePeopleWithoutSeeingEarlier: (as: Said) =>
    `${as} judges the same people without seeing earlier verdicts. The brief uses the first judge’s verdicts;`,
  compareBoth: 'compare both'
});

export const filterWords = catalogue('trial/filter', {
  all: 'all',
  open: 'not judged yet',
  fit: 'fits',
  miss: 'misses',
  unsure: 'unsure',
  certainAndPossible: 'certain and possible',
  certain: 'certain only',
  possible: 'possible only'
});
