import type { Sequelize } from 'sequelize';

export const name = '0008-notes';

export async function up(database: Sequelize): Promise<void> {
  await database.query(`
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
