/** What a proposed change of a string does. */
export const proposalKinds = [
  'quote',
  'current title',
  'exclude',
  'drop',
  'tell apart',
  'add wording',
  'widen'
] as const;
export type ProposalKind = (typeof proposalKinds)[number];
