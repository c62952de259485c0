/** Why a source does not show someone another finds by the same string. */
export const lackingReasons = [
  'not in it',
  'beyond what it shows',
  'removed by the left-over part',
  'compares words otherwise',
  'another job in its record',
  'facts it does not list',
  'says less of them'
] as const;
export type LackingReason = (typeof lackingReasons)[number];
