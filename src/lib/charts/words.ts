import { catalogue, type Said } from '$lib/words/catalogue';

export const chartFrame = catalogue('charts/chartFrame', {
  as: (title: Said) => `${title} as`,
  chart: 'Chart',
  table: 'Table',
  saveAsSvg: (title: Said) => `Save ${title} as SVG`,
  svg: 'SVG',
  saveAsPng: (title: Said) => `Save ${title} as PNG`,
  png: 'PNG',
  asATable: (title: Said) => `${title}, as a table`
});

export const overlapChart = catalogue('charts/overlapChart', {
  whoIsFoundWhereVersion: (version: Said) => `Who is found where, version ${version}`,
  peopleByTheSourcesThatFind: (people: Said, left: Said) =>
    `${people} people by the sources that find them, the same person known again${left}; the dark part is the share of fits among those judged`,
  peopleByTheSourcesThatFind2: 'People by the sources that find them; the table has the same figures',
  people: (part: Said, people: Said) => `${part}: ${people} people`,
  nobodyJudged: ', nobody judged',
  ofJudgedAreFits: (fits: Said, part: Said) => `, ${fits} of ${part} judged are fits`,
  andSmallerOnesInTheTable: (length: Said) => `and ${length} smaller ones, in the table`,
  whoIsFoundWhere: 'Who is found where',
  foundByJust: 'Found by just',
  people2: 'People',
  judged: 'Judged',
  fitsAmongThem: 'Fits among them'
});

export const reachChart = catalogue('charts/reachChart', {
  precisionAgainstReach: 'Precision against reach',
  eachVersionAtEachSourceWith:
    'each version at each source, with intervals both ways; the dashed line joins those that none beats',
  precisionAgainstEstimatedFitsTheTable: 'Precision against estimated fits; the table has the same figures',
  estimatedFitsLogarithmic: 'estimated fits (logarithmic)',
  versionAtAboutFits: (version: Said, sourceId: Said, middle: Said, middle2: Said) =>
    `Version ${version} at ${sourceId}: ${middle}, about ${middle2} fits`,
  version: 'Version',
  source: 'Source',
  precision: 'Precision',
  estimatedFits: 'Estimated fits',
  beatenByNone: 'Beaten by none'
});

export const twoNarrowings = catalogue('charts/twoNarrowings', {
  howBothNarrowAt: (sourceName: Said) => `How both narrow at ${sourceName}`,
  peopleLeftAfterEachPartBoth: 'people left after each part, both versions on one logarithmic scale',
  peopleLeftAfterEachPartOf: 'People left after each part of two versions; the table has the same figures',
  version: (version: Said) => `Version ${version}`,
  peopleLeftAfterEachPart: 'People left after each part',
  version2: 'Version',
  after: 'After',
  peopleLeft: 'People left'
});
