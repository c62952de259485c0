/** The kinds of field that hold words, those that `any` searches first. `name` and `jobtext` have no scope of their own. */
export const fields = [
  'name',
  'title',
  'pasttitle',
  'company',
  'pastcompany',
  'jobtext',
  'about',
  'skill',
  'school',
  'group',
  'contact',
  'place',
  'country',
  'industry',
  'function',
  'rank',
  'hiring',
  'funded',
  'tech',
  'mail'
] as const;
export type Field = (typeof fields)[number];
