import * as z from 'zod';
import { columnSources } from './list-fields';

/** Which columns a file has, from what, in which order and under which headers; and how dates and numbers are written. */
export const columnProfileSchema = z.object({
  columns: z
    .array(
      z.object({
        header: z.string().trim().min(1).max(200),
        from: z.enum(columnSources),
        /** The own column's name, or the text itself. */
        of: z.string().max(500).default('')
      })
    )
    .min(1)
    .max(100),
  dates: z.enum(['2026-05-31', '31.05.2026', '31/05/2026', '05/31/2026']).default('2026-05-31'),
  numbers: z.enum(['1234.5', '1234,5']).default('1234.5')
});
export type ColumnProfile = z.output<typeof columnProfileSchema>;
