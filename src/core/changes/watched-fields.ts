/** What of a person is looked at for changes. */
export const watchedFields = ['title', 'company', 'country', 'place', 'headcount', 'mail', 'name'] as const;
export type WatchedField = (typeof watchedFields)[number];
