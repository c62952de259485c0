/** The fields of a person on a list, each of which one of the records leads. */
export const joinedFields = [
  'name',
  'title',
  'company',
  'country',
  'place',
  'mail',
  'phone',
  'page',
  'headcount',
  'industry'
] as const;
export type JoinedField = (typeof joinedFields)[number];

/** Why somebody on a list is left out of what is exported. */
export const leftOutReasons = [
  'contacted',
  'customer',
  'competitor',
  'own firm',
  'excluded firm',
  'consent',
  'shared mailbox',
  'no address',
  'already exported',
  'by hand'
] as const;
export type LeftOutReason = (typeof leftOutReasons)[number];

/** What a column of a file that leaves may hold. */
export const columnSources = [
  'name',
  'given name',
  'family name',
  'greeting',
  'title',
  'tidy title',
  'company',
  'firm in a sentence',
  'country',
  'country code',
  'place',
  'mail',
  'mail state',
  'phone',
  'page',
  'industry',
  'headcount',
  'verdict',
  'likelihood',
  'tags',
  'priority',
  'next step',
  'next date',
  'note',
  'kept on',
  'kept because',
  'sources',
  'fixed text',
  'own column'
] as const;
