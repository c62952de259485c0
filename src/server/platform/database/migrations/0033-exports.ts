import type { Schema } from '../schema';

export const name = '0033-exports';

/** The table of a shortlist's exports is called what the product calls them. */
export const up = (schema: Schema): Promise<void> =>
  schema.query(`
    ALTER INDEX IF EXISTS takings_shortlist_id_key RENAME TO exports_shortlist_id_key;
    ALTER TABLE takings RENAME TO exports`);

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('exports');
