import { catalogue, type Said } from '$lib/words/catalogue';

export const chosen = catalogue('report/chosen', {
  versionsChosen: 'Versions chosen',
  version: (version: Said) => `version ${version}`,
  found: (estimated: Said) => `· ${estimated} found`,
  by: (figures: Said) => ` by ${figures}`,
  fits: (share: Said, interval: Said) => ` · ${share} fits (${interval})`,
  report: 'Report'
});

export const takeAlong = catalogue('report/takeAlong', {
  takeItAlong: 'Take it along',
  print: 'Print',
  markdown: 'Markdown',
  csv: 'CSV',
  wholeBriefAsAFile: 'Whole brief as a file',
  trec: 'TREC',
  verdictsQrels: 'Verdicts (qrels)',
  resultsRuns: 'Results (runs)',
  takeQrelsIn: 'Take qrels in',
  takeRunsIn: 'Take runs in',
  verdictsTakenIn: (added: Said) => `${added} verdicts taken in`,
  wereHereAlready: (same: Said) => `${same} were here already`,
  sayOtherwiseThanHereAndWere: (otherwise: Said) => `${otherwise} say otherwise than here and were left`,
  areOnSourcesThatAreNot: (elsewhere: Said) => `${elsewhere} are on sources that are not here`
});

export const reportPage = catalogue('report/reportPage', {
  peopleSeen: (value: Said, people: Said) => `${value} · ${people} people seen,`,
  judgedEachOnce: (report: Said) => `judged, each once. ${report}`,
  version: (source: Said, version: Said) => `${source}: version ${version}`,
  newestRunHereNobodyChoseOne: 'newest run here, nobody chose one',
  theSearchFor: (source: Said, length: Said) => `the search for ${source}${length}`,
  cannotBeAskedThisString: (source: Said) => `${source} cannot be asked this string.`,
  cannotBeAskedAllOfIt: (source: Said) =>
    `${source} cannot be asked all of it: of what comes, only those stay who answer`,
  reported: 'Reported',
  shown: 'Shown',
  certain: 'certain,',
  possible: 'possible',
  run: 'Run',
  everyFigureHereIsOfThese: ': every figure here is of these alone',
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
  againstOthers: 'Against others',
  notSeen: 'Not seen',
  rowsBeyondWhatItShows: (unseen: Said) => `${unseen} rows beyond what it shows`,
  nothingToReportYet: 'Nothing to report yet.',
  runTheString: 'Run the string',
  judgeItsSampleAndChooseA: ', judge its sample, and choose a version for each source on',
  compare: 'Compare',
  judgedOfTheSamePeopleA: (judge: Said, judged: Said) =>
    `${judge} judged ${judged} of the same people a second time: Cohen’s kappa`,
  cannotBeTold: 'cannot be told',
  to: (toFixed: Said, toFixed2: Said, toFixed3: Said) => `${toFixed}, ${toFixed2} to ${toFixed3}`,
  howItWasMeasured: 'How it was measured'
});
