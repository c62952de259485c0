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
  person: 'whole person (JSON)'
} as const;

export type ColumnField = keyof typeof columnFields;
export const columnFieldSchema = z.enum(Object.keys(columnFields) as [ColumnField, ...ColumnField[]]);
/** One field for each column, in the file's order. */
export const columnMappingSchema = z.array(columnFieldSchema).min(1).max(1000);
