/** What was judged of one page of a result: people of one page are more alike than people of different pages. */
export interface Cluster {
  fits: number;
  judged: number;
}

/** The 97.5 % points of Student's distribution for 1 to 30 degrees of freedom. Fisher and Yates, Statistical Tables, table III. */
const student = [
  12.706, 4.303, 3.182, 2.776, 2.571, 2.447, 2.365, 2.306, 2.262, 2.228, 2.201, 2.179, 2.16, 2.145, 2.131, 2.12, 2.11,
  2.101, 2.093, 2.086, 2.08, 2.074, 2.069, 2.064, 2.06, 2.056, 2.052, 2.048, 2.045, 2.042
];
const z = 1.959963984540054;
/** Below so few pages the spread between them cannot be told from theirs alone. */
const fewest = 2;

/**
 * How many independent draws a sample of whole pages is worth. The variance of the share, as that of a ratio over clusters
 * (Cochran, Sampling Techniques, 3rd edition, 1977, section 9A.1), is compared with that of as many people drawn one by one;
 * few pages count for less still, by Student's distribution (Korn and Graubard, Survey Methodology 24 (1998) 193–201). Never
 * more than were judged; one page is worth one draw.
 */
export function effectiveDraws(clusters: readonly Cluster[]): number {
  const pages = clusters.filter(({ judged }) => judged > 0);
  const judged = pages.reduce((sum, page) => sum + page.judged, 0);
  if (pages.length < fewest) return Math.min(judged, pages.length);
  const share = pages.reduce((sum, { fits }) => sum + fits, 0) / judged;
  const single = (share * (1 - share)) / judged;
  const between = pages.reduce((sum, page) => sum + (page.fits - share * page.judged) ** 2, 0);
  const clustered = (pages.length / (pages.length - 1)) * (between / judged ** 2);
  const narrowing = (z / (student[pages.length - 2] ?? z)) ** 2;
  const effect = single > 0 ? Math.max(1, clustered / single) : 1;
  return Math.max(1, Math.min(judged, (judged / effect) * narrowing));
}
