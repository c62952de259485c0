import type { Sequelize } from 'sequelize';

export const name = '0004-known-goods';

export async function up(database: Sequelize): Promise<void> {
  await database.query(`
    ALTER TABLE documents
      DROP CONSTRAINT documents_kind_check,
      ADD CONSTRAINT documents_kind_check CHECK (kind IN ('persona', 'wording', 'draft', 'known'));
    INSERT INTO documents (brief_id, kind, body, created_at, updated_at)
      SELECT id, 'known', '[]', now(), now() FROM briefs ON CONFLICT DO NOTHING;
  `);
}
