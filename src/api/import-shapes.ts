import * as z from 'zod';
import { columnFieldSchema, type ColumnField } from '$core/formats/column-fields';

/** How a file was recognised, and its first rows. */
export const readingSchema = z.object({
  format: z.enum(['csv', 'jsonl']),
  encoding: z.string(),
  delimiter: z.string().nullable(),
  columns: z.array(z.object({ name: z.string(), field: columnFieldSchema, samples: z.array(z.string()) }))
});
export type Reading = z.infer<typeof readingSchema>;

/** How far an import has come and what was wrong. Rows count from 1 without the heading; lines count from 1 in the file. */
export const importOutcomeSchema = z.object({
  rows: z.int(),
  bytesRead: z.int(),
  skipped: z.int().describe('Rows that name nobody or stand twice'),
  leftOut: z.int().default(0),
  emptied: z.int().default(0).describe('Cells left empty, as they were not what their column holds'),
  errors: z.array(
    z.object({
      row: z.int(),
      line: z.int(),
      message: z.string(),
      cell: z.boolean().default(false)
    })
  ),
  message: z.string().nullable()
});
export type ImportOutcome = z.infer<typeof importOutcomeSchema>;

/** What a file is to be imported as. */
export interface ImportSettings {
  name: string;
  mapping: ColumnField[];
  skipBadRows: boolean;
  /** What is done with a row that has a cell which is not what its column holds. */
  badCells?: 'empty' | 'skip';
  /** The imported file whose people these take the place of. */
  into: string | null;
}
