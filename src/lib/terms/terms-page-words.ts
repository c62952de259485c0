import { catalogue } from '$lib/words/catalogue';

/** More about the terms that need it: how the number is made, and what it doesn’t say. */
export const details = catalogue('terms/details', {
  certain:
    'Eave removes only the people a source contradicts. What a source doesn’t list is unknown, and unknown isn’t “no”. “Certain only” leaves out everyone whose facts are partly unknown.',
  possible: 'People who are possible are drawn, judged and compared like everybody else. Figures keep the two apart.',
  estimatedResult:
    'Reported count × the share of the shown rows that remain after filtering, with the uncertainty of both. It is exact when the source showed everything.',
  precision:
    'Fits ÷ (fits + misses). People marked unsure don’t count. Eave draws the people to judge through the whole result, so a good first page can’t make a string look better than it is.',
  interval:
    'For precision it is Wilson’s score interval, corrected for small results. A wide range means too few people were judged: judge more to narrow it.',
  estimatedFits: 'It carries the uncertainty of both factors, so its range is wider than either.',
  undecided:
    'Eave compares versions only by the people found by one and not the other, and corrects for the number of comparisons, so that luck doesn’t pick the winner.',
  recall: 'Measured on known-goods: of those the source has, how many the version finds.',
  pooledRecall: 'Fits that no version found can’t be counted, so the true recall is lower or equal.',
  fitsInTotal:
    'In a harvest it comes from people drawn at random and judged. Across two sources it is Chapman’s capture–recapture estimate, which assumes that being in one source has nothing to do with being in the other.',
  toExport:
    'Contacted people, customers, competitors, people who objected and people in countries that require consent are excluded; the list says why, and you can include somebody again. A missing address doesn’t exclude anybody from an export.',
  likelihood:
    'It has its own range: the fewer people were judged, the wider. People you judged have a verdict instead.',
  kappa: 'Kappa below 0.4 usually means that the persona isn’t clear enough.',
  slice:
    'Sources show only the first part of a long result, often the first 1,000 rows. Split by place, size or another fact, every slice fits under that limit.',
  neutralWord: 'Eave stops when a new word brings few new people.'
});

export const termsPage = catalogue('terms/termsPage', {
  terms: 'Terms',
  intro: 'The words Eave uses in its own sense, and the figures it shows. Each means the same on every screen.'
});
