import type { Schema } from '../schema';

export const name = '0020-world-day';

/** The world of the stand-ins has a calendar that can be moved on. */
export async function up(schema: Schema): Promise<void> {
  await schema.query('ALTER TABLE sources ADD COLUMN world_day integer NOT NULL DEFAULT 0');
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('sources', 'world_day');
