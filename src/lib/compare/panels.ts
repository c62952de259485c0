/** What can be looked at below the board. */
export const panels = {
  versions: 'Two versions',
  sources: 'Two sources',
  recall: 'Recall',
  judges: 'Two judges',
  same: 'Same person'
} as const;
