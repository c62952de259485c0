import * as z from 'zod';

/** What a column of a people file can hold. */
export const columnFields = {
  ignore: 'leave out',
  id: 'own key',
  name: 'name',
  firstName: 'first name',
  lastName: 'last name',
  title: 'current title',
  company: 'current company',
  jobFrom: 'in the current role since',
  pastTitle: 'past title',
  pastCompany: 'past company',
  about: 'about text',
  skills: 'skills (separated by ; or ,)',
  school: 'school',
  group: 'group',
  mail: 'mail address',
  phone: 'phone number',
  url: 'page address',
  place: 'place',
  country: 'country',
  industry: 'industry',
  function: 'function',
  rank: 'rank',
  headcount: 'company size',
  founded: 'year founded',
  language: 'language of the profile',
  ownText: 'own field: text',
  ownNumber: 'own field: number',
  ownDate: 'own field: date',
  ownYesNo: 'own field: yes or no',
  person: 'whole person (JSON)'
} as const;

export type ColumnField = keyof typeof columnFields;
/** What makes a column a field of the file's own, under its heading's name. */
export const ownColumns = ['ownText', 'ownNumber', 'ownDate', 'ownYesNo'] as const satisfies readonly ColumnField[];
export type OwnColumn = (typeof ownColumns)[number];
export const isOwnColumn = (field: ColumnField): field is OwnColumn =>
  (ownColumns as readonly ColumnField[]).includes(field);
export const columnFieldSchema = z.enum(Object.keys(columnFields) as [ColumnField, ...ColumnField[]]);
/** One field for each column, in the file's order. */
export const columnMappingSchema = z.array(columnFieldSchema).min(1).max(1000);
