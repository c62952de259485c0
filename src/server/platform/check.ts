import type * as z from 'zod';
import { refuse } from './refusals';

/** What a schema makes of a value; refused, with the first thing that is wrong, where it does not take it. */
export function check<S extends z.ZodType>(schema: S, value: unknown, where: string): z.output<S> {
  const read = schema.safeParse(value);
  if (read.success) return read.data;
  const issues = read.error.issues.map((issue) => ({ path: issue.path.join('.'), message: issue.message }));
  const [first] = issues;
  throw refuse('invalid-input', `In ${where}: ${first!.path ? `${first!.path}: ` : ''}${first!.message}`).with({
    issues
  });
}
