import type { Schema } from '../schema';

export const name = '0027-erased-of-trials';

/** How often people were erased from a trial: what was read of it before is read anew. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`ALTER TABLE trials ADD COLUMN erased integer NOT NULL DEFAULT 0`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('trials', 'erased');
