/** What the people behind a figure of the board are: all found, judged so, known-goods, or those nobody else finds. */
export const behindKinds = ['found', 'fits', 'misses', 'known', 'onlyVersion', 'onlySource'] as const;
export type BehindKind = (typeof behindKinds)[number];
