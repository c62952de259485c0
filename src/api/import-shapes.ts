import * as z from 'zod';
import { standardFieldSchema } from '$core/formats/standard-fields';
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

/** A value of a file, and the entry of a standard list that it becomes; null leaves it as it is written. */
export const valueMeaningSchema = z.object({
  field: standardFieldSchema,
  text: z.string().max(20_000),
  standard: z.string().max(100).nullable()
});
export type ValueMeaning = z.infer<typeof valueMeaningSchema>;

/** A value of a file as it is read, and where that comes from. */
export const fileValueSchema = valueMeaningSchema.extend({
  rows: z.int(),
  by: z.enum(['name', 'likeness', 'memory']).nullable().describe('memory: as it was chosen for a file before')
});
export type FileValue = z.infer<typeof fileValueSchema>;

/** A list that the people of a file are put on: of a brief, or of those who objected. */
export const ontoSchema = z
  .object({ list: z.enum(['contacted', 'known', 'customers', 'objected']), briefId: z.uuid().nullable() })
  .refine(({ list, briefId }) => (list === 'objected') === (briefId === null), 'a list of a brief needs the brief')
  .nullable();

/** What a file is to be imported as. */
export interface ImportSettings {
  name: string;
  mapping: ColumnField[];
  skipBadRows: boolean;
  /** What values of its columns become; those not named are read by their names. */
  values?: ValueMeaning[];
  /** What is done with a row that has a cell which is not what its column holds. */
  badCells?: 'empty' | 'skip';
  /** The imported file whose people these take the place of. */
  into: string | null;
  /** The list that they are put on, where they are no source. */
  onto?: z.output<typeof ontoSchema>;
}
