import { catalogue, plural, type Said } from '$lib/words/catalogue';

export const chosen = catalogue('report/chosen', {
  versionsChosen: 'Versions chosen',
  version: (version: Said) => `version ${version}`,
  found: (estimated: Said) => `· ${estimated} found`,
  from: (figures: Said) => ` from ${figures}`,
  fits: (share: Said, interval: Said) => ` · ${share} fits (${interval})`,
  report: 'Report'
});

export const reportExport = catalogue('report/reportExport', {
  runsImported: (many: number) => plural(many, { one: '1 run imported', other: `${many} runs imported` }),
  unknownAtSource: (many: number) =>
    plural(many, { one: '1 person isn’t known at their source', other: `${many} people aren’t known at their source` }),
  exportText: 'Export',
  print: 'Print',
  markdown: 'Markdown',
  csv: 'CSV',
  wholeBrief: 'Whole brief',
  trec: 'TREC',
  verdictsQrels: 'Verdicts (qrels)',
  resultsRuns: 'Results (runs)',
  importQrels: 'Import qrels',
  importRuns: 'Import runs',
  verdictsImported: (added: Said) => `${added} verdicts imported`,
  alreadyHere: (same: Said) => `${same} already here`,
  differFromYoursAndWerentImported: (otherwise: Said) => `${otherwise} differ from yours and weren’t imported`,
  areForSourcesYouDontHave: (elsewhere: Said) => `${elsewhere} are for sources you don’t have`
});

export const reportPage = catalogue('report/reportPage', {
  peopleSeen: (value: Said, people: Said) => `${value} · ${people} people seen,`,
  judgedEachCountedOnce: (report: Said) => `judged, each counted once. ${report}`,
  version: (source: Said, version: Said) => `${source}: version ${version}`,
  newestRunNoVersionChosenHere: 'newest run; no version chosen here',
  searchFor: (source: Said, length: Said) => `the search for ${source}${length}`,
  cantSearchForThisString: (source: Said) => `${source} can’t search for this string.`,
  cantSearchForAllItEave: (source: Said) => `${source} can’t search for all of it; Eave keeps only people who match`,
  reported: 'Reported',
  shown: 'Shown',
  certain: 'certain,',
  possible: 'possible',
  run: 'Run',
  figuresCoverTheseOnly: ': figures cover these only',
  estimatedResult: 'Estimated result',
  precision: 'Precision',
  nobodyJudged: 'nobody judged',
  fits: (share: Said) => `${share} fits`,
  judged: (interval: Said, fits: Said) => `${interval}, ${fits} judged`,
  estimatedFits: 'Estimated fits',
  about: (middle: Said) => `about ${middle}`,
  knownGoods: 'Known-goods',
  itHas: (found: Said, inSource: Said) => `${found} of the ${inSource} it has`,
  spent: 'Spent',
  comparedWithOthers: 'Compared with others',
  notSeen: 'Not seen',
  rowsBeyondWhatItShows: (unseen: Said) => `${unseen} rows beyond what it shows`,
  nothingToReportYet: 'Nothing to report yet.',
  runString: 'Run the string',
  judgeItsSampleAndChooseVersion: ', judge its sample, and choose a version for each source on',
  compare: 'Compare',
  alsoJudgedThesePeopleCohensKappa: (judge: Said, judged: Said) =>
    `${judge} also judged ${judged} of these people: Cohen’s kappa`,
  cantBeComputed: 'can’t be computed',
  toText: (toFixed: Said, toFixed2: Said, toFixed3: Said) => `${toFixed}, ${toFixed2} to ${toFixed3}`,
  howThisWasMeasured: 'How this was measured'
});
