import type { Schema } from '../schema';

export const name = '0008-notes';

export async function up(schema: Schema): Promise<void> {
  await schema.query(`
    CREATE TABLE notes (
      persona_id uuid NOT NULL REFERENCES briefs (persona_id) ON DELETE CASCADE,
      source_id text NOT NULL REFERENCES sources ON DELETE CASCADE,
      person_id text NOT NULL,
      text text NOT NULL,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL,
      PRIMARY KEY (persona_id, source_id, person_id)
    );
  `);
}

/** Its last step has been done. */
export const isDone = (schema: Schema): Promise<boolean> => schema.has('notes');
