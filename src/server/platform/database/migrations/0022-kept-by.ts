import type { Schema } from '../schema';

export const name = '0022-kept-by';

/** Who kept somebody, as they call themselves: Eave knows no users. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`ALTER TABLE shortlist_people ADD COLUMN kept_by text NOT NULL DEFAULT ''`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('shortlist_people', 'kept_by');
