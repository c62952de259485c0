import type { Schema } from '../schema';

export const name = '0010-leases';

/**
 * Several servers may work on one database: an import belongs to the server whose lease on it has not run out, and the
 * people of a file have a revision by which every server notices that others took their place.
 */
export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    ALTER TABLE imports
      DROP CONSTRAINT imports_state_check,
      ADD CONSTRAINT imports_state_check CHECK (state IN ('ready', 'waiting', 'running', 'done', 'refused', 'stopped')),
      ADD COLUMN settings jsonb,
      ADD COLUMN server text,
      ADD COLUMN leased_until timestamptz,
      ADD COLUMN stop boolean NOT NULL DEFAULT false;
    ALTER TABLE trial_pages ADD COLUMN rows integer GENERATED ALWAYS AS (jsonb_array_length(people)) STORED;
    ALTER TABLE sources ADD COLUMN people_revision integer NOT NULL DEFAULT 0;
    CREATE INDEX trials_under_way ON trials (state) WHERE state IN ('waiting', 'running');
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('sources', 'people_revision');
