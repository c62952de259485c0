/** What can stand under the editor, one at a time, in the order of its tabs. */
export const panels = ['worth', 'proposals', 'narrowing', 'meanings', 'tree', 'searches', 'versions', 'paste'] as const;
export type Panel = (typeof panels)[number];
