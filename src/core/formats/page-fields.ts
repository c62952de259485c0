/** What is read of a person out of the text of a result page. */
export const pageFields = ['name', 'title', 'company', 'place', 'url', 'mail', 'phone'] as const;
export type PageField = (typeof pageFields)[number];
