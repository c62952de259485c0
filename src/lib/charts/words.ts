import { catalogue, type Said } from '$lib/words/catalogue';

export const chartFrame = catalogue('charts/chartFrame', {
  view: (title: Said) => `View of ${title}`,
  chart: 'Chart',
  table: 'Table',
  downloadAsSvg: (title: Said) => `Download ${title} as SVG`,
  svg: 'SVG',
  downloadAsPng: (title: Said) => `Download ${title} as PNG`,
  png: 'PNG',
  asTable: (title: Said) => `${title}, as a table`
});

export const overlapChart = catalogue('charts/overlapChart', {
  overlapBetweenSourcesVersion: (version: Said) => `Overlap between sources, version ${version}`,
  peopleBySourcesThatFindThem: (people: Said, left: Said) =>
    `${people} people by the sources that find them, each counted once${left}. The dark part is the share of fits among those judged`,
  peopleBySourcesThatFindThem2: 'People by the sources that find them; same figures as in the table',
  people: (part: Said, people: Said) => `${part}: ${people} people`,
  nobodyJudged: ', nobody judged',
  judgedAreFits: (fits: Said, part: Said) => `, ${fits} of ${part} judged are fits`,
  andSmallerGroupsInTable: (length: Said) => `and ${length} smaller groups, in the table`,
  overlapBetweenSources: 'Overlap between sources',
  foundOnlyBy: 'Found only by',
  people2: 'People',
  judged: 'Judged',
  fits: 'Fits'
});

export const reachChart = catalogue('charts/reachChart', {
  precisionAgainstReach: 'Precision against reach',
  eachVersionAtEachSourceWith:
    'Each version at each source, with both 95% intervals. The dashed line joins the versions that no other beats',
  precisionAgainstEstimatedFitsSame: 'Precision against estimated fits; same figures as in the table',
  estimatedFitsLogScale: 'estimated fits (log scale)',
  versionAtAboutFits: (version: Said, sourceId: Said, middle: Said, middle2: Said) =>
    `Version ${version} at ${sourceId}: ${middle}, about ${middle2} fits`,
  version: 'Version',
  source: 'Source',
  precision: 'Precision',
  estimatedFits: 'Estimated fits',
  unbeaten: 'Unbeaten'
});

export const twoNarrowings = catalogue('charts/twoNarrowings', {
  narrowingBothVersionsAt: (sourceName: Said) => `Narrowing of both versions at ${sourceName}`,
  peopleLeftAfterEachPartBoth: 'People left after each part, both versions on one log scale',
  peopleLeftAfterEachPartTwo: 'People left after each part of two versions; same figures as in the table',
  version: (version: Said) => `Version ${version}`,
  peopleLeftAfterEachPart: 'People left after each part',
  version2: 'Version',
  after: 'After',
  peopleLeft: 'People left'
});

export const chartFile = catalogue('charts/chartFile', {
  noPicture: 'Your browser couldn’t create a picture of the chart.'
});
