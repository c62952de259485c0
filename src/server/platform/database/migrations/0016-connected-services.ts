import type { Schema } from '../schema';

export const name = '0016-connected-services';

/** Services that speak the connector protocol are sources; what reaches them is kept apart, with the key encrypted. */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE sources
      DROP CONSTRAINT sources_kind_check,
      ADD CONSTRAINT sources_kind_check CHECK (kind IN ('stand-in', 'file', 'by-hand', 'connected'));
    CREATE TABLE connections (
      source_id text PRIMARY KEY REFERENCES sources ON DELETE CASCADE,
      address text NOT NULL,
      sealed_key text,
      checked_at timestamptz NOT NULL DEFAULT now()
    );
    ALTER TABLE trials ADD COLUMN spent double precision;
    -- What a service gave to be handed back with the next page.
    ALTER TABLE trial_pages ADD COLUMN cursor text`);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('trial_pages', 'cursor');
