/** The kinds of source. */
export const sourceKinds = ['stand-in', 'file', 'by-hand', 'connected'] as const;
export type SourceKind = (typeof sourceKinds)[number];

/** Whether the people of such a source are here, so that they can be counted and looked at without running anything. */
export const hasPeopleHere = (kind: SourceKind): boolean => kind === 'stand-in' || kind === 'file';
