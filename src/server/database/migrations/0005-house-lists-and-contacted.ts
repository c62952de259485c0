import type { Sequelize } from 'sequelize';

export const name = '0005-house-lists-and-contacted';

export async function up(database: Sequelize): Promise<void> {
  await database.query(`
    ALTER TABLE documents
      DROP CONSTRAINT documents_kind_check,
      ADD CONSTRAINT documents_kind_check CHECK (kind IN ('persona', 'wording', 'draft', 'known', 'contacted'));
    INSERT INTO documents (brief_id, kind, body, created_at, updated_at)
      SELECT id, 'contacted', '[]', now(), now() FROM briefs ON CONFLICT DO NOTHING;

    CREATE TABLE house_lists (
      name text PRIMARY KEY CHECK (name IN ('regions', 'consent')),
      body jsonb NOT NULL,
      revision integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL,
      updated_at timestamptz NOT NULL
    );

    ALTER TABLE trials ADD COLUMN contacted integer NOT NULL DEFAULT 0;
  `);
}
