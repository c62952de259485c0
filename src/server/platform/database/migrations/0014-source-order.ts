import type { Schema } from '../schema';

export const name = '0014-source-order';

/** Sources stand in an order of one's own, and those nobody wants to see any more are hidden. */
export async function up(schema: Schema): Promise<void> {
  await schema.query('ALTER TABLE sources ADD COLUMN position integer');
  await schema.query('ALTER TABLE sources ADD COLUMN hidden boolean NOT NULL DEFAULT false');
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('sources', 'hidden');
