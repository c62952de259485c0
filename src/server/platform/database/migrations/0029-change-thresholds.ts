import type { Schema } from '../schema';

export const name = '0029-change-thresholds';

/** By how much a field must change before a watch reports it. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`ALTER TABLE watches ADD COLUMN thresholds jsonb NOT NULL DEFAULT '{"headcount": 10}'`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('watches', 'thresholds');
