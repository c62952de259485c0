import type * as z from 'zod';

/**
 * Data that ships with Eave, as its schema says. Checked in tests and while code is written; a build takes it as it is, so that a
 * page or a thread that begins does not check again what cannot have changed. The schema may not change what it reads.
 */
export const shipped = <Schema extends z.ZodType>(schema: Schema, data: unknown): z.infer<Schema> =>
  import.meta.env?.PROD ? (data as z.infer<Schema>) : schema.parse(data);
