import * as z from 'zod';
import type { OwnScope } from '../language/scopes';
import { ownScopeSchema } from '../language/scope-schema';

/** The kinds of field that hold words, those that `any` searches first. `name` and `jobtext` have no scope. */
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
  'mail',
  'language'
] as const;
/** The kinds of field of a profile, and the fields of a file's own. */
export type Field = (typeof fields)[number] | OwnScope;
export const fieldSchema = z.union([z.enum(fields), ownScopeSchema]);
