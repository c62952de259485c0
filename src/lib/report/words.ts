import { catalogue, type Said } from '$lib/words/catalogue';

export const chosen = catalogue('report/chosen', {
  versionsChosen: 'Versions chosen',
  version: (version: Said) => `version ${version}`,
  found: (estimated: Said) => `· ${estimated} found`,
  by: (figures: Said) => ` from ${figures}`,
  fits: (share: Said, interval: Said) => ` · ${share} fits (${interval})`,
  report: 'Report'
});

export const takeAlong = catalogue('report/takeAlong', {
  takeItAlong: 'Export',
  print: 'Print',
  markdown: 'Markdown',
  csv: 'CSV',
  wholeBriefAsAFile: 'Whole brief',
  trec: 'TREC',
  verdictsQrels: 'Verdicts (qrels)',
  resultsRuns: 'Results (runs)',
  takeQrelsIn: 'Import qrels',
  takeRunsIn: 'Import runs',
  verdictsTakenIn: (added: Said) => `${added} verdicts imported`,
  wereHereAlready: (same: Said) => `${same} already here`,
  sayOtherwiseThanHereAndWere: (otherwise: Said) => `${otherwise} differ from yours and weren’t imported`,
  areOnSourcesThatAreNot: (elsewhere: Said) => `${elsewhere} are for sources you don’t have`
});

export const reportPage = catalogue('report/reportPage', {
  peopleSeen: (value: Said, people: Said) => `${value} · ${people} people seen,`,
  judgedEachOnce: (report: Said) => `judged, each counted once. ${report}`,
  version: (source: Said, version: Said) => `${source}: version ${version}`,
  newestRunHereNobodyChoseOne: 'newest run; no version chosen here',
  theSearchFor: (source: Said, length: Said) => `the search for ${source}${length}`,
  cannotBeAskedThisString: (source: Said) => `${source} can’t search for this string.`,
  cannotBeAskedAllOfIt: (source: Said) => `${source} can’t search for all of it; Eave keeps only people who match`,
  reported: 'Reported',
  shown: 'Shown',
  certain: 'certain,',
  possible: 'possible',
  run: 'Run',
  everyFigureHereIsOfThese: ': figures cover these only',
  estimatedResult: 'Estimated result',
  precision: 'Precision',
  nobodyJudged: 'nobody judged',
  fits: (share: Said) => `${share} fits`,
  judged: (interval: Said, fits: Said) => `${interval}, ${fits} judged`,
  estimatedFits: 'Estimated fits',
  about: (middle: Said) => `about ${middle}`,
  knownGoods: 'Known-goods',
  ofTheItHas: (found: Said, inSource: Said) => `${found} of the ${inSource} it has`,
  spent: 'Spent',
  againstOthers: 'Compared with others',
  notSeen: 'Not seen',
  rowsBeyondWhatItShows: (unseen: Said) => `${unseen} rows beyond what it shows`,
  nothingToReportYet: 'Nothing to report yet.',
  runTheString: 'Run the string',
  judgeItsSampleAndChooseA: ', judge its sample, and choose a version for each source on',
  compare: 'Compare',
  judgedOfTheSamePeopleA: (judge: Said, judged: Said) =>
    `${judge} also judged ${judged} of these people: Cohen’s kappa`,
  cannotBeTold: 'can’t be computed',
  to: (toFixed: Said, toFixed2: Said, toFixed3: Said) => `${toFixed}, ${toFixed2} to ${toFixed3}`,
  howItWasMeasured: 'How this was measured'
});
