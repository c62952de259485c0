import * as z from 'zod';
import { ownScopePattern, scopes, type OwnScope } from './scopes';

/** The name of a field of a file's own, as it is written before its colon. */
export const ownScopeSchema = z
  .string()
  .regex(ownScopePattern, 'an own field is own. and a name of letters, digits and _') as unknown as z.ZodType<
  OwnScope,
  OwnScope
>;
/** Any scope that a string can have. */
export const scopeSchema = z.union([z.enum(scopes), ownScopeSchema]);
